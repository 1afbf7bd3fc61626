import { assert } from '../result';

/** Another planned coat of the same resin that could take what is left in the cup. */
export interface Filler {
  readonly id: string;
  /** For one piece of its set, m³. */
  readonly eachM3: number;
  readonly count: number;
}

export interface LeftOverTake {
  readonly id: string;
  readonly pieces: number;
  readonly volumeM3: number;
}

/**
 * Which filler pieces take a left-over best: the largest that fits first, then the next.
 * @param leftM3 m³, >= 0 @param fillers each volume > 0, count >= 1
 * @returns what each takes, in that order, and what is left after all, m³
 * @throws RangeError outside those intervals
 * Source: first fit decreasing; leaves at most as much as the smallest filler that still waits.
 */
export function leftOverPlan(
  leftM3: number,
  fillers: readonly Filler[],
): { readonly takes: readonly LeftOverTake[]; readonly restM3: number } {
  assert(leftM3 >= 0 && fillers.every((f) => f.eachM3 > 0 && f.count >= 1), 'leftOverPlan', {
    leftM3,
    fillers,
  });
  let restM3 = leftM3;
  const takes: LeftOverTake[] = [];
  for (const { id, eachM3, count } of [...fillers].sort((a, b) => b.eachM3 - a.eachM3)) {
    const pieces = Math.min(count, Math.floor(restM3 / eachM3 + 1e-9));
    if (pieces === 0) continue;
    takes.push({ id, pieces, volumeM3: pieces * eachM3 });
    restM3 -= pieces * eachM3;
  }
  return { takes, restM3: Math.max(0, restM3) };
}
