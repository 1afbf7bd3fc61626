import {
  ASSUMED_AIR,
  believedHumidity,
  forecastAir,
  columnDoubts,
  columnSteps,
  stepsOf,
  withHumidity,
  type AirStep,
  type Forecast,
  type ReadingDoubt,
  type ReadingColumns,
  type ReadStep,
} from '@/core/climate';
import { ICE_POINT_K } from '@/core/units';
import { readingsOf, type RoomDay, type RoomSource, type SourcedReading } from '@/records';

/** The room as it was read last, believed. */
export interface LastReading {
  readonly atMs: number;
  readonly temperatureK: number;
  /** Null: nobody ever read it. */
  readonly humidity: number | null;
  readonly reading: SourcedReading;
}

/** The record of the room and how it goes on: pure, made once for the days that there are. */
export interface Room {
  readonly days: readonly RoomDay[];
  /** As it was read; empty when nobody did. */
  readonly read: readonly AirStep[];
  readonly forecast: Forecast;
  /** What clocks go by, at least one step: what was read, then the forecast; the assumed room where nobody read it. */
  readonly steps: readonly AirStep[];
  readonly last: LastReading | null;
  /** Surfaces that were read, oldest first. */
  readonly surfaces: readonly { readonly atMs: number; readonly surfaceK: number }[];
  /** Records of coats that stood apart. */
  readonly own: ReadonlyMap<string, readonly AirStep[]>;
}

/** A room that nobody read. */
const ASSUMED: readonly AirStep[] = [{ fromMs: 0, ...ASSUMED_AIR }];

const PEOPLE: readonly string[] = ['typed', 'kept'];
const isDevice = ({ how }: RoomSource): boolean => !PEOPLE.includes(how);
const ofRoom = (source: RoomSource): boolean => source.coatId === null && !source.out;

/** A day's readings that are the room's own, in columns, and the places that they have in the day. */
interface OwnColumns extends ReadingColumns {
  readonly places: ArrayLike<number>;
}
const columns = new WeakMap<RoomDay, OwnColumns>();

function roomColumns(day: RoomDay): OwnColumns {
  const before = columns.get(day);
  if (before) return before;
  const own = day.sources.map(ofRoom);
  const device = day.sources.map(isDevice);
  const { readMs, temperatureK, humidity, source } = day;
  const all = own.every(Boolean);
  const places = all
    ? readMs.map((_, i) => i)
    : readMs.flatMap((_, i) => (own[source[i] ?? -1] ? [i] : []));
  const of = <T>(column: readonly T[]): readonly T[] =>
    all ? column : places.map((i) => column[i] as T);
  const from = of(source);
  const made: OwnColumns = {
    ...{ places, atMs: of(readMs), temperatureK: of(temperatureK), humidity: of(humidity) },
    byDevice: (i) => device[from[i] ?? -1] ?? false,
  };
  columns.set(day, made);
  return made;
}

const daySteps = new WeakMap<RoomDay, readonly ReadStep[]>();
function stepsOfDay(day: RoomDay): readonly ReadStep[] {
  const steps = daySteps.get(day) ?? columnSteps(roomColumns(day));
  daySteps.set(day, steps);
  return steps;
}

/** The newest reading of the room that is believed. */
function lastOf(days: readonly RoomDay[], read: readonly AirStep[]): LastReading | null {
  for (const day of [...days].reverse()) {
    const here = roomColumns(day);
    const at = columnDoubts(here).lastIndexOf(null);
    const place = here.places[at];
    const reading = place === undefined ? undefined : readingsOf(day)[place];
    if (!reading) continue;
    const wet = days.some((d) => d.humidity.some((h) => believedHumidity(h) !== null));
    const humidity = believedHumidity(reading.humidity) ?? read.at(-1)?.humidity ?? null;
    const { atMs, temperatureK } = reading;
    return { atMs, temperatureK, humidity: wet ? humidity : null, reading };
  }
  return null;
}

/** Readings of a surface, oldest first. */
function surfacesOf(days: readonly RoomDay[]): Room['surfaces'] {
  return days.flatMap((day) => {
    // Most days have none.
    if (day.surfaceK.every((k) => k === null)) return [];
    const own = day.sources.map(ofRoom);
    return day.surfaceK.flatMap((surfaceK, i) =>
      surfaceK !== null && own[day.source[i] ?? -1]
        ? [{ atMs: day.readMs[i] ?? NaN, surfaceK }]
        : [],
    );
  });
}

