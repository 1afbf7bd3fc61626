import { seededRandom } from '../numeric';
import {
  checkSheet,
  coatClock,
  instantAtRipe,
  ripeRate,
  ripeSeconds,
  stateAt,
  thickeningOf,
  windowsByTemperature,
  workingTime,
  type ResinSheet,
  type TemperatureStep,
} from '.';
import { TEST_SHEET } from './test/sheet';

const HOUR = 3_600_000;
const C = 273.15;
const law = { activationEnergyJMol: 55e3, referenceTemperatureK: 295.15 };
const at = (...steps: [hours: number, celsius: number][]): TemperatureStep[] =>
  steps.map(([h, c]) => ({ fromMs: h * HOUR, temperatureK: c + C }));

describe('ripe hours against ASTM C1074 (Arrhenius equivalent age), worked by hand', () => {
  // At 16 °C: E/R = 55 000 / 8.314462618 = 6614.98 K; 1/289.15 − 1/295.15 = 7.03048e-5 /K;
  // exp(−6614.98 × 7.03048e-5) = exp(−0.465065) = 0.62809. At 28 °C: exp(+0.44653) = 1.56288.
  it.each([
    [10, 0.3868],
    [16, 0.62809],
    [18, 0.735],
    [22, 1],
    [25, 1.253],
    [28, 1.56288],
    [32, 2.084],
  ])('%d °C: %d ripe hours per hour', (celsius, rate) => {
    expect(Math.abs(ripeRate(celsius + C, law) / rate - 1)).toBeLessThan(6e-4);
  });

  it('8 h at 16, 6 h at 22, 10 h at 28 °C: 8 × .62809 + 6 + 10 × 1.56288 = 26.65', () => {
    const history = at([0, 16], [8, 22], [14, 28]);
    expect(ripeSeconds(history, 0, 24 * HOUR, law) / 3600).toBeCloseTo(26.654, 2);
  });

  it('about half as fast for 10 °C less (common practice, no source): 1.5 to 2.3 times', () => {
    const factor = ripeRate(32 + C, law) / ripeRate(22 + C, law);
    expect(factor).toBeGreaterThan(1.5);
    expect(factor).toBeLessThan(2.3);
  });

  it('instantAtRipe is the inverse of ripeSeconds (seeded)', () => {
    const random = seededRandom(8);
    for (let i = 0; i < 200; i += 1) {
      const history = at(
        [0, 10 + 20 * random()],
        [1 + 10 * random(), 10 + 20 * random()],
        [12 + 10 * random(), 10 + 20 * random()],
      );
      const start = random() * 15 * HOUR;
      const ripe = random() * 200_000;
      const instant = instantAtRipe(history, start, ripe, law);
      expect(ripeSeconds(history, start, instant, law)).toBeCloseTo(ripe, 4);
    }
  });

  it('the first reading also holds before it; order of readings does not matter', () => {
    const history = at([5, 22], [10, 16]);
    expect(ripeSeconds(history, 0, 5 * HOUR, law)).toBeCloseTo(5 * 3600, 6);
    expect(ripeSeconds([...history].reverse(), 0, 20 * HOUR, law)).toBe(
      ripeSeconds(history, 0, 20 * HOUR, law),
    );
    expect(ripeSeconds(history, 3 * HOUR, 3 * HOUR, law)).toBe(0);
  });

  it('throws on an empty record and on no temperature', () => {
    expect(() => ripeSeconds([], 0, 1, law)).toThrow('empty');
    expect(() => ripeRate(NaN, law)).toThrow('ripeRate');
  });
});

