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
    const next = (-term * (mu - (2 * k - 1) ** 2)) / (k * 8 * x);
    if (Math.abs(next) >= Math.abs(term)) break;
    term = next;
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
