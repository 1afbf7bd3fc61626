import { itemAt } from '../numeric';
import type { Point } from '../geometry';
import { fail, ok, type Result } from '../result';

/** A projective map of the plane, row by row; the last number is not fixed to 1. */
export type Homography = readonly [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];
export type Corners = readonly [Point, Point, Point, Point];

/**
 * Image of a point under a homography; NaN or infinite on the horizon.
 * Source: Hartley & Zisserman, Multiple View Geometry, eq. 2.5 (from memory).
 */
export function project(h: Homography, [x, y]: Point): Point {
  const w = h[6] * x + h[7] * y + h[8];
  return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w];
}

/** First map `b`, then map `a`. */
export function compose(a: Homography, b: Homography): Homography {
  const at = (row: number, column: number): number =>
    itemAt(a, 3 * row) * itemAt(b, column) +
    itemAt(a, 3 * row + 1) * itemAt(b, 3 + column) +
    itemAt(a, 3 * row + 2) * itemAt(b, 6 + column);
  return [at(0, 0), at(0, 1), at(0, 2), at(1, 0), at(1, 1), at(1, 2), at(2, 0), at(2, 1), at(2, 2)];
}

/** The map back, by the adjugate (a homography needs no scale). */
export function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
}

/** The unit square (0,0) (1,0) (1,1) (0,1) onto four points. Source: Heckbert 1989, §2.2.3 (from memory). */
function fromSquare([p0, p1, p2, p3]: Corners): Homography {
  const sx = p0[0] - p1[0] + p2[0] - p3[0];
  const sy = p0[1] - p1[1] + p2[1] - p3[1];
  const [dx1, dy1] = [p1[0] - p2[0], p1[1] - p2[1]];
  const [dx2, dy2] = [p3[0] - p2[0], p3[1] - p2[1]];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  return [
    p1[0] - p0[0] + g * p1[0],
    p3[0] - p0[0] + h * p3[0],
    p0[0],
    p1[1] - p0[1] + g * p1[1],
    p3[1] - p0[1] + h * p3[1],
    p0[1],
    g,
    h,
    1,
  ];
}

/** Twice the signed area of each corner's triangle. */
function turns(q: Corners): readonly number[] {
  return q.map((p, i) => {
    const [next, after] = [q[(i + 1) % 4] ?? p, q[(i + 2) % 4] ?? p];
    return (next[0] - p[0]) * (after[1] - next[1]) - (next[1] - p[1]) * (after[0] - next[0]);
  });
}

/** Whether four corners go once round a convex quadrilateral, either way. */
export function isConvex(corners: Corners): boolean {
  const signs = turns(corners);
  return signs.every((t) => t > 0) || signs.every((t) => t < 0);
}

/**
 * The homography that takes four corners to four others.
 * @param from, to corners in the same order, each a convex quadrilateral
 * @returns the map, or `not-allowed` at `from` or `to` when the corners are crossed or in a line
 * Source: Heckbert 1989, by way of the unit square.
 */
export function homographyOf(from: Corners, to: Corners): Result<Homography> {
  const bad = !isConvex(from) ? 'from' : !isConvex(to) ? 'to' : null;
  if (bad) return fail({ code: 'not-allowed', path: [bad], value: 'corners crossed' });
  return ok(compose(fromSquare(to), inverse(fromSquare(from))));
}
