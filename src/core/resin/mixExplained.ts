import type { ExplainInput, Explanation } from '../explain';
import { checkMix, scaleRatioError } from './mixCheck';
import { volumeRatioBA, type MixSplit } from './ratio';
import type { ResinSheet } from './sheet';

/** What the sheet says of a mix: its ratio and the densities of both parts. */
const sheetInputs = (sheet: ResinSheet): ExplainInput[] => {
  const { ratio, densityAKgM3, densityBKgM3, assumedDensity = [] } = sheet;
  const density = (part: 'A' | 'B', value: number): ExplainInput => ({
    ...{ label: `density of ${part}`, value, quantity: 'density' },
    source: assumedDensity.includes(part) ? 'assumed' : 'data sheet',
  });
  return [
    { label: `ratio by ${ratio.by}, a`, value: ratio.a, quantity: 'number', source: 'data sheet' },
    { label: `ratio by ${ratio.by}, b`, value: ratio.b, quantity: 'number', source: 'data sheet' },
    density('A', densityAKgM3),
    density('B', densityBKgM3),
  ];
};

/** Both parts of a mix, opened: why they weigh what they do. */
export function splitExplanation(split: MixSplit, sheet: ResinSheet, part: 'A' | 'B'): Explanation {
  const { ratio } = sheet;
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
      ...sheetInputs(sheet),
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

/** What B should weigh for the A that is in the cup; `wasRead`: A was read off the scale, not taken as asked for. */
export function wantedBExplanation(aKg: number, sheet: ResinSheet, wasRead = true): Explanation {
  const { ratio } = sheet;
  return {
    title: 'Weight of part B',
    formula: ratio.by === 'volume' ? 'A · (b · ρB) / (a · ρA)' : 'A · b / a',
    inputs: [
      {
        label: 'part A in the cup',
        value: aKg,
        quantity: 'mass',
        source: wasRead ? 'measured' : 'assumed',
      },
      ...sheetInputs(sheet),
      {
        label: 'part B',
        value: checkMix(aKg, 0, sheet).addBKg,
        quantity: 'mass',
        source: 'computed',
      },
    ],
    source: wasRead
      ? 'Mass balance; B follows the A that was really weighed.'
      : 'Mass balance; A was not read off the scale but taken to be what was asked for.',
  };
}

/** Both parts of a mix by volume, opened: to which mark each is poured. */
export function partVolumeExplanation(
  split: MixSplit,
  sheet: ResinSheet,
  part: 'A' | 'B',
): Explanation {
  const byVolume = sheet.ratio.by === 'volume';
  return {
    title: `Volume of part ${part}`,
    formula: byVolume
      ? `V · ${part === 'A' ? 'a' : 'b'} / (a + b)`
      : `V / (1 + ${part === 'A' ? '(b · ρA) / (a · ρB)' : '(a · ρB) / (b · ρA)'})`,
    inputs: [
      { label: 'mix, V', value: split.totalM3, quantity: 'volume', source: 'computed' },
      ...sheetInputs(sheet).slice(0, byVolume ? 2 : 4),
      {
        label: `part ${part}`,
        value: part === 'A' ? split.aM3 : split.bM3,
        quantity: 'volume',
        source: 'computed',
      },
    ],
    source: byVolume
      ? 'The sheet’s own ratio by volume: no density is needed.'
      : 'The sheet gives its ratio by weight; densities turn it into volumes.',
  };
}

/** To which mark B goes for the A that is in its cup; `wasTold`: the mark of A was read, not taken as asked for. */
export function wantedVolumeBExplanation(
  aM3: number,
  sheet: ResinSheet,
  wasTold = true,
): Explanation {
  const byVolume = sheet.ratio.by === 'volume';
  return {
    title: 'Volume of part B',
    formula: byVolume ? 'A · b / a' : 'A · (b · ρA) / (a · ρB)',
    inputs: [
      {
        ...{ label: 'part A in its cup', value: aM3, quantity: 'volume' },
        source: wasTold ? 'measured' : 'assumed',
      },
      ...sheetInputs(sheet).slice(0, byVolume ? 2 : 4),
      {
        label: 'part B',
        value: aM3 * volumeRatioBA(sheet),
        quantity: 'volume',
        source: 'computed',
      },
    ],
    source: wasTold
      ? 'The sheet’s ratio; B follows the mark that A was read at.'
      : 'The sheet’s ratio; A was not read but taken to be what was asked for.',
  };
}
