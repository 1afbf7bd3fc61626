import { LAYER_LIMITS } from '@/core/coat';
import type { OwnPlace } from '@/core/prep';
import type { NewTask } from '@/data/repos/ownSteps';
import type { FormRead } from '@/features/common/formErrors';
import { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';

/** A step of the user's own as it is typed. */
export interface OwnDraft {
  readonly kind: 'note' | 'sand';
  readonly title: string;
  /** `next`, `last`, or the id of a coat. */
  readonly at: string;
  /** How long it dries by its label; empty: it does not. */
  readonly label: string;
  readonly needed: boolean;
  readonly areaIds: readonly string[];
  readonly from: string;
  readonly to: string;
}

export const EMPTY_STEP: OwnDraft = {
  ...{ kind: 'note', title: '', at: 'next', label: '', needed: true, areaIds: [] },
  ...{ from: '120', to: '240' },
};

const placeOf = (at: string): OwnPlace =>
  at === 'next' || at === 'last' ? { at } : { at: 'coat', coatId: at };

/** Reads a step of the user's own; the fields that are wrong say so. */
export function readOwn(draft: OwnDraft, format: Format): FormRead<OwnDraft, NewTask> {
  const reader = new FieldReader<keyof OwnDraft>(format);
  const { kind, label, areaIds, from, to, needed, at } = draft;
  const title = reader.text('title', draft.title, 80);
  if (draft.title.trim() === '') reader.errors.title = 'What is to be done?';
  const written = label.trim();
  const { min, max } = LAYER_LIMITS.labelS;
  const labelS =
    kind === 'sand' || written === ''
      ? 0
      : reader.quantity('label', /[a-z]/i.test(written) ? written : `${written} h`, 'duration', {
          min,
          max,
        });
  if (kind === 'sand' && areaIds.length === 0)
    reader.errors.areaIds = 'Where to sand: choose an area.';
  if (kind === 'sand' && Number(to) < Number(from))
    reader.errors.to = 'Must not be coarser than the first grit.';
  if (!reader.sound) return { ok: false, errors: reader.errors };
  const base = { title, needed, areaIds: [...areaIds], on: placeOf(at) };
  return {
    ok: true,
    value:
      kind === 'note'
        ? { kind, ...base, labelS }
        : { kind, ...base, fromGrit: Number(from), toGrit: Number(to) },
  };
}
