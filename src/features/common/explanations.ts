import type { Ledger } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import {
  checkMix,
  mixDensity,
  scaleRatioError,
  splitMix,
  workingTime,
  type MixSplit,
} from '@/core/resin';
import type { Batch, Resin } from '@/records/types';

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

/** The scale's share in the ratio error. */
export function scaleExplanation(split: MixSplit, digitKg: number): Explanation {
  return {
    title: 'Worst ratio error from the scale',
    formula: 'e / A + e / B, one digit on each part',
    inputs: [
      { label: 'step of the scale, e', value: digitKg, quantity: 'mass', source: 'chosen' },
      { label: 'part A', value: split.aKg, quantity: 'mass', source: 'computed' },
      { label: 'part B', value: split.bKg, quantity: 'mass', source: 'computed' },
      {
        label: 'error',
        value: scaleRatioError(split.aKg, split.bKg, digitKg),
        quantity: 'share',
        source: 'computed',
      },
    ],
    source:
      'First-order error propagation; both parts tared in one cup. Limit ± 2 %: common practice, no source.',
  };
}

/** What B should weigh for the A that is in the cup. */
export function wantedBExplanation(
  aKg: number,
  resin: Resin,
  by: Batch['aBy'] = 'read',
): Explanation {
  const { ratio, densityAKgM3, densityBKgM3 } = resin.sheet;
  return {
    title: 'Weight of part B',
    formula: ratio.by === 'volume' ? 'A · (b · ρB) / (a · ρA)' : 'A · b / a',
    inputs: [
      {
        label: 'part A in the cup',
        value: aKg,
        quantity: 'mass',
        source: by === 'read' ? 'measured' : 'assumed',
      },
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
        label: 'part B',
        value: checkMix(aKg, 0, resin.sheet).addBKg,
        quantity: 'mass',
        source: 'computed',
      },
    ],
    source:
      by === 'read'
        ? 'Mass balance; B follows the A that was really weighed.'
        : 'Mass balance; A was not read off the scale but taken to be what was asked for.',
  };
}

export const splitOf = (ledger: Ledger, resin: Resin): MixSplit | null => {
  const split = splitMix(ledger.totalM3, resin.sheet);
  return split.ok ? split.value : null;
};
