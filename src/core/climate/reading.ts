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

/** Readings in columns, oldest first: a device reads every minute, and a month of them is looked at at once. */
export interface ReadingColumns {
  readonly atMs: ArrayLike<number>;
  readonly temperatureK: ArrayLike<number>;
  readonly humidity: ArrayLike<number | null>;
  /** Whether the reading at a place is a device's. */
  readonly byDevice: (i: number) => boolean;
}

export const columnsOf = (readings: readonly RoomReading[]): ReadingColumns => ({
  atMs: readings.map((r) => r.atMs),
  temperatureK: readings.map((r) => r.temperatureK),
  humidity: readings.map((r) => r.humidity),
  byDevice: (i) => readings[i]?.byDevice ?? false,
});

const between = (x: number, { min, max }: { min: number; max: number }) => x >= min && x <= max;

/** One reading that its device took out of the blue: both neighbours agree with each other and not with it. */
function jumps({ atMs, temperatureK }: ReadingColumns, i: number): boolean {
  if (i === 0 || i + 1 >= atMs.length) return false;
  const here = temperatureK[i] ?? NaN;
  const left = here - (temperatureK[i - 1] ?? NaN);
  if (!(Math.abs(left) > JUMP.offK)) return false;
  const right = here - (temperatureK[i + 1] ?? NaN);
  const apartMs = (atMs[i + 1] ?? NaN) - (atMs[i - 1] ?? NaN);
  return Math.abs(right) > JUMP.offK && left * right > 0 && apartMs <= 2 * JUMP.apartMs;
}

/**
 * What is not believed of a record.
 * @param columns oldest first; of several readings for one instant the last was noted last
 * @returns a doubt or null for each reading, in their order
 * Source: judgement, no source; the limits stand above.
 */
export function columnDoubts(columns: ReadingColumns): (ReadingDoubt | null)[] {
  const { atMs, temperatureK, humidity, byDevice } = columns;
  const doubts: (ReadingDoubt | null)[] = [];
  let runFrom = 0;
  let runStartMs = NaN;
  let before: boolean | null = null;
  // Plain assignments: a month of minutes goes through here before the first screen.
  for (let i = 0; i < atMs.length; i += 1) {
    const t = temperatureK[i] ?? NaN;
    const at = atMs[i] ?? NaN;
    const device = byDevice(i);
    const same =
      i > 0 && temperatureK[i - 1] === t && humidity[i - 1] === humidity[i] && before === device;
    before = device;
    if (!same) {
      runFrom = i;
      runStartMs = at;
    }
    let doubt: ReadingDoubt | null = null;
    if (!between(t, BELIEVED_ROOM_K)) doubt = 'no room so warm or cold';
    else if (atMs[i + 1] === at) doubt = 'same instant';
    else if (device && jumps(columns, i)) doubt = 'jump';
    else if (device && at - runStartMs >= STUCK.afterMs && i - runFrom >= STUCK.readings)
      doubt = 'stuck';
    doubts.push(doubt);
  }
  return doubts;
}

/** {@link columnDoubts} of readings. */
export const readingDoubts = (readings: readonly RoomReading[]): (ReadingDoubt | null)[] =>
  columnDoubts(columnsOf(readings));

/** Humidity that was read and can be; else null. */
export const believedHumidity = (humidity: number | null): number | null =>
  humidity !== null && between(humidity, BELIEVED_HUMIDITY) ? humidity : null;

/** Readings of a device so close together are one step of the record, their mean, ms. Judgement, no source. */
export const STEP_MS = 600_000;
/** Air where nobody read it: what most sheets and labels speak of. Common practice, no source. */
export const ASSUMED_AIR = { temperatureK: 295.15, humidity: 0.5 } as const;

/** Temperature of a step from an instant on; humidity null where nobody read it. */
export interface ReadStep {
  readonly fromMs: number;
  readonly temperatureK: number;
  readonly humidity: number | null;
}

/** Readings that are being put together to one step. */
class Bin {
  private count = 0;
  private sumK = 0;
  private wet = 0;
  private sumWet = 0;
  private lastMs = NaN;
  private lastK = NaN;
  private lastWet: number | null = null;

  constructor(readonly fromMs: number) {}

  add(atMs: number, temperatureK: number, humidity: number | null): void {
    this.count += 1;
    this.sumK += temperatureK;
    if (humidity !== null) {
      this.wet += 1;
      this.sumWet += humidity;
    }
    this.lastMs = atMs;
    this.lastK = temperatureK;
    this.lastWet = humidity;
  }

  mean(): ReadStep {
    const humidity = this.wet > 0 ? this.sumWet / this.wet : null;
    return { fromMs: this.fromMs, temperatureK: this.sumK / this.count, humidity };
  }

  /** The newest of several; null where it is the only one. */
  newest(): ReadStep | null {
    if (this.count < 2) return null;
    const humidity = this.lastWet ?? this.mean().humidity;
    return { fromMs: this.lastMs, temperatureK: this.lastK, humidity };
  }
}

/**
 * The steps that a record makes: what a person read is a step of its own, what a device read within ten minutes is one,
 * and what is in doubt is none.
 * @param columns oldest first @returns steps, oldest first; temperatures ≥ {@link COLDEST_K}
 * Source: means over ten minutes, the time in which a room’s air hardly changes (judgement).
 */
export function columnSteps(columns: ReadingColumns): ReadStep[] {
  const { atMs, temperatureK, humidity, byDevice } = columns;
  const doubts = columnDoubts(columns);
  const steps: ReadStep[] = [];
  let bin: Bin | null = null;
  for (let i = 0; i < atMs.length; i += 1) {
    if (doubts[i] !== null) continue;
    const fromMs = atMs[i] ?? NaN;
    const device = byDevice(i);
    if (bin && (!device || fromMs - bin.fromMs >= STEP_MS)) {
      steps.push(bin.mean());
      bin = null;
    }
    bin ??= new Bin(fromMs);
    const warmK = Math.max(COLDEST_K, temperatureK[i] ?? NaN);
    bin.add(fromMs, warmK, believedHumidity(humidity[i] ?? null));
    if (device) continue;
    steps.push(bin.mean());
    bin = null;
  }
  if (bin) steps.push(bin.mean());
  // From the newest reading on it is as that one said: what is shown as now is no mean.
  const newest = bin?.newest();
  return newest ? [...steps, newest] : steps;
}

/** {@link columnSteps} of readings. */
export const stepsOf = (readings: readonly RoomReading[]): ReadStep[] =>
  columnSteps(columnsOf(readings));

/** Steps with the humidity that was read last before, where a step has none. */
export function withHumidity(steps: readonly ReadStep[]): AirStep[] {
  const first = steps.find((s) => s.humidity !== null)?.humidity;
  let known: number = first ?? ASSUMED_AIR.humidity;
  return steps.map(({ fromMs, temperatureK, humidity }) => {
    known = humidity ?? known;
    return { fromMs, temperatureK, humidity: known };
  });
}
