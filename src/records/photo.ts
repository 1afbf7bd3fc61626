import { defineRecord } from './define';
import type { Id } from './id';

export interface Photo {
  readonly id: Id<'photo'>;
  readonly pieceId: Id<'piece'>;
  readonly defectId: Id<'defect'> | null;
  readonly name: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly takenMs: number;
  readonly blob: Blob;
}

export const PHOTOS = defineRecord<Photo>()({
  name: 'photos',
  live: false,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'defectId', table: 'defects' },
  ],
  defaults: { defectId: null },
  schema: ({ Joi, id, instant, maybeId, number, text }) => ({
    id: id(),
    pieceId: id(),
    defectId: maybeId(),
    name: text(200),
    widthPx: number().integer().min(1).max(20000),
    heightPx: number().integer().min(1).max(20000),
    takenMs: instant(),
    blob: Joi.object().instance(Blob).required(),
  }),
});
