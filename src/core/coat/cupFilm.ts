import { assert } from '../result';

/** Film that stays on cup wall and stick after scraping, m, and its relative error. Common practice, no source (0.1–0.3 mm). */
export const CUP_FILM = { filmM: 0.2e-3, sigmaShare: 0.5 } as const;
/** Wetted area of a stirring stick: both sides of 20 × 120 mm, m². From memory. */
export const STICK_AREA_M2 = 2 * 0.02 * 0.12;

/**
 * Volume left behind in a cup that is as tall as wide, filled to the brim, and on its stick.
 * @param volumeM3 volume that leaves the cup, m³, > 0 @param filmM film that stays, m, >= 0
 * @returns m³ @throws RangeError on values outside those intervals
 * Source: cylinder with height = diameter d: V = π d³/4, wall and floor 5/4 π d².
 */
export function cupFilmVolume(volumeM3: number, filmM = CUP_FILM.filmM): number {
  assert(volumeM3 > 0 && filmM >= 0, 'cupFilmVolume', { volumeM3, filmM });
  const diameter = Math.cbrt((4 * volumeM3) / Math.PI);
  return (1.25 * Math.PI * diameter ** 2 + STICK_AREA_M2) * filmM;
}
