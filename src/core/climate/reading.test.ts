import { readingDoubts, stepsOf, withHumidity, type RoomReading } from '.';

const MIN = 60_000;
const HOUR = 60 * MIN;
const C = 273.15;
const reading = (
  minutes: number,
  celsius: number,
  more: Partial<RoomReading> = {},
): RoomReading => ({
  ...{ atMs: minutes * MIN, temperatureK: celsius + C, humidity: 0.5, surfaceK: null },
  ...{ byDevice: true, ...more },
});
const doubts = (...readings: RoomReading[]) => readingDoubts(readings);

describe('what is not believed of a record', () => {
  it('no room is as cold or warm as a broken wire says', () => {
    expect(
      doubts(
        reading(0, -60),
        reading(9, -19.9),
        reading(18, 50),
        reading(27, 51),
        reading(36, NaN),
      ),
    ).toEqual(['no room so warm or cold', null, null, ...Array(2).fill('no room so warm or cold')]);
  });
  it('one that jumps off both its neighbours and back, of a device; a person may open a window', () => {
    const spike = [reading(0, 20), reading(1, 31), reading(2, 20.2)] as const;
    expect(doubts(...spike)).toEqual([null, 'jump', null]);
    expect(doubts(...spike.map((r) => ({ ...r, byDevice: false })))).toEqual([null, null, null]);
    // It stays where it jumped to, or the neighbours are hours away: it may well be so.
    expect(doubts(reading(0, 20), reading(1, 31), reading(2, 31))).toEqual([null, null, null]);
    expect(doubts(reading(0, 20), reading(60, 31), reading(120, 20))).toEqual([null, null, null]);
  });
  it('a jump is more than 8 K off both sides, seen within the hour, and neither first nor last', () => {
    const three = (...of: (readonly [minutes: number, celsius: number])[]) =>
      doubts(...of.map(([m, c]) => reading(m, c))).map((d) => d === 'jump');
    expect(three([0, 20], [1, 28], [2, 20])).toEqual([false, false, false]);
    expect(three([0, 20], [30, 28.1], [60, 20])).toEqual([false, true, false]);
    expect(three([0, 20], [30, 28.1], [61, 20])).toEqual([false, false, false]);
    expect(three([0, 20], [1, 28.1], [2, 20.2])).toEqual([false, false, false]);
    expect(three([0, 20.2], [1, 28.1], [2, 20])).toEqual([false, false, false]);
    // A step up that goes on is none.
    expect(three([0, 10], [1, 20], [2, 30])).toEqual([false, false, false]);
    expect(three([0, 31], [1, 20])).toEqual([false, false]);
  });
  it('a device that says the very same for half a day has stopped; a person may', () => {
    const day = Array.from({ length: 24 * 6 }, (_, i) => reading(i * 10, 21));
    const told = doubts(...day);
    expect(told.indexOf('stuck')).toBe(72);
    expect(told.slice(72).every((d) => d === 'stuck')).toBe(true);
    expect(doubts(...day.map((r) => ({ ...r, byDevice: false }))).every((d) => d === null)).toBe(
      true,
    );
    const lives = day.map((r, i) => (i === 71 ? { ...r, temperatureK: 21.1 + C } : r));
    expect(doubts(...lives)).not.toContain('stuck');
  });
  it('of several for one instant the last counts', () => {
    expect(doubts(reading(5, 20), reading(5, 21))).toEqual(['same instant', null]);
  });
});

describe('the steps of a record', () => {
  it('what a device read within ten minutes is one step, its mean; what a person read is one of its own', () => {
    const steps = stepsOf([
      ...[reading(0, 20), reading(4, 22, { humidity: null }), reading(9.9, 24)],
      reading(10, 30, { byDevice: false }),
      ...[reading(11, 20), reading(12, 21)],
    ]);
    expect(steps.map((s) => [s.fromMs / MIN, s.temperatureK - C])).toEqual([
      [0, expect.closeTo(22, 9)],
      [10, expect.closeTo(30, 9)],
      [11, expect.closeTo(20.5, 9)],
      // From the newest on it is as that one said.
      [12, expect.closeTo(21, 9)],
    ]);
    expect(steps[0]?.humidity).toBeCloseTo(0.5, 12);
  });
  it('doubts make no step, frost counts as 0 °C, humidity that cannot be is not read', () => {
    const steps = stepsOf([reading(0, -60), reading(20, -8), reading(40, 20, { humidity: 1.4 })]);
    expect(steps.map((s) => s.temperatureK)).toEqual([C, 20 + C]);
    expect(steps.map((s) => s.humidity)).toEqual([0.5, null]);
  });
  it('where no humidity was read the last one known holds, before the first the first', () => {
    const step = (h: number | null) => ({ fromMs: 0, temperatureK: 290, humidity: h });
    expect(withHumidity([null, 0.6, null, 0.7].map(step)).map((s) => s.humidity)).toEqual([
      ...[0.6, 0.6, 0.6, 0.7],
    ]);
    expect(withHumidity([null].map(step))[0]?.humidity).toBe(0.5);
  });
  it('keeps the integral of a month of one-minute readings to the mean of its steps', () => {
    const month = Array.from({ length: 3000 }, (_, i) =>
      reading(i, 20 + 3 * Math.sin((i / 1440) * 2 * Math.PI)),
    );
    const steps = stepsOf(month);
    expect(steps).toHaveLength(301);
    const mean = (rows: readonly { temperatureK: number }[]) =>
      rows.reduce((s, r) => s + r.temperatureK, 0) / rows.length;
    expect(mean(steps.slice(0, -1))).toBeCloseTo(mean(month), 9);
    expect(steps.at(-2)?.fromMs).toBe(49 * HOUR + 50 * MIN);
    expect(steps.at(-1)?.fromMs).toBe(49 * HOUR + 59 * MIN);
  });
});
