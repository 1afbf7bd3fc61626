import { normalQuantile, seededRandom } from '.';

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

describe('seededRandom', () => {
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
