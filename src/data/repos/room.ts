import { ROOM_LIMITS_K } from '@/core/resin';
import type { LogEntry, RoomDay, RoomSource, SourcedReading } from '@/records';
import { roomDayId, withReadings } from '@/records';
import type { ShopDb } from '../db';
import { act, InvalidRowError, type ActionContext } from '../write';

/** The room as it was read: from an instant on, its temperature, and its humidity where that was read too. */
export interface NotedReading {
  readonly fromMs: number;
  readonly temperatureK: number;
  /** 0…1; null: not read. */
  readonly humidity: number | null;
  /** Temperature of a surface to be coated; left out or null: not read. */
  readonly surfaceK?: number | null;
  /** The coat that stands apart from the room; left out or null: the room. */
  readonly coatId?: RoomSource['coatId'];
}

/** The tables that a reading writes. */
const ROOM_TABLES = ['room'] as const;

/** What a reading writes: a day of the record, and the entry of the log. */
export interface ReadingRows {
  readonly days: readonly RoomDay[];
  readonly entry: Pick<LogEntry, 'text' | 'figures' | 'coatId'>;
}

/** Keys of the days that readings fall on. */
const dayIds = (instants: readonly number[]) => [...new Set(instants.map(roomDayId))];
const there = (days: readonly (RoomDay | undefined)[]) => days.filter((d) => d !== undefined);

/**
 * Rows of a reading, for an act that covers ROOM_TABLES: all that dries, cures or is mixed follows the record.
 * @param days of the record, at least the one that it falls on
 * @throws InvalidRowError on a temperature that is no room's
 */
export function readingRows(
  days: readonly RoomDay[],
  by: string,
  { fromMs, temperatureK, humidity, surfaceK = null, coatId = null }: NotedReading,
): ReadingRows {
  const { min, max } = ROOM_LIMITS_K;
  if (!(temperatureK >= min && temperatureK <= max))
    throw new InvalidRowError(`room: temperatureK: ${temperatureK}`);
  const source: RoomSource = { how: 'typed', by, coatId, out: false };
  const reading = { atMs: fromMs, temperatureK, humidity, surfaceK, source };
  const { changed } = withReadings(days, [reading]);
  return {
    days: changed,
    entry: {
      ...{ text: '', coatId },
      figures: {
        ...{ temperatureK, fromMs },
        ...(humidity !== null && { humidity }),
        ...(surfaceK !== null && { surfaceK }),
      },
    },
  };
}

/** The room was read: one act, wherever it was typed. */
export function noteRoom(db: ShopDb, context: ActionContext, reading: NotedReading): Promise<void> {
  return act(db, context, ROOM_TABLES, async (w) => {
    const before = there(await db.room.bulkGet(dayIds([reading.fromMs])));
    const { days, entry } = readingRows(before, context.by, reading);
    for (const day of days) await w.put('room', day);
    await w.log('air noted', entry);
  });
}

/** A reading of a device: it is the record itself, so the log stays as it is. */
export function takeReading(
  db: ShopDb,
  context: ActionContext,
  reading: SourcedReading,
): Promise<void> {
  return act(db, context, ROOM_TABLES, async (w) => {
    const days = there(await db.room.bulkGet(dayIds([reading.atMs])));
    const { changed } = withReadings(days, [reading]);
    for (const day of changed) await w.put('room', day);
  });
}

/**
 * Readings out of a file, all of them or none.
 * @returns how many were there already
 */
export function addReadings(
  db: ShopDb,
  context: ActionContext,
  readings: readonly SourcedReading[],
): Promise<number> {
  return act(db, context, ROOM_TABLES, async (w) => {
    const days = there(await db.room.bulkGet(dayIds(readings.map((r) => r.atMs))));
    const { changed, twice } = withReadings(days, readings);
    for (const day of changed) await w.put('room', day);
    await w.log('readings added', {
      text: readings[0]?.source.by ?? '',
      figures: { count: readings.length - twice, ...(twice > 0 && { twice }) },
    });
    return twice;
  });
}

/** Whether readings of a source are believed: a file or a device may be taken out, and put back. */
export function believeSource(
  db: ShopDb,
  context: ActionContext,
  { how, by }: Pick<RoomSource, 'how' | 'by'>,
  believed: boolean,
): Promise<void> {
  return act(db, context, ROOM_TABLES, async (w) => {
    const is = (s: RoomSource) => s.how === how && s.by === by && s.out === believed;
    const days = await db.room.filter((d) => d.sources.some(is)).toArray();
    for (const day of days)
      await w.put('room', {
        ...day,
        sources: day.sources.map((s) => (is(s) ? { ...s, out: !believed } : s)),
      });
    await w.log(believed ? 'readings believed' : 'readings taken out', { text: by });
  });
}
