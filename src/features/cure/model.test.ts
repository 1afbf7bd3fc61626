import { demoView, NOW, plain } from '../test/shop';
import { pieceViews } from '@/shop/coatView';
import { placeOnBar } from './CureBar';
import { maskOf, windowRows } from './model';

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
    const rows = windowRows(top, shop, NOW);
    expect(rows.map((r) => r.status)).toEqual(['open', 'before', 'before', 'before']);
    expect(plain(rows[0]?.words ?? '')).toMatch(/^✓ open, \d h \d+ min left$/);
  });
  it.each([
    ['cloth tape', 'Take cloth tape off', 'noFlowS', 'leatheryS'],
    ['painter’s tape', 'Take painter’s tape off', 'leatheryS', 'unmaskClosesS'],
    ['PVA glue', 'Peel the glue', 'handleS', null],
  ] as const)('the mask comes off as %s does', (mask, title, from, to) => {
    const { times } = top.resin.sheet;
    const other = { ...top, piece: { ...top.piece, prep: { ...top.piece.prep, mask } } };
    const bare = { ...shop, tasks: [] };
    const [row] = windowRows(other, bare, NOW);
    expect(row).toMatchObject({ kind: 'unmask', title, opensRipeS: times[from] });
    expect(row?.closesRipeS).toBe(to === null ? null : times[to]);
  });
  it('what stands under the coat goes before the school, and nothing masked has no such window', () => {
    const latex = { ...top, piece: { ...top.piece, prep: { mask: 'latex' as const } } };
    expect(maskOf(latex, shop)).toBe('painter’s tape');
    expect(maskOf(latex, { ...shop, tasks: [] })).toBe('latex');
    const none = {
      ...top,
      piece: { ...top.piece, prep: { ...top.piece.prep, mask: 'none' } },
    } as const;
    const kinds = windowRows(none, { ...shop, tasks: [] }, NOW).map((r) => r.kind);
    expect(kinds).toEqual(['recoat', 'handle', 'warm load']);
  });
  it('places now inside its state’s share of the bar', () => {
    const at = placeOnBar(clock.spans, NOW) * clock.spans.length;
    expect(Math.floor(at)).toBe(clock.spans.findIndex((s) => s.state === 'leathery'));
    expect(placeOnBar(clock.spans, clock.spans[0]?.fromMs ?? 0)).toBe(0);
    expect(placeOnBar(clock.spans, NOW + 1e12)).toBeLessThan(1);
  });
});
