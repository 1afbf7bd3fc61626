import { assert } from '../result';
import { STANDARD_GRAVITY } from '../units';
import type { Liquid } from './liquid';

/**
 * Rate at which a wave on a film dies away, for each unit of fluidity.
 * @param wavelengthM > 0 @param filmM > 0
 * @returns Pa: amplitude goes as exp(−rate · τ), τ in 1/Pa
 * @throws RangeError outside those intervals
 * Source: Orchard 1962, Appl. Sci. Res. A11, any film depth: (γ k + ρ g / k) / 2 · (sinh x cosh x − x) /
 *   (cosh² x + x²), x = k h; the thin-film form is too fast on short waves.
 */
export function levellingRate(
  wavelengthM: number,
  filmM: number,
  { densityKgM3, surfaceTension }: Pick<Liquid, 'densityKgM3' | 'surfaceTension'>,
): number {
  assert(wavelengthM > 0 && filmM > 0 && densityKgM3 > 0 && surfaceTension > 0, 'levellingRate', {
    wavelengthM,
    filmM,
    densityKgM3,
    surfaceTension,
  });
  const k = (2 * Math.PI) / wavelengthM;
  // Over x = 20 the depth no longer shows: the quotient is 1.
  const x = Math.min(20, k * filmM);
  const drive = (surfaceTension * k + (densityKgM3 * STANDARD_GRAVITY) / k) / 2;
  // sinh x cosh x − x cancels for a thin film: its series there.
  const top = x < 0.02 ? (2 * x ** 3) / 3 : Math.sinh(x) * Math.cosh(x) - x;
  return (drive * top) / (Math.cosh(x) ** 2 + x * x);
}

/**
 * Share of a wave that is left when the resin stops.
 * @returns 0…1
 * @throws RangeError as `levellingRate`, and on a negative fluidity
 * Source: exp(−rate · τ); viscosity uniform in the film.
 */
export function waveLeft(wavelengthM: number, filmM: number, liquid: Liquid): number {
  assert(liquid.fluidityPerPa >= 0, 'waveLeft', liquid.fluidityPerPa);
  return Math.exp(-liquid.fluidityPerPa * levellingRate(wavelengthM, filmM, liquid));
}
