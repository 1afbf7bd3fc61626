import { DAY_ASKED, readDay } from '@/features/common/day';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import type { Format } from '@/features/common/useFormat';
import { LOTS, type Lot } from '@/records';

/** What is typed of new bottles. */
export interface LotDraft {
  readonly name: string;
  readonly bestBefore: string;
  readonly fullA: string;
  readonly fullB: string;
}
export const EMPTY_LOT: LotDraft = { name: '', bestBefore: '', fullA: '', fullB: '' };

/** Bottles of up to 100 kg, as a batch may take. */
const FULL_KG = { min: 0.001, max: 100 } as const;

/** Reads new bottles, sealed; what is left empty is not told. */
export function readLot(
  draft: LotDraft,
  format: Format,
): FormRead<LotDraft, Omit<Lot, 'id' | 'resinId'>> {
  const reader = new FieldReader<keyof LotDraft>(format);
  const name = reader.text('name', draft.name, 120);
  const full = (field: 'fullA' | 'fullB') =>
    draft[field].trim() === '' ? null : reader.quantity(field, draft[field], 'mass', FULL_KG);
  const told = draft.bestBefore.trim() !== '';
  const bestBeforeMs = told ? readDay(draft.bestBefore) : null;
  if (told && bestBeforeMs === null) reader.errors.bestBefore = DAY_ASKED;
  const amounts = { fullAKg: full('fullA'), fullBKg: full('fullB') };
  return reader.sound
    ? { ok: true, value: { ...LOTS.defaults, name, bestBeforeMs, ...amounts } }
    : { ok: false, errors: reader.errors };
}
