import { cupOutlook } from '@/core/resin/model';
import { demoView } from '../test/shop';
import { cupSteps, determinedWords, HEAT_WORDS, fitWords } from './cupWords';

describe('a cup in words', () => {
  const resin = demoView().resins.find((r) => r.name === 'Millrace Clear');
  if (!resin) throw new Error('no resin');
  const of = (massKg: number, startK = 295.15) => {
    const outlook = cupOutlook({ sheet: resin.sheet, massKg, roomK: 295.15, startK });
    if (!outlook) throw new Error('no end');
    return outlook;
  };
  it('goes in the order of the clock, and its last word is stop', () => {
    const steps = cupSteps(of(0.1));
    const minutes = steps.map((s) => Number(/(\d+) min/.exec(s.when)?.[1]));
    expect(minutes).toEqual([...minutes].sort((a, b) => a - b));
    expect(steps.at(-1)?.what).toContain('stop');
    // Its sheet says 40 min for 100 g.
    expect(Math.abs((minutes.at(-1) ?? NaN) - 40)).toBeLessThan(2);
  });
  it('more in one cup, or warm bottles, leave less time; a tray leaves more', () => {
    expect(of(0.5).workingS).toBeLessThan(of(0.1).workingS);
    expect(of(0.1, 305.15).workingS).toBeLessThan(of(0.1).workingS);
    expect(of(0.5).tray.workingS).toBeGreaterThan(of(0.5).workingS);
  });
  it('a forgotten batch is as dangerous as it is large', () => {
    expect(of(0.5).heat).toBe('dangerous');
    expect(of(0.005).heat).not.toBe('dangerous');
    const { greatestKg } = of(0.1);
    expect(of(greatestKg * 0.98).heat).not.toBe('dangerous');
    expect(of(greatestKg * 1.1).heat).toBe('dangerous');
    for (const words of Object.values(HEAT_WORDS)) expect(words).toContain('forgotten');
  });
  it('says that one temperature tells little of warmth', () => {
    expect(determinedWords(of(0.1))).toContain('taken as usual');
  });
});

describe('how well the model meets its sheet', () => {
  const film = (gel: number, full = 1) => ({
    film: [
      { mark: 'gel' as const, modelS: gel * 18_000, sigma: 0.08, sheetS: 18_000 },
      { mark: 'full' as const, modelS: full * 432_000, sigma: 0.2, sheetS: 432_000 },
    ],
  });
  it('within a third it can be trusted, beyond it cannot, either way; the full cure does not count', () => {
    for (const good of [1, 1.3, 0.77]) expect(fitWords(film(good))).toContain('can be trusted');
    for (const poor of [1.4, 0.7]) expect(fitWords(film(poor))).toMatch(/^! The model does not/);
    expect(fitWords(film(1, 0.5))).toContain('can be trusted');
  });
});
