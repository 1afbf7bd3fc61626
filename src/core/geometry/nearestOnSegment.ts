import type { Point } from './point';

/**
 * The point of a straight piece that is nearest to a point.
 * @param a @param b its ends, m; the same for a piece of no length
 * Source: orthogonal projection, kept within the ends.
 */
export function nearestOnSegment([x, y]: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const t = ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1);
  const s = Math.min(1, Math.max(0, t));
  return [a[0] + s * dx, a[1] + s * dy];
}
