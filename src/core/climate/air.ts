import { assert } from '../result';
import { ICE_POINT_K } from '../units';

/** Magnus coefficients over water: hPa, 1, °C. WMO guide (Sonntag 1990), from memory. */
const MAGNUS = { e0HPa: 6.112, a: 17.62, bC: 243.12 } as const;

/** Air of the room. */
export interface Air {
  /** K. */
  readonly temperatureK: number;
  /** Relative humidity, 0…1. */
  readonly humidity: number;
}

/** Air from an instant on, until the next step. The last step goes on for ever. */
export interface AirStep extends Air {
  /** Milliseconds since the epoch. */
  readonly fromMs: number;
}

/** Humidity that a room may be given, 0…1. Judgement, no source. */
export const HUMIDITY_LIMITS = { min: 0.05, max: 1 } as const;

/**
 * Saturation vapour pressure over water.
 * @param temperatureK K, 273.15 to 333.15 @returns Pa
 * @throws RangeError outside that interval
 * Source: Magnus form, WMO guide coefficients; dew points within 0.04 K of psychrolib from 5 to 40 °C.
 */
export function saturationPressure(temperatureK: number): number {
  assert(temperatureK >= 273.15 && temperatureK <= 333.15, 'saturationPressure', temperatureK);
  const celsius = temperatureK - ICE_POINT_K;
  return 100 * MAGNUS.e0HPa * Math.exp((MAGNUS.a * celsius) / (MAGNUS.bC + celsius));
}

/**
 * Temperature at which this air would begin to wet a surface.
 * @param air humidity > 0 @returns K
 * @throws RangeError outside those intervals
 * Source: inverse of {@link saturationPressure}.
 */
export function dewPoint({ temperatureK, humidity }: Air): number {
  assert(humidity > 0 && humidity <= 1, 'dewPoint', humidity);
  const g = Math.log((saturationPressure(temperatureK) * humidity) / (100 * MAGNUS.e0HPa));
  return ICE_POINT_K + (MAGNUS.bC * g) / (MAGNUS.a - g);
}

/**
 * Drive of evaporation: vapour pressure at the surface less that of the air.
 * @param surfaceK temperature of the wet surface, K; the air's when it is not told @returns Pa, negative
 *   when the surface gathers water
 * @throws RangeError on humidity outside 0…1
 * Source: Dalton's law of evaporation.
 */
export function vapourDeficit(air: Air, surfaceK: number = air.temperatureK): number {
  const { temperatureK, humidity } = air;
  assert(humidity >= 0 && humidity <= 1, 'vapourDeficit', humidity);
  return saturationPressure(surfaceK) - humidity * saturationPressure(temperatureK);
}
