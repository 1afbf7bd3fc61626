import { ledgerArea } from '@/core/coat';
import { totalExplanation } from '@/core/coat';
import {
  splitMix,
  scaleExplanation,
  splitExplanation,
  wantedBExplanation,
  workingExplanation,
  clockExplanation,
  mixDensity,
} from '@/core/resin';
import { type Area } from '@/records';
import { pieceViews, splitOf, clockNow } from '@/shop/coatView';
import { ledgerOf } from '@/shop/coatView';
import { demoView, METRIC, NOW } from '../features/test/shop';

const shop = demoView();
const views = pieceViews(shop, NOW);

describe('explanations', () => {
  const view = views.find((v) => v.piece.name === 'Viaduct painting');
  const coat = view?.upcoming;
  const top = view?.top;
  if (!view || !coat || !top) throw new Error('demo changed');
  const ledger = ledgerOf(coat);
  const split = ledger.ok ? splitOf(ledger.value, coat.resin) : null;
  if (!ledger.ok || !split) throw new Error('no ledger');
  const all = [
    ...ledger.value.lines.map((l) => l.explanation),
    totalExplanation(ledger.value, mixDensity(coat.resin.sheet)),
    splitExplanation(split, coat.resin.sheet, 'A'),
    wantedBExplanation(split.aKg, coat.resin.sheet),
    scaleExplanation(split, 1e-4),
    workingExplanation(coat.resin.sheet, split.totalKg, 295.15),
    clockExplanation(clockNow(top, shop.room, NOW), 'Recoat opens', 32400, 4e6),
  ];

  it.each(all.map((e) => [e.title, e] as const))(
    '%s: formula, finite inputs with their source, own source',
    (_t, e) => {
      expect(e.formula.length).toBeGreaterThan(3);
      expect(e.source.length).toBeGreaterThan(10);
      expect(e.inputs.length).toBeGreaterThan(0);
      for (const input of e.inputs) {
        expect(Number.isFinite(input.value)).toBe(true);
        expect(METRIC.show(input.value, input.quantity).text).not.toContain('NaN');
        expect(input.source.length).toBeGreaterThan(3);
      }
    },
  );

  it('the inputs give the number: weight of B from its own opened inputs', () => {
    const { inputs } = wantedBExplanation(0.2, coat.resin.sheet);
    const value = (label: string) => inputs.find((i) => i.label.includes(label))?.value ?? NaN;
    const byHand =
      (0.2 * value(', b') * value('density of B')) / (value(', a') * value('density of A'));
    expect(value('part B')).toBeCloseTo(byHand, 12);
  });

  it('the lines of the total add up to the mix', () => {
    const { inputs } = totalExplanation(ledger.value, mixDensity(coat.resin.sheet));
    const sum = inputs.filter((i) => i.quantity === 'volume').reduce((s, i) => s + i.value, 0);
    expect(sum).toBeCloseTo(ledger.value.totalM3, 15);
  });

  it('a ratio by weight is not scolded', () => {
    const tarn = shop.resins.find((r) => r.name === 'Tarn Quick');
    const byMass = tarn && splitMix(1e-4, tarn.sheet);
    if (!tarn || !byMass?.ok) throw new Error('demo changed');
    expect(splitExplanation(byMass.value, tarn.sheet, 'A').note).toBe(
      'The sheet gives this ratio by weight.',
    );
  });

  it('counts open edges only', () => {
    const area = view.areas[0];
    const open = (a: Area) => ledgerArea(a, 1).openEdges.reduce((sum, e) => sum + e.areaM2, 0);
    // Two short sides and a long one of 600 × 400 mm, 18 mm thick.
    expect(area && open(area)).toBeCloseTo(1.4 * 0.018, 12);
    const closed = (a: Area): Area => ({
      ...a,
      edges: a.edges.map((e) => ({ ...e, kind: 'doming' })),
    });
    expect(area && open(closed(area))).toBe(0);
  });
});
