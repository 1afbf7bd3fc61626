import { forecastSpread } from '../climate';
import { GAS_CONSTANT } from '../units';
import {
  clockExplanation,
  coatClock,
  massRatioBA,
  readAt,
  SHEET_TIME_SIGMA,
  splitMix,
  timeline,
  windowsByTemperature,
  workingExplanation,
  workingTime,
} from '.';
import { scaleExplanation, splitExplanation, wantedBExplanation } from './mixExplained';
import { TEST_SHEET } from './test/sheet';

const HOUR = 3_600_000;
const values = (of: { readonly inputs: readonly { readonly value: number }[] }) =>
  of.inputs.map((i) => i.value);
const byMass = { ...TEST_SHEET, ratio: { by: 'mass', a: 100, b: 45 } as const };
const split = (sheet: typeof TEST_SHEET) => {
  const found = splitMix(1e-3, sheet);
  if (!found.ok) throw new Error('no split');
  return found.value;
};

describe('what an opened weight shows', () => {
  it('by volume: V · a / (a + b) · ρ of each part, worked by hand', () => {
    const of = split(TEST_SHEET);
    const [a, b] = [splitExplanation(of, TEST_SHEET, 'A'), splitExplanation(of, TEST_SHEET, 'B')];
    expect([a.formula, b.formula]).toEqual(['V · a / (a + b) · ρA', 'V · b / (a + b) · ρB']);
    const [v = NaN, ra = NaN, rb = NaN, rhoA = NaN, rhoB = NaN, per100 = NaN] = values(a);
    expect((v * ra * rhoA) / (ra + rb)).toBeCloseTo(of.aKg, 12);
    expect((v * rb * rhoB) / (ra + rb)).toBeCloseTo(of.bKg, 12);
    expect(per100).toBeCloseTo((100 * of.bKg) / of.aKg, 9);
    // 1150 against 1000 kg/m³: equal weights hold 15 % too much B.
    expect(a.note).toMatch(
      /^Weighed 1 : 1 as if the ratio were by weight, the mix would hold 15\.0 % too much B/,
    );
    const lighter = { ...TEST_SHEET, densityAKgM3: 900 };
    expect(splitExplanation(split(lighter), lighter, 'A').note).toMatch(/10\.0 % too little B/);
    const even = { ...TEST_SHEET, densityAKgM3: 1000 };
    expect(splitExplanation(split(even), even, 'A').note).toMatch(/by weight/);
    expect(a.inputs.map((i) => i.source)).toEqual([
      'computed',
      ...Array<string>(4).fill('data sheet'),
      'computed',
    ]);
    const assumed = { ...TEST_SHEET, assumedDensity: ['B' as const] };
    expect(
      splitExplanation(of, assumed, 'A')
        .inputs.map((i) => i.source)
        .slice(3, 5),
    ).toEqual(['data sheet', 'assumed']);
  });
  it('by weight: m · a / (a + b)', () => {
    const of = split(byMass as typeof TEST_SHEET);
    const [a, b] = (['A', 'B'] as const).map((part) => splitExplanation(of, byMass, part));
    expect([a?.formula, b?.formula]).toEqual(['m · a / (a + b)', 'm · b / (a + b)']);
    expect(of.bKg / of.aKg).toBeCloseTo(0.45, 12);
    expect(a?.note).toBe('The sheet gives this ratio by weight.');
  });
  it('B follows the A that is in the cup; what was not read is said to be assumed', () => {
    const read = wantedBExplanation(0.23, TEST_SHEET);
    expect(values(read).at(-1)).toBeCloseTo(0.23 * massRatioBA(TEST_SHEET), 12);
    expect(values(read).at(-1)).toBeCloseTo(0.2, 12);
    expect(read).toMatchObject({ formula: 'A · (b · ρB) / (a · ρA)' });
    expect(read.inputs[0]?.source).toBe('measured');
    const taken = wantedBExplanation(0.1, byMass, false);
    expect(values(taken).at(-1)).toBeCloseTo(0.045, 12);
    expect(taken).toMatchObject({ formula: 'A · b / a' });
    expect(taken.inputs[0]?.source).toBe('assumed');
    expect([read.source, taken.source].map((s) => s.includes('was not read'))).toEqual([
      false,
      true,
    ]);
  });
  it('the scale’s share: one digit on each part', () => {
    const of = split(TEST_SHEET);
    const [e = NaN, a = NaN, b = NaN, error = NaN] = values(scaleExplanation(of, 1e-3));
    expect([e, a, b]).toEqual([1e-3, of.aKg, of.bKg]);
    expect(error).toBeCloseTo(1e-3 / of.aKg + 1e-3 / of.bKg, 9);
  });
});

