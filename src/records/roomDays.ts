import type { RoomReading } from '@/core/climate';
import { asId } from './id';
import type { RoomDay, RoomSource } from './room';

const DAY_MS = 86_400_000;

/** A reading with where it came from. */
export interface SourcedReading extends Omit<RoomReading, 'byDevice'> {
  readonly source: RoomSource;
}

/** Key of the day chunk that holds an instant. */
export const roomDayId = (atMs: number): RoomDay['id'] =>
  asId(`room-${new Date(Math.floor(atMs / DAY_MS) * DAY_MS).toISOString().slice(0, 10)}`);

const known = new WeakMap<RoomDay, readonly SourcedReading[]>();

/** The readings of a day, oldest first. */
export function readingsOf(day: RoomDay): readonly SourcedReading[] {
  const before = known.get(day);
  if (before) return before;
  const { readMs, temperatureK, humidity, surfaceK, source, sources } = day;
  const readings: SourcedReading[] = [];
  for (let i = 0; i < readMs.length; i += 1) {
    const from = sources[source[i] ?? -1];
    if (!from) continue;
    readings.push({
      atMs: readMs[i] ?? NaN,
      temperatureK: temperatureK[i] ?? NaN,
      humidity: humidity[i] ?? null,
      surfaceK: surfaceK[i] ?? null,
      source: from,
    });
  }
  known.set(day, readings);
  return readings;
}

const sameSource = (a: RoomSource, b: RoomSource): boolean =>
  a === b || (a.how === b.how && a.by === b.by && a.coatId === b.coatId && a.out === b.out);

function dayOf(dayMs: number, readings: readonly SourcedReading[]): RoomDay {
  const sources: RoomSource[] = [];
  const source = readings.map((r) => {
    const at = sources.findIndex((s) => sameSource(s, r.source));
    return at >= 0 ? at : sources.push(r.source) - 1;
  });
  return {
    ...{ id: roomDayId(dayMs), dayMs, source, sources },
    readMs: readings.map((r) => r.atMs),
    temperatureK: readings.map((r) => r.temperatureK),
    humidity: readings.map((r) => r.humidity),
    surfaceK: readings.map((r) => r.surfaceK),
  };
}

const sameReading = (a: SourcedReading, b: SourcedReading): boolean =>
  a.atMs === b.atMs &&
  a.temperatureK === b.temperatureK &&
  a.humidity === b.humidity &&
  a.surfaceK === b.surfaceK &&
  a.source.coatId === b.source.coatId;

/**
 * Days with more readings in their places; of several for one instant the newest noted stands last.
 * @param days the days that are there, at least those that the readings fall on @returns the days that changed, and how
 *   many readings were there already
 */
export function withReadings(
  days: readonly RoomDay[],
  readings: readonly SourcedReading[],
): { readonly changed: readonly RoomDay[]; readonly twice: number } {
  const fresh = new Map<number, SourcedReading[]>();
  for (const reading of readings) {
    const dayMs = Math.floor(reading.atMs / DAY_MS) * DAY_MS;
    const own = fresh.get(dayMs);
    if (own) own.push(reading);
    else fresh.set(dayMs, [reading]);
  }
  let twice = 0;
  const changed = [...fresh].flatMap(([dayMs, own]): RoomDay[] => {
    const day = days.find((d) => d.id === roomDayId(dayMs));
    const before = day ? readingsOf(day) : [];
    const at = new Map(before.map((r) => [r.atMs, r]));
    const more: SourcedReading[] = [];
    for (const reading of own) {
      const same = at.get(reading.atMs);
      if (same && sameReading(same, reading)) twice += 1;
      else {
        more.push(reading);
        at.set(reading.atMs, reading);
      }
    }
    if (more.length === 0) return [];
    return [
      dayOf(
        dayMs,
        [...before, ...more].sort((a, b) => a.atMs - b.atMs),
      ),
    ];
  });
  return { changed, twice };
}

/** All readings in fresh chunks: after they were moved in time. */
export const roomDays = (readings: readonly SourcedReading[]): readonly RoomDay[] =>
  withReadings([], readings).changed;
