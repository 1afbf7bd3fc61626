import { stepIntegral, type RecordStep, type StepIntegral } from '../numeric';
import { assert } from '../result';
import { GAS_CONSTANT } from '../units';

/** Room temperature from an instant on, until the next step. The last step goes on for ever. */
export interface TemperatureStep extends RecordStep {
  readonly temperatureK: number;
}

/** How a resin's rate depends on temperature. */
export interface RateLaw {
  readonly activationEnergyJMol: number;
  readonly referenceTemperatureK: number;
}

/**
 * Default apparent activation energy of room-temperature amine-cured epoxy, J/mol, and its plausible
 * range. From memory (published-type values 45–65 kJ/mol).
 */
export const DEFAULT_ACTIVATION_ENERGY = { value: 55e3, min: 45e3, max: 65e3 } as const;
/** 22 °C: the temperature most sheets state their times at. */
export const DEFAULT_REFERENCE_K = 295.15;
/** Temperatures between which the law is used here, K (5 to 45 °C). Judgement, no source. */
export const ROOM_LIMITS_K = { min: 278.15, max: 318.15 } as const;

/**
 * Speed of cure against the reference temperature: ripe hours per hour.
 * @param temperatureK film temperature, K, > 0 @param law activation energy and reference
 * @throws RangeError when the temperature is not above zero
 * Source: equivalent age, Arrhenius form, ASTM C1074 (Freiesleben Hansen & Pedersen 1977), from memory:
 *   exp(−E/R (1/T − 1/Tref)).
 */
export function ripeRate(temperatureK: number, law: RateLaw): number {
  assert(temperatureK > 0, 'ripeRate', temperatureK);
  const perKelvin = law.activationEnergyJMol / GAS_CONSTANT;
  return Math.exp(-perKelvin * (1 / temperatureK - 1 / law.referenceTemperatureK));
}

/** Records never change once they are made: many coats ask the same one by the same law. */
const known = new WeakMap<readonly TemperatureStep[], WeakMap<RateLaw, StepIntegral>>();

function ripening(history: readonly TemperatureStep[], law: RateLaw): StepIntegral {
  const here = known.get(history) ?? new WeakMap<RateLaw, StepIntegral>();
  known.set(history, here);
  const integral =
    here.get(law) ?? stepIntegral(history, ({ temperatureK }) => ripeRate(temperatureK, law));
  here.set(law, integral);
  return integral;
}

/**
 * Equivalent age gained between two instants.
 * @param history room temperature, at least one step; it is not changed afterwards
 * @param fromMs, toMs instants, ms since the epoch
 * @returns ripe seconds (0 when `toMs` is not after `fromMs`)
 * @throws RangeError on an empty history
 * Source: ASTM C1074 as {@link ripeRate}, summed over steps of constant temperature.
 */
export const ripeSeconds = (
  history: readonly TemperatureStep[],
  fromMs: number,
  toMs: number,
  law: RateLaw,
): number => ripening(history, law).gained(fromMs, toMs);

/**
 * The instant at which a film begun at `fromMs` has gained `ripeS` ripe seconds.
 * @returns ms since the epoch; the last temperature is taken to go on
 * Source: inverse of {@link ripeSeconds}, exact because each step is linear.
 */
export const instantAtRipe = (
  history: readonly TemperatureStep[],
  fromMs: number,
  ripeS: number,
  law: RateLaw,
): number => ripening(history, law).instantOf(fromMs, ripeS);
