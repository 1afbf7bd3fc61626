import { coatLedger } from '@/core/coat';
import { mixDensity } from '@/core/resin';
import { TEST_SHEET } from '@/core/resin/test/sheet';
import { asId, type Coat } from '@/records';
import { ledgerInputOf, viewPiece } from './coatView';
import { lossViews } from './losses';
import type { Shop } from './shop';
import { aBatch, aCoat, acts, aFace, at, AT_22, benchShop, HOUR } from './test/bench';
import { plainPiece } from './test/rows';

const NOW = at(2) + 48 * HOUR;
/** So many pours of one coat each; the cup weighed before and after tells what each took, kg. */
function poured(usedKg: readonly number[], change: Partial<Coat> = {}, more: Partial<Shop> = {}) {
  const ids = usedKg.map((_, i) => `c${i}`);
  return benchShop(
    {
      coats: ids.map((id, i) =>
        aCoat(id, 1, {
          pieceId: asId(`p${i}`),
          areaIds: [asId(`f${i}`)],
          batchId: asId(`b${i}`),
          intent: { by: 'over', perMetreM2: 50e-6 },
          ...change,
        }),
      ),
      pieces: ids.map((_, i) => plainPiece(`p${i}`)),
      areas: ids.map((_, i) => aFace({ id: asId(`f${i}`), pieceId: asId(`p${i}`) })),
      batches: usedKg.map((kg, i) =>
        aBatch(`b${i}`, [`c${i}`], {
          events: acts(
            [0, { is: 'weighed A', kg: 0.23, by: 'read' }],
            [2, { is: 'mixed', kg: 0.2, by: 'read' }],
            [3, { is: 'stir started' }],
            [6, { is: 'stirred' }],
            [9, { is: 'cup weighed', kg: 0.5, by: 'read' }],
            [10, { is: 'poured', coatId: `c${i}` }],
            [11, { is: 'cup weighed', kg: 0.5 - kg, by: 'read' }],
          ),
        }),
      ),
      ...more,
    },
    AT_22,
  );
}
/** What the ledger of such a coat says is poured, kg, and how much of it runs off, m³. */
function planned() {
  const shop = poured([0.1]);
  const [piece] = shop.pieces;
  const [seen] = piece ? viewPiece(shop, piece, NOW).coats : [];
  if (!seen) throw new Error('no coat');
  const ledger = coatLedger({ ...ledgerInputOf(seen), learned: null });
  if (!ledger.ok) throw new Error('no ledger');
  const ran = ledger.value.lines.find((l) => l.id === 'run-off')?.volumeM3 ?? 0;
  return { kg: ledger.value.pouredM3 * mixDensity(TEST_SHEET), ran };
}

describe('what weighed cups taught', () => {
  it('nothing was weighed: nothing is told', () => {
    expect(lossViews(benchShop({}, AT_22), NOW)).toEqual([]);
  });
  it('pours of one kind on one support together; what was accepted stands there too', () => {
    const accepted = { support: 'canvas', kind: 'seal', factor: 1.2 } as const;
    const { settings } = benchShop();
    const losses = [accepted] as unknown as typeof settings.losses;
    const views = lossViews(poured([0.1, 0.11], {}, { settings: { ...settings, losses } }), NOW);
    expect(views.map((t) => [t.support, t.kind, t.pours])).toEqual([
      ['canvas', 'seal', 0],
      ['tile', 'flood', 2],
    ]);
    expect(views[0]).toMatchObject({ accepted, learned: null, runOffM2: null });
    expect(views[1]?.accepted).toBeNull();
  });
  it('run-off by what was used: what was poured beyond the ledger ran off, for each metre of edge', () => {
    const { kg, ran } = planned();
    expect(ran).toBeGreaterThan(0);
    const [even] = lossViews(poured([kg]), NOW);
    // 300 × 200 mm: one metre of open edge.
    expect(even?.runOffM2).toBeCloseTo(ran, 9);
    const [more] = lossViews(poured([kg + 0.0215]), NOW);
    // 21.5 g are 20 ml of a mix of 1.075 g/ml.
    expect(more?.runOffM2).toBeCloseTo(ran + 20e-6, 9);
    // The middle of three.
    const [three] = lossViews(poured([kg, kg + 0.0215, kg + 0.0001]), NOW);
    expect(three?.runOffM2).toBeCloseTo(ran + 0.0001 / 1075, 8);
  });
  it('of n alike the edges of all count', () => {
    const { kg, ran } = planned();
    const three = { pieces: [plainPiece('p0', { count: 3 })] };
    const [views] = lossViews(poured([3 * kg], {}, three), NOW);
    // Three metres of edge; what is planned is three times as much, but for what stays in the cup.
    expect(views?.runOffM2 ?? NaN).toBeGreaterThan(0.8 * ran);
    expect(views?.runOffM2 ?? NaN).toBeLessThan(1.2 * ran);
  });
  it('kinds and supports are kept apart, each with what was accepted for it', () => {
    const { settings } = benchShop();
    const factor = (support: string, kind: string, of: number) => ({ support, kind, factor: of });
    const losses = [
      factor('canvas', 'flood', 1.1),
      factor('tile', 'seal', 1.2),
    ] as unknown as typeof settings.losses;
    const views = lossViews(poured([0.1], {}, { settings: { ...settings, losses } }), NOW);
    expect(views.map((t) => [t.support, t.kind, t.pours])).toEqual([
      ['canvas', 'flood', 0],
      ['tile', 'seal', 0],
      ['tile', 'flood', 1],
    ]);
    expect(views.map((t) => (t.accepted as { factor: number } | null)?.factor ?? null)).toEqual([
      1.1,
      1.2,
      null,
    ]);
  });
  it('a coat with colours, and a cup that served several, teach nothing', () => {
    const colours = [{ name: 'teal', share: 0.3, swatchId: null }];
    expect(lossViews(poured([0.1], { colours }), NOW)).toEqual([]);
    const shop = poured([0.1]);
    const [batch] = shop.batches;
    const both = batch && {
      ...batch,
      coatIds: [...batch.coatIds, asId<'coat'>('other')],
      events: acts(
        [0, { is: 'cup weighed', kg: 0.5, by: 'read' }],
        [1, { is: 'poured', coatId: 'c0' }],
        [2, { is: 'poured', coatId: 'other' }],
        [3, { is: 'cup weighed', kg: 0.3, by: 'read' }],
      ),
    };
    expect(lossViews({ ...shop, batches: both ? [both] : [] }, NOW)).toEqual([]);
  });
});
