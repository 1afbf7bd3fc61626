import { assert } from '../result';
import { ripeRate } from './ripeHours';
import type { ResinSheet } from './sheet';

/** How long each mark of the sheet takes at one constant temperature, s. */
export interface WindowsAtTemperature {
  readonly temperatureK: number;
  readonly workingS: number;
  readonly noFlowS: number;
  readonly leatheryS: number;
  readonly recoatOpensS: number;
  readonly recoatClosesS: number;
  readonly hardS: number;
  readonly fullS: number;
}

/**
 * The sheet's times over a range of constant room temperatures, for a chart.
 * @param sheet the resin's sheet @param fromK, toK ends of the range, K @param count points, >= 2
 * @throws RangeError when the range is empty or has fewer than two points
 * Source: times divided by the equivalent-age rate (ASTM C1074 form).
 */
export function windowsByTemperature(
  sheet: ResinSheet,
  fromK: number,
  toK: number,
  count: number,
): WindowsAtTemperature[] {
  assert(fromK > 0 && toK > fromK && count >= 2, 'windowsByTemperature', { fromK, toK, count });
  const { times } = sheet;
  return Array.from({ length: count }, (_, i) => {
    const temperatureK = fromK + ((toK - fromK) * i) / (count - 1);
    const slow = 1 / ripeRate(temperatureK, sheet);
    return {
      temperatureK,
      workingS: times.workingS * slow,
      noFlowS: times.noFlowS * slow,
      leatheryS: times.leatheryS * slow,
      recoatOpensS: times.recoatOpensS * slow,
      recoatClosesS: times.recoatClosesS * slow,
      hardS: times.hardS * slow,
      fullS: times.fullS * slow,
    };
  });
}
