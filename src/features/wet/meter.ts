import type { MixParts } from '@/core/resin';
import { fromSI, toSI } from '@/core/units';
import type { WeighedBy } from '@/core/wet';
import type { Format } from '@/features/common/useFormat';
import type { Batch, Settings } from '@/records';

/** How a part is measured at the bench: on the scale, or to a mark of a cup. Masses in kg on both. */
export interface Meter {
  readonly verb: 'Weigh' | 'Measure';
  /** What a told amount is logged as. */
  readonly by: Exclude<WeighedBy, 'not told' | 'assumed'>;
  readonly show: (kg: number) => {
    readonly text: string;
    readonly number: string;
    readonly unit: string;
  };
  /** What can be told apart, kg. */
  readonly stepKg: number;
  /** To what can be told apart. */
  readonly round: (kg: number) => number;
  /** Steps of the keys, with their words. */
  readonly nudges: readonly { readonly label: string; readonly kg: number }[];
  readonly asks: string;
  /** Before an amount on the key that tells it, and before what was told. */
  readonly says: string;
  readonly told: string;
  readonly untold: string;
}

const STEPS = [-100, -10, -1, 1, 10, 100] as const;
/** Steps of a mark, in what its cup tells apart. */
const MARKS = [-20, -5, -1, 1, 5, 20] as const;
const sign = (n: number, words: number | string): string => `${n > 0 ? '+' : '−'}${words}`;

function scaleMeter(format: Format, { scaleDigitKg, scaleUnit }: Settings): Meter {
  return {
    ...{ verb: 'Weigh', by: 'read', show: format.scale, stepKg: scaleDigitKg },
    round: (kg) => Math.round(kg / scaleDigitKg) * scaleDigitKg,
    nudges: STEPS.map((n) => ({
      kg: n * scaleDigitKg,
      label: sign(n, Number(fromSI(Math.abs(n) * scaleDigitKg, scaleUnit).toFixed(3))),
    })),
    asks: 'tared to zero',
    ...{ says: 'The scale shows', told: 'read', untold: 'not read yet' },
  };
}

/** A mark is told apart to this, in the unit of the cup. Common practice, no source. */
const MARK_STEP = { metric: ['ml', 1], us: ['fl oz', 0.125] } as const;

function cupMeter(format: Format, densityKgM3: number): Meter {
  const [unit, step] = MARK_STEP[format.units];
  const stepKg = toSI(step, unit) * densityKgM3;
  const decimals = format.units === 'us' ? 2 : 0;
  return {
    ...{ verb: 'Measure', by: 'to the mark', stepKg },
    show: (kg) => {
      const number = fromSI(kg / densityKgM3, unit).toFixed(decimals);
      return { number, unit, text: `${number} ${unit}` };
    },
    round: (kg) => Math.round(kg / stepKg) * stepKg,
    nudges: MARKS.map((n) => ({ kg: n * stepKg, label: sign(n, Math.abs(n) * step) })),
    asks: 'in a straight-sided cup of its own, at eye level',
    ...{ says: 'It stands at', told: 'to the mark', untold: 'not told yet' },
  };
}

/** The meter of one part of a batch. */
export const meterOf = (
  { measure }: Pick<Batch, 'measure'>,
  part: 'A' | 'B',
  parts: MixParts,
  format: Format,
  settings: Settings,
): Meter =>
  measure === 'weight'
    ? scaleMeter(format, settings)
    : cupMeter(format, part === 'A' ? parts.densityAKgM3 : parts.densityBKgM3);

/** The meter of mixed resin: what is cut out of it, and what is poured. */
export const mixMeter = (
  { measure }: Pick<Batch, 'measure'>,
  densityKgM3: number,
  format: Format,
  settings: Settings,
): Meter => (measure === 'weight' ? scaleMeter(format, settings) : cupMeter(format, densityKgM3));
