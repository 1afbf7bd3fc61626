import type { Explanation } from '../explain';
import { assert } from '../result';

/** How a UV resin answers its lamp: a depth that is cured after a time, and how deep its light goes, m and s. */
export interface LampSheet {
  readonly curedM: number;
  readonly curedS: number;
  /** Depth over which the light falls to 1/e, m. */
  readonly penetrationM: number;
}

/** Depth over which the light of a lamp falls to 1/e, m: clear, and with opaque pigment. From memory. */
export const PENETRATION_M = { clear: 0.8e-3, opaque: 0.35e-3 } as const;
/** A layer of UV resin, m: 1 to 2 mm. Common practice, no source. */
export const LAMP_LAYER_M = 1.5e-3;

/**
 * Time under the same lamp that cures a layer through, s.
 * @param depthM of the layer, m, > 0
 * @throws RangeError on a depth, time or penetration that is not above zero
 * Source: working curve of Jacobs 1992 (from memory), C = Dp ln(E/Ec), with the exposure E proportional to time; so
 *   t = t₀ · exp((d − C₀) / Dp) from one pair of depth and time of the sheet.
 */
export function lampTime(depthM: number, { curedM, curedS, penetrationM }: LampSheet): number {
  assert(depthM > 0 && curedM > 0 && curedS > 0 && penetrationM > 0, 'lampTime', {
    depthM,
    curedM,
    curedS,
    penetrationM,
  });
  return curedS * Math.exp((depthM - curedM) / penetrationM);
}

/** A height in even layers of UV resin. */
export interface LampPlan {
  readonly layers: number;
  readonly layerM: number;
  /** Under the lamp, each layer, s. */
  readonly eachS: number;
}

/**
 * How a height is built from UV resin: in even layers, each cured through before the next.
 * @param heightM in all, m, > 0 @param mostM thickest layer, m
 * @throws RangeError as `lampTime`
 */
export function lampPlan(heightM: number, sheet: LampSheet, mostM = LAMP_LAYER_M): LampPlan {
  assert(heightM > 0 && mostM > 0, 'lampPlan', { heightM, mostM });
  const layers = Math.max(1, Math.ceil(heightM / mostM - 1e-9));
  const layerM = heightM / layers;
  return { layers, layerM, eachS: lampTime(layerM, sheet) };
}

/** How long each layer stays under the lamp, as it is opened on the screen. */
export function lampExplanation(
  { layerM, eachS }: LampPlan,
  { curedM, curedS, penetrationM }: LampSheet,
): Explanation {
  const depth = (label: string, value: number, source: 'data sheet' | 'computed' | 'from memory') =>
    ({ label, value, quantity: 'film', source }) as const;
  return {
    title: 'Time under the lamp',
    formula: 't₀ · exp((d − C₀) / Dp)',
    inputs: [
      depth('layer, d', layerM, 'computed'),
      depth('its sheet cures, C₀', curedM, 'data sheet'),
      { label: 'in, t₀', value: curedS, quantity: 'duration', source: 'data sheet' },
      depth('light falls to 1/e over, Dp', penetrationM, 'from memory'),
      { label: 'each layer', value: eachS, quantity: 'duration', source: 'computed' },
    ],
    source: 'Working curve of the light: Jacobs 1992, from memory.',
    note: 'The same lamp at the same distance; a layer of 1 to 2 mm is common practice. Try one.',
  };
}
