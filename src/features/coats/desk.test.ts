import { roomOf } from '@/shop/room';
import { splitExplanation } from '@/core/resin';
import { demoView, METRIC, NOW, plain } from '../test/shop';
import { withFilm } from '@/shop/coatFacts';
import {
  filmChecksOf,
  groundOf,
  ledgerOf,
  pieceViews,
  type CoatView,
  splitOf,
  mixingChecksOf,
} from '@/shop/coatView';
import { checkWords } from './checkWords';
import { ruleWords } from './model';
import { DEFAULT_SETTINGS } from '@/records';

const shop = demoView();
const views = pieceViews(shop, NOW);
const piece = (name: string) => {
  const view = views.find((v) => v.piece.name === name);
  if (!view) throw new Error(name);
  return view;
};

describe('coats on the desk', () => {
  const view = piece('Viaduct painting');
  const upcoming = view.upcoming;
  if (!upcoming) throw new Error('no planned coat');
  const ledger = ledgerOf(upcoming);
  if (!ledger.ok) throw new Error('no ledger');

  it('counts film on the face by hand: 600 × 400 mm × 1.8 mm = 432 ml', () => {
    expect((ledger.value.lines[0]?.volumeM3 ?? 0) * 1e6).toBeCloseTo(432, 9);
  });
  it('counts only the open edges: 2 × 0.4 + 0.6 m of 18 mm', () => {
    const edges = ledger.value.lines.find((l) => l.id === 'edges');
    expect(edges?.explanation.inputs[0]?.value).toBeCloseTo(1.4 * 0.018, 12);
  });
  it('tells limits, scale and working time, each with an explanation', () => {
    const split = splitOf(ledger.value, upcoming.resin);
    if (!split) throw new Error('no split');
    const checks = mixingChecksOf(upcoming, split, DEFAULT_SETTINGS, roomOf([]));
    expect(checks.map((c) => c.verdict)).toEqual(['fine', 'fine', 'fine']);
    const thick = mixingChecksOf(
      { ...upcoming, coat: { ...upcoming.coat, thicknessM: 0.02 } },
      split,
      { scaleDigitKg: 0.01 },
      roomOf([]),
    );
    expect(thick.map((c) => c.verdict)).toEqual(['stop', 'watch', 'fine']);
    expect(splitExplanation(split, upcoming.resin.sheet, 'B').note).toContain('17.3 % too much B');
  });
  it('tells what the film will do, each with its number', () => {
    const told = (thicknessM: number, name = 'Viaduct painting') => {
      const { upcoming } = piece(name);
      if (!upcoming) throw new Error('no coat');
      const around = { ...upcoming.around, coats: [] };
      const own = { ...upcoming.coat, intent: { by: 'given', thicknessM } as const };
      const ground = groundOf({ ...upcoming, around });
      const coat = withFilm(own, thicknessM, ground, upcoming.resin.sheet);
      const alone: CoatView = { ...upcoming, coat, around };
      const read = ledgerOf(alone, {});
      const mixed = read.ok ? read.value : null;
      return checkWords(filmChecksOf(alone, mixed, roomOf([])), METRIC).map(
        (c) => `${c.verdict}: ${plain(c.title)}`,
      );
    };
    // 600 × 400 mm: open edges hold about 1.0 to 1.9 mm; 10 % of 1.8 mm over 600 mm is 0.3 mm/m.
    expect(told(1.8e-3)).toEqual([
      'fine: Open edges hold it',
      'watch: A spirit level is not enough',
      'fine: Edges as drained',
      'fine: Waves level in time',
      'fine: Bubbles rise in time',
    ]);
    expect(told(0.6e-3)).toContain('watch: Draws back at open edges');
    // A mix that cures stays thin longer than one that doubles every twelve minutes: 0.6 mm levels, 0.3 mm does not.
    expect(told(0.6e-3)).toContain('fine: Waves level in time');
    expect(told(0.3e-3)).toContain('watch: Long waves stay');
    expect(told(3e-3)[0]).toMatch(/^watch: 2[34]\d ml run off open edges$/);
    // A dome instead of an open edge; a 160 mm lens is level by a spirit level.
    expect(told(1.6e-3, 'Signal lamp lens').slice(0, 2)).toEqual([
      'fine: The dome holds',
      'fine: Level enough',
    ]);
    expect(told(2.2e-3, 'Signal lamp lens')[0]).toBe('watch: Dome close to spilling');
    expect(told(3.5e-3, 'Signal lamp lens')[0]).toBe('stop: The dome spills');
  });
  it('shows the rule of thumb and what it hides', () => {
    expect(ruleWords('six', 0.09290304).volumeM3 / 29.5735e-6).toBeCloseTo(6, 3);
  });
});
