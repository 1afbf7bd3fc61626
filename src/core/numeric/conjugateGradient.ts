import { assert } from '../result';
import type { Outcome, Solved } from './outcome';

/** A symmetric positive definite system A x = b, given by what its parts do to a vector. */
export interface LinearSystem {
  /** out = A x */
  readonly multiply: (x: Float64Array, out: Float64Array) => void;
  /** out = M⁻¹ r, with M near A and symmetric. */
  readonly precondition: (r: Float64Array, out: Float64Array) => void;
}

export interface GradientOptions {
  /** Root mean square of what is left of b that counts as solved, > 0. */
  readonly tolerance: number;
  readonly steps?: number;
}

export const GRADIENT_STEPS = 500;

/** a · b of two vectors of one length. */
export function dot(a: Float64Array, b: Float64Array): number {
  let s = 0;
  for (let i = 0; i < a.length; i += 1) s += (a[i] as number) * (b[i] as number);
  return s;
}

/**
 * Solves A x = b from x = 0, step by step: yields what is left of b before each, and can be left between two.
 * @param b right side, never changed
 * @returns x with the root mean square of what is left; `steps used up` or `not finite` where it ended early
 * @throws RangeError on an empty right side
 * Source: preconditioned conjugate gradients (Hestenes & Stiefel 1952), from memory.
 */
export function* gradientSteps(
  { multiply, precondition }: LinearSystem,
  b: Float64Array,
  { tolerance, steps = GRADIENT_STEPS }: GradientOptions,
): Generator<number, Solved<Float64Array>, void> {
  const n = b.length;
  assert(n > 0, 'conjugateGradient', n);
  const x = new Float64Array(n);
  const r = Float64Array.from(b);
  const [z, p, q] = [new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  const left = () => Math.sqrt(dot(r, r) / n);
  precondition(r, z);
  p.set(z);
  let rz = dot(r, z);
  let residual = left();
  const end = (outcome: Outcome, k: number) => ({ value: x, outcome, steps: k, residual });
  for (let k = 0; k < steps; k += 1) {
    if (residual <= tolerance) return end('converged', k);
    yield residual;
    multiply(p, q);
    const alpha = rz / dot(p, q);
    if (!Number.isFinite(alpha)) return end('not finite', k);
    for (let i = 0; i < n; i += 1) {
      x[i] = (x[i] as number) + alpha * (p[i] as number);
      r[i] = (r[i] as number) - alpha * (q[i] as number);
    }
    precondition(r, z);
    const next = dot(r, z);
    const beta = next / rz;
    for (let i = 0; i < n; i += 1) p[i] = (z[i] as number) + beta * (p[i] as number);
    rz = next;
    residual = left();
  }
  return end(residual <= tolerance ? 'converged' : 'steps used up', steps);
}
