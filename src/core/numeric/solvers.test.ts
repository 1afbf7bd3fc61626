import { converged, drain, gradientSteps, rootBetween, ROOT_STEPS, type LinearSystem } from '.';

const side = (f: (x: number) => number, x: number) => ({ x, y: f(x) });
const between = (f: (x: number) => number, a: number, b: number, tolerance = 1e-12) =>
  rootBetween(f, side(f, a), side(f, b), { tolerance });

describe('a root between two places', () => {
  it.each<[string, (x: number) => number, number, number, number]>([
    ['√2', (x) => x * x - 2, 0, 2, Math.SQRT2],
    ['the fixed point of the cosine', (x) => Math.cos(x) - x, 0, 1, 0.7390851332151607],
    ['ln 5, far from the middle', (x) => Math.exp(x) - 5, -20, 20, Math.log(5)],
    ['a corner', (x) => Math.cbrt(x - 0.3), -1, 1, 0.3],
  ])('%s, whichever end comes first', (_name, f, a, b, root) => {
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const) {
      const { value, outcome, steps, residual } = between(f, from, to);
      expect(outcome).toBe('converged');
      expect(value).toBeCloseTo(root, 9);
      expect(Math.abs(residual)).toBeLessThanOrEqual(1e-12);
      expect(steps).toBeLessThan(ROOT_STEPS);
    }
  });
  it('a straight line is cut at its root in one step, wherever that lies', () => {
    for (const root of [-0.7, 0.1, 0.3])
      expect(between((x) => 3 * (x - root), -1, 1)).toMatchObject({
        ...{ value: expect.closeTo(root, 15), outcome: 'converged', steps: 1 },
      });
    const allowed = { tolerance: 1e-9, steps: 1 };
    const line = (x: number) => x - 0.2;
    expect(rootBetween(line, side(line, -1), side(line, 1), allowed).outcome).toBe('converged');
  });
  it('the weights bring the end that stays nearer, and halving ends what creeps', () => {
    // Halving alone takes forty and more steps for each; false position without weights hundreds for the last two.
    const steps = (f: (x: number) => number, a: number, b: number) => between(f, a, b).steps;
    expect(steps((x) => x * x - 2, 0, 2)).toBeLessThanOrEqual(8);
    expect(steps((x) => Math.cos(x) - x, 0, 1)).toBeLessThanOrEqual(7);
    expect(steps((x) => Math.exp(x) - 5, -20, 20)).toBeLessThanOrEqual(30);
    expect(steps((x) => x ** 9 - 1e-3, 0, 4)).toBeLessThanOrEqual(27);
  });
  it('a value at the tolerance counts as zero, at either end and inside', () => {
    const half = { tolerance: 0.5 };
    const line = (x: number) => x - 1;
    expect(rootBetween(line, side(line, 0.5), side(line, 3), half).value).toBe(0.5);
    expect(rootBetween(line, side(line, -1), side(line, 1.5), half).value).toBe(1.5);
    const steep = (x: number) => (x < 1 ? -4 : x === 1 ? -0.5 : 4);
    expect(rootBetween(steep, side(steep, 0), side(steep, 2), half)).toMatchObject({
      ...{ value: 1, outcome: 'converged', steps: 1 },
    });
    const oneSide = { x: 2, y: Infinity };
    expect(rootBetween(line, side(line, 0), oneSide, half).outcome).toBe('not finite');
  });
  it('an end that is a root already takes no step', () => {
    expect(between((x) => x - 1, 1, 3)).toMatchObject({ value: 1, outcome: 'converged', steps: 0 });
    expect(between((x) => x - 3, 1, 3)).toMatchObject({ value: 3, outcome: 'converged', steps: 0 });
  });
  it('says when there is no bracket, no number or no end', () => {
    expect(between((x) => x * x + 1, -1, 1).outcome).toBe('no bracket');
    expect(between(() => NaN, -1, 1).outcome).toBe('not finite');
    const gap = (x: number) => (Math.abs(x) < 0.5 ? NaN : x);
    expect(between(gap, -1, 1).outcome).toBe('not finite');
    // A jump has no root: the bracket shrinks for ever.
    const jump = (x: number) => (x < 0.3 ? -1 : 1);
    const { outcome, value } = between(jump, -1, 1);
    expect(outcome).toBe('steps used up');
    expect(value).toBeCloseTo(0.3, 3);
  });
  it('what did not converge is thrown with the name of who asked', () => {
    expect(() =>
      converged(
        between((x) => x * x + 1, -1, 1),
        'domeDisc',
      ),
    ).toThrow('domeDisc: no bracket after 0 steps, 2 left');
    expect(
      converged(
        between((x) => x - 0.5, 0, 1),
        'domeDisc',
      ),
    ).toBeCloseTo(0.5, 12);
  });
});

