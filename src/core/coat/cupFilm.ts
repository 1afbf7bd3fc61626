import { drainedEdgeMean, viscosityAfter, type Thickening } from '../film';
import { assert } from '../result';

/** How long a cup is held over the piece, s, and how well its film is known. Judgement, no source. */
export const CUP_DRAIN = { forS: 45, sigmaShare: 0.4 } as const;
/** Wetted area of a stirring stick: both sides of 20 × 120 mm, m². From memory. */
export const STICK_AREA_M2 = 2 * 0.02 * 0.12;
/** Wetted area of a glove that goes round an edge: three fingers, m². Judgement, no source. */
export const GLOVE_AREA_M2 = 0.006;

export interface CupRest {
  readonly volumeM3: number;
  readonly filmM: number;
  readonly wettedM2: number;
}

/**
 * What stays in a cup that is as tall as wide, filled to the brim, on its stick and on a glove.
 * @param volumeM3 volume that leaves the cup, m³, > 0 @param law of the mix @param ageS age when it is poured out, s
 * @param densityKgM3 of the mix @param glove the edges are wetted by hand
 * @returns volume m³, its film m and the wetted area m² @throws RangeError on values outside those intervals
 * Source: cylinder with height = diameter d, V = π d³/4, wall and floor 5/4 π d²; film as drained (Jeffreys 1930)
 *   while the cup is held, which gives the 0.1–0.3 mm of common practice.
 */
export function cupRest(
  volumeM3: number,
  law: Thickening,
  ageS: number,
  densityKgM3: number,
  glove: boolean,
): CupRest {
  assert(volumeM3 > 0 && ageS >= 0, 'cupRest', { volumeM3, ageS });
  const diameter = Math.cbrt((4 * volumeM3) / Math.PI);
  const viscosity = viscosityAfter(law, ageS);
  const filmM = drainedEdgeMean(diameter, {
    densityKgM3,
    fluidityPerPa: CUP_DRAIN.forS / viscosity,
  });
  const wettedM2 = 1.25 * Math.PI * diameter ** 2 + STICK_AREA_M2 + (glove ? GLOVE_AREA_M2 : 0);
  return { volumeM3: wettedM2 * filmM, filmM, wettedM2 };
}
