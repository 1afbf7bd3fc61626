import type { SheetTimes } from '@/core/resin';
import { editText } from '@/core/units';
import { FieldReader } from '../fieldReader';
import type { FormRead } from '../formErrors';
import type { Format } from '../useFormat';
import { TIME_FIELDS, type SheetDraft } from './model';
import { TYPICAL, typicalDraft } from './typical';

/** What every label says. */
export interface LabelDraft {
  readonly name: string;
  /** As printed: 1:1, 2 : 1 by volume, 100 : 45 by weight. */
  readonly ratio: string;
  readonly working: string;
  readonly nextCoat: string;
}
export const EMPTY_LABEL: LabelDraft = { name: '', ratio: '', working: '', nextCoat: '' };

/** A label’s “next coat after” is its first cure: hard by then. The typical sheet is hard after 24 h. */
const TYPICAL_NEXT_S = 24 * 3600;
/** Numbers from here on are percent by weight on most labels: which it is has to be said. */
const MAYBE_WEIGHT = 20;

/** Reads a ratio as it is printed; null where it reads as none. `by` is null where both are possible. */
export function readRatio(
  text: string,
): { readonly a: number; readonly b: number; readonly by: SheetDraft['by'] | null } | null {
  const number = '(\\d+(?:[.,]\\d+)?)';
  const found = new RegExp(`${number}\\s*(?::|/|\\+|to)\\s*${number}`, 'i').exec(text);
  if (!found) return null;
  const [a, b] = [found[1], found[2]].map((t) => Number((t ?? '').replace(',', '.')));
  if (!a || !b) return null;
  const weight = /weight|mass|wt/i.test(text);
  const volume = /vol/i.test(text);
  if (weight && volume) return { a, b, by: null };
  if (weight) return { a, b, by: 'mass' };
  return { a, b, by: volume || Math.max(a, b) < MAYBE_WEIGHT ? 'volume' : null };
}

/** Film times in the proportions of the typical sheet; none lies within the working time. */
function timesOf(workingS: number, nextCoatS: number): Record<keyof SheetTimes, string> {
  const factor = nextCoatS / TYPICAL_NEXT_S;
  const rows = TIME_FIELDS.map(([key]): [keyof SheetTimes, string] => {
    if (key === 'workingS') return [key, editText(workingS, 'min')];
    const usualS = Number.parseFloat(TYPICAL[key]) * 3600;
    // Rounded up to what a form shows: never before the working time.
    const wholeS = Math.ceil(Math.max(usualS * factor, workingS) / 180) * 180;
    return [key, editText(wholeS, 'h')];
  });
  return Object.fromEntries(rows) as Record<keyof SheetTimes, string>;
}

/** A whole sheet from the four things that every label says; what was taken as usual stands in its note. */
export function sheetFromLabel(
  draft: LabelDraft,
  format: Format,
): FormRead<LabelDraft, Partial<SheetDraft>> {
  const reader = new FieldReader<keyof LabelDraft>(format);
  const name = reader.text('name', draft.name, 120);
  const ratio = readRatio(draft.ratio);
  if (!ratio) reader.errors.ratio = 'As printed: 1:1, 2 : 1 by volume, 100 : 45 by weight.';
  else if (ratio.by === null) reader.errors.ratio = 'By volume or by weight? Add which it is.';
  const time = (field: 'working' | 'nextCoat', unit: string, max: number) => {
    const text = draft[field].trim();
    return reader.quantity(field, /[a-z]/i.test(text) ? text : `${text} ${unit}`, 'duration', {
      ...{ min: 60, max },
    });
  };
  const workingS = time('working', 'min', 12 * 3600);
  const nextCoatS = time('nextCoat', 'h', 14 * 86_400);
  if (workingS >= nextCoatS / 2)
    reader.errors.nextCoat = 'Too soon: the next coat comes long after the working time.';
  if (!reader.sound || !ratio || ratio.by === null) return { ok: false, errors: reader.errors };
  return {
    ok: true,
    value: {
      ...typicalDraft(format),
      ...timesOf(workingS, nextCoatS),
      name,
      ...{ by: ratio.by, a: String(ratio.a), b: String(ratio.b) },
      // No label tells them: left empty they are taken as usual, and the sheet says so.
      ...{ densityA: '', densityB: '' },
      note: `From its label: ratio, working time, next coat after ${editText(nextCoatS, 'h')}. Taken as usual: densities, viscosity, ${typicalDraft(format).workingMass} in the cup, and the other times.`,
    },
  };
}