describe('coatClock', () => {
  const clock = (nowH: number, history = at([0, 22])) =>
    coatClock({ startMs: 0, nowMs: nowH * HOUR, history, sheet: TEST_SHEET });

  it.each([
    [0, 'wet', 5],
    [4.99, 'wet', 5],
    [5.01, 'set', 7],
    [7.01, 'leathery', 9],
    [9.01, 'recoat open', 14],
    [14.01, 'sand first', 24],
    [24.01, 'hard', 120],
  ])('%d h at 22 °C: %s, next at %d h', (nowH, state, nextH) => {
    expect(clock(nowH).state).toBe(state);
    expect((clock(nowH).next?.atMs ?? 0) / HOUR).toBeCloseTo(nextH, 6);
  });

  it('has nothing to wait for when fully cured', () => {
    expect(clock(121)).toMatchObject({ state: 'fully cured', next: null });
  });

  it('moves every window when the room cools: by hand, 4 h at 22 °C then 16 °C', () => {
    const cooled = clock(6, at([0, 22], [4, 16]));
    // Recoat opens at 9 ripe hours: 4 + (9 − 4) / 0.62809 = 11.961 h after the pour.
    const recoat = cooled.windows.find((w) => w.kind === 'recoat');
    expect((recoat?.opensMs ?? 0) / HOUR).toBeCloseTo(11.961, 2);
    expect(cooled.ripeS / 3600).toBeCloseTo(4 + 2 * 0.62809, 3);
  });

  it('tells before, open and shut, with ± 12 % of the ripe age', () => {
    const status = (nowH: number) => clock(nowH).windows.find((w) => w.kind === 'recoat')?.status;
    expect([status(8.9), status(9.1), status(13.9), status(14.1)]).toEqual([
      'before',
      'open',
      'open',
      'shut',
    ]);
    const recoat = clock(0).windows.find((w) => w.kind === 'recoat');
    expect((recoat?.opensSigmaMs ?? 0) / HOUR).toBeCloseTo(0.12 * 9, 6);
  });

  it('spans follow each other without a gap', () => {
    const { spans } = clock(0);
    spans.slice(1).forEach((span, i) => expect(span.fromMs).toBe(spans[i]?.toMs));
    expect(spans[spans.length - 1]?.toMs).toBeNull();
  });

  it('hides the leathery state when the recoat window opens first', () => {
    const early = { ...TEST_SHEET.times, recoatOpensS: 6 * 3600 };
    expect(stateAt(6.5 * 3600, early)).toBe('recoat open');
    expect(stateAt(5.5 * 3600, early)).toBe('set');
  });

  it('never goes back to an earlier state (seeded temperatures)', () => {
    const random = seededRandom(31);
    const order = ['wet', 'set', 'leathery', 'recoat open', 'sand first', 'hard', 'fully cured'];
    for (let i = 0; i < 30; i += 1) {
      const history = at(
        ...Array.from({ length: 12 }, (_, n): [number, number] => [n * 10, 8 + 25 * random()]),
      );
      let last = 0;
      for (let h = 0; h < 400; h += 3) {
        const place = order.indexOf(clock(h, history).state);
        expect(place).toBeGreaterThanOrEqual(last);
        last = place;
      }
    }
  });
});

describe('checkSheet', () => {
  const faults = (change: Partial<ResinSheet>) => {
    const result = checkSheet({ ...TEST_SHEET, ...change });
    return result.ok ? [] : result.issues.map((i) => `${i.path.join('.')} ${i.code}`);
  };
  it('passes a sound sheet', () => expect(faults({})).toEqual([]));
  it('finds windows out of order, at the later of the two', () => {
    const times = { ...TEST_SHEET.times, recoatClosesS: 8 * 3600 };
    expect(faults({ times })).toEqual(['times.recoatClosesS out-of-order']);
  });
  it('finds ratio 0, missing density, absurd viscosity and swapped limits', () => {
    expect(faults({ ratio: { by: 'mass', a: 0, b: 1 } })).toEqual(['ratio.a out-of-range']);
    expect(faults({ densityBKgM3: NaN })).toEqual(['densityBKgM3 out-of-range']);
    expect(faults({ viscosityPaS: 1e6 })).toEqual(['viscosityPaS out-of-range']);
    expect(faults({ thinnestM: 0.01 })).toEqual(['thickestM out-of-order']);
  });
});

