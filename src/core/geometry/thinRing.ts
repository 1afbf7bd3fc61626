import type { Point } from './point';

const squared = ([x, y]: Point): number => x * x + y * y;

/**
 * A ring of too many points with fewer; the first point stays.
 * @param toleranceM farthest that a dropped point may lie from what is kept, m
 * @param most points that are looked at, at most: a comb takes the square of its points
 * @returns the ring; or null when more would have to be looked at
 * Source: Douglas & Peucker 1973. With a stack of its own: a comb of 100,000 points would overflow that of the
 *   language, as it does in the packages that recurse.
 */
export function thinRing(ring: readonly Point[], toleranceM: number): Point[];
export function thinRing(ring: readonly Point[], toleranceM: number, most: number): Point[] | null;
export function thinRing(
  ring: readonly Point[],
  toleranceM: number,
  most = Infinity,
): Point[] | null {
  const [first] = ring;
  if (!first) return [];
  const points = [...ring, first];
  // Numbers side by side: this loop is the price of a drawing.
  const xs = Float64Array.from(points, (p) => p[0]);
  const ys = Float64Array.from(points, (p) => p[1]);
  const keep = new Uint8Array(points.length);
  const spans: [number, number][] = [[0, points.length - 1]];
  let looked = 0;
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    looked += to - from;
    if (looked > most) return null;
    const farthest = farthestOff(xs, ys, from, to, toleranceM);
    if (farthest < 0) continue;
    keep[farthest] = 1;
    spans.push([from, farthest], [farthest, to]);
  }
  return points.filter((_, i) => i === 0 || (keep[i] === 1 && i < points.length - 1));
}

/** Index of the point between two that lies farthest from the straight piece between them, or −1 within `toleranceM`. */
function farthestOff(
  xs: Float64Array,
  ys: Float64Array,
  from: number,
  to: number,
  toleranceM: number,
): number {
  const [ax, ay] = [xs[from] ?? NaN, ys[from] ?? NaN];
  const [dx, dy] = [(xs[to] ?? NaN) - ax, (ys[to] ?? NaN) - ay];
  const length = dx * dx + dy * dy;
  let [farthest, greatest] = [-1, toleranceM ** 2];
  for (let i = from + 1; i < to; i += 1) {
    const px = (xs[i] ?? NaN) - ax;
    const py = (ys[i] ?? NaN) - ay;
    const t = length > 0 ? Math.min(1, Math.max(0, (px * dx + py * dy) / length)) : 0;
    const qx = px - dx * t;
    const qy = py - dy * t;
    const off = qx * qx + qy * qy;
    if (off <= greatest) continue;
    farthest = i;
    greatest = off;
  }
  return farthest;
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
