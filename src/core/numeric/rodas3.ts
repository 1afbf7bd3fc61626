import { assert } from '../result';
import { linearSolve } from './linearSolve';
import type { Outcome } from './outcome';

/** Right side of y′ = f(y); it writes into `out`. */
export type Slope = (y: Float64Array, out: Float64Array) => void;

export interface StiffOptions {
  /** Wanted error of a step: relative, and absolute by component. */
  readonly relative: number;
  readonly absolute: readonly number[];
  readonly firstStep: number;
  readonly steps?: number;
  /** Told after each accepted step, with a reader of the values inside it; true stops the run there. */
  readonly onStep?: (from: number, to: number, at: (t: number) => Float64Array) => boolean;
}

export interface StiffRun {
  readonly t: number;
  readonly y: Float64Array;
  readonly outcome: Outcome;
  readonly steps: number;
  readonly rejected: number;
  readonly evaluations: number;
}

const STEPS = 20_000;
/** γ of the method, and how far the stages reach. */
const GAMMA = 0.5;
const SAFE = 0.9;
const [SHRINK, GROW] = [0.2, 6];
/** Increment of the numeric Jacobian, share of a component. */
const NUDGE = 1e-7;

/**
 * Integrates a stiff, autonomous system.
 * @param slope f @param y0 start; not changed @param from, to the span, from < to
 * @returns where it came to and how: `converged` at `to`, `stopped` by the observer, `steps used up`, `not finite`
 * @throws RangeError on a span or a first step that is not above zero
 * Source: Rodas3, a stiffly accurate Rosenbrock method of order 3 (2), L-stable, four stages (Sandu et al. 1997, in
 *   the coefficients of KPP, from memory); numeric Jacobian; inside a step the cubic Hermite polynomial.
 */
export function rodas3(
  slope: Slope,
  y0: Float64Array,
  from: number,
  to: number,
  { relative, absolute, firstStep, steps = STEPS, onStep }: StiffOptions,
): StiffRun {
  assert(to > from && firstStep > 0, 'rodas3', { from, to, firstStep });
  const n = y0.length;
  const work = workspace(n);
  const { f0, f1, trial, error } = work;
  let y = y0.slice();
  let t = from;
  let h = Math.min(firstStep, to - from);
  let [accepted, rejected] = [0, 0];
  const evaluate: Slope = (at, out) => {
    work.evaluations += 1;
    slope(at, out);
  };
  const end = (outcome: Outcome): StiffRun => ({
    ...{ t, y, outcome, steps: accepted, rejected, evaluations: work.evaluations },
  });
  evaluate(y, f0);
  while (t < to) {
    if (accepted + rejected >= steps) return end('steps used up');
    if (accepted === 0 || work.stale) jacobian(evaluate, y, f0, work);
    const size = step(evaluate, y, h, relative, absolute, work);
    if (!(size <= 1)) {
      rejected += 1;
      h *= Number.isFinite(size) ? Math.max(SHRINK, SAFE * size ** (-1 / 3)) : SHRINK;
      if (!(h > (to - from) * 1e-14)) return end('not finite');
      continue;
    }
    const next = to - t <= h ? to : t + h;
    const before = y;
    evaluate(trial, f1);
    const [start, slope0, slope1, after] = [t, f0.slice(), f1.slice(), trial.slice()];
    const done = onStep?.(start, next, (at) =>
      hermite((at - start) / (next - start), next - start, before, slope0, after, slope1),
    );
    accepted += 1;
    t = next;
    y = after;
    f0.set(f1);
    work.stale = true;
    if (done === true) return end('stopped');
    h = Math.min(h * Math.min(GROW, SAFE * Math.max(size, 1e-9) ** (-1 / 3)), to - t || h);
    error.fill(0);
  }
  return end('converged');
}

