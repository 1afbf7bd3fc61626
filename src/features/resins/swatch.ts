import { contrastRatio, HIDES, type Pigment, type PigmentForm } from '@/core/wet';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import { readShares } from '@/features/common/shares';
import type { Format } from '@/features/common/useFormat';
import { SWATCHES, type Swatch, type SwatchTrial } from '@/records';

/** What is typed of a new colour. */
export interface SwatchDraft {
  readonly name: string;
  readonly parts: string;
  readonly alcohol: string;
  readonly silicone: string;
  readonly remark: string;
  readonly white: boolean;
}
export const EMPTY_SWATCH: SwatchDraft = {
  ...{ name: '', parts: '', alcohol: '0', silicone: '0', remark: '', white: false },
};

const POWDERS = /powder|mica|pigment|glitter|dust|chalk/i;
/** What a pigment is, by its name. */
export const formOf = (name: string): PigmentForm =>
  /paste/i.test(name) ? 'paste' : POWDERS.test(name) ? 'powder' : 'liquid';

/** Reads a colour as a recipe. */
export function readSwatch(
  draft: SwatchDraft,
  format: Format,
): FormRead<SwatchDraft, Omit<Swatch, 'id' | 'resinId'>> {
  const reader = new FieldReader<keyof SwatchDraft>(format);
  const name = reader.text('name', draft.name, 120);
  const shares = readShares(draft.parts);
  if (!shares || shares.length === 0)
    reader.errors.parts = 'Name and share of each by weight: blue paste 4 %, white paste 1 %.';
  const parts: Pigment[] = (shares ?? []).map((p) => ({ ...p, form: formOf(p.name) }));
  const alcoholDrops = reader.whole('alcohol', draft.alcohol, 0, 100);
  const siliconeDrops = reader.whole('silicone', draft.silicone, 0, 100);
  const remark = draft.remark.trim();
  if (remark.length > 500) reader.errors.remark = 'At most 500 characters.';
  const { white } = draft;
  return reader.sound
    ? {
        ok: true,
        value: { ...SWATCHES.defaults, name, parts, alcoholDrops, siliconeDrops, remark, white },
      }
    : { ok: false, errors: reader.errors };
}

/** How a trial came out, in words. */
export function trialWords({ seen }: Pick<SwatchTrial, 'seen'>, { show }: Format): string {
  if (!seen) return 'looked at';
  const ratio = contrastRatio(seen.overBlack, seen.overWhite);
  if (ratio === null) return 'no light over white: measure again';
  const share = show(ratio, 'share').text;
  if (ratio >= HIDES) return `hides: ${share} over black against white`;
  return `shows what is under it: ${share} over black against white, hiding begins at ${show(HIDES, 'share').text}`;
}
