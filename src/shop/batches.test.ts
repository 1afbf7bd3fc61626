import { asId, DEFAULT_SETTINGS, stateOf, type Batch } from '@/records';
import { demoView, NOW } from '@/features/test/shop';
import {
  checksOf,
  cupsOf,
  fillersOf,
  proposeBatches,
  type BatchLimits,
  type SharedOut,
} from './batches';
import { ledgerInputOf, ledgerOf, pieceViews, type CoatView } from './coatView';
import { lossViews } from './losses';
import type { Shop } from './shop';

const SHOP = demoView();
const coatNamed = (piece: string, coat: string, shop: Shop = SHOP): CoatView => {
  const view = pieceViews(shop, NOW).find((v) => v.piece.name === piece);
  const found = view?.coats.find((c) => c.coat.name === coat);
  if (!found) throw new Error(`no ${coat} on ${piece}`);
  return found;
};
const RELIEF = coatNamed('Relief map', 'Flood 2');
const VIADUCT = coatNamed('Viaduct painting', 'Flood 2');
const COASTERS = coatNamed('Buffet coasters', 'Flood 1');
const limits = (more: Partial<BatchLimits> = {}): BatchLimits => ({
  ...{ resin: RELIEF.resin, roomK: 295.35, stepKg: { a: 1e-4, b: 1e-4 }, pourS: 360 },
  ...{ greatestKg: null, cupM3: null, ...more },
});
const names = (
  views: readonly CoatView[],
  more: Partial<BatchLimits> = {},
  how: SharedOut = 'as few as are safe',
) => proposeBatches(views, how, limits(more))?.map((b) => b.views.map((v) => v.piece.name));

describe('batches that are proposed', () => {
  const three = [RELIEF, VIADUCT, COASTERS];
  it('all in one while it fits, with one cup and one reserve', () => {
    const [one, ...others] = proposeBatches(three, 'as few as fit', limits()) ?? [];
    expect(others).toEqual([]);
    const alone = proposeBatches(three, 'each by itself', limits()) ?? [];
    expect(alone).toHaveLength(3);
    const sum = alone.reduce((s, b) => s + b.plan.totalM3, 0);
    expect(one?.plan.totalM3).toBeLessThan(sum);
    const poured = three
      .map((v) => ledgerOf(v))
      .reduce((s, l) => s + (l.ok ? l.value.pouredM3 : NaN), 0);
    expect(one?.plan.coats.reduce((s, c) => s + c.pouredM3, 0)).toBeCloseTo(poured, 12);
  });
  it('apart where a cup of all would be dangerous, or cannot be poured in its working time', () => {
    expect(names(three, { greatestKg: 0.56 })).toEqual([
      ['Relief map', 'Buffet coasters'],
      ['Viaduct painting'],
    ]);
    // The other school: what is poured in time is not forgotten.
    expect(names(three, { greatestKg: 0.56 }, 'as few as fit')).toHaveLength(1);
    expect(names(three, { cupM3: 5e-4 }, 'as few as fit')).toEqual([
      ['Relief map', 'Buffet coasters'],
      ['Viaduct painting'],
    ]);
    // Ten minutes a piece after a stir of four and a rest of two: two coats in half an hour, not three.
    const slow = names(three, { pourS: 600 });
    expect(slow).toHaveLength(2);
    expect(slow?.flat().sort()).toEqual(three.map((v) => v.piece.name).sort());
    // One that is too much by itself is still one.
    expect(names([VIADUCT], { greatestKg: 0.1 })).toEqual([['Viaduct painting']]);
  });
  it('too little to measure is put with another where it can be', () => {
    const line = coatNamed('Dining-car serving board', 'Barrier');
    const coarse = { a: 1e-3, b: 1e-3 };
    const alone = proposeBatches([line], 'as few as fit', limits({ stepKg: coarse }));
    const checks = alone?.[0] ? checksOf(alone[0], limits({ stepKg: coarse })) : [];
    expect(checks.find((c) => c.is === 'measure')?.verdict).toBe('watch');
    expect(names([line, RELIEF], { stepKg: coarse })).toHaveLength(1);
  });
  it('nothing where there are more coats than can be looked at', () => {
    const many = Array.from({ length: 13 }, () => RELIEF);
    expect(proposeBatches(many, 'as few as fit', limits())).toBeNull();
    expect(proposeBatches(many, 'one batch', limits())).toHaveLength(1);
    expect(proposeBatches([], 'as few as fit', limits())).toBeNull();
  });
});

it('what is left over goes onto what is small enough for it, the largest first', () => {
  const [line, lens] = [
    coatNamed('Dining-car serving board', 'Barrier'),
    coatNamed('Signal lamp lens', 'Dome'),
  ];
  const ready = [line, RELIEF, lens];
  expect(fillersOf(ready, [RELIEF], 30e-6)).toEqual([lens, line]);
  expect(fillersOf(ready, [RELIEF], 14e-6)).toEqual([line]);
  expect(fillersOf(ready, [RELIEF, line], 14e-6)).toEqual([]);
});

