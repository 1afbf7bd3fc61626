import { rodas3, type Slope } from './rodas3';
import { leastSquares } from './leastSquares';
import { linearSolve } from './linearSolve';
import { seededRandom } from './seededRandom';
import { odex } from './test/odex';

const run = (slope: Slope, y0: number[], to: number, relative: number, firstStep = 1e-3) =>
  rodas3(slope, Float64Array.from(y0), 0, to, {
    ...{ relative, absolute: y0.map(() => relative * 1e-3), firstStep },
  });

describe('a stiff system', () => {
  it('decay comes to e^−t, and the error falls with the third power of the step', () => {
    const decay: Slope = (y, out) => {
      out[0] = -(y[0] ?? 0);
    };
    const error = (relative: number) =>
      Math.abs((run(decay, [1], 2, relative).y[0] ?? NaN) - Math.exp(-2));
    expect(error(1e-6)).toBeLessThan(1e-6);
    expect(error(1e-9)).toBeLessThan(error(1e-6) / 50);
  });
  it('Robertson’s reaction at t = 40: 0.71583, 9.185e−6, 0.28416 (Hairer & Wanner, from memory)', () => {
    const robertson: Slope = (y, out) => {
      const [a, b, c] = [y[0] ?? 0, y[1] ?? 0, y[2] ?? 0];
      const slow = -0.04 * a + 1e4 * b * c;
      out[0] = slow;
      out[2] = 3e7 * b * b;
      out[1] = -slow - (out[2] ?? 0);
    };
    const { y, outcome, steps } = run(robertson, [1, 0, 0], 40, 1e-6, 1e-5);
    expect(outcome).toBe('converged');
    expect(y[0]).toBeCloseTo(0.7158, 4);
    expect((y[1] ?? 0) * 1e6).toBeCloseTo(9.185, 2);
    expect(y[2]).toBeCloseTo(0.28416, 4);
    expect(steps).toBeLessThan(400);
  });
  it('van der Pol, μ = 20, against odex', () => {
    const slope: Slope = (y, out) => {
      const [x, v] = [y[0] ?? 0, y[1] ?? 0];
      out[0] = v;
      out[1] = 20 * (1 - x * x) * v - x;
    };
    const oracle = odex(2, 1e-11);
    const wanted = oracle.solve(
      (_, [x = 0, v = 0]) => [v, 20 * (1 - x * x) * v - x],
      0,
      [2, 0],
      30,
    ).y;
    const { y } = run(slope, [2, 0], 30, 1e-8);
    expect(y[0]).toBeCloseTo(wanted[0] ?? NaN, 5);
  });
  it('an observer reads inside a step and stops the run', () => {
    const decay: Slope = (y, out) => {
      out[0] = -(y[0] ?? 0);
    };
    let half = NaN;
    const { outcome, t } = rodas3(decay, Float64Array.of(1), 0, 10, {
      ...{ relative: 1e-8, absolute: [1e-10], firstStep: 0.01 },
      onStep: (from, to, at) => {
        if (!((at(to)[0] ?? 0) < 0.5)) return false;
        let [low, high] = [from, to];
        for (let i = 0; i < 50; i += 1) {
          const middle = (low + high) / 2;
          if ((at(middle)[0] ?? 0) > 0.5) low = middle;
          else high = middle;
        }
        half = low;
        return true;
      },
    });
    expect(outcome).toBe('stopped');
    expect(half).toBeCloseTo(Math.LN2, 6);
    expect(t).toBeGreaterThanOrEqual(half);
  });
  it('a span may start anywhere, its first step be longer than the span, and the start stays as it was', () => {
    const decay: Slope = (y, out) => {
      out[0] = -(y[0] ?? 0);
    };
    const y0 = Float64Array.of(1);
    const options = { relative: 1e-8, absolute: [1e-11], firstStep: 50 };
    const { y, t, outcome, steps, rejected, evaluations } = rodas3(decay, y0, 5, 7, options);
    expect([t, outcome, y0[0]]).toEqual([7, 'converged', 1]);
    expect(y[0]).toBeCloseTo(Math.exp(-2), 7);
    expect(rejected).toBeGreaterThan(0);
    // Each try takes the slopes inside, each step taken the one at its end and a column of the Jacobian.
    expect(evaluations).toBeGreaterThanOrEqual(2 * (steps + rejected) + steps);
    expect(evaluations).toBeLessThanOrEqual(4 * (steps + rejected) + 2 * steps + 2);
    const short = rodas3(decay, y0, 5, 7, { ...options, firstStep: 1e-3, steps: 4 });
    expect([short.outcome, short.steps + short.rejected]).toEqual(['steps used up', 4]);
    expect(short.t).toBeGreaterThan(5);
    for (const firstStep of [0, -1])
      expect(() => rodas3(decay, y0, 5, 7, { ...options, firstStep })).toThrow('rodas3');
  });
  it('what is no number ends it, and is said', () => {
    const bad: Slope = (_, out) => {
      out[0] = NaN;
    };
    expect(run(bad, [1], 1, 1e-6).outcome).toBe('not finite');
    expect(() => run(bad, [1], 0, 1e-6)).toThrow('rodas3');
  });
});

