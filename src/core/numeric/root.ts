import type { Solved } from './outcome';

export interface RootOptions {
  /** Largest value of the function that counts as zero, > 0. */
  readonly tolerance: number;
  readonly steps?: number;
}

export const ROOT_STEPS = 80;
/** Steps in which the bracket has to halve. */
const PATIENCE = 3;

/** One side of a bracket. */
export interface Side {
  readonly x: number;
  readonly y: number;
}

/**
 * A root between two places where a function has opposite signs.
 * @param f continuous on the interval @param a, b places with their values, of opposite signs, in any order
 * @returns the place; `no bracket` when the signs are alike, `not finite` when the function gives no number,
 *   `steps used up`
 * Source: false position in the Illinois form (Dowell & Jarratt 1971), halving where it does not shrink the
 *   bracket: it never leaves the bracket, and one function value a step.
 */
export function rootBetween(
  f: (x: number) => number,
  a: Side,
  b: Side,
  { tolerance, steps = ROOT_STEPS }: RootOptions,
): Solved<number> {
  const end = (side: Side, outcome: Solved<number>['outcome'], taken: number) => ({
    ...{ value: side.x, residual: side.y, outcome, steps: taken },
  });
  if (!Number.isFinite(a.y) || !Number.isFinite(b.y)) return end(a, 'not finite', 0);
  if (Math.abs(a.y) <= tolerance) return end(a, 'converged', 0);
  if (Math.abs(b.y) <= tolerance) return end(b, 'converged', 0);
  if (a.y > 0 === b.y > 0) return end(a, 'no bracket', 0);
  let [low, high] = [a, b];
  // Weights of the two ends: of one that stays a second time it is halved, so that it comes nearer too.
  let [lowY, highY] = [a.y, b.y];
  let last = low;
  let moved: 'low' | 'high' | null = null;
  // Width of the bracket some steps ago: where it has not halved since, the middle is taken.
  let before = Math.abs(b.x - a.x);
  let halve = false;
  for (let k = 1; k <= steps; k += 1) {
    const cut = (low.x * highY - high.x * lowY) / (highY - lowY);
    const inside = (cut - low.x) * (cut - high.x) < 0;
    const x = inside && !halve ? cut : (low.x + high.x) / 2;
    last = { x, y: f(x) };
    if (!Number.isFinite(last.y)) return end(last, 'not finite', k);
    if (Math.abs(last.y) <= tolerance) return end(last, 'converged', k);
    if (last.y > 0 === low.y > 0) {
      low = last;
      lowY = last.y;
      if (moved === 'low') highY /= 2;
      moved = 'low';
    } else {
      high = last;
      highY = last.y;
      if (moved === 'high') lowY /= 2;
      moved = 'high';
    }
    halve = false;
    if (k % PATIENCE !== 0) continue;
    const width = Math.abs(high.x - low.x);
    halve = width > before / 2;
    before = width;
  }
  return end(last, 'steps used up', steps);
}
