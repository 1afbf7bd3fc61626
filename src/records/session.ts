import { defineRecord } from './define';
import type { Id } from './id';

export interface WetSession {
  readonly id: Id<'session'>;
  readonly resinId: Id<'resin'>;
  readonly coatIds: readonly Id<'coat'>[];
  readonly startedMs: number;
  readonly endedMs: number | null;
}

export const SESSIONS = defineRecord<WetSession>()({
  name: 'sessions',
  live: true,
  // Its coats are checked only while it is open: one may be taken off the plan after it was left.
  references: [{ field: 'resinId', table: 'resins' }],
  defaults: { endedMs: null },
  schema: ({ Joi, id, instant, maybeInstant }) => ({
    id: id(),
    resinId: id(),
    coatIds: Joi.array().items(id()).min(1).required(),
    startedMs: instant(),
    endedMs: maybeInstant(),
  }),
});