describe('small linear systems', () => {
  it('are solved with pivots, and a singular one is told', () => {
    const b = Float64Array.of(3, 5);
    expect(linearSolve(Float64Array.of(0, 1, 2, 1), b)).toBe(true);
    expect([...b]).toEqual([1, 3]);
    expect(linearSolve(Float64Array.of(1, 2, 2, 4), Float64Array.of(1, 2))).toBe(false);
    expect(linearSolve(Float64Array.of(1, 0, 0, 1), Float64Array.of(1, NaN))).toBe(false);
  });
  it('a head that all but vanishes is not divided by: [1e−20 1; 1 1] x = [1; 2] gives 1, 1', () => {
    const b = Float64Array.of(1, 2);
    expect(linearSolve(Float64Array.of(1e-20, 1, 1, 1), b)).toBe(true);
    expect([...b]).toEqual([1, 1]);
  });
  it('rows change places in any column: twenty seeded systems of six come back to what made them', () => {
    const random = seededRandom(9);
    for (let round = 0; round < 20; round += 1) {
      const a = Float64Array.from({ length: 36 }, (_, i) => (i % 5 === 0 ? 0 : random() - 0.5));
      const x = Array.from({ length: 6 }, () => random() * 10);
      const b = Float64Array.from(x, (_, i) =>
        x.reduce((s, v, j) => s + (a[i * 6 + j] ?? NaN) * v, 0),
      );
      expect(linearSolve(a, b)).toBe(true);
      for (const [i, v] of x.entries()) expect(b[i]).toBeCloseTo(v, 8);
    }
  });
});

describe('least squares', () => {
  it('finds a straight line with the spread that the textbook gives', () => {
    // y = 2 + 3x with deviations ±0.1 of unit weight: σ² = (XᵀX)⁻¹.
    const xs = [0, 1, 2, 3, 4];
    const fitted = leastSquares(
      ([a = 0, b = 0]) => xs.map((x) => a + b * x - (2 + 3 * x)),
      [0, 0],
      [1, 1],
    );
    expect(fitted.outcome).toBe('converged');
    expect(fitted.values[0]).toBeCloseTo(2, 6);
    expect(fitted.values[1]).toBeCloseTo(3, 6);
    // n = 5, Σx = 10, Σx² = 30, determinant 50: variances 30/50 and 5/50.
    expect(fitted.sigmas[0]).toBeCloseTo(Math.sqrt(0.6), 4);
    expect(fitted.sigmas[1]).toBeCloseTo(Math.sqrt(0.1), 4);
    // Covariance −Σx / determinant.
    expect(fitted.covariance[0]?.[1]).toBeCloseTo(-0.2, 4);
    expect(fitted.steps).toBeLessThan(8);
  });
  it('the natural steps of its values change neither place nor spread', () => {
    const xs = [0, 1, 2, 3, 4];
    const line = ([a = 0, b = 0]: readonly number[]) => xs.map((x) => a + b * x - (2 + 3 * x));
    const scaled = leastSquares(line, [0, 0], [20, 0.05]);
    for (const [i, v] of [2, 3].entries()) expect(scaled.values[i]).toBeCloseTo(v, 5);
    for (const [i, s] of [0.6, 0.1].entries())
      expect(scaled.sigmas[i]).toBeCloseTo(Math.sqrt(s), 4);
    expect(scaled.covariance[1]?.[0]).toBeCloseTo(-0.2, 4);
    for (const bad of [[1], [1, 0], [1, -1]])
      expect(() => leastSquares(line, [0, 0], bad)).toThrow('leastSquares');
  });
  it('says when the start is no number, is best already, and when it never comes to an end', () => {
    const none = leastSquares(() => [NaN], [1, 2], [1, 1]);
    expect(none).toMatchObject({ values: [1, 2], outcome: 'not finite', steps: 0 });
    expect(none.sigmas).toEqual([NaN, NaN]);
    expect(none.covariance.map((row) => row.length)).toEqual([2, 2]);
    const best = leastSquares(([x = 0]) => [x], [0], [1]);
    expect(best).toMatchObject({ values: [0], outcome: 'converged', sum: 0 });
    // From a damping of 1e−3 by eights beyond 1e9.
    expect(best.steps).toBe(14);
    // e^−x has no least place; sixty steps of about 1 are all that is taken.
    const endless = leastSquares(([x = 0]) => [1e20 * Math.exp(-x)], [0], [1]);
    expect(endless).toMatchObject({ outcome: 'steps used up', steps: 60 });
    expect(endless.values[0]).toBeGreaterThan(50);
  });
  it('follows Rosenbrock’s valley to its end', () => {
    const { values } = leastSquares(
      ([x = 0, y = 0]) => [10 * (y - x * x), 1 - x],
      [-1.2, 1],
      [1, 1],
    );
    expect(values[0]).toBeCloseTo(1, 4);
    expect(values[1]).toBeCloseTo(1, 4);
  });
});
