import { assert } from '../result';
import type { AirStep } from './air';

const HOUR_MS = 3_600_000;
const HOURS = 24;

/** How the room is taken to go on after its last reading. */
export interface Forecast {
  /** Every hour from the last reading on for two weeks; the last of them goes on. Empty: as it was read last. */
  readonly steps: readonly AirStep[];
  /** One standard deviation of the room’s temperature far ahead, K. */
  readonly spreadK: number;
  /** The record is long enough for a pattern of the day. */
  readonly byPattern: boolean;
}

/** So far back the record is looked at, and so far ahead it is told, hours. Judgement, no source. */
const LOOK = { backH: 14 * HOURS, aheadH: 14 * HOURS } as const;
/** Days that must be there, and hours of the day that each must have, for a pattern. Judgement, no source. */
const ENOUGH = { days: 2, hours: 18 } as const;
/** A reading tells of the hours round it up to this long, ms. Judgement, no source. */
const TELLS_MS = 2 * HOUR_MS;
/** What is off the pattern now fades to a third in so many hours. Judgement, no source. */
const FADES_H = 12;
/** Spread where the record is too short to tell one, and the least that is told, K. Judgement, no source. */
const SPREAD_K = { unknown: 2, least: 0.4 } as const;

type Pair = readonly [temperatureK: number, humidity: number];
interface Hour {
  readonly at: number;
  readonly air: Pair;
}

/** Mean air of every hour that readings tell of, by hours since the epoch. */
function hourly(record: readonly AirStep[], lastMs: number): Hour[] {
  const fromMs = lastMs - LOOK.backH * HOUR_MS;
  const sums = new Map<number, { s: number; t: number; h: number }>();
  for (const [i, step] of record.entries()) {
    const until = Math.min(record[i + 1]?.fromMs ?? step.fromMs + 1, step.fromMs + TELLS_MS);
    if (until <= fromMs) continue;
    for (let at = Math.max(fromMs, step.fromMs); at < until;) {
      const hour = Math.floor(at / HOUR_MS);
      const to = Math.min(until, (hour + 1) * HOUR_MS);
      const sum = sums.get(hour) ?? { s: 0, t: 0, h: 0 };
      sum.s += to - at;
      sum.t += (to - at) * step.temperatureK;
      sum.h += (to - at) * step.humidity;
      sums.set(hour, sum);
      at = to;
    }
  }
  return [...sums].map(([at, { s, t, h }]) => ({ at, air: [t / s, h / s] }));
}

const meanOf = (rows: readonly Pair[]): Pair => {
  const sum = rows.reduce<[number, number]>((s, [t, h]) => [s[0] + t, s[1] + h], [0, 0]);
  return [sum[0] / rows.length, sum[1] / rows.length];
};

/** Days of the record that are told nearly whole. */
const wholeDays = (hours: readonly Hour[]): number => {
  const days = new Map<number, number>();
  for (const { at } of hours) {
    const day = Math.floor(at / HOURS);
    days.set(day, (days.get(day) ?? 0) + 1);
  }
  return [...days.values()].filter((n) => n >= ENOUGH.hours).length;
};

/** Mean of each hour of the day; of the whole where an hour is never told. */
function dailyPattern(hours: readonly Hour[]): readonly Pair[] {
  const whole = meanOf(hours.map((h) => h.air));
  return Array.from({ length: HOURS }, (_, of) => {
    const here = hours.filter(({ at }) => at % HOURS === of).map((h) => h.air);
    return here.length > 0 ? meanOf(here) : whole;
  });
}

/**
 * The air of a room after its last reading: its own daily pattern over two weeks, and what is off it now fading away.
 * Without two days of readings the last one goes on, with a wide spread.
 * @param record of the room, at least one step, oldest first
 * @returns hourly steps that start with the last reading; knows no now
 * @throws RangeError on an empty record
 * Source: seasonal mean with a first-order autoregressive remainder (Box & Jenkins 1970, from memory); the hours of the
 *   day are those of UTC, so a change to daylight saving shifts the pattern by an hour until the record has followed it.
 */
export function forecastAir(record: readonly AirStep[]): Forecast {
  const last = record.at(-1);
  assert(last !== undefined, 'forecastAir: empty record', record);
  const hours = hourly(record, last.fromMs);
  if (wholeDays(hours) < ENOUGH.days)
    return { steps: [], spreadK: SPREAD_K.unknown, byPattern: false };
  const pattern = dailyPattern(hours);
  const of = (hour: number): Pair => pattern[hour % HOURS] ?? [NaN, NaN];
  const off2 = hours.reduce((sum, { at, air }) => sum + (air[0] - of(at)[0]) ** 2, 0);
  const start = Math.floor(last.fromMs / HOUR_MS);
  const off: Pair = [last.temperatureK - of(start)[0], last.humidity - of(start)[1]];
  const steps = Array.from({ length: LOOK.aheadH }, (_, i): AirStep => {
    const [temperatureK, humidity] = of(start + 1 + i);
    const stays = Math.exp(-(i + 1) / FADES_H);
    return {
      fromMs: (start + 1 + i) * HOUR_MS,
      temperatureK: temperatureK + off[0] * stays,
      humidity: Math.min(1, Math.max(0, humidity + off[1] * stays)),
    };
  });
  const mean = meanOf(pattern);
  return {
    steps: [
      ...steps,
      { fromMs: (start + 1 + LOOK.aheadH) * HOUR_MS, temperatureK: mean[0], humidity: mean[1] },
    ],
    spreadK: Math.max(SPREAD_K.least, Math.sqrt(off2 / hours.length)),
    byPattern: true,
  };
}

/**
 * How far the room may be off its forecast, one standard deviation, K.
 * @param aheadH hours after the last reading, >= 0
 * Source: variance of a first-order autoregressive remainder, s²(1 − exp(−2 t/τ)).
 */
export const forecastSpread = ({ spreadK }: Pick<Forecast, 'spreadK'>, aheadH: number): number =>
  spreadK * Math.sqrt(1 - Math.exp((-2 * Math.max(0, aheadH)) / FADES_H));
