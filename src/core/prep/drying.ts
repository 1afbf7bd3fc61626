import { vapourDeficit, type Air, type AirStep } from '../climate';
import type { Explanation } from '../explain';
import { stepIntegral, type StepIntegral } from '../numeric';
import { assert } from '../result';

/** How a layer dries, as its label says. */
export interface Drying {
  /** Time at the label's air (22 °C, 50 %), s. */
  readonly labelS: number;
  /** Wet thickness, m; over 1 mm it counts squared. */
  readonly thicknessM: number;
  /** Thickness up to which the label's time holds, m; 1 mm when left out. */
  readonly usualM?: number;
  /** Water leaves with the air's thirst; solvent is taken to leave at the label's pace. */
  readonly leaves: 'water' | 'solvent';
}

/** Air that labels speak of unless they say otherwise. From memory. */
export const LABEL_AIR: Air = { temperatureK: 295.15, humidity: 0.5 };
/** Share by which the clock can be off: air movement is not in it. Judgement, no source. */
export const DRYING_BAND = 0.35;
/** Thickness above which a layer dries by diffusion, m. From memory. */
export const THIN_LAYER_M = 1e-3;

/**
 * Speed of drying against the label's air.
 * @returns 1 at the label's air; 0 where it does not dry at all
 * Source: Dalton, ratio of vapour-pressure deficits, surface at air temperature.
 */
export const dryingRate = (air: Air): number =>
  Math.max(0, vapourDeficit(air) / vapourDeficit(LABEL_AIR));

/** How the speed of drying in a room is worked out; `read`: somebody read that air. */
export const dryingRateExplanation = (
  { temperatureK, humidity }: Air,
  read: boolean,
): Explanation => ({
  title: 'Speed of drying against the label',
  formula: 'es(T) · (1 − RH) / (es(22 °C) · 0.5)',
  inputs: [
    {
      label: 'air, T',
      value: temperatureK,
      quantity: 'temperature',
      source: read ? 'measured' : 'assumed',
    },
    {
      label: 'relative humidity, RH',
      value: humidity,
      quantity: 'share',
      source: read ? 'measured' : 'assumed',
    },
  ],
  source:
    'Dalton: evaporation goes with the vapour-pressure deficit; Magnus form, WMO guide (from memory).',
  note: `Moving air is not in it: band ± ${Math.round(DRYING_BAND * 100)} %. Solvent is taken to leave at the label’s pace.`,
});

/**
 * Time that a layer needs at the label's air, s.
 * @throws RangeError on a time or thickness below zero
 * Source: the label; diffusion-limited above its usual thickness, so with the square of the thickness (from memory).
 */
export function labelTime({ labelS, thicknessM, usualM = THIN_LAYER_M }: Drying): number {
  assert(labelS >= 0 && thicknessM >= 0, 'labelTime', { labelS, thicknessM });
  return labelS * Math.max(1, thicknessM / usualM) ** 2;
}

/** When a layer will be dry; Infinity where the air does not take its water. */
export interface DryTime {
  readonly dryMs: number;
  readonly earliestMs: number;
  readonly latestMs: number;
  /** Share of the drying that is done at `nowMs`, 0…1. */
  readonly share: number;
  /** Speed now against the label's air. */
  readonly rate: number;
}

/** Records never change once they are made: many layers ask the same one. */
const known = new WeakMap<readonly AirStep[], { [L in Drying['leaves']]?: StepIntegral }>();

function dryingBy(air: readonly AirStep[], leaves: Drying['leaves']): StepIntegral {
  const here = known.get(air) ?? {};
  known.set(air, here);
  return (here[leaves] ??= stepIntegral(air, leaves === 'solvent' ? () => 1 : dryingRate));
}

/**
 * Clock time at which a layer is dry.
 * @param drying what the label says @param laidMs when it was laid @param air the room's record, at least
 *   one step; the first also holds before it, the last goes on @param nowMs instant
 * @returns dry instant with its band (± DRYING_BAND of the label time), ms since the epoch
 * @throws RangeError on an empty record
 * Source: ∫ rate dt = label time (Dalton scaling); exact because each step is linear.
 */
export function dryTime(
  drying: Drying,
  laidMs: number,
  air: readonly AirStep[],
  nowMs: number,
): DryTime {
  assert(air.length > 0, 'dryTime: empty record of the room', air);
  const integral = dryingBy(air, drying.leaves);
  const wantedS = labelTime(drying);
  const at = (wanted: number): number => integral.instantOf(laidMs, wanted);
  const doneS = integral.gained(laidMs, nowMs);
  return {
    dryMs: at(wantedS),
    earliestMs: at(wantedS * (1 - DRYING_BAND)),
    latestMs: at(wantedS * (1 + DRYING_BAND)),
    share: wantedS === 0 ? 1 : Math.min(1, doneS / wantedS),
    rate: integral.rateAt(nowMs),
  };
}