describe('what an opened clock shows', () => {
  const K = 295.15;
  it('working time: the sheet’s time and mass, the cup’s, the room, the energy, and its spread', () => {
    const told = workingExplanation(TEST_SHEET, 0.3, 290);
    expect(values(told)).toEqual([2400, 0.1, 0.3, 290, 55e3]);
    expect(told.sigma).toBeCloseTo(SHEET_TIME_SIGMA * workingTime(TEST_SHEET, 0.3, 290), 9);
  });
  it('a window: ripe time, ripe age, room, reference, energy; the pace where touches or batches told', () => {
    const now = (touches: number, batches: number) =>
      clockExplanation(
        { sheet: TEST_SHEET, ripeNowS: 3600, roomK: 294, pace: { factor: 1.1, touches, batches } },
        'Recoat opens',
        32_400,
        4e6,
      );
    expect(values(now(0, 0))).toEqual([32_400, 3600, 294, K, 55e3]);
    expect(now(0, 0)).toMatchObject({ title: 'Recoat opens', sigma: 4000 });
    expect(now(0, 0).formula).not.toMatch(/pace/);
    const pace = (touches: number, batches: number) => {
      const { inputs, formula } = now(touches, batches);
      expect(formula).toMatch(/pace · ∫/);
      expect(inputs).toHaveLength(6);
      return inputs[2];
    };
    expect(pace(1, 0)).toMatchObject({ label: 'pace by 1 touch', value: 1.1, source: 'measured' });
    expect(pace(2, 0)).toMatchObject({ label: 'pace by 2 touches', source: 'measured' });
    expect(pace(0, 1)).toMatchObject({ label: 'pace learned over 1 batch', source: 'learned' });
    expect(pace(3, 2)).toMatchObject({
      label: 'pace by 3 touches, learned over 2 batches',
      source: 'measured',
    });
    const { sigma } = clockExplanation(
      { sheet: TEST_SHEET, ripeNowS: 0, roomK: K, pace: { factor: 1, touches: 0, batches: 0 } },
      'x',
      1,
    );
    expect(sigma).toBeUndefined();
  });
  it('marks of the sheet at other temperatures: each by the same rate', () => {
    const { times } = TEST_SHEET;
    const [cold, , ref] = windowsByTemperature(TEST_SHEET, K - 10, K, 3);
    const slow = Math.exp((55e3 / GAS_CONSTANT) * (1 / (K - 10) - 1 / K));
    for (const name of [
      'workingS',
      'noFlowS',
      'leatheryS',
      'recoatOpensS',
      'recoatClosesS',
      'hardS',
      'fullS',
    ] as const) {
      expect(ref?.[name]).toBeCloseTo(times[name], 6);
      expect((cold?.[name] ?? NaN) / times[name]).toBeCloseTo(slow, 9);
    }
    expect(windowsByTemperature(TEST_SHEET, 280, 300, 2).map((w) => w.temperatureK)).toEqual([
      280, 300,
    ]);
    for (const [from, to, count] of [
      [0, 300, 3],
      [300, 300, 3],
      [280, 300, 1],
    ] as const)
      expect(() => windowsByTemperature(TEST_SHEET, from, to, count)).toThrow(
        'windowsByTemperature',
      );
  });
});

