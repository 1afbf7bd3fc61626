import { seededRandom } from '../numeric';
import { SHEET_TIME_SIGMA, coatClock } from './coatClock';
import { TEST_SHEET } from './test/sheet';
import { learnedOf, paceOf, TOUCH_FINDS, touchSpan, type Touch, type TouchFind } from './touch';

const { times } = TEST_SHEET;
const at = (found: TouchFind, ripeS: number): Touch => ({ found, ripeS });
const HOUR = 3_600_000;
/** What follows one another; a finger that leaves no mark says only that a print takes no more. */
const LADDER = TOUCH_FINDS.filter((f) => f !== 'no mark');

describe('what a finger tells', () => {
  it('findings follow one another without a gap', () => {
    const spans = LADDER.map((f) => touchSpan(f, times));
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
  it('no mark means a print takes no more, whatever a nail would do', () => {
    const firm = touchSpan('nail mark', times)[0];
    expect(touchSpan('no mark', times)).toEqual([firm, Infinity]);
    const [none, nail] = (['no mark', 'nail mark'] as const).map((f) =>
      paceOf([at(f, firm * 1.02)], times),
    );
    // It leaves open that it is hard already: drawn as far to the fast side, and no surer.
    expect(none?.factor).toBeGreaterThan(1);
    expect(none?.factor).toBeGreaterThanOrEqual(nail?.factor ?? NaN);
    expect(none?.sigma).toBeGreaterThanOrEqual(nail?.sigma ?? NaN);
  });
  it('what lies in the cup moves the clock the same way, less far and less surely', () => {
    const late = at('strings', times.leatheryS * 1.2);
    const [coat, cup] = [paceOf([late], times), paceOf([{ ...late, on: 'witness cup' }], times)];
    expect(cup.factor).toBeLessThan(1);
    expect(cup.factor).toBeGreaterThan(coat.factor);
    expect(cup.sigma).toBeGreaterThan(coat.sigma);
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
      const found = LADDER.find((f) => felt < touchSpan(f, times)[1]) ?? 'hard';
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

describe('touched when the clock says that it opens', () => {
  it('three touches on a clock that is a fifth off: what is left is under 7 % in median', () => {
    const random = seededRandom(77);
    const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const errors: number[] = [];
    for (let i = 0; i < 400; i += 1) {
      const truth = (i % 2 === 0 ? 1 : -1) * Math.log(1.2);
      const touches: Touch[] = [];
      for (let k = 0; k < 3; k += 1) {
        const told = times.leatheryS / paceOf(touches, times).factor;
        const ripeS = Math.max((touches.at(-1)?.ripeS ?? 0) + 900, told * Math.exp(0.05 * gauss()));
        const felt = ripeS * Math.exp(truth + 0.08 * gauss());
        touches.push({
          ripeS,
          found: TOUCH_FINDS.find((f) => felt < touchSpan(f, times)[1]) ?? 'hard',
        });
      }
      errors.push(Math.abs(Math.log(paceOf(touches, times).factor) - truth));
    }
    expect(errors.sort((a, b) => a - b)[200]).toBeLessThan(0.07);
  });
});

describe('what batches teach of their resin', () => {
  const batch = (factor: number, sigma = 0.05) => ({ factor, sigma, unlikely: false });
  it('nothing without a batch that tells something', () => {
    expect(learnedOf([])).toBeNull();
    expect(learnedOf([batch(0.5, 0.3), { ...batch(0.5), unlikely: true }])).toBeNull();
  });
  it('by hand: three batches at 0.9 against a sheet of 12 %, each ± 5 % and 6 % apart', () => {
    const own = 3 / (0.05 ** 2 + 0.06 ** 2);
    const sheet = 1 / 0.12 ** 2;
    const learned = learnedOf([0.9, 0.9, 0.9].map((f) => batch(f)));
    expect(learned?.factor).toBeCloseTo(Math.exp((own * Math.log(0.9)) / (own + sheet)), 12);
    expect(learned?.sigma).toBeCloseTo(Math.hypot(Math.sqrt(1 / (own + sheet)), 0.06), 12);
    expect(learned).toMatchObject({ count: 3, spread: expect.closeTo(0, 12) });
    expect(learnedOf([batch(0.9)])?.spread).toBeNull();
    expect(learnedOf([batch(0.8), batch(1)])?.spread).toBeCloseTo(
      Math.log(1 / 0.8) / Math.SQRT2,
      12,
    );
  });
  it('the next batch starts there, sharper than by the sheet, and a touch still moves it', () => {
    const learned = learnedOf([0.88, 0.9, 0.92, 0.9].map((f) => batch(f)));
    const fresh = paceOf([], times, learned);
    expect(fresh.factor).toBeCloseTo(learned?.factor ?? NaN, 12);
    expect(fresh.sigma).toBeLessThan(SHEET_TIME_SIGMA);
    const late = paceOf([at('strings', times.leatheryS * 1.3)], times, learned);
    expect(late.factor).toBeLessThan(fresh.factor);
  });
  it('over seeded shops the learned pace is nearer to the truth than the sheet, and its band holds it', () => {
    const random = seededRandom(9);
    const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let [nearer, held] = [0, 0];
    for (let i = 0; i < 200; i += 1) {
      const truth = 0.12 * gauss();
      const batches = Array.from({ length: 5 }, () => {
        const own = truth + 0.06 * gauss();
        const touches = [0.9, 1.1, 1.7].map((k): Touch => {
          const felt = k * times.leatheryS * Math.exp(own + 0.08 * gauss());
          const found = LADDER.find((f) => felt < touchSpan(f, times)[1]) ?? 'hard';
          return { found, ripeS: k * times.leatheryS };
        });
        return paceOf(touches, times);
      });
      const learned = learnedOf(batches);
      const next = truth + 0.06 * gauss();
      const off = Math.abs(Math.log(learned?.factor ?? NaN) - next);
      if (off < Math.abs(next)) nearer += 1;
      if (off < 1.645 * (learned?.sigma ?? NaN)) held += 1;
    }
    expect(nearer / 200).toBeGreaterThan(0.6);
    expect(held / 200).toBeGreaterThan(0.82);
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
