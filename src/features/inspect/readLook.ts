import type { Format } from '@/features/common/useFormat';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import { LOOK_LIMITS, type DefectLook } from '@/records';

export const SPREADS = ['one spot', 'several spots', 'all over'] as const;
export type Spread = (typeof SPREADS)[number];

/** How much of a fault there is, as it is typed; empty: not told. */
export interface LookDraft {
  readonly spread: Spread | null;
  readonly count: string;
  readonly size: string;
  readonly depth: string;
}
export type LookErrors = Partial<Record<keyof LookDraft, string>>;
export const EMPTY_LOOK: LookDraft = { spread: null, count: '', size: '', depth: '' };

/** Reads how much of a fault there is: what was not told stays not told. */
export function readLook(draft: LookDraft, format: Format): FormRead<LookDraft, DefectLook> {
  const reader = new FieldReader<keyof LookDraft>(format);
  const { spread } = draft;
  const told = spread !== 'all over';
  const length = (field: 'size' | 'depth', allowed: { min: number; max: number }) =>
    told && draft[field].trim() !== ''
      ? reader.quantity(field, draft[field], 'length', allowed)
      : null;
  const { count } = LOOK_LIMITS;
  const several = spread === 'several spots' && draft.count.trim() !== '';
  const value: DefectLook = {
    allOver: spread === null ? null : spread === 'all over',
    count:
      spread === 'one spot'
        ? 1
        : several
          ? reader.whole('count', draft.count, count.min, count.max)
          : null,
    sizeM: length('size', LOOK_LIMITS.sizeM),
    depthM: length('depth', LOOK_LIMITS.depthM),
  };
  return reader.sound ? { ok: true, value } : { ok: false, errors: reader.errors };
}
