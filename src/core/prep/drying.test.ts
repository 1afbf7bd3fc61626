import psychrolib from 'psychrolib';
import { DRYING_BAND, dryingRate, dryTime, labelTime, type Drying } from '.';

psychrolib.SetUnitSystem(psychrolib.SI);
const K = 273.15;
const HOUR = 3_600_000;
const air = (t: number, rh: number, fromMs = 0) => ({
  fromMs,
  temperatureK: t + K,
  humidity: rh / 100,
});
const DAY: Drying = { labelS: 86_400, thicknessM: 0.2e-3, leaves: 'water' };

describe('drying of water-borne layers', () => {
  // Worked table: relative rate and what a label's 24 h becomes (Dalton with Magnus pressures).
  it.each([
    [22, 50, 1, 24],
    [16, 70, 0.413, 58.1],
    [12, 80, 0.212, 113],
    [28, 40, 1.716, 14.0],
    [22, 80, 0.4, 60.0],
    [18, 55, 0.703, 34.2],
  ])('%d °C, %d %%: rate %d, a day becomes %d h', (t, rh, rate, hours) => {
    expect(dryingRate(air(t, rh))).toBeCloseTo(rate, 3);
    const { dryMs } = dryTime(DAY, 0, [air(t, rh)], 0);
    expect(Math.abs(dryMs / HOUR / hours - 1)).toBeLessThan(0.004);
  });

  it('scales as a psychrometric library does, within 1 % from 5 to 35 °C', () => {
    const theirs = (t: number, rh: number) => psychrolib.GetSatVapPres(t) * (1 - rh / 100);
    for (let t = 5; t <= 35; t += 5)
      for (const rh of [20, 40, 60, 80]) {
        const wanted = theirs(t, rh) / theirs(22, 50);
        expect(Math.abs(dryingRate(air(t, rh)) / wanted - 1)).toBeLessThan(0.01);
      }
  });

  it('adds up over a record of the room, by hand: 10 h at rate 1, the rest at 0.4', () => {
    const record = [air(22, 50), air(22, 80, 10 * HOUR)];
    const slow = dryingRate(air(22, 80));
    expect(dryTime(DAY, 0, record, 0).dryMs / HOUR).toBeCloseTo(10 + 14 / slow, 6);
    // Half of it is done when 12 label hours are gained.
    const half = dryTime(DAY, 0, record, (10 + 2 / slow) * HOUR);
    expect(half.share).toBeCloseTo(0.5, 6);
    expect(half.rate).toBeCloseTo(slow, 9);
  });

  it('the first step holds before it, the order of steps does not matter', () => {
    const record = [air(22, 80, 50 * HOUR), air(22, 50, 40 * HOUR)];
    expect(dryTime(DAY, 0, record, 0).dryMs / HOUR).toBeCloseTo(24, 6);
  });

  it('has a band of 35 % of the label time to either side', () => {
    const { earliestMs, dryMs, latestMs } = dryTime(DAY, HOUR, [air(22, 50)], 0);
    expect((dryMs - earliestMs) / HOUR).toBeCloseTo(24 * DRYING_BAND, 6);
    expect((latestMs - dryMs) / HOUR).toBeCloseTo(24 * DRYING_BAND, 6);
  });

  it('never dries in air that is full of water, and says so', () => {
    const never = dryTime(DAY, 0, [air(15, 100)], 40 * HOUR);
    expect(never).toMatchObject({ dryMs: Infinity, share: 0, rate: 0 });
    const later = dryTime(DAY, 0, [air(15, 100), air(22, 50, 100 * HOUR)], 0);
    expect(later.dryMs / HOUR).toBeCloseTo(124, 6);
  });

  it('solvent leaves at the label’s pace whatever the air', () => {
    const spray: Drying = { labelS: 3600, thicknessM: 30e-6, leaves: 'solvent' };
    expect(dryTime(spray, 0, [air(15, 100)], 0).dryMs).toBe(HOUR);
  });

  it('takes the square of the thickness above 1 mm', () => {
    expect(labelTime({ ...DAY, thicknessM: 1e-3 })).toBe(86_400);
    expect(labelTime({ ...DAY, thicknessM: 2e-3 })).toBeCloseTo(4 * 86_400, 6);
    expect(labelTime({ ...DAY, thicknessM: 0.1e-3 })).toBe(86_400);
  });

  it('refuses an empty record and negative times', () => {
    expect(() => dryTime(DAY, 0, [], 0)).toThrow(RangeError);
    expect(() => labelTime({ ...DAY, labelS: -1 })).toThrow(RangeError);
    expect(() => labelTime({ ...DAY, thicknessM: NaN })).toThrow(RangeError);
  });
});