describe('conjugate gradients', () => {
  /** −u″ on n points between two ends at 0: tridiagonal 2, −1. */
  const chain: LinearSystem = {
    multiply: (x, out) => {
      for (let i = 0; i < x.length; i += 1)
        out[i] = 2 * (x[i] ?? NaN) - (x[i - 1] ?? 0) - (x[i + 1] ?? 0);
    },
    precondition: (r, out) => out.set(r),
  };
  const solve = (...asked: Parameters<typeof gradientSteps>) => drain(gradientSteps(...asked));
  const ones = (n: number) => new Float64Array(n).fill(1);

  it('the loaded string: u = i (n + 1 − i) / 2, in at most n steps', () => {
    const n = 40;
    const b = ones(n);
    const { value, outcome, steps, residual } = solve(chain, b, { tolerance: 1e-10 });
    expect(outcome).toBe('converged');
    expect(steps).toBeLessThanOrEqual(n);
    expect(residual).toBeLessThanOrEqual(1e-10);
    value.forEach((u, i) => expect(u).toBeCloseTo(((i + 1) * (n - i)) / 2, 6));
    expect(b).toEqual(ones(n));
  });
  it('an exact preconditioner takes one step', () => {
    const diagonal: LinearSystem = {
      multiply: (x, out) => x.forEach((v, i) => (out[i] = (i + 1) * v)),
      precondition: (r, out) => r.forEach((v, i) => (out[i] = v / (i + 1))),
    };
    const { value, steps } = solve(diagonal, ones(5), { tolerance: 1e-12 });
    expect(steps).toBe(1);
    value.forEach((v, i) => expect(v).toBeCloseTo(1 / (i + 1), 12));
  });
  it('a residual at the tolerance is the end, also after the last step that is allowed', () => {
    const one: LinearSystem = {
      multiply: (x, out) => out.set(x),
      precondition: (r, out) => out.set(r),
    };
    // The residual is the root of the mean square: of 3 and 4 it is √12.5.
    const b = Float64Array.of(3, 4);
    expect(solve(one, b, { tolerance: Math.sqrt(12.5) })).toMatchObject({ steps: 0 });
    expect(solve(one, b, { tolerance: 1e-12, steps: 1 })).toMatchObject({
      ...{ outcome: 'converged', steps: 1 },
    });
    expect(solve(one, b, { tolerance: 1e-12, steps: 0 })).toMatchObject({
      ...{ outcome: 'steps used up', residual: Math.sqrt(12.5) },
    });
  });
  it('says when it ran out of steps, can be left, or met what is no number', () => {
    const short = solve(chain, ones(40), { tolerance: 1e-10, steps: 5 });
    expect(short).toMatchObject({ outcome: 'steps used up', steps: 5 });
    const steps = gradientSteps(chain, ones(40), { tolerance: 1e-10 });
    for (let i = 0; i < 3; i += 1) expect(steps.next().done).toBe(false);
    expect(steps.return(null as never).done).toBe(true);
    expect(steps.next()).toEqual({ done: true, value: undefined });
    const none: LinearSystem = { ...chain, multiply: (_, out) => out.fill(0) };
    expect(solve(none, ones(3), { tolerance: 1e-10 }).outcome).toBe('not finite');
    expect(() => solve(chain, new Float64Array(0), { tolerance: 1 })).toThrow('conjugateGradient');
  });
});
