import { itemAt } from '../numeric';
import type { Point } from '../geometry';

const PER_SPAN = 48;

/**
 * Points along a B-spline.
 * @param control control points @param degree of the curve, 1 to 7 @param knots as many as control points + degree + 1
 * @returns 48 points for each knot span, ends included; empty when the numbers do not fit together
 * Source: de Boor's algorithm (de Boor 1972, from memory).
 */
export function splinePoints(
  control: readonly Point[],
  degree: number,
  knots: readonly number[],
): Point[] {
  const fits =
    degree >= 1 &&
    degree <= 7 &&
    control.length > degree &&
    knots.length === control.length + degree + 1;
  if (!fits) return [];
  const at = (span: number, u: number): Point => {
    const d = Array.from(
      { length: degree + 1 },
      (_, j): Point => control[span - degree + j] ?? [NaN, NaN],
    );
    for (let r = 1; r <= degree; r += 1)
      for (let j = degree; j >= r; j -= 1) {
        const low = itemAt(knots, span - degree + j);
        const high = itemAt(knots, span + 1 + j - r);
        const share = high > low ? (u - low) / (high - low) : 0;
        const [a, b] = [d[j - 1] ?? [NaN, NaN], d[j] ?? [NaN, NaN]];
        d[j] = [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
      }
    return d[degree] ?? [NaN, NaN];
  };
  const points: Point[] = [];
  for (let span = degree; span < control.length; span += 1) {
    const [low, high] = [itemAt(knots, span), itemAt(knots, span + 1)];
    if (!(high > low)) continue;
    for (let i = points.length === 0 ? 0 : 1; i <= PER_SPAN; i += 1)
      points.push(at(span, low + ((high - low) * i) / PER_SPAN));
  }
  return points;
}
