import { defineRecord } from './define';
import type { Id } from './id';

/** Bottles of part A and part B that belong together, as they were bought. */
export interface Lot {
  readonly id: Id<'lot'>;
  readonly resinId: Id<'resin'>;
  /** What is printed on them. */
  readonly name: string;
  /** Null: sealed. */
  readonly openedMs: number | null;
  readonly bestBeforeMs: number | null;
  /** What was in them, kg; null: not told. */
  readonly fullAKg: number | null;
  readonly fullBKg: number | null;
  /** Used up or thrown away. */
  readonly emptyMs: number | null;
}

export const LOTS = defineRecord<Lot>()({
  name: 'lots',
  live: true,
  references: [{ field: 'resinId', table: 'resins' }],
  defaults: { openedMs: null, bestBeforeMs: null, fullAKg: null, fullBKg: null, emptyMs: null },
  order: (a, b) => a.name.localeCompare(b.name),
  schema: ({ id, mass, maybeInstant, name }) => ({
    id: id(),
    resinId: id(),
    name: name(),
    openedMs: maybeInstant(),
    bestBeforeMs: maybeInstant(),
    fullAKg: mass().allow(null),
    fullBKg: mass().allow(null),
    emptyMs: maybeInstant(),
  }),
});
