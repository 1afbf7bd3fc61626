import { STANDARD_GRAVITY } from '../units';
import { assert } from '../result';

/**
 * Mean thickness of the film that stays on a vertical edge after draining.
 * @param heightM height of the edge, m, >= 0 (0 gives 0)
 * @param fluidityPerPa fluidity integral from brushing to the end, 1/Pa, > 0
 * @param densityKgM3 density of the mix, kg/m³, > 0
 * @returns mean thickness over the height, m
 * @throws RangeError on values outside those intervals
 * Source: Jeffreys 1930, Proc. Camb. Phil. Soc. 26: h(z) = sqrt(z / (rho g tau)), mean two thirds of
 *   the foot. The thickness at the start drops out. Bead at the foot and thin upper arris not included.
 */
export function drainedEdgeMean(
  heightM: number,
  fluidityPerPa: number,
  densityKgM3: number,
): number {
  assert(heightM >= 0 && fluidityPerPa > 0 && densityKgM3 > 0, 'drainedEdgeMean', {
    heightM,
    fluidityPerPa,
    densityKgM3,
  });
  return (2 / 3) * Math.sqrt(heightM / (densityKgM3 * STANDARD_GRAVITY * fluidityPerPa));
}
