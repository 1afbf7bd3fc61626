import { defineRecord } from './define';
import type { Id } from './id';

/** How readings came into the record; `kept`: a shop of an older version held them elsewhere. */
export const ROOM_SOURCES = ['typed', 'file', 'sensor', 'simulated', 'kept'] as const;
export type RoomSourceKind = (typeof ROOM_SOURCES)[number];

/** Where readings came from. */
export interface RoomSource {
  readonly how: RoomSourceKind;
  /** Who read it, or the name of the file or device. */
  readonly by: string;
  /** The coat that stood apart from the room; null: the room. */
  readonly coatId: Id<'coat'> | null;
  /** They were taken out again: kept, and believed no more. */
  readonly out: boolean;
}

/**
 * The readings of one day (UTC), oldest first; of several for one instant the last was noted last. Columns, because a
 * device reads every minute.
 */
export interface RoomDay {
  readonly id: Id<'room'>;
  /** Start of the day, ms. */
  readonly dayMs: number;
  readonly readMs: readonly number[];
  /** K, as it was read, believed or not. */
  readonly temperatureK: readonly number[];
  /** 0…1; null: not read. */
  readonly humidity: readonly (number | null)[];
  /** Of a surface that a coat goes on, K; null: not read. */
  readonly surfaceK: readonly (number | null)[];
  /** Place of each reading’s source in `sources`. */
  readonly source: readonly number[];
  readonly sources: readonly RoomSource[];
}

/** What a column may hold, K and shares: a broken device says anything; what is believed is judged when it is read. */
const STORED = { temperatureK: { min: 0, max: 1000 }, humidity: { min: -100, max: 100 } } as const;
/** A reading a second. */
const MOST = 86_400;

const COLUMNS = ['readMs', 'temperatureK', 'humidity', 'surfaceK', 'source'] as const;

export const ROOM = defineRecord<RoomDay>()({
  name: 'room',
  live: true,
  references: [],
  defaults: {},
  order: (a, b) => a.dayMs - b.dayMs,
  meaning: (day) => [
    ...COLUMNS.filter((c) => day[c].length !== day.readMs.length).map((c) => ({
      ...{ code: 'does-not-fit' as const, path: [c], value: day[c].length },
      allowed: { min: day.readMs.length, max: day.readMs.length },
    })),
    ...day.source
      .filter((s) => !day.sources[s])
      .slice(0, 1)
      .map((value) => ({
        ...{ code: 'does-not-fit' as const, path: ['source'], value },
        allowed: { min: 0, max: day.sources.length - 1 },
      })),
  ],
  schema: ({ Joi, column, flag, id, instant, INSTANTS, listOf, maybeId, oneOf, text }) => ({
    id: id(),
    dayMs: instant(),
    readMs: column(INSTANTS, MOST),
    temperatureK: column(STORED.temperatureK, MOST),
    humidity: column({ ...STORED.humidity, gaps: true }, MOST),
    surfaceK: column({ ...STORED.temperatureK, gaps: true }, MOST),
    source: column({ min: 0, max: 999 }, MOST),
    sources: listOf(
      Joi.object({ how: oneOf(ROOM_SOURCES), by: text(120), coatId: maybeId(), out: flag() }),
      1000,
    ),
  }),
});
