import { assert } from '../result';

// Coefficients of Acklam's rational approximation (P. J. Acklam, 2003, from memory).
const A = [
  -3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2,
  -3.066479806614716e1, 2.506628277459239,
] as const;
const B = [
  -5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1,
  -1.328068155288572e1,
] as const;
const C = [
  -7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734,
  4.374664141464968, 2.938163982698783,
] as const;
const D = [
  7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416,
] as const;
const TAIL = 0.02425;

const poly = (coefficients: readonly number[], x: number): number =>
  coefficients.reduce((sum, c) => sum * x + c, 0);

/**
 * Quantile of the standard normal distribution.
 * @param p probability, 0 < p < 1
 * @returns z with P(Z <= z) = p, relative error below 1.2e-9
 * @throws RangeError when p is not inside (0, 1)
 * Source: Acklam's rational approximation (from memory), checked against tables in the test.
 */
export function normalQuantile(p: number): number {
  assert(p > 0 && p < 1, 'normalQuantile', p);
  if (p < TAIL) {
    const q = Math.sqrt(-2 * Math.log(p));
    return poly(C, q) / (poly(D, q) * q + 1);
  }
  if (p > 1 - TAIL) return -normalQuantile(1 - p);
  const q = p - 0.5;
  const r = q * q;
  return (poly(A, r) * q) / (poly(B, r) * r + 1);
}
