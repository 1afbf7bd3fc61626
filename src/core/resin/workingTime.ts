import type { Thickening } from '../film';
import { assert } from '../result';
import { GAS_CONSTANT } from '../units';
import { ripeRate } from './ripeHours';
import type { ResinSheet } from './sheet';

/** Exponents of the mass law above and below 100 g. Fitted to a cup model, from memory. */
const MASS_EXPONENT = { large: -0.07, small: -0.1 } as const;
/** Below and above these masses the law is not used; it is clamped there, kg. */
const MASS_LIMITS_KG = { min: 0.005, max: 3 } as const;

const massFactor = (massKg: number): number => {
  const m = Math.min(MASS_LIMITS_KG.max, Math.max(MASS_LIMITS_KG.min, massKg)) / 0.1;
  return m ** (m >= 1 ? MASS_EXPONENT.large : MASS_EXPONENT.small);
};

/** Working time at the sheet’s own temperature, s. */
function atReference(sheet: ResinSheet, massKg: number): number {
  const { workingMassKg, workingAlso, times } = sheet;
  const from = (statedS: number, statedKg: number) =>
    (statedS * massFactor(massKg)) / massFactor(statedKg);
  if (!workingAlso) return from(times.workingS, workingMassKg);
  // The sheet itself says what mass does between the two that it states; beyond them the law goes on from the nearer.
  const span = Math.log(workingAlso.massKg / workingMassKg);
  const t = Math.log(massKg / workingMassKg) / span;
  if (t <= 0) return from(times.workingS, workingMassKg);
  if (t >= 1) return from(workingAlso.workingS, workingAlso.massKg);
  return times.workingS * (workingAlso.workingS / times.workingS) ** t;
}

/**
 * Working time in the cup from the moment that part B meets part A.
 * @param sheet the resin's sheet @param massKg mixed mass in one cup, kg, > 0
 * @param temperatureK temperature of room and bottles, K, > 0
 * @returns s; about ±12 % (one standard deviation) between 5 g and 3 kg and ±6 K of the reference
 * @throws RangeError on values that are not above zero
 * Source: sheet time × equivalent-age rate (ASTM C1074 form) × (m/100 g)^−0.07 (−0.1 below 100 g), a fit
 *   to a cup heat balance with Kamal–Sourour kinetics, from memory; straight in ln t over ln m between two stated masses. A deep cup heats itself: spread out.
 */
export function workingTime(sheet: ResinSheet, massKg: number, temperatureK: number): number {
  assert(massKg > 0 && temperatureK > 0, 'workingTime', { massKg, temperatureK });
  return atReference(sheet, massKg) / ripeRate(temperatureK, sheet);
}

/** How fast viscosity falls with warmth, J/mol: nearly as fast as the cure speeds up. From memory. */
const FLOW_ENERGY_J_MOL = 55e3;
/** What a sheet that states its time for another mass would state for this one, kg. */
const HUNDRED_GRAMS_KG = 0.1;

/**
 * How a resin thickens in a room, for films and cups.
 * @param roomK K, > 0; the sheet's own temperature when left out
 * @throws RangeError on a temperature that is not above zero
 * Source: working time of 100 g by {@link workingTime}; viscosity by an Arrhenius law.
 */
export function thickeningOf(
  sheet: ResinSheet,
  roomK: number = sheet.referenceTemperatureK,
): Thickening {
  const cooler = 1 / roomK - 1 / sheet.referenceTemperatureK;
  return {
    viscosityPaS: sheet.viscosityPaS * Math.exp((FLOW_ENERGY_J_MOL / GAS_CONSTANT) * cooler),
    workingS: workingTime(sheet, HUNDRED_GRAMS_KG, roomK),
  };
}
