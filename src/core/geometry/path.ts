import { assert } from '../result';
import type { Point } from './point';

/** A stretch of an outline: straight, or a cubic Bézier curve. It begins where the one before ends. */
export type Segment =
  | { readonly kind: 'line'; readonly to: Point }
  | { readonly kind: 'cubic'; readonly c1: Point; readonly c2: Point; readonly to: Point };

/** A closed outline in m. The last segment ends at `start`. */
export interface Path {
  readonly start: Point;
  readonly segments: readonly Segment[];
  /** For each segment the stretch that it belongs to, from 0 on, where that is not told by its corners. */
  readonly sideOf?: readonly number[];
}

/** Control points of a segment from its begin on: two for a line, four for a curve. */
export function controlPoints(from: Point, segment: Segment): readonly Point[] {
  return segment.kind === 'line' ? [from, segment.to] : [from, segment.c1, segment.c2, segment.to];
}

/** Each segment of a path with the point at which it begins. */
export function* walk(path: Path): Generator<{ readonly from: Point; readonly segment: Segment }> {
  let from = path.start;
  for (const segment of path.segments) {
    yield { from, segment };
    from = segment.to;
  }
}

/** Point and derivative of a segment at t in [0, 1]. */
function pointAt(from: Point, segment: Segment, t: number): readonly [Point, Point] {
  const [x0, y0] = from;
  const [x3, y3] = segment.to;
  if (segment.kind === 'line')
    return [
      [x0 + (x3 - x0) * t, y0 + (y3 - y0) * t],
      [x3 - x0, y3 - y0],
    ];
  const [[x1, y1], [x2, y2]] = [segment.c1, segment.c2];
  const u = 1 - t;
  const at = (a: number, b: number, c: number, d: number) =>
    u * u * u * a + 3 * u * u * t * b + 3 * u * t * t * c + t * t * t * d;
  const slope = (a: number, b: number, c: number, d: number) =>
    3 * (u * u * (b - a) + 2 * u * t * (c - b) + t * t * (d - c));
  return [
    [at(x0, x1, x2, x3), at(y0, y1, y2, y3)],
    [slope(x0, x1, x2, x3), slope(y0, y1, y2, y3)],
  ];
}

// Gauss–Legendre nodes and weights on [0, 1] (Abramowitz & Stegun, table 25.4).
const ROOT = Math.sqrt(0.6) / 2;
const GAUSS_3 = [
  [0.5 - ROOT, 5 / 18],
  [0.5, 8 / 18],
  [0.5 + ROOT, 5 / 18],
] as const;

/**
 * Signed area inside a path: positive when it runs anticlockwise (x right, y up).
 * @param path outline, m @returns m²
 * Source: Green's theorem, ½ ∮ (x dy − y dx). The integrand of a cubic is a polynomial of degree 5 in t,
 *   for which three Gauss points are exact; so the area is exact to rounding, with no flattening.
 */
export function pathArea(path: Path): number {
  let twice = 0;
  let from = path.start;
  for (const segment of path.segments) {
    twice += twiceSwept(from, segment);
    from = segment.to;
  }
  return twice / 2;
}

/** ∫ x dy − y dx along a segment. */
function twiceSwept(from: Point, segment: Segment): number {
  if (segment.kind === 'line') return from[0] * segment.to[1] - from[1] * segment.to[0];
  let twice = 0;
  for (const [t, weight] of GAUSS_3) {
    const [[x, y], [dx, dy]] = pointAt(from, segment, t);
    twice += weight * (x * dy - y * dx);
  }
  return twice;
}

/**
 * Signed area inside a path and its length, in one pass.
 * @param path outline, m @returns m² (positive when it runs anticlockwise) and m
 * Source: as {@link pathArea} and {@link segmentLength}. An index loop: outlines of 10,000 points are met.
 */
export function measurePath(path: Path): { readonly area: number; readonly lengthM: number } {
  let twice = 0;
  let lengthM = 0;
  let from = path.start;
  for (const segment of path.segments) {
    const { to } = segment;
    twice += twiceSwept(from, segment);
    if (segment.kind === 'line') {
      // Math.hypot guards against overflow, at ten times the cost.
      const dx = to[0] - from[0];
      const dy = to[1] - from[1];
      lengthM += Math.sqrt(dx * dx + dy * dy);
    } else lengthM += segmentLength(from, segment);
    from = to;
  }
  return { area: twice / 2, lengthM };
}