/**
 * The record of a coat that stood apart: between its first and its last own reading only those count. After them it stands
 * there until the room is read again; a forecast of the room does not bring it back.
 */
function besideRoom(
  own: readonly ReadStep[],
  read: readonly AirStep[],
  ahead: readonly AirStep[],
): AirStep[] {
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return [...read, ...ahead];
  const again = read.filter((s) => s.fromMs > last.fromMs);
  return withHumidity([
    ...read.filter((s) => s.fromMs < first.fromMs),
    ...own,
    ...again,
    ...(again.length > 0 ? ahead : []),
  ]);
}

function ownRecords(days: readonly RoomDay[], read: readonly AirStep[], ahead: readonly AirStep[]) {
  const own = new Map<string, SourcedReading[]>();
  for (const day of days) {
    if (!day.sources.some((s) => s.coatId !== null && !s.out)) continue;
    for (const reading of readingsOf(day)) {
      const { coatId, out } = reading.source;
      if (coatId === null || out) continue;
      own.set(coatId, [...(own.get(coatId) ?? []), reading]);
    }
  }
  return new Map(
    [...own].map(([id, readings]) => {
      const told = readings.map((r) => ({ ...r, byDevice: isDevice(r.source) }));
      return [id, besideRoom(stepsOf(told), read, ahead)];
    }),
  );
}

const rooms = new WeakMap<readonly RoomDay[], Room>();

/**
 * The record of the room from its days.
 * @param days oldest first; the same list gives the same room
 */
export function roomOf(days: readonly RoomDay[]): Room {
  const before = rooms.get(days);
  if (before) return before;
  const read = withHumidity(days.flatMap(stepsOfDay));
  const forecast = forecastAir(read.length > 0 ? read : ASSUMED);
  const steps = read.length > 0 ? [...read, ...forecast.steps] : ASSUMED;
  const room: Room = {
    ...{ days, read, forecast, steps },
    last: lastOf(days, read),
    surfaces: surfacesOf(days),
    own: ownRecords(days, read, forecast.steps),
  };
  rooms.set(days, room);
  return room;
}

/** What the clock of a coat goes by. */
export const recordOf = (room: Room, coatId: string): readonly AirStep[] =>
  room.own.get(coatId) ?? room.steps;

/** When what the clock of a coat goes by was last read, epoch ms; null: never. */
export function lastReadMs(room: Room, coatId: string): number | null {
  const read = room.last?.atMs ?? null;
  const ends = room.own.get(coatId)?.at(-1)?.fromMs;
  // A record of its own goes on by the forecast only where the room was read again after it.
  if (ends === undefined || ends === room.forecast.steps.at(-1)?.fromMs) return read;
  return Math.max(ends, read ?? ends);
}

/** The air that holds at an instant; by the forecast where it is past the last reading. */
export function airThen(steps: readonly AirStep[], atMs: number): AirStep {
  let [low, high] = [0, steps.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((steps[middle]?.fromMs ?? Infinity) <= atMs) low = middle + 1;
    else high = middle;
  }
  const step = steps[Math.max(0, low - 1)];
  if (!step) throw new RangeError('airThen: empty record');
  return step;
}

/** The air that the shop reckons with now: as it was read last, else the assumed one. */
export const roomAir = ({ read }: Pick<Room, 'read'>): { temperatureK: number; humidity: number } =>
  read.at(-1) ?? ASSUMED_AIR;

/**
 * Room that films and mixes are planned with, K: to the degree, so that a plan does not flicker with each reading.
 */
export const planRoomK = (room: Pick<Room, 'read'>): number =>
  Math.round(roomAir(room).temperatureK - ICE_POINT_K) + ICE_POINT_K;

/** Doubts of a day, one or null for each of its readings; those of coats and those taken out are not judged. */
export function doubtsOfDay(day: RoomDay): readonly (ReadingDoubt | null)[] {
  const here = roomColumns(day);
  const doubts = columnDoubts(here);
  const all: (ReadingDoubt | null)[] = day.readMs.map(() => null);
  doubts.forEach((doubt, i) => {
    const place = here.places[i];
    if (place !== undefined) all[place] = doubt;
  });
  return all;
}
