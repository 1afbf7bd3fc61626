import { demoView, NOW, plain } from '../test/shop';
import { pieceViews } from '@/shop/coatView';
import { placeOnBar } from './CureBar';
import { windowRows } from './model';

const shop = demoView();
const views = pieceViews(shop, NOW);
const piece = (name: string) => {
  const view = views.find((v) => v.piece.name === name);
  if (!view) throw new Error(name);
  return view;
};

describe('cure', () => {
  const top = piece('Hall tiles').top;
  if (!top?.clock) throw new Error('no clock');
  const clock = top.clock;
  it('says what each window is now', () => {
    const rows = windowRows(top, NOW);
    expect(rows.map((r) => r.status)).toEqual(['open', 'before', 'before', 'before']);
    expect(plain(rows[0]?.words ?? '')).toMatch(/^✓ open, \d h \d+ min left$/);
  });
  it('places now inside its state’s share of the bar', () => {
    const at = placeOnBar(clock.spans, NOW) * clock.spans.length;
    expect(Math.floor(at)).toBe(clock.spans.findIndex((s) => s.state === 'leathery'));
    expect(placeOnBar(clock.spans, clock.spans[0]?.fromMs ?? 0)).toBe(0);
    expect(placeOnBar(clock.spans, NOW + 1e12)).toBeLessThan(1);
  });
});
