import { hollowVolume, pitVolume } from '@/core/inspect';
import { mixDensity, smallestBatchKg } from '@/core/resin';
import { TEST_SHEET } from '@/core/resin/test/sheet';
import { asId, NOT_LOOKED, plainArea, type Area, type Defect } from '@/records';
import { viewPiece } from './coatView';
import { causesOf } from './findings';
import { rescueFacts, rescuesOf } from './rescues';
import type { Shop } from './shop';
import { aCoat, aDefect, aFace, at, AT_22, benchShop, HOUR } from './test/bench';
import { plainResin } from './test/rows';

/** Two days on, in a room at the sheet's own 22 °C: the coat is hard. */
const NOW = at(2) + 48 * HOUR;
const priced = plainResin('resin', { price: { amount: 20, per: 'l' } });
const look = (change: Partial<Defect['look']>): Defect['look'] => ({
  ...NOT_LOOKED,
  ...change,
});
const ways = (defect: Defect, change: Partial<Shop> = {}) => {
  const shop = benchShop({ resins: [priced], defects: [defect], ...change }, AT_22);
  const [piece] = shop.pieces;
  if (!piece) throw new Error('no piece');
  const view = viewPiece(shop, piece, NOW);
  const why = causesOf(shop, defect);
  const all = rescuesOf(shop, view, defect, why, NOW);
  return {
    all,
    facts: rescueFacts(shop, view, defect, why, NOW),
    of: (kind: string) => all.find((w) => w.kind === kind),
  };
};
const spot = (change: Partial<Defect> = {}) =>
  aDefect('d', {
    kind: 'dimples',
    look: look({ count: 3, sizeM: 6e-3, depthM: 0.4e-3 }),
    ...change,
  });
const back: Area = {
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018, ['open'], 'back'),
  id: asId('back'),
  pieceId: asId('piece'),
  porosity: 'sealed',
};

