import { defineRecord } from './define';
import type { Id } from './id';

/** Read off the scale, taken to be what was asked for, or written before the shop told the two apart. */
export const WEIGHED_BY = ['read', 'assumed', 'not told'] as const;
export type WeighedBy = (typeof WEIGHED_BY)[number];

export interface Batch {
  readonly id: Id<'batch'>;
  readonly sessionId: Id<'session'>;
  readonly resinId: Id<'resin'>;
  /** Bottles that it is mixed from; null: not told. */
  readonly lotId: Id<'lot'> | null;
  readonly coatIds: readonly Id<'coat'>[];
  readonly targetM3: number;
  readonly targetAKg: number;
  readonly targetBKg: number;
  readonly aKg: number | null;
  readonly bKg: number | null;
  /** How the two masses became known; null while they are not. */
  readonly aBy: WeighedBy | null;
  readonly bBy: WeighedBy | null;
  /** Part A that went in after B, to put the ratio right, kg; part of `aKg`. */
  readonly addedAKg: number;
  /** What the scale was said to show for the part being weighed, before it is in; kept over a reload. */
  readonly reading: { readonly part: 'A' | 'B'; readonly kg: number } | null;
  /** Part B met part A: the working time starts. */
  readonly mixedMs: number | null;
  readonly stirStartedMs: number | null;
  readonly stirredMs: number | null;
  readonly pouredMs: number | null;
  readonly coveredMs: number | null;
}

export const BATCHES = defineRecord<Batch>()({
  name: 'batches',
  live: true,
  references: [
    { field: 'sessionId', table: 'sessions' },
    { field: 'resinId', table: 'resins' },
    { field: 'lotId', table: 'lots' },
  ],
  defaults: {
    lotId: null,
    aKg: null,
    bKg: null,
    aBy: null,
    bBy: null,
    addedAKg: 0,
    reading: null,
    mixedMs: null,
    stirStartedMs: null,
    stirredMs: null,
    pouredMs: null,
    coveredMs: null,
  },
  schema: ({ Joi, id, mass, maybeId, maybeInstant, maybeOneOf, number, oneOf }) => ({
    id: id(),
    sessionId: id(),
    resinId: id(),
    lotId: maybeId(),
    coatIds: Joi.array().items(id()).min(1).required(),
    targetM3: number().greater(0).max(1),
    targetAKg: mass(),
    targetBKg: mass(),
    aKg: mass().allow(null),
    bKg: mass().allow(null),
    aBy: maybeOneOf(WEIGHED_BY),
    bBy: maybeOneOf(WEIGHED_BY),
    addedAKg: mass(),
    reading: Joi.object({ part: oneOf(['A', 'B']), kg: mass() })
      .allow(null)
      .required(),
    mixedMs: maybeInstant(),
    stirStartedMs: maybeInstant(),
    stirredMs: maybeInstant(),
    pouredMs: maybeInstant(),
    coveredMs: maybeInstant(),
  }),
});
