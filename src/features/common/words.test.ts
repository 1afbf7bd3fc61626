import { CURING_STATES } from '@/core/resin';
import { DEFECT_KINDS, SUPPORTS } from '@/core/piece';
import { pieceViews } from '@/shop/coatView';
import { SUPPORT_HATCH } from './materials';
import { sizeWords } from './sizeWords';
import { nextWords, STATE_FILL, STATE_WORDS } from './stateWords';
import { DEFECT_GUIDE } from '@/core/inspect';
import { demoView, METRIC, NOW, plain } from '../test/shop';

const shop = demoView();
const views = pieceViews(shop, NOW);

describe('every word and pattern is there', () => {
  it('for every state, no two filled alike', () => {
    const states = ['planned', 'mixed', ...CURING_STATES] as const;
    expect(new Set(states.map((s) => STATE_FILL[s])).size).toBe(states.length);
    expect(new Set(states.map((s) => STATE_WORDS[s])).size).toBe(states.length);
  });
  it('for every support a hatch that no other has, but wood and wood', () => {
    expect(new Set(SUPPORTS.map((s) => SUPPORT_HATCH[s])).size).toBe(SUPPORTS.length - 1);
    expect(SUPPORT_HATCH['bare wood']).toBe(SUPPORT_HATCH['sealed panel']);
  });
  it('no two defects are called, caused or put right alike', () => {
    const guides = DEFECT_KINDS.map((kind) => DEFECT_GUIDE[kind]);
    for (const field of ['label', 'cause', 'repair'] as const)
      expect(new Set(guides.map((g) => g[field])).size).toBe(guides.length);
  });
  it('never advises to coat over sticky resin', () => {
    expect(DEFECT_GUIDE['soft spot'].repair).toContain('never coat over sticky resin');
  });
  it('what comes next for every coat of the demo', () => {
    const words = views.flatMap((v) => v.coats).map(nextWords);
    expect(words).toContain('stops flowing');
    expect(words).toContain('recoat shuts');
    expect(words).toContain('ready to mix');
    expect(words).toContain('nothing left to wait for');
  });
  it('sizes of the demo pieces', () => {
    const sizes = views.map((v) => v.drawn[0] && plain(sizeWords(v.drawn[0].shape, METRIC)));
    expect(sizes).toEqual([
      '110 × 60 mm',
      '⌀ 380 mm',
      '600 × 400 mm',
      '8-sided, 150 mm across flats',
      '900 × 240 mm',
      '340 × 540 mm',
      '140 × 162 mm',
      '500 × 700 mm',
      '90 × 140 mm',
      '⌀ 220 mm',
      '⌀ 102 mm',
      '⌀ 500 mm',
      '520 × 220 mm',
      '600 × 300 mm',
      '⌀ 240 mm',
      '320 × 220 mm',
    ]);
  });
});
