import { defineRecord } from './define';
import type { Id } from './id';

/** What is typed and not stored yet, as its form holds it: kept until it is stored or put back. */
export interface Draft {
  /** What it is of: `survey-…`, `coat-…`, `layer-…`, with the id of the piece, or `new`. */
  readonly id: Id<'draft'>;
  readonly pieceId: Id<'piece'> | null;
  readonly keptMs: number;
  /** The form's own state as JSON; only that form reads it. */
  readonly json: string;
}

/** A draft of an outline of 10,000 points and its steps is far below this. */
const MOST_CHARACTERS = 4_000_000;

export const DRAFTS = defineRecord<Draft>()({
  name: 'drafts',
  live: false,
  references: [{ field: 'pieceId', table: 'pieces' }],
  defaults: {},
  schema: ({ Joi, id, instant, maybeId }) => ({
    id: id(),
    pieceId: maybeId(),
    keptMs: instant(),
    json: Joi.string().max(MOST_CHARACTERS).required(),
  }),
});
