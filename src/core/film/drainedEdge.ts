import { STANDARD_GRAVITY } from '../units';
import { assert } from '../result';
import type { Liquid } from './liquid';
import { fluidityLeft, type Thickening } from './thickening';

/**
 * Mean thickness of the film that stays on a vertical edge after draining.
 * @param heightM height of the edge, m, >= 0 (0 gives 0)
 * @param liquid with the fluidity from brushing to the end, > 0
 * @returns mean thickness over the height, m
 * @throws RangeError on values outside those intervals
 * Source: Jeffreys 1930, Proc. Camb. Phil. Soc. 26: h(z) = sqrt(z / (rho g tau)), mean two thirds of
 *   the foot. The thickness at the start drops out. Bead at the foot and thin upper arris not included.
 */
export function drainedEdgeMean(
  heightM: number,
  { densityKgM3, fluidityPerPa }: Pick<Liquid, 'densityKgM3' | 'fluidityPerPa'>,
): number {
  assert(heightM >= 0 && fluidityPerPa > 0 && densityKgM3 > 0, 'drainedEdgeMean', {
    heightM,
    fluidityPerPa,
    densityKgM3,
  });
  return (2 / 3) * Math.sqrt(heightM / (densityKgM3 * STANDARD_GRAVITY * fluidityPerPa));
}

/** Longest rest that is looked for, working times: past it a cup runs hot. */
const LONGEST = 1.25;

/**
 * Rest after mixing that leaves a wanted mean film on an edge.
 * @param meanM wanted mean, m, > 0 @param heightM height of the edge, m, > 0 @param law of the mix
 * @param densityKgM3 of the mix, > 0
 * @returns s; 0 when no rest is needed, Infinity when no rest within the cup's life leaves as much
 * @throws RangeError outside those intervals
 * Source: `drainedEdgeMean` with the fluidity that is left after a rest, turned round by bisection: it only falls.
 */
export function restForEdge(
  meanM: number,
  heightM: number,
  law: Thickening,
  densityKgM3: number,
): number {
  assert(meanM > 0 && heightM > 0 && densityKgM3 > 0, 'restForEdge', { meanM, heightM });
  const wanted = (4 * heightM) / (9 * densityKgM3 * STANDARD_GRAVITY * meanM ** 2);
  const off = (restS: number) => fluidityLeft(law, restS) - wanted;
  if (off(0) <= 0) return 0;
  const longestS = LONGEST * law.workingS;
  if (off(longestS) > 0) return Infinity;
  let [low, high] = [0, longestS];
  while (high - low > 0.1) {
    const middle = (low + high) / 2;
    if (off(middle) > 0) low = middle;
    else high = middle;
  }
  return high;
}
