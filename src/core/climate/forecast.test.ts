import { seededRandom } from '../numeric';
import { forecastAir, forecastSpread, type AirStep } from '.';

const HOUR = 3_600_000;
const C = 273.15;
/** Half-hourly readings of a room that swings by the clock, with what is off it. */
const record = (days: number, off: (hour: number) => number = () => 0): AirStep[] =>
  Array.from({ length: days * 48 }, (_, i) => ({
    fromMs: (i * HOUR) / 2,
    temperatureK: 20 + C + 3 * Math.sin((i / 48) * 2 * Math.PI) + off(i / 2),
    humidity: 0.5 + 0.1 * Math.cos((i / 48) * 2 * Math.PI),
  }));
const swing = (hour: number) => 20 + C + 3 * Math.sin((hour / 24) * 2 * Math.PI);

describe('the room after its last reading', () => {
  it('goes on as it was read last, with a wide spread, until two days are told', () => {
    for (const short of [record(1), [{ fromMs: 0, temperatureK: 290, humidity: 0.5 }]])
      expect(forecastAir(short)).toEqual({ steps: [], spreadK: 2, byPattern: false });
    // A few readings a day, however many days, tell no pattern.
    const typed = Array.from({ length: 60 }, (_, i) => ({
      ...{ fromMs: i * 12 * HOUR, temperatureK: 290 + (i % 2), humidity: 0.5 },
    }));
    expect(forecastAir(typed).byPattern).toBe(false);
    expect(() => forecastAir([])).toThrow('forecastAir');
  });
  it('a room that only swings by the clock goes on swinging: closed form, hour by hour', () => {
    const { steps, spreadK, byPattern } = forecastAir(record(10));
    expect(byPattern).toBe(true);
    expect(spreadK).toBeCloseTo(0.4, 12);
    for (const [i, step] of steps.slice(0, 48).entries()) {
      const hour = 240 + i;
      expect(step.fromMs).toBe(hour * HOUR);
      // Each hour is the mean of its two half hours; the last reading stood a quarter of an hour off its own.
      expect(Math.abs(step.temperatureK - swing(hour + 0.25))).toBeLessThan(0.25);
      expect(step.humidity).toBeGreaterThan(0.39);
    }
    expect(steps.at(-1)?.temperatureK).toBeCloseTo(20 + C, 2);
  });
  it('what is off the pattern now fades: a third is left after twelve hours', () => {
    // The last half day is 4 K colder than ever before.
    const cold = record(12, (hour) => (hour >= 12 * 24 - 3 ? -4 : 0));
    const plain = forecastAir(record(12)).steps;
    const off = forecastAir(cold).steps.map(
      (s, i) => s.temperatureK - (plain[i]?.temperatureK ?? NaN),
    );
    expect(off[0]).toBeCloseTo(-4 * Math.exp(-1 / 12), 0);
    expect((off[11] ?? NaN) / (off[0] ?? NaN)).toBeCloseTo(Math.exp(-11 / 12), 1);
  });
  it('humidity goes the same way, never beyond dry or wet; after two weeks the mean of a day goes on', () => {
    // Whole hours, each one reading: the hour’s mean is what was read in it.
    const hours = (lastWet: number) =>
      Array.from({ length: 72 }, (_, i) => ({
        fromMs: i * HOUR,
        temperatureK: 290,
        humidity: i === 71 ? lastWet : 0.4 + 0.01 * (i % 24),
      }));
    const even = forecastAir(hours(0.63)).steps;
    expect(even[0]?.humidity).toBeCloseTo(0.4, 12);
    expect(even[30]?.humidity).toBeCloseTo(0.46, 12);
    expect(even).toHaveLength(14 * 24 + 1);
    expect(even.at(-1)?.fromMs).toBe((72 + 14 * 24) * HOUR);
    expect(even.at(-1)?.humidity).toBeCloseTo(0.4 + 0.01 * 11.5, 12);
    // The last hour stands for a millisecond only, among two whole ones: the pattern takes a third of what is off.
    const off = (0.93 - 0.63) * (2 / 3);
    const wet = forecastAir(hours(0.93)).steps;
    expect((wet[0]?.humidity ?? NaN) - 0.4).toBeCloseTo(off * Math.exp(-1 / 12), 9);
    expect((wet[11]?.humidity ?? NaN) - 0.51).toBeCloseTo(off * Math.exp(-1), 9);
    const bounds = [1, 0].map((h) => forecastAir(hours(h).map((s) => ({ ...s, humidity: h }))));
    expect(bounds.map((b) => b.steps[3]?.humidity)).toEqual([1, 0]);
  });
  it('needs two days of eighteen hours; an hour that is never told is as the whole', () => {
    const told = (perDay: number, days: number) =>
      forecastAir(
        Array.from({ length: days * 24 }, (_, i) => ({
          ...{ fromMs: i * HOUR, temperatureK: 290 + (i % 24), humidity: 0.5 },
        })).filter((_, i) => i % 24 < perDay),
      );
    // A reading tells of the hour after it as well, the last one only of its own.
    expect(told(17, 2).byPattern).toBe(false);
    expect(told(18, 2).byPattern).toBe(true);
    expect(told(18, 1).byPattern).toBe(false);
    const { steps } = told(18, 3);
    const untold = steps.find((s) => (s.fromMs / HOUR) % 24 === 22);
    const day = 18 * 290 + 153;
    expect(untold?.temperatureK).toBeCloseTo((3 * day + 2 * 307) / (3 * 18 + 2), 9);
  });
  it('its bands hold what comes: 90 % of seeded rooms within 1.645 of the spread a day ahead', () => {
    let held = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const random = seededRandom(seed);
      // A first-order remainder whose memory is the forecast's own, normal by the central limit.
      let [off, wander] = [0, [] as number[]];
      const keep = Math.exp(-1 / 24);
      for (let i = 0; i < 12 * 48; i += 1) {
        const normal = Array.from({ length: 12 }, random).reduce((s, x) => s + x, -6);
        off = off * keep + Math.sqrt(1 - keep * keep) * normal;
        wander = [...wander, off];
      }
      const whole = record(12, (hour) => wander[hour * 2] ?? 0);
      const known = forecastAir(whole.slice(0, 11 * 48));
      const wanted = whole[12 * 48 - 2]?.temperatureK ?? NaN;
      const step = known.steps.find((s) => s.fromMs === (12 * 24 - 1) * HOUR);
      const error = Math.abs((step?.temperatureK ?? NaN) - wanted);
      if (error < 1.645 * forecastSpread(known, 23.5)) held += 1;
    }
    expect(held / 200).toBeGreaterThan(0.82);
    expect(held / 200).toBeLessThan(0.97);
  });
  it('the spread grows from nothing to its end', () => {
    const spread = (h: number) => forecastSpread({ spreadK: 1 }, h);
    expect(spread(0)).toBe(0);
    expect(spread(-5)).toBe(0);
    expect(spread(6)).toBeCloseTo(Math.sqrt(1 - Math.exp(-1)), 12);
    expect(spread(500)).toBeCloseTo(1, 9);
  });
});
