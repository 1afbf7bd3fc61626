import { assert } from '../result';
import { linearSolve } from './linearSolve';
import type { Outcome } from './outcome';

export interface Fitted {
  readonly values: readonly number[];
  /** Standard deviation of each value, from the curvature at the best place. */
  readonly sigmas: readonly number[];
  /** Covariance by rows. */
  readonly covariance: readonly (readonly number[])[];
  /** Sum of squared residuals. */
  readonly sum: number;
  readonly outcome: Outcome;
  readonly steps: number;
}

const STEPS = 60;
/** Increment of the numeric derivatives. */
const NUDGE = 1e-4;

/**
 * Least sum of squares.
 * @param residuals of trial values, each divided by its own standard deviation; priors are residuals too
 * @param start first guess @param scales size of a natural step of each value, > 0
 * @returns best values with their spread; `steps used up`, `not finite` where the start itself gives no number
 * Source: Levenberg 1944, Marquardt 1963, with forward differences; spread (JᵀJ)⁻¹.
 */
export function leastSquares(
  residuals: (values: readonly number[]) => readonly number[],
  start: readonly number[],
  scales: readonly number[],
): Fitted {
  assert(start.length === scales.length && scales.every((s) => s > 0), 'leastSquares', scales);
  const n = start.length;
  let values = [...start];
  let now = residuals(values);
  let sum = total(now);
  if (!Number.isFinite(sum)) return ended(values, null, sum, 'not finite', 0);
  let damping = 1e-3;
  let normal = normalOf(residuals, values, now, scales);
  for (let steps = 1; steps <= STEPS; steps += 1) {
    const shift = solveFor(normal, damping);
    const trial = values.map((v, i) => v + (shift?.[i] ?? NaN) * (scales[i] ?? 1));
    const then = shift ? residuals(trial) : [NaN];
    const next = total(then);
    if (!(next < sum)) {
      damping *= 8;
      if (damping > 1e9) return ended(values, inverse(normal, scales), sum, 'converged', steps);
      continue;
    }
    const gain = (sum - next) / Math.max(sum, 1e-12);
    values = trial;
    now = then;
    sum = next;
    damping = Math.max(1e-9, damping / 6);
    normal = normalOf(residuals, values, now, scales);
    if (gain < 1e-6) return ended(values, inverse(normal, scales), sum, 'converged', steps);
  }
  return ended(values, inverse(normal, scales), sum, 'steps used up', STEPS);

  function ended(
    at: readonly number[],
    covariance: number[][] | null,
    left: number,
    outcome: Outcome,
    steps: number,
  ): Fitted {
    const known = covariance ?? at.map(() => Array.from({ length: n }, () => NaN));
    const sigmas = known.map((row, i) => Math.sqrt(row[i] ?? NaN));
    return { values: at, sigmas, covariance: known, sum: left, outcome, steps };
  }
}

const total = (values: readonly number[]): number => values.reduce((s, v) => s + v * v, 0);

interface Normal {
  /** JᵀJ and −Jᵀr in scaled values. */
  readonly curvature: readonly (readonly number[])[];
  readonly down: readonly number[];
}

function normalOf(
  residuals: (values: readonly number[]) => readonly number[],
  values: readonly number[],
  now: readonly number[],
  scales: readonly number[],
): Normal {
  const columns = values.map((_, j) => {
    const nudged = values.map((v, i) => (i === j ? v + NUDGE * (scales[i] ?? 1) : v));
    return residuals(nudged).map((r, i) => (r - (now[i] ?? NaN)) / NUDGE);
  });
  const dot = (a: readonly number[], b: readonly number[]) =>
    a.reduce((s, v, i) => s + v * (b[i] ?? NaN), 0);
  return {
    curvature: columns.map((a) => columns.map((b) => dot(a, b))),
    down: columns.map((a) => -dot(a, now)),
  };
}

function solveFor({ curvature, down }: Normal, damping: number): number[] | null {
  const n = down.length;
  const a = new Float64Array(n * n);
  curvature.forEach((row, i) =>
    row.forEach((v, j) => (a[i * n + j] = i === j ? v * (1 + damping) + 1e-12 : v)),
  );
  const b = Float64Array.from(down);
  return linearSolve(a, b) ? [...b] : null;
}

/** (JᵀJ)⁻¹ in the values' own units; null where it does not exist. */
function inverse({ curvature, down }: Normal, scales: readonly number[]): number[][] | null {
  const n = down.length;
  const columns: number[][] = [];
  for (let j = 0; j < n; j += 1) {
    const a = Float64Array.from(curvature.flat());
    const b = Float64Array.from({ length: n }, (_, i) => (i === j ? 1 : 0));
    if (!linearSolve(a, b)) return null;
    columns.push([...b].map((v, i) => v * (scales[i] ?? 1) * (scales[j] ?? 1)));
  }
  return columns;
}
