import { defineRecord } from './define';
import type { Id } from './id';

/**
 * A bundle that went out to another machine or came in from one, and what its rows were like: against that a later
 * bundle of the other side is merged.
 */
export interface Share {
  /** The bundle's own. */
  readonly id: Id<'bundle'>;
  readonly atMs: number;
  readonly way: 'out' | 'in';
  /** Digest of each row by `table:id`. */
  readonly rows: Readonly<Record<string, string>>;
}

export const SHARES = defineRecord<Share>()({
  name: 'shares',
  live: false,
  references: [],
  defaults: {},
  order: (a, b) => a.atMs - b.atMs,
  schema: ({ Joi, id, instant, oneOf }) => ({
    id: id(),
    atMs: instant(),
    way: oneOf(['out', 'in']),
    rows: Joi.object()
      .pattern(/^[a-z]+:[\w-]{1,80}$/i, Joi.string().max(24))
      .required(),
  }),
});
