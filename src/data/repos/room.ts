import { coatClock } from '@/core/resin';
import type { ShopDb } from '../db';
import {
  type AirReading,
  type Coat,
  DEFAULT_SETTINGS,
  type Id,
  type LogEntry,
  type Settings,
} from '@/records';
import { act, type ActionContext } from '../write';

/** The room as it was read: from an instant on, its temperature, and its humidity where that was read too. */
export interface RoomReading {
  readonly fromMs: number;
  readonly temperatureK: number;
  /** 0…1; null: not read, so what was known before stays. */
  readonly humidity: number | null;
  /** Temperature of a surface to be coated; left out or null: not read. */
  readonly surfaceK?: number | null;
}

export const ROOM_TABLES = ['air', 'settings', 'coats', 'resins'] as const;

/** A coat that was poured longer ago than this is looked at no more, ms: the slowest sheets cure in weeks. Judgement. */
const WATCHED_MS = 60 * 86_400_000;

/** The record of a coat with a reading in its place; itself when the reading says nothing of it. */
function withReading(coat: Coat, { fromMs, temperatureK }: RoomReading): Coat {
  if (coat.pouredMs === null || fromMs < coat.pouredMs) return coat;
  const kept = coat.history.filter((s) => s.fromMs !== fromMs);
  const history = [...kept, { fromMs, temperatureK }].sort((a, b) => a.fromMs - b.fromMs);
  return { ...coat, history };
}

/** Coats that still cure at an instant. */
async function curingAt(db: ShopDb, atMs: number): Promise<Coat[]> {
  const [coats, resins] = await Promise.all([
    db.coats
      .where('pouredMs')
      .between(atMs - WATCHED_MS, atMs, true, true)
      .toArray(),
    db.resins.toArray(),
  ]);
  return coats.filter(({ pouredMs, history, resinId }) => {
    const sheet = resins.find((r) => r.id === resinId)?.sheet;
    if (!sheet || pouredMs === null || history.length === 0) return false;
    return coatClock({ pouredMs, nowMs: atMs, history, sheet }).state !== 'fully cured';
  });
}

/** What a reading of the room writes. */
export interface ReadingRows {
  readonly air: AirReading;
  /** Null: it is not the newest reading, so the shop's own room stays. */
  readonly settings: Settings | null;
  readonly coats: readonly Coat[];
  readonly entry: Pick<LogEntry, 'text' | 'figures'>;
}

/**
 * Rows of a reading of the room, for an act that covers ROOM_TABLES: every drying layer and every curing coat follows
 * it, and the shop's own room is the newest. (Rows, and no writes: a loop of its own would leave the transaction's zone.)
 */
export async function readingRows(
  db: ShopDb,
  id: Id<'air'>,
  reading: RoomReading,
): Promise<ReadingRows> {
  const { fromMs, temperatureK } = reading;
  const [stored, before, newest, curing] = await Promise.all([
    db.settings.get('shop'),
    db.air.where('fromMs').belowOrEqual(fromMs).last(),
    db.air.orderBy('fromMs').last(),
    curingAt(db, fromMs),
  ]);
  const settings = stored ?? DEFAULT_SETTINGS;
  const humidity = reading.humidity ?? before?.humidity ?? settings.roomHumidity;
  const room = { ...settings, roomTemperatureK: temperatureK, roomHumidity: humidity };
  return {
    air: { id, fromMs, temperatureK, humidity, surfaceK: reading.surfaceK ?? null },
    settings: !newest || newest.fromMs <= fromMs ? room : null,
    coats: curing.map((coat) => withReading(coat, reading)),
    entry: {
      text: curing.map((c) => c.name).join(', '),
      figures: {
        ...{ temperatureK, fromMs },
        ...(reading.humidity !== null && { humidity }),
        ...(typeof reading.surfaceK === 'number' && { surfaceK: reading.surfaceK }),
      },
    },
  };
}

/** The room was read: one act, wherever it was typed. */
export function noteRoom(db: ShopDb, context: ActionContext, reading: RoomReading): Promise<void> {
  return act(db, context, ROOM_TABLES, async (w) => {
    const { air, settings, coats, entry } = await readingRows(db, context.newId(), reading);
    await w.put('air', air);
    if (settings) await w.put('settings', settings);
    for (const coat of coats) await w.put('coats', coat);
    await w.log('air noted', entry);
  });
}
