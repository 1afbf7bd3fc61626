import { assert } from '../result';
import { massRatioBA, type MixParts } from './ratio';

export interface MixCheck {
  /** Share of B above (+) or below (−) what A asks for. */
  readonly errorShare: number;
  /** What to add to restore the ratio, kg; at most one of the two is above zero. */
  readonly addAKg: number;
  readonly addBKg: number;
  readonly verdict: 'right' | 'too much B' | 'too little B';
}

/** Ratio error that coating resins forgive unless the sheet says otherwise. Common practice, no source. */
export const RATIO_TOLERANCE = 0.02;

/**
 * Compares what is in the cup with the ratio and says how to put it right.
 * @param aKg, bKg masses in the cup, kg; A > 0, B >= 0
 * @param parts ratio and densities @param tolerance share that still counts as right
 * @throws RangeError when a mass is outside those intervals
 * Source: mass balance. Only while the mix is fresh and before it warms; stir twice as long.
 */
export function checkMix(
  aKg: number,
  bKg: number,
  parts: MixParts,
  tolerance = RATIO_TOLERANCE,
): MixCheck {
  assert(aKg > 0 && bKg >= 0, 'checkMix', { aKg, bKg });
  const ratio = massRatioBA(parts);
  const errorShare = bKg / (ratio * aKg) - 1;
  const right = Math.abs(errorShare) <= tolerance;
  return {
    errorShare,
    addAKg: Math.max(0, bKg / ratio - aKg),
    addBKg: Math.max(0, ratio * aKg - bKg),
    verdict: right ? 'right' : errorShare > 0 ? 'too much B' : 'too little B',
  };
}

/**
 * Worst ratio error from the scale alone: each part weighed with a tare, each off by one digit.
 * @param aKg, bKg masses, kg, > 0 @param digitKg smallest step of the scale, kg
 * @returns share of the ratio
 * Source: first-order error propagation, dR/R = e/A + e/B.
 */
export function scaleRatioError(aKg: number, bKg: number, digitKg: number): number {
  assert(aKg > 0 && bKg > 0 && digitKg >= 0, 'scaleRatioError', { aKg, bKg, digitKg });
  return digitKg / aKg + digitKg / bKg;
}

/**
 * Smallest batch that keeps the worst ratio error within a limit on this scale.
 * @param parts ratio and densities @param digitKg smallest step of the scale, kg, > 0
 * @param limit worst error as a share, > 0 @returns mass of the batch, kg
 * Source: e (a + b)(1/a + 1/b) / limit, from {@link scaleRatioError}.
 */
export function smallestBatchKg(parts: MixParts, digitKg: number, limit = RATIO_TOLERANCE): number {
  assert(digitKg > 0 && limit > 0, 'smallestBatchKg', { digitKg, limit });
  const b = massRatioBA(parts);
  return (digitKg * (1 + b) * (1 + 1 / b)) / limit;
}
