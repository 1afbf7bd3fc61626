import { assert } from '../result';
import { STANDARD_GRAVITY } from '../units';
import type { Liquid } from './liquid';

/** How unevenness is meant: highest less lowest, or from the mean to either side. */
export type Unevenness = 'edge to edge' | 'about the mean';

/** Share of a film by which its thickness may differ from edge to edge. Judgement, no source. */
export const LEVEL_SHARE = 0.1;
/** What a spirit level leaves, rise over run. Common practice, no source: 0.5 to 1 mm/m. */
export const SPIRIT_LEVEL = 0.75e-3;

/**
 * Steepest slope that keeps a film within a share of its thickness, once it has run as far as it can.
 * @param lengthM length along the slope, m, > 0 @param thicknessM film, m, > 0
 * @param share allowed difference over the thickness, 0…1, in the sense of `unevenness`
 * @returns rise over run
 * @throws RangeError on values outside those intervals
 * Source: a film between dams ends with a level surface, so its thickness differs by length × slope.
 */
export function tolerableSlope(
  lengthM: number,
  thicknessM: number,
  share: number,
  unevenness: Unevenness,
): number {
  assert(lengthM > 0 && thicknessM > 0 && share > 0, 'tolerableSlope', {
    lengthM,
    thicknessM,
    share,
  });
  const difference = share * thicknessM * (unevenness === 'edge to edge' ? 1 : 2);
  return difference / lengthM;
}

/**
 * Fluidity in which a tilted film between dams gets about 70 % of the way.
 * @param densityKgM3 of the mix, > 0
 * @returns 1/Pa
 * Source: slowest mode of thin-film levelling, 3 L² / (π² ρ g h³).
 */
export function tiltFluidity(lengthM: number, thicknessM: number, densityKgM3: number): number {
  assert(lengthM > 0 && thicknessM > 0 && densityKgM3 > 0, 'tiltFluidity', {
    lengthM,
    thicknessM,
    densityKgM3,
  });
  return (3 * lengthM ** 2) / (Math.PI ** 2 * densityKgM3 * STANDARD_GRAVITY * thicknessM ** 3);
}

const TERMS = 60;
/** Below this share of the slowest mode's time the series is slow, and the early law exact to 1e-10. */
const EARLY = 0.1;

/** Share of its last difference that a tilted film has reached after a time, in times of its slowest mode. */
function relaxed(ratio: number): number {
  // Near each dam alone, as in a long film: the theta function behind the series.
  if (ratio < EARLY) return (4 / Math.PI ** 1.5) * Math.sqrt(ratio);
  let left = 0;
  for (let k = 0; k < TERMS; k += 1) {
    const n = 2 * k + 1;
    left += Math.exp(-n * n * ratio) / (n * n);
  }
  return 1 - (8 / Math.PI ** 2) * left;
}

/**
 * Difference in thickness that a tilt makes before the resin stops.
 * @param slope rise over run, >= 0
 * @returns highest less lowest, m; without fluidity there is none
 * @throws RangeError on values outside those intervals
 * Source: linear thin-film levelling between two dams, Fourier series 1 − 8/π² Σ exp(−n² τ/T) / n² over odd n, early
 *   by Jacobi's theta transformation, 4/π^1.5 √(τ/T).
 */
export function tiltDifference(
  lengthM: number,
  slope: number,
  thicknessM: number,
  { densityKgM3, fluidityPerPa }: Pick<Liquid, 'densityKgM3' | 'fluidityPerPa'>,
): number {
  assert(slope >= 0 && fluidityPerPa >= 0, 'tiltDifference', { slope, fluidityPerPa });
  const ratio = fluidityPerPa / tiltFluidity(lengthM, thicknessM, densityKgM3);
  return lengthM * slope * relaxed(ratio);
}