describe('a clock in a room that is partly a forecast', () => {
  const history = [{ fromMs: 0, temperatureK: 295.15 }];
  const input = { startMs: 10 * HOUR, history, sheet: TEST_SHEET };
  const recoat = (ahead?: { fromMs: number; spreadK: number } | null) =>
    timeline({ ...input, ...(ahead === undefined ? {} : { ahead }) }).windows.find(
      (w) => w.kind === 'recoat',
    );
  // Part of the rate that a kelvin makes: E / (R T²) = 7.6 % at 22 °C and 55 kJ/mol.
  const perKelvin = 55e3 / (GAS_CONSTANT * 295.15 ** 2);
  it('is as unsure as its pace, and as the room that is still to come', () => {
    expect(perKelvin).toBeCloseTo(0.0759, 4);
    const opens = 19 * HOUR;
    const known = 0.12 * 9 * HOUR;
    expect(recoat()?.opensMs).toBeCloseTo(opens, 3);
    expect(recoat()?.opensSigmaMs).toBeCloseTo(known, 3);
    for (const fromMs of [12 * HOUR, 5 * HOUR]) {
      const ahead = { fromMs, spreadK: 2 };
      const room =
        (opens - Math.max(fromMs, input.startMs)) *
        perKelvin *
        forecastSpread(ahead, (opens - fromMs) / 2 / HOUR);
      expect(recoat(ahead)?.opensSigmaMs).toBeCloseTo(Math.hypot(known, room), 3);
    }
    expect(recoat({ fromMs: opens, spreadK: 2 })?.opensSigmaMs).toBeCloseTo(known, 3);
    expect(recoat(null)?.opensSigmaMs).toBeCloseTo(known, 3);
  });
  it('stands on its marks to the instant', () => {
    const at = (hours: number) => coatClock({ ...input, nowMs: (10 + hours) * HOUR });
    const status = (hours: number, kind: string) =>
      at(hours).windows.find((w) => w.kind === kind)?.status;
    expect([status(8.999, 'recoat'), status(9, 'recoat')]).toEqual(['before', 'open']);
    expect([status(13.999, 'recoat'), status(14, 'recoat')]).toEqual(['open', 'shut']);
    expect([status(17.999, 'handle'), status(18, 'handle'), status(1e4, 'handle')]).toEqual([
      'before',
      'open',
      'open',
    ]);
    expect([at(4.999).state, at(5).state, at(7).state, at(120).state]).toEqual([
      'wet',
      'set',
      'leathery',
      'fully cured',
    ]);
    expect(at(-1)).toMatchObject({ state: 'wet' });
    expect(at(120).next).toBeNull();
    expect(at(5).next).toEqual({ state: 'leathery', atMs: 17 * HOUR });
    expect(at(0).windows.find((w) => w.kind === 'handle')).toMatchObject({
      closesMs: null,
      closesSigmaMs: null,
    });
  });
  it('a quicker pace brings everything forward but the warm load; a slower one puts that off too', () => {
    const warm = (factor: number) => {
      const line = timeline({ ...input, pace: { factor, sigma: 0.05 } });
      const opens = (kind: string) =>
        ((line.windows.find((w) => w.kind === kind)?.opensMs ?? NaN) - input.startMs) / HOUR;
      return [
        opens('recoat'),
        opens('warm load'),
        readAt(line, input.startMs + 2 * HOUR).ripeS / 3600,
      ];
    };
    const near = (factor: number, wanted: number[]) =>
      warm(factor).forEach((h, i) => expect(h).toBeCloseTo(wanted[i] ?? NaN, 6));
    near(1.25, [7.2, 72, 2.5]);
    near(0.8, [11.25, 90, 1.6]);
  });
  it('a window that opens before the film is leathery hides that state, not the others', () => {
    const early = { ...TEST_SHEET, times: { ...TEST_SHEET.times, recoatOpensS: 6 * 3600 } };
    const states = timeline({ ...input, sheet: early }).spans.map((s) => s.state);
    expect(states).toEqual(['wet', 'set', 'recoat open', 'sand first', 'hard', 'fully cured']);
  });
});