describe('workingTime', () => {
  it('is the sheet’s own time at its mass and temperature', () => {
    expect(workingTime(TEST_SHEET, 0.1, 295.15)).toBeCloseTo(2400, 9);
  });
  // Ratios to 100 g of a cup heat balance with published-type kinetics (from memory); the law is within 4 %.
  it.each([
    [0.01, 1.26],
    [0.05, 1.05],
    [0.3, 0.906],
    [1, 0.848],
    [3, 0.818],
  ])('%d kg: %d of the time at 100 g', (massKg, ratio) => {
    expect(Math.abs(workingTime(TEST_SHEET, massKg, 295.15) / 2400 / ratio - 1)).toBeLessThan(0.04);
  });
  it('between two masses that a sheet states it goes straight in both logarithms, beyond them by the law', () => {
    const also = { ...TEST_SHEET, workingAlso: { massKg: 0.4, workingS: 1800 } };
    expect(workingTime(also, 0.1, 295.15)).toBeCloseTo(2400, 9);
    expect(workingTime(also, 0.4, 295.15)).toBeCloseTo(1800, 9);
    // Half way in the logarithm of the mass: the geometric mean of the times.
    expect(workingTime(also, 0.2, 295.15)).toBeCloseTo(Math.sqrt(2400 * 1800), 9);
    expect(workingTime(also, 0.8, 295.15) / 1800).toBeCloseTo(2 ** -0.07, 9);
    expect(workingTime(also, 0.05, 295.15) / 2400).toBeCloseTo(2 ** 0.1, 9);
    const small = { ...TEST_SHEET, workingAlso: { massKg: 0.025, workingS: 2800 } };
    expect(workingTime(small, 0.05, 295.15)).toBeCloseTo(Math.sqrt(2400 * 2800), 9);
  });
  it.each([
    [{ massKg: 0.4, workingS: 2500 }, 'workingAlso.workingS out-of-range'],
    [{ massKg: 0.05, workingS: 2300 }, 'workingAlso.workingS out-of-range'],
    [{ massKg: 0.1, workingS: 2400 }, 'workingAlso.massKg does-not-fit'],
    [{ massKg: NaN, workingS: 2400 }, 'workingAlso.massKg out-of-range'],
  ])('a second time that cannot be is told: %j', (workingAlso, fault) => {
    const checked = checkSheet({ ...TEST_SHEET, workingAlso });
    expect(checked.ok || checked.issues.map((i) => `${i.path.join('.')} ${i.code}`)).toEqual([
      fault,
    ]);
  });
  it('is clamped beyond the masses it was fitted to', () => {
    expect(workingTime(TEST_SHEET, 30, 295.15)).toBe(workingTime(TEST_SHEET, 3, 295.15));
    for (const bad of [-1, NaN])
      expect(() => workingTime(TEST_SHEET, 0.1, bad)).toThrow('workingTime');
    expect(() => workingTime(TEST_SHEET, 0, 295.15)).toThrow('workingTime');
  });
});

describe('thickeningOf', () => {
  it('is the sheet at its own temperature, thicker and slower ten degrees colder, by hand', () => {
    expect(thickeningOf(TEST_SHEET)).toEqual({ viscosityPaS: 1, workingS: 2400 });
    const cold = thickeningOf(TEST_SHEET, 285.15);
    // e^(55000/8.314 · (1/285.15 − 1/295.15)) = e^0.786 = 2.195, for both: the same energy.
    expect(cold.viscosityPaS).toBeCloseTo(2.195, 2);
    expect(cold.workingS / 2400).toBeCloseTo(2.195, 2);
  });
});

describe('windowsByTemperature', () => {
  it('gives the sheet at its reference and longer times when colder', () => {
    const rows = windowsByTemperature(TEST_SHEET, 285.15, 305.15, 21);
    expect(rows[10]?.hardS).toBeCloseTo(24 * 3600, 6);
    rows.slice(1).forEach((row, i) => expect(row.hardS).toBeLessThan(rows[i]?.hardS ?? 0));
  });
  it('throws on an empty range', () => {
    expect(() => windowsByTemperature(TEST_SHEET, 300, 300, 5)).toThrow('windowsByTemperature');
  });
});