describe('ways back from a finding', () => {
  it('a coat over the face: by the ledger of any coat, at the price of its resin, on top of what lies', () => {
    const laid = ways(spot()).all.filter((w) => w.coat !== null && w.spotM3 === null);
    expect(laid.length).toBeGreaterThan(0);
    for (const { coat, cost, handsS, doneMs, pourMs } of laid) {
      if (!coat) throw new Error('no coat');
      expect(coat.row).toMatchObject({
        order: 2,
        areaIds: ['face'],
        coverage: 1,
        resinId: 'resin',
      });
      expect(coat.mixKg).toBeCloseTo(coat.mixM3 * mixDensity(TEST_SHEET), 12);
      expect(coat.leastKg).toBe(smallestBatchKg(TEST_SHEET, benchShop().settings.scaleDigitKg));
      expect(cost).toBeCloseTo(20 * coat.mixM3 * 1000 + benchShop().settings.consumables, 9);
      // Forty minutes to mix and pour at least; 18 h at 22 °C to bear handling.
      expect(handsS).toBeGreaterThanOrEqual(2400);
      expect(pourMs).toBeGreaterThanOrEqual(NOW);
      expect(doneMs - pourMs).toBeCloseTo(18 * HOUR, -4);
    }
  });
  it('by weight the price goes by the kilogram; without a price there is no cost', () => {
    const byKg = [plainResin('resin', { price: { amount: 20, per: 'kg' } })];
    const [flood] = ways(spot(), { resins: byKg }).all.filter((w) => w.coat && w.spotM3 === null);
    expect(flood?.cost).toBeCloseTo(
      20 * (flood?.coat?.mixKg ?? NaN) + benchShop().settings.consumables,
      9,
    );
    const [free] = ways(spot(), { resins: [plainResin('resin')] }).all.filter((w) => w.coat);
    expect(free?.cost).toBeNull();
  });
  it('a spot is filled as deep as it is, over so much of the face as it takes', () => {
    const filled = ways(spot()).all.find((w) => w.coat && w.spotM3 !== null);
    // Three caps of 6 mm, 0.4 mm deep; three discs of 3 mm radius on 300 × 200 mm.
    expect(filled?.spotM3).toBeCloseTo(3 * pitVolume(6e-3, 0.4e-3), 15);
    expect(filled?.coat?.row.intent).toEqual({ by: 'given', thicknessM: 0.4e-3 });
    expect(filled?.coat?.row.coverage).toBeCloseTo(
      Math.max(1e-3, (3 * Math.PI * 3e-3 ** 2) / 0.06),
      12,
    );
    const wide = ways(spot({ look: look({ count: 40, sizeM: 50e-3, depthM: 1e-3 }) }));
    expect(wide.all.find((w) => w.coat && w.spotM3 !== null)?.coat?.row.coverage).toBe(1);
  });
  it('where nobody told its size, a spot is 10 mm wide and 1 mm deep, and its volume is not told', () => {
    const untold = ways(spot({ look: look({ count: 9 }) })).all.find(
      (w) => w.coat?.row.intent.by === 'given',
    );
    expect(untold).toMatchObject({ spotM3: null });
    expect(untold?.coat?.row.intent).toEqual({ by: 'given', thicknessM: 1e-3 });
    expect(untold?.coat?.row.coverage).toBeCloseTo((9 * Math.PI * 5e-3 ** 2) / 0.06, 12);
  });
  it('a soft spot is scraped out as a hollow', () => {
    const soft = ways(spot({ kind: 'soft spot', look: look({ sizeM: 20e-3, depthM: 2e-3 }) }));
    const scraped = soft.all.find((w) => w.spotM3 !== null);
    expect(scraped?.spotM3).toBeCloseTo(hollowVolume(20e-3, 2e-3), 15);
  });
  it('the place that was pointed at takes the patch, not the first of the coat', () => {
    const two: Partial<Shop> = {
      areas: [aFace(), aFace({ id: asId('lid') })],
      coats: [aCoat('flood', 1, { areaIds: [asId('face'), asId('lid')], staysM: [2e-3, 2e-3] })],
    };
    const on = (defect: Defect) =>
      ways(defect, two).all.find((w) => w.coat && w.spotM3 !== null)?.coat?.row.areaIds;
    expect(on(spot())).toEqual(['face']);
    expect(on(spot({ at: { areaId: asId('lid'), point: [0, 0] } }))).toEqual(['lid']);
    const over = ways(spot(), two).all.find((w) => w.coat && w.spotM3 === null);
    expect(over?.coat?.row.areaIds).toEqual(['face', 'lid']);
  });
  it('what needs no resin costs none, and lays no coat', () => {
    const polished = ways(spot()).all.filter((w) => w.refused === null && w.coat === null);
    for (const way of polished) expect(way).toMatchObject({ cost: 0, spotM3: null, prep: [] });
  });
});

describe('what a way back is judged by', () => {
  const facts = (change: Partial<Shop> = {}, defect = spot()) => ways(defect, change).facts;
  it('the film, the support and where it has been', () => {
    expect(facts()).toMatchObject({
      film: 'hard',
      support: 'tile',
      allOver: false,
      hasBack: false,
      hasFace: true,
      hasEdge: true,
      holdsDome: false,
      neverCures: false,
    });
    expect(facts({}, spot({ kind: 'tacky all over' })).allOver).toBe(true);
    expect(
      facts({}, spot({ kind: 'tacky all over', look: look({ allOver: false }) })).allOver,
    ).toBe(false);
  });
  it('a back that is not bare; edges that all hold a dome', () => {
    expect(facts({ areas: [aFace(), back] }).hasBack).toBe(true);
    expect(facts({ areas: [aFace(), { ...back, bare: true }] }).hasBack).toBe(false);
    const doming = (kinds: readonly ('doming' | 'open')[]) => {
      const face = aFace();
      const edges = face.edges.map((e, i) => ({ ...e, kind: kinds[i % kinds.length] ?? 'open' }));
      return facts({ areas: [{ ...face, edges }] }).holdsDome;
    };
    expect(doming(['doming'])).toBe(true);
    expect(doming(['doming', 'open'])).toBe(false);
    expect(facts({ areas: [aFace({ edges: [] })] })).toMatchObject({
      hasEdge: false,
      holdsDome: false,
    });
  });
  it('a finding of no coat is on the faces, not on the back', () => {
    const bare = spot({ coatId: null });
    expect(facts({ areas: [back], coats: [] }, bare).hasFace).toBe(false);
    expect(facts({ areas: [aFace(), back], coats: [] }, bare).hasFace).toBe(true);
  });
});
