import {
  ASSUMED_AIR,
  believedHumidity,
  forecastAir,
  readingDoubts,
  stepsOf,
  withHumidity,
  type AirStep,
  type Forecast,
  type ReadingDoubt,
  type ReadStep,
  type RoomReading,
} from '@/core/climate';
import { ICE_POINT_K } from '@/core/units';
import { readingsOf, type RoomDay, type SourcedReading } from '@/records';

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
  /** Records of coats that stood apart. */
  readonly own: ReadonlyMap<string, readonly AirStep[]>;
}

/** A room that nobody read. */
const ASSUMED: readonly AirStep[] = [{ fromMs: 0, ...ASSUMED_AIR }];
const NO_FORECAST: Forecast = { steps: [], spreadK: 2, byPattern: false };

const PEOPLE: readonly string[] = ['typed', 'kept'];
const asReading = ({ source, ...reading }: SourcedReading): RoomReading => ({
  ...reading,
  byDevice: !PEOPLE.includes(source.how),
});

const ofRoom = ({ source }: SourcedReading): boolean => source.coatId === null && !source.out;

const daySteps = new WeakMap<RoomDay, readonly ReadStep[]>();
function stepsOfDay(day: RoomDay): readonly ReadStep[] {
  const steps = daySteps.get(day) ?? stepsOf(readingsOf(day).filter(ofRoom).map(asReading));
  daySteps.set(day, steps);
  return steps;
}

/** The newest reading of the room that is believed. */
function lastOf(days: readonly RoomDay[], read: readonly AirStep[]): LastReading | null {
  for (const day of [...days].reverse()) {
    const here = readingsOf(day).filter(ofRoom);
    const doubts = readingDoubts(here.map(asReading));
    const reading = here.findLast((_, i) => doubts[i] === null);
    if (!reading) continue;
    const wet = days.some((d) =>
      readingsOf(d).some((r) => ofRoom(r) && believedHumidity(asReading(r)) !== null),
    );
    const humidity = believedHumidity(asReading(reading)) ?? read.at(-1)?.humidity ?? null;
    const { atMs, temperatureK } = reading;
    return { atMs, temperatureK, humidity: wet ? humidity : null, reading };
  }
  return null;
}

/**
 * The record of a coat that stood apart: between its first and its last own reading only those count; before and
 * after them it stands in the room.
 */
function besideRoom(own: readonly ReadStep[], room: readonly AirStep[]): AirStep[] {
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return [...room];
  return withHumidity([
    ...room.filter((s) => s.fromMs < first.fromMs),
    ...own,
    ...room.filter((s) => s.fromMs > last.fromMs),
  ]);
}

function ownRecords(days: readonly RoomDay[], steps: readonly AirStep[]) {
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
    [...own].map(([id, readings]) => [id, besideRoom(stepsOf(readings.map(asReading)), steps)]),
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
  const forecast = read.length > 0 ? forecastAir(read) : NO_FORECAST;
  const steps = read.length > 0 ? [...read, ...forecast.steps] : ASSUMED;
  const room: Room = {
    ...{ days, read, forecast, steps },
    last: lastOf(days, read),
    own: ownRecords(days, steps),
  };
  rooms.set(days, room);
  return room;
}

/** What the clock of a coat goes by. */
export const recordOf = (room: Room, coatId: string): readonly AirStep[] =>
  room.own.get(coatId) ?? room.steps;

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
  const readings = readingsOf(day);
  const judged = readings.filter(ofRoom);
  const doubts = readingDoubts(judged.map(asReading));
  const of = new Map(judged.map((r, i) => [r, doubts[i] ?? null]));
  return readings.map((r) => of.get(r) ?? null);
}
