import { TEST_SHEET } from '@/core/resin/test/sheet';
import { asId, LIVE_TABLES, type Piece, PIECES, type Resin, RESINS } from '@/records';
import type { ShopRows } from '../shop';

/** A tile with nothing on it. */
export const plainPiece = (id: string, change: Partial<Piece> = {}): Piece => ({
  ...PIECES.defaults,
  ...{ id: asId(id), name: id, count: 1, support: 'tile', note: '', createdMs: 0 },
  use: { hotCups: false, food: false, daylight: false },
  ...change,
});

/** A resin of the sheet that tests share. */
export const plainResin = (id: string, change: Partial<Resin> = {}): Resin => ({
  ...RESINS.defaults,
  ...{ id: asId(id), name: 'Clear', sheet: TEST_SHEET },
  ...change,
});

/** The rows of a shop in which nothing is but what is named. */
export const rowsOf = (rows: Partial<ShopRows>): ShopRows => ({
  ...(Object.fromEntries(LIVE_TABLES.map((table) => [table, []])) as unknown as ShopRows),
  ...rows,
});
