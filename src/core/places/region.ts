import { flattenSegment, pathArea, type Path, type Point, type Segment } from '../geometry';

/** A stretch of a boundary that knows what it lies on. The region lies to its left. */
export interface Stretch {
  readonly from: Point;
  readonly segment: Segment;
  /** A side of the face, from 0; or a cut: −1 for the first, −2 for the second … */
  readonly mark: number;
}

/** A closed boundary: each stretch begins where the one before ends. */
export type Loop = readonly Stretch[];

/** A part of a face: an outer boundary that runs anticlockwise and holes that run clockwise. */
export interface Region {
  readonly outer: Loop;
  readonly holes: readonly Loop[];
}

export const markOfCut = (index: number): number => -1 - index;
export const cutOfMark = (mark: number): number => -1 - mark;

export const loopPath = (loop: Loop): Path => ({
  start: loop[0]?.from ?? [0, 0],
  segments: loop.map((s) => s.segment),
});

/** Signed area of a loop, m²: + anticlockwise. */
export function loopArea(loop: Loop): number {
  const known = areas.get(loop) ?? pathArea(loopPath(loop));
  areas.set(loop, known);
  return known;
}
const areas = new WeakMap<Loop, number>();

/** Area of a region, m². Source: Green's theorem, exact to rounding. */
export const regionArea = ({ outer, holes }: Region): number =>
  loopArea(outer) + holes.reduce((sum, hole) => sum + loopArea(hole), 0);

export const samePoint = (a: Point, b: Point): boolean => a[0] === b[0] && a[1] === b[1];

/** A stretch the other way round, its mark kept. */
export const reversed = ({ from, segment, mark }: Stretch): Stretch => ({
  from: segment.to,
  segment:
    segment.kind === 'line'
      ? { kind: 'line', to: from }
      : { kind: 'cubic', c1: segment.c2, c2: segment.c1, to: from },
  mark,
});

export const reversedLoop = (loop: Loop): Loop => [...loop].reverse().map(reversed);

/** Straight pieces stay so close to the curves of a boundary, m: enough to tell inside from outside. */
const FLAT_M = 1e-5;
const rings = new WeakMap<Loop, readonly Point[]>();

/** A loop as a ring of points, remembered with it. */
export function loopRing(loop: Loop): readonly Point[] {
  const known = rings.get(loop);
  if (known) return known;
  const ring: Point[] = [];
  for (const { from, segment } of loop)
    if (segment.kind === 'line') ring.push(from);
    else ring.push(...flattenSegment(from, segment, FLAT_M).slice(0, -1));
  rings.set(loop, ring);
  return ring;
}
