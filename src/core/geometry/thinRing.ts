import type { Point } from './point';

const squared = ([x, y]: Point): number => x * x + y * y;

/** Squared distance of a point from a straight piece. */
function offSquared([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const length = dx * dx + dy * dy;
  const t = length > 0 ? ((x - ax) * dx + (y - ay) * dy) / length : 0;
  const at = Math.min(1, Math.max(0, t));
  return squared([x - ax - dx * at, y - ay - dy * at]);
}

/**
 * A ring of too many points with fewer; the first point stays.
 * @param toleranceM farthest that a dropped point may lie from what is kept, m
 * Source: Douglas & Peucker 1973. With a stack of its own: a comb of 100,000 points would overflow that of the
 *   language, as it does in the packages that recurse.
 */
export function thinRing(ring: readonly Point[], toleranceM: number): Point[] {
  const [first] = ring;
  if (!first) return [];
  const points = [...ring, first];
  const keep = new Uint8Array(points.length);
  const spans: [number, number][] = [[0, points.length - 1]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const [a, b] = [points[from], points[to]];
    if (!a || !b) continue;
    let [farthest, most] = [-1, toleranceM ** 2];
    for (let i = from + 1; i < to; i += 1) {
      const off = offSquared(points[i] ?? a, a, b);
      if (off > most) [farthest, most] = [i, off];
    }
    if (farthest < 0) continue;
    keep[farthest] = 1;
    spans.push([from, farthest], [farthest, to]);
  }
  return points.filter((_, i) => i === 0 || (keep[i] === 1 && i < points.length - 1));
}

/**
 * A ring in which each point lies at least a step from the one kept before it: quick, for far too many points.
 * No dropped point lies farther than the step from what is kept.
 */
export function spacedRing(ring: readonly Point[], stepM: number): Point[] {
  const kept: Point[] = [];
  for (const point of ring) {
    const last = kept[kept.length - 1];
    if (!last || squared([point[0] - last[0], point[1] - last[1]]) > stepM ** 2) kept.push(point);
  }
  return kept;
}
