import { assert } from '../result';
import { STANDARD_GRAVITY } from '../units';

/** Surface of a bubble: stiffened by what collects on it, or clean. */
export type BubbleSurface = 'stiff' | 'clean';
const DRAG: Readonly<Record<BubbleSurface, number>> = { stiff: 1 / 18, clean: 1 / 12 };

/**
 * Largest bubble that does not get from the floor of a film to its top before the resin stops.
 * @param filmM > 0 @param fluidityPerPa fluidity integral that is left, 1/Pa, > 0 @param densityKgM3 > 0
 * @param surface stiff unless the resin is known to be clean: the cautious side
 * @returns diameter, m. A lower bound of what can stay: a ground that feeds air later, and skin, are not in it.
 * @throws RangeError outside those intervals
 * Source: Stokes 1851 (1/18), Hadamard–Rybczynski 1911 (1/12): K d² + d = h, K = c ρ g τ.
 */
export function trappedBubble(
  filmM: number,
  fluidityPerPa: number,
  densityKgM3: number,
  surface: BubbleSurface = 'stiff',
): number {
  assert(filmM > 0 && fluidityPerPa > 0 && densityKgM3 > 0, 'trappedBubble', {
    filmM,
    fluidityPerPa,
    densityKgM3,
  });
  const k = DRAG[surface] * densityKgM3 * STANDARD_GRAVITY * fluidityPerPa;
  // The smaller root in the form that does not cancel.
  return (2 * filmM) / (1 + Math.sqrt(1 + 4 * k * filmM));
}
