import { assert } from '../result';

/** What holds from an instant, ms since the epoch, until the next step of its record. */
export interface RecordStep {
  readonly fromMs: number;
}

interface Stretch {
  readonly fromMs: number;
  readonly toMs: number;
  readonly rate: number;
}

/**
 * A record cut at its steps from an instant on.
 * @param record at least one step, in any order: the first also holds for all time before it, the last goes on
 * @throws RangeError on an empty record
 */
function* stretches<S extends RecordStep>(
  record: readonly S[],
  startMs: number,
  rateOf: (step: S) => number,
): Generator<Stretch> {
  assert(record.length > 0, 'stepRecord: empty record', record);
  const steps = [...record].sort((a, b) => a.fromMs - b.fromMs);
  for (const [i, step] of steps.entries()) {
    const toMs = steps[i + 1]?.fromMs ?? Infinity;
    const fromMs = i === 0 ? startMs : Math.max(step.fromMs, startMs);
    if (toMs > fromMs) yield { fromMs, toMs, rate: rateOf(step) };
  }
}

/** What a stretch adds, s × rate. An endless one at no rate adds nothing. */
const gainOf = ({ fromMs, toMs, rate }: Stretch): number =>
  rate === 0 ? 0 : ((toMs - fromMs) / 1000) * rate;

/**
 * Integral of a rate over a record between two instants.
 * @param rateOf of a step, >= 0 @returns s × rate; 0 when `toMs` is not after `fromMs`
 * @throws RangeError on an empty record
 * Source: exact, as the rate holds over each step.
 */
export function gained<S extends RecordStep>(
  record: readonly S[],
  fromMs: number,
  toMs: number,
  rateOf: (step: S) => number,
): number {
  let sum = 0;
  for (const stretch of stretches(record, fromMs, rateOf)) {
    if (stretch.fromMs >= toMs) break;
    sum += gainOf({ ...stretch, toMs: Math.min(stretch.toMs, toMs) });
  }
  return sum;
}

/**
 * The instant at which the integral of a rate from `fromMs` on has come to so much: the inverse of {@link gained}.
 * @param wanted s × rate, >= 0 @returns ms since the epoch; Infinity where it never does
 * @throws RangeError on an empty record
 */
export function instantOf<S extends RecordStep>(
  record: readonly S[],
  fromMs: number,
  wanted: number,
  rateOf: (step: S) => number,
): number {
  let left = wanted;
  for (const stretch of stretches(record, fromMs, rateOf)) {
    const gain = gainOf(stretch);
    if (left <= gain) return stretch.fromMs + (left === 0 ? 0 : (left / stretch.rate) * 1000);
    left -= gain;
  }
  return Infinity;
}
