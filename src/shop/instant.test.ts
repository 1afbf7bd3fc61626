import { TEST_SHEET } from '@/core/resin/test/sheet';
import type { WetEvent } from '@/core/wet';
import {
  asId,
  BATCHES,
  COATS,
  DEFECTS,
  DEFAULT_SETTINGS,
  plainArea,
  plainCoat,
  type Area,
  type Batch,
  type Coat,
  type Defect,
} from '@/records';
import { atInstant, type Ask } from './instant';
import { settle } from './settle';
import { keepShop, type ShopRows } from './shop';
import { plainPiece, plainResin, rowsOf } from './test/rows';

const HOUR = 3_600_000;
const NOW = 1000 * HOUR;
const piece = plainPiece('p', { name: 'Sill' });
const face: Area = {
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018, ['open']),
  ...{ id: asId('face'), pieceId: piece.id },
};
const resin = plainResin('r');
const coat = (order: number, change: Partial<Coat> = {}): Coat => ({
  ...COATS.defaults,
  ...plainCoat(1.6e-3),
  ...{ id: asId(`c${order}`), pieceId: piece.id, areaIds: [face.id], order, resinId: resin.id },
  name: `Flood ${order}`,
  ...change,
});
/** A coat that was poured so many hours ago; nobody read the room, so it is at the sheet’s own temperature. */
const poured = (order: number, hours: number): Coat => {
  const pouredMs = NOW - hours * HOUR;
  return coat(order, { mixedMs: pouredMs, pouredMs, coveredMs: pouredMs });
};
const batch: Batch = {
  ...BATCHES.defaults,
  ...{ id: asId('b'), sessionId: asId('s'), resinId: resin.id, coatIds: [asId('c1')] },
  ...{ targetM3: 1e-4, targetAKg: 0.1, targetBKg: 0.1 },
};
const shopOf = (rows: Partial<ShopRows>) =>
  keepShop(
    rowsOf({
      ...{ settings: [DEFAULT_SETTINGS], pieces: [piece], areas: [face], resins: [resin] },
      ...rows,
    }),
    settle,
  ).shop;
const asks = (rows: Partial<ShopRows>): readonly Ask[] =>
  atInstant(shopOf(rows), NOW).pieces[0]?.asks ?? [];
const kinds = (rows: Partial<ShopRows>) => asks(rows).map((a) => a.is);

describe('what a piece asks for', () => {
  it('a plan, while it has none; its steps, once it has one; time, while a coat cures', () => {
    expect(kinds({})).toEqual(['plan']);
    expect(kinds({ coats: [coat(1)] })).toEqual(['prepare']);
    expect(kinds({ coats: [poured(1, 1)] })).toEqual(['cure']);
    expect(kinds({ coats: [poured(1, 900)] })).toEqual(['hand over']);
  });
  it('a defect goes before everything else; one that was repaired asks for nothing', () => {
    const defect: Defect = {
      ...{ id: asId('d'), pieceId: piece.id, coatId: null, kind: 'bubbles', note: '' },
      ...DEFECTS.defaults,
      foundMs: 0,
    };
    expect(kinds({ coats: [coat(1)], defects: [defect] })).toEqual(['put right', 'prepare']);
    const repaired = { ...defect, repairedMs: 1 };
    expect(kinds({ coats: [coat(1)], defects: [repaired] })).toEqual(['prepare']);
  });
  it('a mixed coat is to be poured, whatever else is open', () => {
    const half = { kg: 0.05, by: 'read', atMs: NOW } as const;
    const events: WetEvent[] = [
      { is: 'weighed A', ...half, id: 'a' },
      { is: 'mixed', ...half, id: 'b' },
    ];
    const mixed = { ...batch, events };
    const rows = { coats: [coat(1, { batchId: batch.id })], batches: [mixed] };
    expect(kinds(rows)).toEqual(['pour']);
    expect(kinds({ ...rows, batches: [batch] })).toEqual(['hand over']);
  });
  it('steps before a coat end where the window of the one below shuts, as long as it has not', () => {
    const closes = (hours: number) =>
      asks({ coats: [poured(1, hours), coat(2)] }).find((a) => a.is === 'prepare')?.closesMs;
    const { times } = TEST_SHEET;
    const shutMs = (hours: number) => NOW + times.recoatClosesS * 1000 - hours * HOUR;
    const open = (times.recoatOpensS + times.recoatClosesS) / 2 / 3600;
    expect(closes(open)).toBeCloseTo(shutMs(open), -1);
    expect(closes(times.recoatClosesS / 3600 + 1)).toBeNull();
  });
});

describe('a session at an instant', () => {
  const session = {
    ...{ id: asId<'session'>('s'), resinId: resin.id, coatIds: [asId<'coat'>('c1')] },
    ...{ startedMs: NOW, endedMs: null },
  };
  const rows = { coats: [coat(1, { batchId: batch.id })], sessions: [session] };
  it('its working time runs from the mix; a sheet’s own mass and temperature give the sheet’s time', () => {
    const half = { kg: TEST_SHEET.workingMassKg / 2, by: 'read', atMs: NOW } as const;
    const events: WetEvent[] = [
      { is: 'weighed A', ...half, id: 'a' },
      { is: 'mixed', ...half, id: 'b' },
    ];
    const at = (n: number) =>
      atInstant(shopOf({ ...rows, batches: [{ ...batch, events: events.slice(0, n) }] }), NOW)
        .sessions[0];
    expect(at(1)?.workingEndsMs).toBeNull();
    const mixed = at(2);
    expect(mixed?.workingEndsMs).toBeCloseTo(NOW + TEST_SHEET.times.workingS * 1000, -1);
    expect(mixed?.step).toBe('stir');
    expect(mixed?.coats.map((c) => c.name)).toEqual(['Flood 1']);
  });
  it('one that is over, or has lost its batch, is none', () => {
    const over = { ...session, endedMs: NOW };
    expect(
      atInstant(shopOf({ ...rows, sessions: [over], batches: [batch] }), NOW).sessions,
    ).toEqual([]);
    expect(atInstant(shopOf(rows), NOW).sessions).toEqual([]);
  });
  it('is made once for all that ask at one instant', () => {
    const shop = shopOf({ ...rows, batches: [batch] });
    expect(atInstant(shop, NOW)).toBe(atInstant(shop, NOW));
    expect(atInstant(shop, NOW + 1)).not.toBe(atInstant(shop, NOW));
  });
});
