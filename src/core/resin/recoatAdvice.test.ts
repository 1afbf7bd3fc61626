import { coatClock, ifWarmer, recoatAdvice, ripeRate } from '.';
import { TEST_SHEET } from './test/sheet';

const HOUR = 3_600_000;
const { times } = TEST_SHEET;
const history = [{ fromMs: 0, temperatureK: TEST_SHEET.referenceTemperatureK }];
const input = { startMs: 0, history, sheet: TEST_SHEET };
const clock = (hours: number) => coatClock({ ...input, nowMs: hours * HOUR });
const fine = { last: null, unlikely: false } as const;
const at = (hours: number, alwaysSand = false) =>
  recoatAdvice(clock(hours), fine, alwaysSand, hours * HOUR);

describe('what is to be done with the next coat', () => {
  const [opens, closes] = [times.recoatOpensS / 3600, times.recoatClosesS / 3600];
  it('too early, open, then sand first; open says until when it is nearly sure', () => {
    expect(at(opens - 0.1)).toEqual({ is: 'too early', fromMs: opens * HOUR });
    const open = at(opens);
    if (open.is !== 'open') throw new Error(open.is);
    expect(open.untilMs).toBeCloseTo(closes * HOUR, -1);
    // ± 12 % of the closing, nineteen in twenty.
    expect(open.surelyUntilMs / HOUR).toBeCloseTo(closes * (1 - 1.645 * 0.12), 6);
    const late = at(closes - 0.1);
    expect(late.is === 'open' && late.surelyUntilMs).toBe((closes - 0.1) * HOUR);
    expect(at(closes)).toEqual({ is: 'sand first' });
  });
  it('who always sands waits until it is hard, and then sands', () => {
    expect(at(opens, true)).toEqual({ is: 'sand when hard', fromMs: times.hardS * 1000 });
    expect(at(times.hardS / 3600, true)).toEqual({ is: 'sand first' });
  });
  it('what is soft against all clocks is not coated; what is hard against them is', () => {
    const soft = (last: 'strings' | 'hard') =>
      recoatAdvice(clock(48), { last, unlikely: true }, false, 48 * HOUR).is;
    expect(soft('strings')).toBe('sticky');
    expect(soft('hard')).toBe('sand first');
    // Nothing was touched, or it fits its clock: the clock speaks.
    const says = (last: 'tacky' | null, unlikely: boolean) =>
      recoatAdvice(clock(opens - 1), { last, unlikely }, false, (opens - 1) * HOUR).is;
    expect([says(null, true), says('tacky', false), says('tacky', true)]).toEqual([
      'too early',
      'too early',
      'sticky',
    ]);
  });
  it('a window that is not there, or does not close, is no leave to go without sanding', () => {
    const { windows, spans } = clock(opens + 1);
    const now = (opens + 1) * HOUR;
    const others = windows.filter((w) => w.kind !== 'recoat');
    const endless = windows.map((w) => (w.kind === 'recoat' ? { ...w, closesMs: null } : w));
    for (const what of [others, endless])
      expect(recoatAdvice({ windows: what, spans }, fine, false, now)).toEqual({
        is: 'sand first',
      });
    // Where no span says hard, who always sands is not told to wait.
    expect(recoatAdvice({ windows, spans: [] }, fine, true, now)).toEqual({ is: 'sand first' });
  });
});

describe('three degrees warmer', () => {
  it('by hand: what is left of the ripe time goes at the warmer rate', () => {
    const now = 2 * HOUR;
    const opens = ifWarmer(input, now, 3).windows.find((w) => w.kind === 'recoat')?.opensMs;
    const rate = ripeRate(TEST_SHEET.referenceTemperatureK + 3, TEST_SHEET);
    expect(opens).toBeCloseTo(now + ((times.recoatOpensS - 7200) / rate) * 1000, 3);
    // What lies behind does not change.
    expect(ifWarmer(input, now, 3).ripeS).toBeCloseTo(7200, 6);
  });
  it('the steps of the forecast are warmer too', () => {
    const steps = [...history, { fromMs: 4 * HOUR, temperatureK: 285.15 }];
    const warmer = ifWarmer({ ...input, history: steps }, 2 * HOUR, 3);
    const byHand = ifWarmer({ ...input, history: steps }, 2 * HOUR, 0);
    const opens = (c: typeof warmer) => c.windows.find((w) => w.kind === 'recoat')?.opensMs ?? NaN;
    const [cold, less] = [ripeRate(285.15, TEST_SHEET), ripeRate(288.15, TEST_SHEET)];
    const ripe2 = 2 * ripeRate(TEST_SHEET.referenceTemperatureK + 3, TEST_SHEET);
    const left = times.recoatOpensS / 3600 - 2;
    expect(opens(byHand) / HOUR).toBeCloseTo(4 + (left - 2) / cold, 6);
    expect(opens(warmer) / HOUR).toBeCloseTo(4 + (left - ripe2) / less, 6);
  });
  it('what was read up to now stays, a step at this instant begins anew, and one that lies ahead is the first', () => {
    const cold = { fromMs: 2 * HOUR, temperatureK: 285.15 };
    const read = [...history, cold];
    const ripe = (over: typeof history, now: number) =>
      ifWarmer({ ...input, history: over }, now, 3).windows.find((w) => w.kind === 'recoat')
        ?.opensMs ?? NaN;
    const rate = ripeRate(288.15, TEST_SHEET);
    const left = times.recoatOpensS - 7200;
    // The cold that begins now goes on, three degrees warmer.
    expect(ripe(read, 2 * HOUR)).toBeCloseTo(2 * HOUR + (left / rate) * 1000, 3);
    // Later: the cold hours that lie behind are not warmer.
    const since = 2 * 3600 * ripeRate(285.15, TEST_SHEET);
    expect(ripe(read, 4 * HOUR)).toBeCloseTo(4 * HOUR + ((left - since) / rate) * 1000, 3);
  });
});
