import { coatLedger } from '@/core/coat';
import { filmChecksOf, ledgerInputOf, mixingChecksOf, pieceViews, splitOf } from '@/shop/coatView';
import { demoView, NOW } from '@/features/test/shop';
import { isPhysics, plainWords } from './plainWords';

describe('plain words', () => {
  it('stand first in every number of every coat of the demo', () => {
    const shop = demoView();
    const titles = new Set<string>();
    for (const view of pieceViews(shop, NOW).flatMap((p) => p.coats)) {
      const ledger = coatLedger(ledgerInputOf(view));
      if (!ledger.ok) continue;
      for (const line of ledger.value.lines) titles.add(line.explanation.title);
      for (const check of filmChecksOf(view, ledger.value, shop.room))
        titles.add(check.explanation.title);
      const split = splitOf(ledger.value, view.resin);
      if (!split) continue;
      for (const check of mixingChecksOf(view, split, shop.settings, shop.room))
        titles.add(check.explanation.title);
    }
    expect(titles.size).toBeGreaterThan(10);
    expect([...titles].filter((t) => plainWords(t) === null)).toEqual([]);
  });
  it('are told by how a title begins where it names its thing', () => {
    expect(plainWords('Dry: latex')).toMatch(/dries/);
    expect(plainWords('A title of nothing')).toBeNull();
  });
  it('arithmetic stays in sight, physics is folded', () => {
    expect(isPhysics('area × film')).toBe(false);
    expect(isPhysics('π · d² / 4')).toBe(false);
    expect(isPhysics('2 lc sin(θ/2)/g')).toBe(true);
    expect(isPhysics('t₀ · exp((d − C₀) / Dp)')).toBe(true);
  });
});
