import { assert } from '../result';
import type { Point } from './point';
import type { Segment } from './path';

/** Widest angle of one cubic that stands for an arc: radial error 7e-8 of the radius. */
const WIDEST = Math.PI / 8;

/** An ellipse arc by its centre: half axes, turn of the axes, start angle and sweep (rad, + anticlockwise). */
export interface CentreArc {
  readonly centre: Point;
  readonly rx: number;
  readonly ry: number;
  readonly turn: number;
  readonly from: number;
  readonly sweep: number;
}

/** Point of an arc at its own angle. */
export function arcPoint(
  { centre, rx, ry, turn }: Omit<CentreArc, 'from' | 'sweep'>,
  angle: number,
): Point {
  const [x, y] = [rx * Math.cos(angle), ry * Math.sin(angle)];
  return [
    centre[0] + x * Math.cos(turn) - y * Math.sin(turn),
    centre[1] + x * Math.sin(turn) + y * Math.cos(turn),
  ];
}

/**
 * An arc as cubic Bézier curves of at most 22.5° each.
 * @param arc centre form, half axes > 0 @returns segments from the arc's begin to its end
 * @throws RangeError when a half axis is not above zero
 * Source: tangent-matched cubic with handle 4/3 tan(θ/4) (Goldapp 1991, from memory); area error of a
 *   full circle below 1e-7.
 */
export function arcSegments(arc: CentreArc): Segment[] {
  assert(arc.rx > 0 && arc.ry > 0 && Number.isFinite(arc.sweep), 'arcSegments', arc);
  const n = Math.max(1, Math.ceil(Math.abs(arc.sweep) / WIDEST - 1e-9));
  const step = arc.sweep / n;
  const handle = (4 / 3) * Math.tan(step / 4);
  const near = (angle: number, along: number): Point => {
    const x = arc.rx * (Math.cos(angle) - along * Math.sin(angle));
    const y = arc.ry * (Math.sin(angle) + along * Math.cos(angle));
    const [c, s] = [Math.cos(arc.turn), Math.sin(arc.turn)];
    return [arc.centre[0] + x * c - y * s, arc.centre[1] + x * s + y * c];
  };
  return Array.from({ length: n }, (_, i): Segment => {
    const [a, b] = [arc.from + step * i, arc.from + step * (i + 1)];
    return { kind: 'cubic', c1: near(a, handle), c2: near(b, -handle), to: near(b, 0) };
  });
}

/**
 * The arc between two points that bulges by tan(quarter of its angle): positive turns left.
 * @param bulge as in a drawing exchange file; 1 is a half circle; not 0
 * @throws RangeError on bulge 0 or equal points
 * Source: chord c, sweep 4 atan(bulge), radius c (1 + b²) / (4 |b|); elementary geometry.
 */
export function bulgeSegments(from: Point, to: Point, bulge: number): Segment[] {
  const chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
  assert(bulge !== 0 && Number.isFinite(bulge) && chord > 0, 'bulgeSegments', { from, to, bulge });
  const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
  // Distance of the centre from the chord, to its left for a positive bulge below 1.
  const offset = (chord * (1 - bulge * bulge)) / (4 * bulge);
  const [ux, uy] = [(to[0] - from[0]) / chord, (to[1] - from[1]) / chord];
  const centre: Point = [(from[0] + to[0]) / 2 - uy * offset, (from[1] + to[1]) / 2 + ux * offset];
  const start = Math.atan2(from[1] - centre[1], from[0] - centre[0]);
  const segments = arcSegments({
    centre,
    rx: radius,
    ry: radius,
    turn: 0,
    from: start,
    sweep: 4 * Math.atan(bulge),
  });
  return segments.map((s, i) => (i === segments.length - 1 ? { ...s, to } : s));
}

/**
 * The elliptical arc of an SVG path from one point to another.
 * @param turn of the x axis, rad @param large, positive the two flags of the path language
 * @returns segments; a straight line when a radius is 0
 * Source: SVG 2, appendix B.2.4 (conversion from endpoint to centre form) with radii scaled up as in B.2.5.
 */
export function endpointArc(
  from: Point,
  to: Point,
  radii: Point,
  turn: number,
  large: boolean,
  positive: boolean,
): Segment[] {
  let [rx, ry] = [Math.abs(radii[0]), Math.abs(radii[1])];
  const known = [...from, ...to, turn, rx, ry].every(Number.isFinite);
  if (!known || !(rx > 0 && ry > 0)) return [{ kind: 'line', to }];
  if (from[0] === to[0] && from[1] === to[1]) return [];
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [hx, hy] = [(from[0] - to[0]) / 2, (from[1] - to[1]) / 2];
  const [x, y] = [c * hx + s * hy, -s * hx + c * hy];
  const reach = (x / rx) ** 2 + (y / ry) ** 2;
  if (reach > 1) [rx, ry] = [rx * Math.sqrt(reach), ry * Math.sqrt(reach)];
  const under = (rx * ry) ** 2 - (rx * y) ** 2 - (ry * x) ** 2;
  const size = Math.sqrt(Math.max(0, under) / ((rx * y) ** 2 + (ry * x) ** 2));
  const sign = large === positive ? -1 : 1;
  const [cx, cy] = [(sign * size * rx * y) / ry, (-sign * size * ry * x) / rx];
  const centre: Point = [
    c * cx - s * cy + (from[0] + to[0]) / 2,
    s * cx + c * cy + (from[1] + to[1]) / 2,
  ];
  const begin = Math.atan2((y - cy) / ry, (x - cx) / rx);
  const end = Math.atan2((-y - cy) / ry, (-x - cx) / rx);
  let sweep = end - begin;
  if (positive && sweep < 0) sweep += 2 * Math.PI;
  if (!positive && sweep > 0) sweep -= 2 * Math.PI;
  // Numbers too large to reckon with: the caller finds a point that is not finite, or a line.
  if (![...centre, rx, ry, sweep].every(Number.isFinite)) return [{ kind: 'line', to }];
  const segments = arcSegments({ centre, rx, ry, turn, from: begin, sweep });
  return segments.map((seg, i) => (i === segments.length - 1 ? { ...seg, to } : seg));
}
