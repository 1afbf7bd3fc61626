import { extent, itemAt, normalQuantile, seededRandom } from '.';

describe('normalQuantile against printed tables of the normal distribution', () => {
  // Abramowitz & Stegun, table 26.5 and 26.6.
  it.each([
    [0.5, 0],
    [0.75, 0.67448975],
    [0.9, 1.28155157],
    [0.95, 1.64485363],
    [0.975, 1.95996398],
    [0.99, 2.32634787],
    [0.999, 3.09023231],
    [0.9999, 3.71901649],
  ])('z(%d)', (p, z) => {
    expect(normalQuantile(p)).toBeCloseTo(z, 7);
    expect(normalQuantile(1 - p)).toBeCloseTo(-z, 7);
  });

  it.each([0, 1, -0.1, 1.1, NaN])('throws on %p', (p) => {
    expect(() => normalQuantile(p)).toThrow('normalQuantile');
  });
});

describe('small helpers', () => {
  it('least and greatest of many, of one, of none; what is no number is passed over', () => {
    expect(extent([3, -2, 7, 7, NaN, 0])).toEqual([-2, 7]);
    expect(extent([5])).toEqual([5, 5]);
    expect(extent([])).toEqual([Infinity, -Infinity]);
  });
  it('an item that is there; one that is not is a bug', () => {
    expect(itemAt([4, 0], 1)).toBe(0);
    expect(() => itemAt([4, 0], 2)).toThrow(new RangeError('itemAt: no item 2 of 2'));
  });
});

describe('seededRandom', () => {
  it('gives the numbers that mulberry32 is known by: seed 1 (from memory)', () => {
    const draw = seededRandom(1);
    const known = [0.6270739405881613, 0.002735721180215478, 0.5274470399599522];
    for (const number of known) expect(draw()).toBeCloseTo(number, 15);
  });

  it('repeats with its seed and differs with another', () => {
    const draw = (seed: number) => Array.from({ length: 5 }, seededRandom(seed));
    expect(draw(3)).toEqual(draw(3));
    expect(draw(3)).not.toEqual(draw(4));
  });

  it('is spread evenly: mean 1/2, variance 1/12', () => {
    const values = Array.from({ length: 20000 }, seededRandom(5));
    const mean = values.reduce((s, v) => s + v, 0) / values.length;
    const variance = values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length;
    expect(mean).toBeCloseTo(0.5, 2);
    expect(variance).toBeCloseTo(1 / 12, 2);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThan(1);
  });
});
