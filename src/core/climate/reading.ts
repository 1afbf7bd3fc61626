import type { AirStep } from './air';

/** One reading of the room. */
export interface RoomReading {
  /** ms since the epoch. */
  readonly atMs: number;
  /** K. */
  readonly temperatureK: number;
  /** 0…1; null: not read. */
  readonly humidity: number | null;
  /** Of a surface that a coat goes on, K; null: not read. */
  readonly surfaceK: number | null;
  /** Read by a device or out of its file, not by a person. */
  readonly byDevice: boolean;
}

/** Why a reading is not believed. It stays in the record and moves no clock. */
export type ReadingDoubt = 'no room so warm or cold' | 'jump' | 'stuck' | 'same instant';

/** Rooms that are believed, K: −20 to 50 °C. Judgement, no source. */
export const BELIEVED_ROOM_K = { min: 253.15, max: 323.15 } as const;
/** Humidity that is believed, 0…1; a meter that says more or less is taken not to have read it. Judgement. */
export const BELIEVED_HUMIDITY = { min: 0.02, max: 1 } as const;
/** Nothing is reckoned colder than this, K: epoxy all but stands still there, and air dries as over ice. Judgement. */
export const COLDEST_K = 273.15;
/** A single reading that stands off both its neighbours by so much is a fault, K, ms. Judgement, no source. */
const JUMP = { offK: 8, apartMs: 1_800_000 } as const;
/** A device that says the very same for so long, in so many readings, has stopped measuring. Judgement, no source. */
const STUCK = { afterMs: 12 * 3_600_000, readings: 48 } as const;

const between = (x: number, { min, max }: { min: number; max: number }) => x >= min && x <= max;

/** One reading that its device took out of the blue: both neighbours agree with each other and not with it. */
function jumps(before: RoomReading | undefined, here: RoomReading, after: RoomReading | undefined) {
  if (!here.byDevice || !before || !after) return false;
  if (after.atMs - before.atMs > 2 * JUMP.apartMs) return false;
  const [left, right] = [
    here.temperatureK - before.temperatureK,
    here.temperatureK - after.temperatureK,
  ];
  return Math.abs(left) > JUMP.offK && Math.abs(right) > JUMP.offK && left * right > 0;
}

/**
 * What is not believed of a record.
 * @param readings oldest first; of several for one instant the last was noted last
 * @returns a doubt or null for each reading, in their order
 * Source: judgement, no source; the limits stand above.
 */
export function readingDoubts(readings: readonly RoomReading[]): (ReadingDoubt | null)[] {
  let run = { from: 0, startMs: NaN };
  return readings.map((here, i) => {
    const before = readings[i - 1];
    const after = readings[i + 1];
    const same =
      before?.byDevice === here.byDevice &&
      before.temperatureK === here.temperatureK &&
      before.humidity === here.humidity;
    if (!same) run = { from: i, startMs: here.atMs };
    if (!between(here.temperatureK, BELIEVED_ROOM_K)) return 'no room so warm or cold';
    if (after?.atMs === here.atMs) return 'same instant';
    if (jumps(before, here, after)) return 'jump';
    const long = here.atMs - run.startMs >= STUCK.afterMs && i - run.from >= STUCK.readings;
    return here.byDevice && long ? 'stuck' : null;
  });
}

/** Humidity of a reading, where it was read and can be; else null. */
export const believedHumidity = ({ humidity }: RoomReading): number | null =>
  humidity !== null && between(humidity, BELIEVED_HUMIDITY) ? humidity : null;

/** Readings of a device so close together are one step of the record, their mean, ms. Judgement, no source. */
export const STEP_MS = 600_000;
/** Air where nobody read it: what most sheets and labels speak of. Common practice, no source. */
export const ASSUMED_AIR = { temperatureK: 295.15, humidity: 0.5 } as const;

interface Sum {
  fromMs: number;
  count: number;
  temperatureK: number;
  wet: number;
  humidity: number;
  lastMs: number;
  lastK: number;
  lastHumidity: number | null;
}

/** Temperature of a step from an instant on; humidity null where nobody read it. */
export interface ReadStep {
  readonly fromMs: number;
  readonly temperatureK: number;
  readonly humidity: number | null;
}

/**
 * The steps that a record makes: what a person read is a step of its own, what a device read within ten minutes is one,
 * and what is in doubt is none.
 * @param readings oldest first @returns steps, oldest first; temperatures ≥ {@link COLDEST_K}
 * Source: means over ten minutes, the time in which a room’s air hardly changes (judgement).
 */
export function stepsOf(readings: readonly RoomReading[]): ReadStep[] {
  const doubts = readingDoubts(readings);
  const steps: ReadStep[] = [];
  let open: Sum | null = null;
  const close = () => {
    if (!open) return;
    steps.push({
      fromMs: open.fromMs,
      temperatureK: open.temperatureK / open.count,
      humidity: open.wet > 0 ? open.humidity / open.wet : null,
    });
    open = null;
  };
  for (const [i, reading] of readings.entries()) {
    if (doubts[i] !== null) continue;
    const temperatureK = Math.max(COLDEST_K, reading.temperatureK);
    const humidity = believedHumidity(reading);
    if (!open || !reading.byDevice || reading.atMs - open.fromMs >= STEP_MS) close();
    const sum: Sum = {
      ...(open ?? { fromMs: reading.atMs, count: 0, temperatureK: 0, wet: 0, humidity: 0 }),
      ...{ lastMs: reading.atMs, lastK: temperatureK, lastHumidity: humidity },
    };
    sum.count += 1;
    sum.temperatureK += temperatureK;
    if (humidity !== null) {
      sum.wet += 1;
      sum.humidity += humidity;
    }
    open = sum;
    if (!reading.byDevice) close();
  }
  const last = open as Sum | null;
  close();
  // From the newest reading on it is as that one said: what is shown as now is no mean.
  if (last && last.count > 1)
    steps.push({
      fromMs: last.lastMs,
      temperatureK: last.lastK,
      humidity: last.lastHumidity ?? steps.at(-1)?.humidity ?? null,
    });
  return steps;
}

/** Steps with the humidity that was read last before, where a step has none. */
export function withHumidity(steps: readonly ReadStep[]): AirStep[] {
  const first = steps.find((s) => s.humidity !== null)?.humidity;
  let known: number = first ?? ASSUMED_AIR.humidity;
  return steps.map(({ fromMs, temperatureK, humidity }) => {
    known = humidity ?? known;
    return { fromMs, temperatureK, humidity: known };
  });
}
