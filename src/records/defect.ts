import type { Point } from '@/core/geometry';
import { DEFECT_KINDS, type DefectKind } from '@/core/piece';
import { defineRecord } from './define';
import type { Id } from './id';

export interface Defect {
  readonly id: Id<'defect'>;
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  /** Where it is on the plan of an area, m; null: not told. */
  readonly at: { readonly areaId: Id<'area'>; readonly point: Point } | null;
  readonly foundMs: number;
  readonly repairedMs: number | null;
}

export const DEFECTS = defineRecord<Defect>()({
  name: 'defects',
  live: true,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'coatId', table: 'coats' },
    { field: 'at.areaId', table: 'areas' },
  ],
  defaults: { coatId: null, note: '', at: null, repairedMs: null },
  schema: ({ Joi, id, instant, maybeId, maybeInstant, oneOf, point, text }) => ({
    id: id(),
    pieceId: id(),
    coatId: maybeId(),
    kind: oneOf(DEFECT_KINDS),
    note: text(2000),
    at: Joi.object({ areaId: id(), point: point() }).allow(null).required(),
    foundMs: instant(),
    repairedMs: maybeInstant(),
  }),
});
