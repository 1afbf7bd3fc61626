import { stepIntegral } from '.';

const H = 3_600_000;
// 2 until 1 h, nothing until 3 h, 1 from then on; told in any order.
const RECORD = [
  { fromMs: 3 * H, rate: 1 },
  { fromMs: 0, rate: 2 },
  { fromMs: H, rate: 0 },
];
const rate = (step: { rate: number }) => step.rate;
const integral = () => stepIntegral(RECORD, rate);
const sum = (fromH: number, toH: number) => integral().gained(fromH * H, toH * H) / 3600;
const when = (fromH: number, hours: number) => integral().instantOf(fromH * H, hours * 3600) / H;

describe('a record of steps', () => {
  it.each([
    [0, 1, 2],
    [0.5, 1, 1],
    [0.5, 2.999, 1],
    [1, 3, 0],
    [2, 5, 2],
    [0, 5, 4],
    // The first step also holds before it.
    [-2, 0.5, 5],
    [4, 4, 0],
    [5, 4, 0],
  ])('from %d h to %d h its rate comes to %d', (from, to, hours) => {
    expect(sum(from, to)).toBeCloseTo(hours, 12);
  });

  it.each([
    [0, 1, 0.5],
    [0, 2, 1],
    [0, 2.5, 3.5],
    [0.75, 1, 3.5],
    [2, 1, 4],
    [-1, 1, -0.5],
    [9, 1, 10],
  ])('from %d h on, %d is reached at %d h', (from, wanted, at) => {
    expect(when(from, wanted)).toBeCloseTo(at, 12);
  });

  it('the rate that holds: from its instant on, the first also before it', () => {
    const at = [-1, 0, 0.99, 1, 2, 3, 99].map((h) => integral().rateAt(h * H));
    expect(at).toEqual([2, 2, 2, 0, 0, 1, 1]);
    // Of several from one instant the last one holds.
    const twice = [{ fromMs: 0, rate: 2 }, ...[5, 7].map((r) => ({ fromMs: H, rate: r }))];
    expect(stepIntegral(twice, rate).rateAt(H)).toBe(7);
    expect(stepIntegral(twice, rate).gained(0, 2 * H)).toBe(3600 * 9);
  });

  it('nothing is wanted: at once, also where nothing is gained', () => {
    expect(when(0.25, 0)).toBe(0.25);
    expect(when(2, 0)).toBe(2);
  });

  it('never, where the last step gains nothing; an empty record is a bug', () => {
    const still = stepIntegral([{ fromMs: 0, rate: 0 }], rate);
    expect(still.instantOf(0, 1)).toBe(Infinity);
    expect(still.gained(0, Infinity)).toBe(0);
    expect(() => stepIntegral([], rate)).toThrow('stepRecord');
  });
});
