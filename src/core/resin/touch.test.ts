import { seededRandom } from '../numeric';
import { SHEET_TIME_SIGMA, coatClock } from './coatClock';
import { TEST_SHEET } from './test/sheet';
import { paceOf, TOUCH_FINDS, touchSpan, type Touch, type TouchFind } from './touch';

const { times } = TEST_SHEET;
const at = (found: TouchFind, ripeS: number): Touch => ({ found, ripeS });
const HOUR = 3_600_000;

describe('what a finger tells', () => {
  it('findings follow one another without a gap', () => {
    const spans = TOUCH_FINDS.map((f) => touchSpan(f, times));
    expect(spans[0]?.[0]).toBe(0);
    spans.slice(1).forEach(([from], i) => expect(from).toBe(spans[i]?.[1]));
    expect(spans.at(-1)?.[1]).toBe(Infinity);
  });
  it('nothing touched is the sheet, with its spread', () => {
    expect(paceOf([], times)).toEqual({ factor: 1, sigma: SHEET_TIME_SIGMA, unlikely: false });
  });
  it('what fits the sheet leaves it nearly alone, and narrows it', () => {
    const fits = paceOf(
      [at('strings', times.leatheryS * 0.95), at('tacky', times.leatheryS * 1.05)],
      times,
    );
    expect(fits.factor).toBeCloseTo(1, 1);
    expect(fits.sigma).toBeLessThan(SHEET_TIME_SIGMA);
  });
  it('strings late mean slower, hard early means faster', () => {
    expect(paceOf([at('strings', times.leatheryS * 1.2)], times).factor).toBeLessThan(0.9);
    expect(paceOf([at('hard', times.hardS * 0.8)], times).factor).toBeGreaterThan(1.1);
  });
  it('strings after two days fit no clock, and that is said', () => {
    expect(paceOf([at('strings', times.hardS * 2)], times).unlikely).toBe(true);
    expect(paceOf([at('hard', times.hardS * 1.5)], times).unlikely).toBe(false);
    expect(() => paceOf([at('hard', 0)], times)).toThrow('paceOf');
  });
});

describe('on shops whose truth is known', () => {
  const random = seededRandom(1411);
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  /** What a finger of the model’s own sharpness finds at three moments round the lines. */
  const touchesOf = (pace: number): Touch[] =>
    [0.85, 1.1, 1.6].map((k) => {
      const ripeS = k * times.leatheryS * Math.exp(0.15 * gauss());
      const felt = ripeS * pace * Math.exp(0.08 * gauss());
      const found = TOUCH_FINDS.find((f) => felt < touchSpan(f, times)[1]) ?? 'hard';
      return { found, ripeS };
    });
  it('the band of 90 % holds 85 to 95 % of 500 shops', () => {
    let inside = 0;
    for (let i = 0; i < 500; i += 1) {
      const truth = (random() < 0.8 ? SHEET_TIME_SIGMA : 0.35) * gauss();
      const { factor, sigma } = paceOf(touchesOf(Math.exp(truth)), times);
      if (Math.abs(Math.log(factor) - truth) < 1.645 * sigma) inside += 1;
    }
    expect(inside / 500).toBeGreaterThan(0.85);
    expect(inside / 500).toBeLessThan(0.95);
  });
  it.each([0.2, -0.2])('a clock that is %d off in the logarithm is more than halved', (truth) => {
    const errors = Array.from({ length: 300 }, () =>
      Math.abs(Math.log(paceOf(touchesOf(Math.exp(truth)), times).factor) - truth),
    ).sort((a, b) => a - b);
    expect(errors[150]).toBeLessThan(0.12);
  });
});

describe('a clock that was touched', () => {
  const clock = (factor: number) =>
    coatClock({
      ...{ startMs: 0, nowMs: 6 * HOUR, sheet: TEST_SHEET },
      history: [{ fromMs: 0, temperatureK: TEST_SHEET.referenceTemperatureK }],
      pace: { factor, sigma: 0.05 },
    });
  const opens = (factor: number, kind: string) =>
    clock(factor).windows.find((w) => w.kind === kind)?.opensMs ?? NaN;
  it('goes through its windows at its own pace, with its own spread', () => {
    expect(opens(0.8, 'recoat')).toBeCloseTo(opens(1, 'recoat') / 0.8, 3);
    const recoat = clock(1).windows.find((w) => w.kind === 'recoat');
    expect((recoat?.opensSigmaMs ?? NaN) / (recoat?.opensMs ?? NaN)).toBeCloseTo(0.05, 9);
  });
  it('bears warm things no earlier than its sheet says', () => {
    expect(opens(1.3, 'warm load')).toBe(opens(1, 'warm load'));
    expect(opens(0.8, 'warm load')).toBeGreaterThan(opens(1, 'warm load'));
  });
});
