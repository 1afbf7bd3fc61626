import type { Point } from './point';

/** Signed area of a ring of points by the shoelace formula, + anticlockwise, m². */
export function ringArea(ring: readonly Point[]): number {
  let twice = 0;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [ring[j], ring[i]];
    if (a && b) twice += a[0] * b[1] - a[1] * b[0];
  }
  return twice / 2;
}

/** Middle of mass of a ring of points, m; their mean where they enclose nothing. */
export function ringCentroid(ring: readonly Point[]): Point {
  let [twice, x, y] = [0, 0, 0];
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [ring[j], ring[i]];
    if (!a || !b) continue;
    const cross = a[0] * b[1] - a[1] * b[0];
    twice += cross;
    x += (a[0] + b[0]) * cross;
    y += (a[1] + b[1]) * cross;
  }
  if (Math.abs(twice) > 1e-18) return [x / (3 * twice), y / (3 * twice)];
  const mean = (k: 0 | 1) => ring.reduce((sum, p) => sum + p[k], 0) / Math.max(1, ring.length);
  return [mean(0), mean(1)];
}

/** Whether a point lies inside a ring (even-odd rule). */
export function insideRing(point: Point, ring: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i, i += 1) {
    const [a, b] = [ring[j], ring[i]];
    if (!a || !b || a[1] > point[1] === b[1] > point[1]) continue;
    if (point[0] < a[0] + ((point[1] - a[1]) * (b[0] - a[0])) / (b[1] - a[1])) inside = !inside;
  }
  return inside;
}

const turn = (a: Point, b: Point, c: Point): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

function meet(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [t1, t2] = [turn(a, b, c), turn(a, b, d)];
  const [t3, t4] = [turn(c, d, a), turn(c, d, b)];
  if (t1 > 0 === t2 > 0 || t3 > 0 === t4 > 0 || t1 === t2) return null;
  const share = t1 / (t1 - t2);
  return [c[0] + (d[0] - c[0]) * share, c[1] + (d[1] - c[1]) * share];
}

interface Edge {
  readonly a: Point;
  readonly b: Point;
  readonly low: number;
  readonly high: number;
  readonly index: number;
}

/** Direction across most of the length of a ring: edges that run alike overlap least along it. */
function sweepDirection(ring: readonly Point[]): Point {
  let [c, s] = [0, 0];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const length = Math.hypot(dx, dy);
    if (length === 0) return;
    // The doubled angle: a line has no front and no back.
    c += (dx * dx - dy * dy) / length;
    s += (2 * dx * dy) / length;
  });
  const along = Math.atan2(s, c) / 2;
  return [-Math.sin(along), Math.cos(along)];
}

/** Pairs of edges that are tested at most: half a second. Past it the ring counts as too intricate. */
const MOST_TESTS = 1.5e7;

/**
 * Where a ring crosses itself, at most `most` places.
 * @returns the places; or null when the ring is too intricate to be looked through
 * Source: sweep over edges sorted by their near end, testing those whose ranges overlap; it goes across the
 *   direction in which most of the ring runs, so that a comb is not tested tine by tine.
 */
export function selfCrossings(ring: readonly Point[], most = 20): Point[] | null {
  const [ux, uy] = sweepDirection(ring);
  const edges = ring
    .map((a, index): Edge => {
      const b = ring[(index + 1) % ring.length] ?? a;
      const [p, q] = [a[0] * ux + a[1] * uy, b[0] * ux + b[1] * uy];
      return { a, b, low: Math.min(p, q), high: Math.max(p, q), index };
    })
    .sort((p, q) => p.low - q.low);
  const found: Point[] = [];
  let active: Edge[] = [];
  let tests = 0;
  for (const edge of edges) {
    active = active.filter((e) => e.high >= edge.low);
    tests += active.length;
    if (tests > MOST_TESTS) return null;
    for (const other of active) {
      const apart = Math.abs(other.index - edge.index);
      if (apart <= 1 || apart === ring.length - 1) continue;
      const at = meet(edge.a, edge.b, other.a, other.b);
      if (at) found.push(at);
      if (found.length >= most) return found;
    }
    active.push(edge);
  }
  return found;
}
