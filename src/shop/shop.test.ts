import { TEST_SHEET } from '@/core/resin/test/sheet';
import {
  type Area,
  asId,
  type Coat,
  DEFAULT_SETTINGS,
  type Piece,
  plainArea,
  plainCoat,
  type Resin,
  type RoomDay,
  roomDays,
} from '@/records';
import { settle } from './settle';
import {
  changedRows,
  keepShop,
  shopOf,
  type KeptShop,
  type Settle,
  type ShopChanges,
  type ShopRows,
} from './shop';
import { plainPiece, plainResin, rowsOf } from './test/rows';

const piece = (id: string, createdMs: number): Piece => plainPiece(id, { createdMs });
const area = (pieceId: string): Area => ({
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018),
  ...{ id: asId(`${pieceId}-face`), pieceId: asId(pieceId) },
});
const resin = (id: string, name: string, densityKgM3?: number): Resin =>
  plainResin(id, {
    name,
    sheet: {
      ...TEST_SHEET,
      ...(densityKgM3 && { densityAKgM3: densityKgM3, densityBKgM3: densityKgM3 }),
    },
  });
const coat = (pieceId: string, order: number, change: Partial<Coat> = {}): Coat => ({
  ...plainCoat(2e-3),
  ...{ id: asId(`${pieceId}-${order}`), pieceId: asId(pieceId), order, kind: 'flood' },
  areaIds: [asId(`${pieceId}-face`)],
  staysM: [2e-3],
  ...{
    name: `Flood ${order}`,
    resinId: asId('r'),
    batchId: null,
    mixedMs: null,
    pouredMs: null,
    coveredMs: null,
  },
  ...{ learned: null, touches: [], intent: { by: 'natural' } },
  ...change,
});
const day = (n: number, temperatureK: number): RoomDay => {
  const source = { how: 'typed', by: '', coatId: null, out: false } as const;
  const [only] = roomDays([
    { atMs: n * 86_400_000, temperatureK, humidity: null, surfaceK: null, source },
  ]);
  if (!only) throw new Error('no day');
  return only;
};
const ROWS = rowsOf({
  pieces: [piece('b', 2), piece('a', 1)],
  areas: [area('a'), area('b')],
  resins: [resin('r', 'Clear')],
  coats: [coat('a', 2), coat('a', 1), coat('b', 1)],
  room: [day(2, 293), day(1, 291)],
});
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
/** As the follower of the shop puts both together. */
function withChanges(kept: KeptShop, changes: ShopChanges, by: Settle): KeptShop {
  const rows = changedRows(kept.rows, changes);
  return rows === kept.rows ? kept : shopOf(rows, kept, by);
}
const change = (rows: readonly unknown[], gone: string[] = []) => ({ rows: rows as never[], gone });

describe('the shop from its rows', () => {
  it('comes in its orders, with the shop’s own settings where none are stored', () => {
    const { shop } = keepShop(ROWS, settle);
    expect(shop.pieces.map((p) => p.id)).toEqual(['a', 'b']);
    expect(shop.coats.map((c) => c.id)).toEqual(['a-1', 'b-1', 'a-2']);
    expect(shop.room.steps.map((s) => s.temperatureK)).toEqual([291, 293]);
    expect(shop.settings).toBe(DEFAULT_SETTINGS);
  });
  it('after a change only what changed is new: other rows, other tables, other settled coats stay', () => {
    const kept = keepShop(ROWS, settle);
    const next = withChanges(
      kept,
      { pieces: change([{ ...piece('a', 1), name: 'Lintel' }]) },
      settle,
    );
    expect(next.shop.pieces.map((p) => p.name)).toEqual(['Lintel', 'b']);
    expect(next.shop.pieces[1]).toBe(kept.shop.pieces[1]);
    expect(next.shop.areas).toBe(kept.shop.areas);
    expect(next.shop.coats).toBe(kept.shop.coats);
  });
  it('rows that were read again and are equal change nothing at all', () => {
    const kept = keepShop(ROWS, settle);
    expect(withChanges(kept, { coats: change(copy(ROWS.coats)), areas: change([]) }, settle)).toBe(
      kept,
    );
  });
  it('rows come, go and move', () => {
    const kept = keepShop(ROWS, settle);
    const more = withChanges(kept, { coats: change([coat('b', 2)], ['a-2', 'unknown']) }, settle);
    expect(more.shop.coats.map((c) => c.id)).toEqual(['a-1', 'b-1', 'b-2']);
    expect(more.shop.coats[0]).toBe(kept.shop.coats[0]);
    const moved = withChanges(more, { coats: change([{ ...coat('b', 1), order: 3 }]) }, settle);
    expect(moved.shop.coats.map((c) => c.id)).toEqual(['a-1', 'b-2', 'b-1']);
  });
});

describe('what is planned follows until it is mixed', () => {
  const films = (rows: ShopRows) =>
    Object.fromEntries(keepShop(rows, settle).shop.coats.map((c) => [c.id, c.thicknessM * 1e3]));
  it('a changed sheet: a denser resin lies thinner by itself', () => {
    expect(films(ROWS)['a-1']).toBeCloseTo(1.523, 3);
    // By hand at 47.5°: 2 lc sin(θ/2) (1 − (1 − m) cos(θ/2)), m = 1 − lc P/A + (16/π) lc²/A; both parts at 1.6 g/ml.
    expect(films({ ...ROWS, resins: [resin('r', 'Clear', 1600)] })['a-1']).toBeCloseTo(1.255, 3);
  });
  it('what is being mixed keeps the film it was mixed for', () => {
    const mixed = { ...ROWS, coats: [coat('a', 1, { batchId: asId('m') }), coat('b', 1)] };
    expect(films(mixed)['a-1']).toBeCloseTo(2, 12);
    expect(films(mixed)['b-1']).toBeCloseTo(1.523, 3);
  });
  it('an intention that cannot be met keeps the film of its row', () => {
    const dome = { ...ROWS, coats: [coat('a', 1, { intent: { by: 'dome', centreM: null } })] };
    expect(films(dome)['a-1']).toBeCloseTo(2, 12);
  });
  it('a settled coat is the same object as long as its film is', () => {
    const kept = keepShop(ROWS, settle);
    const next = withChanges(kept, { coats: change([coat('b', 2)]) }, settle);
    expect(next.shop.coats[0]).toBe(kept.shop.coats[0]);
  });
});
