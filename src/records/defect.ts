import { DEFECT_KINDS, type DefectKind } from '@/core/piece';
import { defineRecord } from './define';
import type { Id } from './id';

export interface Defect {
  readonly id: Id<'defect'>;
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  readonly foundMs: number;
  readonly repairedMs: number | null;
}

export const DEFECTS = defineRecord<Defect>()({
  name: 'defects',
  live: true,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'coatId', table: 'coats' },
  ],
  defaults: { coatId: null, note: '', repairedMs: null },
  schema: ({ id, instant, maybeId, maybeInstant, oneOf, text }) => ({
    id: id(),
    pieceId: id(),
    coatId: maybeId(),
    kind: oneOf(DEFECT_KINDS),
    note: text(2000),
    foundMs: instant(),
    repairedMs: maybeInstant(),
  }),
});