function speedIntegral(from: Point, segment: Segment, t0: number, t1: number): number {
  let sum = 0;
  for (const [t, weight] of GAUSS_3) {
    const [, [dx, dy]] = pointAt(from, segment, t0 + (t1 - t0) * t);
    sum += weight * Math.hypot(dx, dy);
  }
  return sum * (t1 - t0);
}

function curveLength(from: Point, segment: Segment, t0: number, t1: number, depth: number): number {
  const middle = (t0 + t1) / 2;
  const whole = speedIntegral(from, segment, t0, t1);
  const halves =
    speedIntegral(from, segment, t0, middle) + speedIntegral(from, segment, middle, t1);
  if (depth === 0 || Math.abs(whole - halves) <= 1e-11 * halves) return halves;
  return (
    curveLength(from, segment, t0, middle, depth - 1) +
    curveLength(from, segment, middle, t1, depth - 1)
  );
}

/**
 * Length of one segment, m.
 * Source: straight by Pythagoras; curves by adaptive Gauss–Legendre quadrature of the speed, to about
 *   1e-10 relative (at most 2^12 pieces; a cusp is met to about 1e-7).
 */
export function segmentLength(from: Point, segment: Segment): number {
  if (segment.kind === 'line') return Math.hypot(segment.to[0] - from[0], segment.to[1] - from[1]);
  return curveLength(from, segment, 0, 1, 12);
}

/** Straight pieces that keep a curve within `toleranceM` of itself, from its second differences. */
function pieces(from: Point, segment: Segment, toleranceM: number): number {
  if (segment.kind === 'line') return 1;
  const { c1, c2, to } = segment;
  const bend = (a: Point, b: Point, c: Point) =>
    Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]);
  const second = 6 * Math.max(bend(from, c1, c2), bend(c1, c2, to));
  return Math.min(2000, Math.max(1, Math.ceil(Math.sqrt(second / (8 * toleranceM)))));
}

/**
 * A segment as points, its begin and end included.
 * @param toleranceM farthest that a straight piece may lie from the curve, m, > 0
 * @throws RangeError when the tolerance is not above zero
 * Source: distance of a chord from a curve, at most |P''| / (8 n²).
 */
export function flattenSegment(from: Point, segment: Segment, toleranceM: number): Point[] {
  assert(toleranceM > 0, 'flattenSegment', toleranceM);
  const n = pieces(from, segment, toleranceM);
  return Array.from({ length: n + 1 }, (_, i) =>
    i === 0 ? from : i === n ? segment.to : pointAt(from, segment, i / n)[0],
  );
}

/** Straight pieces of a whole path at a tolerance. */
function piecesOf(path: Path, toleranceM: number): number {
  let count = 0;
  for (const { from, segment } of walk(path)) count += pieces(from, segment, toleranceM);
  return count;
}

/** Points that a flattened path has at most: what more could tell is below any reading of it. */
const MOST_POINTS = 200_000;

/**
 * A path as a ring of points, the first not repeated at the end.
 * @param toleranceM farthest that a straight piece may lie from the curve, m, > 0
 * @param most points, at most, as far as its segments allow: the tolerance is widened for a path of many curves
 */
export function flattenPath(path: Path, toleranceM: number, most = MOST_POINTS): Point[] {
  let tolerance = toleranceM;
  // Four times the tolerance takes half the pieces; a curve takes one at least.
  for (let count = piecesOf(path, tolerance); count > most && count > path.segments.length;) {
    tolerance *= 4;
    count = piecesOf(path, tolerance);
  }
  const ring: Point[] = [];
  for (const { from, segment } of walk(path)) {
    const points = flattenSegment(from, segment, tolerance);
    for (let i = 0; i < points.length - 1; i += 1) ring.push(points[i] ?? from);
  }
  return ring;
}

/** A path through an affine map of its points (Bézier curves are affine invariant). */
export function mapPath(path: Path, map: (point: Point) => Point): Path {
  return {
    ...(path.sideOf && { sideOf: path.sideOf }),
    start: map(path.start),
    segments: path.segments.map((s) =>
      s.kind === 'line'
        ? { kind: 'line', to: map(s.to) }
        : { kind: 'cubic', c1: map(s.c1), c2: map(s.c2), to: map(s.to) },
    ),
  };
}

/** The same outline run the other way. */
export function reversePath(path: Path): Path {
  const stretches = [...walk(path)].reverse();
  return {
    start: stretches[0]?.segment.to ?? path.start,
    segments: stretches.map(({ from, segment }) =>
      segment.kind === 'line'
        ? { kind: 'line', to: from }
        : { kind: 'cubic', c1: segment.c2, c2: segment.c1, to: from },
    ),
  };
}
