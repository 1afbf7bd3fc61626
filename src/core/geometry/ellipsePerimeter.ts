import { assert } from '../result';

/**
 * Perimeter of an ellipse by the arithmetic-geometric mean.
 * @param a, b half axes, m, > 0
 * @returns perimeter, m, to about 1e-15 relative
 * @throws RangeError when an axis is not above zero
 * Source: Abramowitz & Stegun 17.6 (complete elliptic integral of the second kind by AGM): exact to
 *   rounding, where the usual closed approximations are off by up to 4e-4 for slender ellipses.
 */
export function ellipsePerimeter(a: number, b: number): number {
  assert(a > 0 && b > 0, 'ellipsePerimeter', [a, b]);
  let x = Math.max(a, b);
  let y = Math.min(a, b);
  let sum = x * x;
  let weight = 0.5;
  let c2 = x * x - y * y;
  for (let step = 0; step < 60; step += 1) {
    sum -= weight * c2;
    if (Math.abs(x - y) < 1e-16 * x) break;
    const mean = (x + y) / 2;
    const half = (x - y) / 2;
    y = Math.sqrt(x * y);
    x = mean;
    c2 = half * half;
    weight *= 2;
  }
  return (2 * Math.PI * sum) / x;
}
