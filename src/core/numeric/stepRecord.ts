import { assert } from '../result';

/** What holds from an instant, ms since the epoch, until the next step of its record. */
export interface RecordStep {
  readonly fromMs: number;
}

/** A rate that holds over each step of a record, with its integral: asked for as often as one likes. */
export interface StepIntegral {
  /** Integral between two instants, s × rate; 0 when `toMs` is not after `fromMs`. */
  readonly gained: (fromMs: number, toMs: number) => number;
  /** When the integral from `fromMs` on has come to so much, ms; Infinity where it never does. */
  readonly instantOf: (fromMs: number, wanted: number) => number;
  /** The rate that holds at an instant. */
  readonly rateAt: (atMs: number) => number;
}

/** Place of the last entry that is not above `x`; −1 when all are. */
function lastAtOrBelow(sorted: Float64Array, x: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] ?? Infinity) <= x) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/**
 * The integral of a rate over a record, made once and asked by two binary searches.
 * @param record at least one step, in any order: the first also holds for all time before it, the last goes on; of
 *   several from one instant the last one holds @param rateOf of a step, >= 0
 * @throws RangeError on an empty record
 * Source: exact, as the rate holds over each step.
 */
export function stepIntegral<S extends RecordStep>(
  record: readonly S[],
  rateOf: (step: S) => number,
): StepIntegral {
  assert(record.length > 0, 'stepRecord: empty record', record);
  const inOrder = record.every((s, i) => i === 0 || (record[i - 1]?.fromMs ?? 0) <= s.fromMs);
  const steps = inOrder ? record : [...record].sort((a, b) => a.fromMs - b.fromMs);
  const from = Float64Array.from(steps, (s) => s.fromMs);
  const rate = Float64Array.from(steps, rateOf);
  const sum = new Float64Array(steps.length);
  for (let i = 1; i < steps.length; i += 1)
    sum[i] =
      (sum[i - 1] ?? NaN) +
      (((from[i] ?? NaN) - (from[i - 1] ?? NaN)) / 1000) * (rate[i - 1] ?? NaN);
  const placeOf = (atMs: number) => Math.max(0, lastAtOrBelow(from, atMs));
  const upTo = (atMs: number): number => {
    const i = placeOf(atMs);
    const here = rate[i] ?? NaN;
    // An endless stretch at no rate adds nothing.
    return (sum[i] ?? NaN) + (here === 0 ? 0 : ((atMs - (from[i] ?? NaN)) / 1000) * here);
  };
  return {
    rateAt: (atMs) => rate[placeOf(atMs)] ?? NaN,
    gained: (fromMs, toMs) => (toMs > fromMs ? upTo(toMs) - upTo(fromMs) : 0),
    instantOf: (fromMs, wanted) => {
      if (wanted === 0) return fromMs;
      const goal = upTo(fromMs) + wanted;
      // The step in which it is reached is not before the one it starts in; steps of no rate are passed over.
      let i = Math.max(placeOf(fromMs), lastAtOrBelow(sum, goal));
      while (i > 0 && i > placeOf(fromMs) && (sum[i] ?? NaN) >= goal) i -= 1;
      const here = rate[i] ?? NaN;
      if (here === 0) return Infinity;
      return (from[i] ?? NaN) + ((goal - (sum[i] ?? NaN)) / here) * 1000;
    },
  };
}
