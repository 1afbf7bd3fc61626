import { base64ToBlob } from '@/data/exchange/base64';
import { migrate, type AnyTables } from '@/data/migrations';
import { readingsOf, roomDays, type RoomDay } from '@/records';
import told from './shop.json';

/** Moves every instant in a row, and in what it holds, by so much: their names end in Ms. */
function moved(value: unknown, byMs: number): unknown {
  if (Array.isArray(value)) return value.map((item) => moved(item, byMs));
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(([name, held]) => [
    name,
    typeof held === 'number' && name.endsWith('Ms') ? held + byMs : moved(held, byMs),
  ]);
  return Object.fromEntries(entries) as unknown;
}

/**
 * The invented shop of Fernhollow Works, its clocks set to `nowMs`: a shop file that `story.ts` made through the acts
 * of users (`npm run demo:data`), moved in time.
 */
export function demoShop(nowMs: number): AnyTables {
  const { tables, version, exportedMs } = told as unknown as {
    readonly tables: AnyTables;
    readonly version: number;
    readonly exportedMs: number;
  };
  const rows = moved(migrate(tables, version), Math.round(nowMs) - exportedMs) as AnyTables;
  const photos = (rows['photos'] ?? []).map((row) => {
    const { base64, type, ...rest } = row as Record<string, unknown>;
    return { ...rest, blob: base64ToBlob(base64, type) };
  });
  // Days are told by the clock: readings that were moved fall on others.
  const readings = (rows['room'] as unknown as readonly RoomDay[]).flatMap(readingsOf);
  const by = Math.round(nowMs) - exportedMs;
  const room = roomDays(readings.map((r) => ({ ...r, atMs: r.atMs + by })));
  return { ...rows, photos, room };
}
