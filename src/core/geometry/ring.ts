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

/**
 * Where a ring crosses itself, at most `most` places.
 * Source: sweep in x over edges sorted by their left end, testing those whose x ranges overlap.
 */
export function selfCrossings(ring: readonly Point[], most = 20): Point[] {
  const edges = ring
    .map((a, index): Edge => {
      const b = ring[(index + 1) % ring.length] ?? a;
      return { a, b, low: Math.min(a[0], b[0]), high: Math.max(a[0], b[0]), index };
    })
    .sort((p, q) => p.low - q.low);
  const found: Point[] = [];
  let active: Edge[] = [];
  for (const edge of edges) {
    active = active.filter((e) => e.high >= edge.low);
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
