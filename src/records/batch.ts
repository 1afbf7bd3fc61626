import {
  BUBBLES_BY,
  DISCARD_REASONS,
  firstWrong,
  WEIGHED_BY,
  wetState,
  type WetEvent,
  type WetState,
} from '@/core/wet';
import { defineRecord, type Parts } from './define';
import type { Id } from './id';

/** Ways of measuring both parts out: on a scale, or to the marks of cups. */
export const MEASURES = ['weight', 'volume'] as const;

export interface Batch {
  readonly id: Id<'batch'>;
  readonly sessionId: Id<'session'>;
  readonly resinId: Id<'resin'>;
  /** Bottles that it is mixed from; null: not told. */
  readonly lotId: Id<'lot'> | null;
  readonly coatIds: readonly Id<'coat'>[];
  /** How both parts are measured out. */
  readonly measure: (typeof MEASURES)[number];
  readonly targetM3: number;
  readonly targetAKg: number;
  readonly targetBKg: number;
  /** Colours that are cut out of it before the pour, each into a cup of its own, kg, in the order of cutting. */
  readonly cups: readonly {
    readonly coatId: Id<'coat'>;
    readonly colour: string;
    readonly kg: number;
  }[];
  /** What a scale that is followed shows with the empty cup on it, kg; null: not tared. */
  readonly tareKg: number | null;
  /** What the scale was said to show for the part being weighed, before it is in; kept over a reload. */
  readonly reading: { readonly part: 'A' | 'B' | 'cup'; readonly kg: number } | null;
  /** What was done, in the order of writing; each stands in the log under the same id. */
  readonly events: readonly WetEvent[];
}

const known = new WeakMap<readonly WetEvent[], WetState>();

/** Where a batch stands, by what was done with it. */
export function stateOf({
  events,
  coatIds,
  cups,
}: Pick<Batch, 'events' | 'coatIds' | 'cups'>): WetState {
  const before = known.get(events);
  if (before) return before;
  const state = wetState(events, { coatIds, cups });
  known.set(events, state);
  return state;
}

/** Kinds of events with what each tells of itself. */
function event({ Joi, id, instant, listOf, mass, name, number, oneOf }: Parts) {
  const own = { id: id(), atMs: instant() };
  const of = (names: readonly string[], told: Parameters<typeof Joi.object>[0] = {}) => ({
    names,
    then: Joi.object({ is: oneOf(names), ...own, ...told }),
  });
  const weighed = { kg: mass(), by: oneOf(WEIGHED_BY) };
  const coatId = { coatId: id() };
  const cup = { ...coatId, colour: name() };
  const plain = of([
    ...['stir started', 'stir paused', 'stir resumed', 'changed cup', 'stirred', 'left'],
  ]);
  // The usual ones first: they are asked for one after the other.
  const kinds = [
    plain,
    of(['weighed A', 'added A', 'mixed', 'cup weighed'], weighed),
    of(['poured', 'looked over', 'covered'], coatId),
    of(['bubble round'], { ...coatId, by: oneOf(BUBBLES_BY) }),
    of(['cup cut'], { ...cup, ...weighed }),
    of(['cup left out'], cup),
    of(['ran short'], { ...coatId, share: number().greater(0).max(1) }),
    of(['discarded'], { why: oneOf(DISCARD_REASONS) }),
    of(['undone'], { of: id() }),
  ];
  return listOf(
    Joi.alternatives().conditional('.is', {
      switch: kinds.map(({ names, then }) => ({ is: oneOf(names), then })),
      otherwise: plain.then,
    }),
    500,
  );
}

export const BATCHES = defineRecord<Batch>()({
  name: 'batches',
  live: true,
  references: [
    { field: 'sessionId', table: 'sessions' },
    { field: 'resinId', table: 'resins' },
    { field: 'lotId', table: 'lots' },
  ],
  defaults: { lotId: null, measure: 'weight', cups: [], tareKg: null, reading: null, events: [] },
  // An act that cannot follow what was done before it was never done.
  meaning: ({ events, coatIds, cups }) => {
    const wrong = firstWrong(events, { coatIds, cups });
    return wrong === null
      ? []
      : [{ code: 'out-of-order', path: ['events', wrong], value: wrong, allowed: { min: 0 } }];
  },
  schema: (parts) => {
    const { Joi, id, listOf, mass, maybeId, name, number, oneOf } = parts;
    return {
      id: id(),
      sessionId: id(),
      resinId: id(),
      lotId: maybeId(),
      coatIds: Joi.array().items(id()).min(1).required(),
      measure: oneOf(MEASURES),
      targetM3: number().greater(0).max(1),
      targetAKg: mass(),
      targetBKg: mass(),
      cups: listOf(Joi.object({ coatId: id(), colour: name(), kg: mass() }), 60),
      // A scale may show less than nothing.
      tareKg: number().min(-100).max(100).allow(null),
      reading: Joi.object({ part: oneOf(['A', 'B', 'cup']), kg: mass() })
        .allow(null)
        .required(),
      events: event(parts),
    };
  },
});
