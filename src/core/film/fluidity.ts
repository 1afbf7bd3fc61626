import { assert } from '../result';

/** How a mixed resin thickens before it stops: viscosity doubles in every `doublingS`. */
export interface DoublingLaw {
  /** Viscosity when part B meets part A, Pa s. */
  readonly viscosityPaS: number;
  /** Doubling time, s. */
  readonly doublingS: number;
}

/**
 * Fluidity integral tau = ∫ dt / eta from `fromS` to the end (viscosity grows without bound). All
 * thin-film laws depend on time through it alone while viscosity is uniform in the film.
 * @param law viscosity (Pa s, > 0) and doubling time (s, > 0)
 * @param fromS age of the mix when the film is laid, s, >= 0
 * @returns tau, 1/Pa
 * @throws RangeError on values outside those intervals
 * Source: integral of eta = eta0 · 2^(t/Td), worked by hand: Td / (ln 2 · eta0) · 2^(-from/Td).
 */
export function fluidityLeft(law: DoublingLaw, fromS = 0): number {
  const { viscosityPaS, doublingS } = law;
  assert(viscosityPaS > 0 && doublingS > 0 && fromS >= 0, 'fluidityLeft', { law, fromS });
  return (doublingS / (Math.LN2 * viscosityPaS)) * 2 ** (-fromS / doublingS);
}
