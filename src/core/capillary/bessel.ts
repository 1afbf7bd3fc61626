import { assert } from '../result';

/** Above this the asymptotic series has all the digits a double holds. */
const LARGE = 30;

function powerSeries(order: 0 | 1, x: number): number {
  const q = (x / 2) ** 2;
  let term = order === 0 ? 1 : x / 2;
  let sum = term;
  for (let k = 1; term > sum * 1e-17; k += 1) {
    term *= q / (k * (k + order));
    sum += term;
  }
  return sum;
}

/** Hankel's expansion of e^−x √(2πx) I(x). */
function hankel(order: 0 | 1, x: number): number {
  const mu = 4 * order * order;
  let term = 1;
  let sum = 1;
  for (let k = 1; k < 30; k += 1) {
    // From LARGE on each term is at most half the one before: the expansion does not come to where it grows again.
    term *= -(mu - (2 * k - 1) ** 2) / (k * 8 * x);
    sum += term;
  }
  return sum;
}

/**
 * Logarithm of the modified Bessel function of the first kind: it neither overflows nor underflows.
 * @param order 0 or 1 @param x > 0 (0 gives 0 for order 0, −∞ for order 1)
 * @throws RangeError on a negative or non-finite x
 * Source: power series and Hankel's expansion, Abramowitz & Stegun 9.6.10 and 9.7.1.
 */
export function logBesselI(order: 0 | 1, x: number): number {
  assert(x >= 0 && Number.isFinite(x), 'logBesselI', { order, x });
  return x < LARGE
    ? Math.log(powerSeries(order, x))
    : x - Math.log(2 * Math.PI * x) / 2 + Math.log(hankel(order, x));
}

/** Steps of the trapezium rule for K; it converges faster than any power on this integrand. */
const K_STEPS = 60;

/**
 * K1(x) / K0(x) of the modified Bessel functions of the second kind.
 * @param x > 0
 * @returns > 1, towards 1 for a large x
 * @throws RangeError on an x that is not above 0
 * Source: K_n(x) = ∫ e^(−x cosh t) cosh(n t) dt, Abramowitz & Stegun 9.6.24, by the trapezium rule.
 */
export function besselKRatio(x: number): number {
  assert(x > 0 && Number.isFinite(x), 'besselKRatio', x);
  const end = Math.acosh(1 + 40 / x);
  let [k0, k1] = [0.5, 0.5];
  for (let i = 1; i <= K_STEPS; i += 1) {
    const cosh = Math.cosh((end * i) / K_STEPS);
    const term = Math.exp(-x * (cosh - 1));
    k0 += term;
    k1 += term * cosh;
  }
  return k1 / k0;
}
