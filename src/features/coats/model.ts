import { ruleOfThumb, VOLUME_RULES, type Ledger } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import {
  mixDensity,
  scaleRatioError,
  smallestBatchKg,
  RATIO_TOLERANCE,
  splitMix,
  workingTime,
  type MixSplit,
} from '@/core/resin';
import type { Coat, CoatKind, Resin, Settings } from '@/data/records/types';
import { spanText } from '@/features/common/clockText';
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
    },
    {
      verdict: scaleError <= RATIO_TOLERANCE ? 'fine' : 'watch',
      title:
        scaleError <= RATIO_TOLERANCE ? 'The scale is fine enough' : 'Too small for this scale',
      detail: `ratio within ${format.show(scaleError, 'share', 2).text}; smallest batch ${format.show(smallest, 'mass').text}`,
    },
    {
      verdict: workingS >= 1200 ? 'fine' : 'watch',
      title: `${spanText(workingS * 1000)} of working time`,
      detail: `${format.show(split.totalKg, 'mass').text} in one cup at ${format.show(settings.roomTemperatureK, 'temperature').text}`,
    },
  ];
}

/** Both parts of a mix, opened: why they weigh what they do. */
export function splitExplanation(split: MixSplit, resin: Resin, part: 'A' | 'B'): Explanation {
  const { ratio, densityAKgM3, densityBKgM3 } = resin.sheet;
  const excess = split.excessIfWeighedAsVolume;
  const wrong =
    ratio.by === 'volume' && Math.abs(excess) > 0.001
      ? `Weighed ${ratio.a} : ${ratio.b} as if the ratio were by weight, the mix would hold ${(Math.abs(excess) * 100).toFixed(1)} % too ${excess > 0 ? 'much' : 'little'} B.`
      : 'The sheet gives this ratio by weight.';
  return {
    title: `Weight of part ${part}`,
    formula:
      ratio.by === 'volume'
        ? `V · ${part === 'A' ? 'a' : 'b'} / (a + b) · ρ${part}`
        : `m · ${part === 'A' ? 'a' : 'b'} / (a + b)`,
    inputs: [
      { label: 'mix, V', value: split.totalM3, quantity: 'volume', source: 'computed' },
      {
        label: `ratio by ${ratio.by}, a`,
        value: ratio.a,
        quantity: 'number',
        source: 'data sheet',
      },
      {
        label: `ratio by ${ratio.by}, b`,
        value: ratio.b,
        quantity: 'number',
        source: 'data sheet',
      },
      { label: 'density of A', value: densityAKgM3, quantity: 'density', source: 'data sheet' },
      { label: 'density of B', value: densityBKgM3, quantity: 'density', source: 'data sheet' },
      {
        label: 'right weight of B for 100 of A',
        value: split.massBPer100A,
        quantity: 'number',
        source: 'computed',
      },
    ],
    source: 'Mass balance with the sheet’s ratio and densities.',
    note: wrong,
  };
}

export function totalExplanation(ledger: Ledger, resin: Resin): Explanation {
  return {
    title: 'Mix for this coat',
    formula: 'sum of the ledger’s lines',
    inputs: [
      ...ledger.lines.map((line) => ({
        label: line.explanation.title,
        value: line.volumeM3,
        quantity: 'volume' as const,
        source: 'computed' as const,
      })),
      {
        label: 'density of the mix',
        value: mixDensity(resin.sheet),
        quantity: 'density',
        source: 'data sheet',
      },
    ],
    source: 'Each line names its own; all are taken as independent.',
    sigma: ledger.sigmaM3,
    note: `Chance that this is enough: ${(ledger.enough * 100).toFixed(0)} %.`,
  };
}

export function workingExplanation(
  resin: Resin,
  massKg: number,
  temperatureK: number,
): Explanation {
  return {
    title: 'Working time in the cup',
    formula: 'sheet time × mass factor / exp(−E/R · (1/T − 1/Tref))',
    inputs: [
      {
        label: 'sheet time',
        value: resin.sheet.times.workingS,
        quantity: 'duration',
        source: 'data sheet',
      },
      {
        label: 'at this mass',
        value: resin.sheet.workingMassKg,
        quantity: 'mass',
        source: 'data sheet',
      },
      { label: 'mass in the cup', value: massKg, quantity: 'mass', source: 'computed' },
      {
        label: 'room and bottles, T',
        value: temperatureK,
        quantity: 'temperature',
        source: 'measured',
      },
      {
        label: 'activation energy, E',
        value: resin.sheet.activationEnergyJMol,
        quantity: 'molarEnergy',
        source: 'from memory',
      },
    ],
    source:
      'Equivalent age (ASTM C1074 form); mass factor (m/100 g)^−0.07, below 100 g ^−0.1, from memory.',
    sigma: 0.12 * workingTime(resin.sheet, massKg, temperatureK),
    note: 'A deep cup heats itself: pour it out flat, and never cover a cup that smokes.',
  };
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

export const splitOf = (ledger: Ledger, resin: Resin): MixSplit | null => {
  const split = splitMix(ledger.totalM3, resin.sheet);
  return split.ok ? split.value : null;
};
