import { ruleOfThumb, VOLUME_RULES } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import {
  scaleRatioError,
  smallestBatchKg,
  RATIO_TOLERANCE,
  workingTime,
  type MixSplit,
} from '@/core/resin';
import type { Quantity } from '@/core/units';
import type { Coat, CoatKind, Resin, Settings } from '@/data/records/types';
import { spanText } from '@/features/common/clockText';
import { scaleExplanation, workingExplanation } from '@/features/common/explanations';
import { FieldReader } from '@/features/common/fieldReader';
import type { FormRead } from '@/features/common/formErrors';
import type { Format } from '@/features/common/useFormat';

/** What is typed when a coat is planned. */
export interface CoatDraft {
  name: string;
  kind: CoatKind;
  resinId: string;
  thickness: string;
}

export type PlannedCoat = Pick<Coat, 'name' | 'kind' | 'resinId' | 'thicknessM'>;

/** Reads the form of a new coat; its thickness must lie within what the resin's sheet allows. */
export function readCoat(
  draft: CoatDraft,
  resins: readonly Resin[],
  format: Format,
): FormRead<CoatDraft, PlannedCoat> {
  const reader = new FieldReader<keyof CoatDraft>(format);
  const name = reader.text('name', draft.name, 120);
  const resin = resins.find((r) => r.id === draft.resinId);
  if (!resin) reader.errors.resinId = 'Choose a resin.';
  const thicknessM = reader.quantity('thickness', draft.thickness, 'film', {
    min: resin?.sheet.thinnestM ?? 0,
    max: resin?.sheet.thickestM ?? Infinity,
  });
  if (!reader.sound) return { ok: false, errors: reader.errors };
  return { ok: true, value: { name, kind: draft.kind, resinId: draft.resinId, thicknessM } };
}

export interface Check {
  readonly verdict: 'fine' | 'watch' | 'stop';
  readonly title: string;
  readonly detail: string;
  readonly explanation: Explanation;
  /** Kind of the number that is explained. */
  readonly quantity: Quantity;
}

/** What can be told before mixing: the sheet's limits, the scale, the working time. */
export function coatChecks(
  coat: Coat,
  resin: Resin,
  split: MixSplit,
  settings: Settings,
  format: Format,
): Check[] {
  const { sheet } = resin;
  const film = (m: number) => format.show(m, 'film').text;
  const within = coat.thicknessM >= sheet.thinnestM && coat.thicknessM <= sheet.thickestM;
  const scaleError = scaleRatioError(split.aKg, split.bKg, settings.scaleDigitKg);
  const smallest = smallestBatchKg(sheet, settings.scaleDigitKg);
  const workingS = workingTime(sheet, split.totalKg, settings.roomTemperatureK);
  return [
    {
      verdict: within ? 'fine' : 'stop',
      title: within ? 'Within the sheet’s limits' : 'Outside the sheet’s limits',
      detail: `one lift ${film(sheet.thinnestM)} to ${film(sheet.thickestM)}`,
      quantity: 'film',
      explanation: {
        title: 'Limits of one lift',
        formula: 'thinnest ≤ film ≤ thickest',
        inputs: [
          { label: 'film', value: coat.thicknessM, quantity: 'film', source: 'chosen' },
          { label: 'thinnest', value: sheet.thinnestM, quantity: 'film', source: 'data sheet' },
          { label: 'thickest', value: sheet.thickestM, quantity: 'film', source: 'data sheet' },
        ],
        source: 'The resin’s data sheet. Thicker than it allows heats itself.',
      },
    },
    {
      verdict: scaleError <= RATIO_TOLERANCE ? 'fine' : 'watch',
      title:
        scaleError <= RATIO_TOLERANCE ? 'The scale is fine enough' : 'Too small for this scale',
      detail: `ratio within ${format.show(scaleError, 'share', 2).text}; smallest batch ${format.show(smallest, 'mass').text}`,
      quantity: 'share',
      explanation: scaleExplanation(split, settings.scaleDigitKg),
    },
    {
      verdict: workingS >= 1200 ? 'fine' : 'watch',
      title: `${spanText(workingS * 1000)} of working time`,
      detail: `${format.show(split.totalKg, 'mass').text} in one cup at ${format.show(settings.roomTemperatureK, 'temperature').text}`,
      quantity: 'duration',
      explanation: workingExplanation(resin, split.totalKg, settings.roomTemperatureK),
    },
  ];
}

export interface RuleWords {
  readonly volumeM3: number;
  readonly thicknessM: number;
  readonly explanation: Explanation;
}

/** The shop's rule of thumb for the same faces, and the thickness it hides. */
export function ruleWords(ruleId: Settings['rule'], areaM2: number): RuleWords {
  const rule = VOLUME_RULES.find((r) => r.id === ruleId) ?? VOLUME_RULES[0];
  if (!rule) throw new RangeError('ruleWords: no rules');
  const { volumeM3, thicknessM } = ruleOfThumb(rule, areaM2);
  return {
    volumeM3,
    thicknessM,
    explanation: {
      title: 'Your rule of thumb',
      formula: ruleId === 'five' ? '5 fl oz for each 12 × 12 in' : '6 fl oz for each 12 × 12 in',
      inputs: [
        { label: 'area, all pieces', value: areaM2, quantity: 'area', source: 'measured' },
        {
          label: 'film thickness it hides',
          value: thicknessM,
          quantity: 'film',
          source: 'computed',
        },
      ],
      source: 'Common practice, no source. Chosen in Settings.',
    },
  };
}