describe('cups of colour', () => {
  it('are cut from what is poured of their coat, white last over all coats', () => {
    const art = coatNamed('Lamp-room tray', 'Colours');
    const cups = cupsOf([art], art.resin, SHOP.swatches);
    expect(cups.map((c) => c.colour)).toEqual(['teal', 'pearl']);
    const ledger = ledgerOf(art);
    const poured = ledger.ok ? ledger.value.pouredM3 : NaN;
    const { densityAKgM3, densityBKgM3 } = art.resin.sheet;
    // Half of it each by volume.
    expect(cups[0]?.kg).toBeCloseTo((0.2 * poured * (densityAKgM3 + densityBKgM3)) / 2, 6);
    const twice = {
      ...art,
      coat: { ...art.coat, colours: [...art.coat.colours, ...art.coat.colours] },
    };
    const doubled = cupsOf([twice], art.resin, SHOP.swatches);
    expect(doubled.map((c) => c.kg)).toEqual(cups.map((c) => expect.closeTo(2 * c.kg, 12)));
    expect(cupsOf([RELIEF], RELIEF.resin, SHOP.swatches)).toEqual([]);
  });
});

describe('losses that are learned', () => {
  /** Floods of the demo with a cup that was weighed around each pour: so much over the plan. */
  function weighed(over: number): Shop {
    // All on one support: the demo has too few of each.
    const pieces = SHOP.pieces.map((p) => ({ ...p, support: 'sealed panel' as const }));
    const base = { ...SHOP, pieces };
    const batches = SHOP.batches.map((batch): Batch => {
      const { poured } = stateOf(batch);
      const [coatId] = poured.keys();
      const seen = pieceViews(base, NOW)
        .flatMap((v) => v.coats)
        .find((c) => c.coat.id === coatId);
      const ledger = seen && ledgerOf(seen);
      if (!seen || !ledger?.ok || poured.size !== 1) return batch;
      const kg = ledger.value.totalKg;
      const used = ((ledger.value.pouredM3 * kg) / ledger.value.totalM3) * over;
      const at = batch.events.findIndex((e) => e.is === 'poured');
      const cup = (id: string, weight: number) => ({
        ...({ is: 'cup weighed', kg: weight, by: 'read' } as const),
        ...{ id: `${batch.id}-${id}`, atMs: batch.events[at]?.atMs ?? 0 },
      });
      return {
        ...batch,
        events: [
          ...batch.events.slice(0, at),
          cup('full', 5),
          ...batch.events.slice(at, at + 1),
          cup('left', 5 - used),
          ...batch.events.slice(at + 1),
        ],
      };
    });
    return { ...base, batches };
  }
  it('by support and kind, from three pours on; nothing is planned with them before they are accepted', () => {
    const shop = weighed(1.1);
    const views = lossViews(shop, NOW);
    const sure = views.filter((v) => v.learned);
    expect(sure.length).toBeGreaterThan(0);
    for (const { learned, pours } of sure) {
      expect(learned?.factor).toBeCloseTo(1.1, 6);
      expect(learned?.spread).toBeCloseTo(0, 6);
      expect(pours).toBeGreaterThanOrEqual(3);
    }
    for (const v of views) expect([v.accepted, v.learned === null]).toEqual([null, v.pours < 3]);
    expect(lossViews(SHOP, NOW)).toEqual([]);
    expect(ledgerInputOf(RELIEF).learned).toBeNull();
  });
  it('once accepted the next coats are mixed with them; what was poured before is not', () => {
    const { support } = RELIEF.piece;
    const loss = { factor: 1.1, count: 14, spread: 0.04, acceptedMs: NOW - 1000 };
    const losses = [{ support, kind: 'flood' as const, ...loss }];
    const shop = { ...SHOP, settings: { ...DEFAULT_SETTINGS, losses } };
    const after = coatNamed('Relief map', 'Flood 2', shop);
    const [was, is] = [ledgerOf(RELIEF), ledgerOf(after)].map((l) =>
      l.ok ? l.value.pouredM3 : NaN,
    );
    expect(is).toBeCloseTo((was ?? NaN) * 1.1, 12);
    const below = coatNamed('Relief map', 'Flood 1', shop);
    expect(ledgerInputOf(below).learned).toBeNull();
    const given = {
      ...after,
      coat: { ...after.coat, intent: { by: 'mix' as const, volumeM3: 1e-4 } },
    };
    expect(ledgerInputOf(given).learned).toBeNull();
    expect(
      ledgerInputOf({ ...after, piece: { ...after.piece, support: 'tile', id: asId('x') } })
        .learned,
    ).toBeNull();
  });
});