const workspace = (n: number) => {
  const vector = () => new Float64Array(n);
  return {
    ...{ f0: vector(), f1: vector(), trial: vector(), error: vector(), nudged: vector() },
    k: [vector(), vector(), vector(), vector()] as const,
    jacobian: new Float64Array(n * n),
    matrix: new Float64Array(n * n),
    stale: true,
    evaluations: 0,
  };
};
type Workspace = ReturnType<typeof workspace>;

function jacobian(slope: Slope, y: Float64Array, f: Float64Array, work: Workspace): void {
  const n = y.length;
  const { nudged, f1 } = work;
  for (let j = 0; j < n; j += 1) {
    nudged.set(y);
    const delta = NUDGE * Math.max(Math.abs(y[j] ?? NaN), 1e-5);
    nudged[j] = (y[j] ?? NaN) + delta;
    slope(nudged, f1);
    for (let i = 0; i < n; i += 1)
      work.jacobian[i * n + j] = ((f1[i] ?? NaN) - (f[i] ?? NaN)) / delta;
  }
  work.stale = false;
}

/** One trial step into `work.trial`. @returns its error against the wanted one; NaN where a stage fails */
function step(
  slope: Slope,
  y: Float64Array,
  h: number,
  relative: number,
  absolute: readonly number[],
  work: Workspace,
): number {
  const n = y.length;
  const { f0, f1, trial, k, nudged } = work;
  const [k1, k2, k3, k4] = k;
  const solve = (out: Float64Array): boolean => {
    for (let i = 0; i < n * n; i += 1) work.matrix[i] = -(work.jacobian[i] ?? NaN);
    for (let i = 0; i < n; i += 1)
      work.matrix[i * n + i] = (work.matrix[i * n + i] ?? NaN) + 1 / (h * GAMMA);
    return linearSolve(work.matrix, out);
  };
  k1.set(f0);
  if (!solve(k1)) return NaN;
  for (let i = 0; i < n; i += 1) k2[i] = (f0[i] ?? NaN) + (4 / h) * (k1[i] ?? NaN);
  if (!solve(k2)) return NaN;
  for (let i = 0; i < n; i += 1) nudged[i] = (y[i] ?? NaN) + 2 * (k1[i] ?? NaN);
  slope(nudged, f1);
  for (let i = 0; i < n; i += 1) k3[i] = (f1[i] ?? NaN) + ((k1[i] ?? NaN) - (k2[i] ?? NaN)) / h;
  if (!solve(k3)) return NaN;
  for (let i = 0; i < n; i += 1) nudged[i] = (y[i] ?? NaN) + 2 * (k1[i] ?? NaN) + (k3[i] ?? NaN);
  slope(nudged, f1);
  for (let i = 0; i < n; i += 1)
    k4[i] = (f1[i] ?? NaN) + ((k1[i] ?? NaN) - (k2[i] ?? NaN) - (8 / 3) * (k3[i] ?? NaN)) / h;
  if (!solve(k4)) return NaN;
  let sum = 0;
  for (let i = 0; i < n; i += 1) {
    const next = (nudged[i] ?? NaN) + (k4[i] ?? NaN);
    trial[i] = next;
    const scale = (absolute[i] ?? NaN) + relative * Math.max(Math.abs(y[i] ?? NaN), Math.abs(next));
    sum += ((k4[i] ?? NaN) / scale) ** 2;
  }
  return Math.sqrt(sum / n);
}

/** Cubic through two values with their slopes; s 0…1 of a step of length h. */
function hermite(
  s: number,
  h: number,
  y0: Float64Array,
  f0: Float64Array,
  y1: Float64Array,
  f1: Float64Array,
): Float64Array {
  const [s2, s3] = [s * s, s * s * s];
  const [a, b, c, d] = [2 * s3 - 3 * s2 + 1, s3 - 2 * s2 + s, 3 * s2 - 2 * s3, s3 - s2];
  return y0.map(
    (v, i) => a * v + b * h * (f0[i] ?? NaN) + c * (y1[i] ?? NaN) + d * h * (f1[i] ?? NaN),
  );
}
