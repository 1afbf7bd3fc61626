import { itemAt } from '../numeric';
import { pathBox } from './outline';
import {
  flattenSegment,
  mapPath,
  pathArea,
  reversePath,
  walk,
  type Path,
  type Segment,
} from './path';
import type { Point } from './point';

/**
 * Edits of an outline, each a new path. A corner has the index of the segment that begins there.
 * Source: elementary geometry; curves are split by de Casteljau's construction.
 */

const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
const between = (a: Point, b: Point, share: number): Point => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
];

/** The corners of a path: where each segment begins. */
export const corners = (path: Path): Point[] => [...walk(path)].map(({ from }) => from);

function rebuild(path: Path, change: (s: Segment, i: number, from: Point) => Segment[]): Path {
  const parts = [...walk(path)].flatMap(({ from, segment }, i) => change(segment, i, from));
  return { start: parts[parts.length - 1]?.to ?? path.start, segments: parts };
}

/**
 * Stretches a path along the axes.
 * @param about place that stays, m @param factors along x and y, > 0
 */
export const stretchPath = (path: Path, about: Point, factors: Point): Path =>
  mapPath(path, ([x, y]) => [
    about[0] + (x - about[0]) * factors[0],
    about[1] + (y - about[1]) * factors[1],
  ]);

/** Moves a corner; the handles of the curves that meet there go along. */
export function moveCorner(path: Path, index: number, to: Point): Path {
  const n = path.segments.length;
  const from = corners(path)[index];
  if (!from) return path;
  const shift = minus(to, from);
  const before = (index + n - 1) % n;
  const next = rebuild(path, (s, i) => {
    const ends = i === before;
    const begins = i === index;
    if (s.kind === 'line') return [ends ? { kind: 'line', to } : s];
    return [
      {
        kind: 'cubic',
        c1: begins ? add(s.c1, shift) : s.c1,
        c2: ends ? add(s.c2, shift) : s.c2,
        to: ends ? to : s.to,
      },
    ];
  });
  return { ...next, start: index === 0 ? to : path.start };
}

/** Moves one of the two handles of a curved segment. */
export function moveHandle(path: Path, segment: number, which: 'c1' | 'c2', to: Point): Path {
  return {
    start: path.start,
    segments: path.segments.map((s, i) =>
      i === segment && s.kind === 'cubic' ? { ...s, [which]: to } : s,
    ),
  };
}

/** Puts a corner on a segment at t in (0, 1); the outline keeps its shape. */
export function insertCorner(path: Path, segment: number, t = 0.5): Path {
  const next = rebuild(path, (s, i, from) => {
    if (i !== segment) return [s];
    if (s.kind === 'line') return [{ kind: 'line', to: between(from, s.to, t) }, s];
    const [a, b, c] = [between(from, s.c1, t), between(s.c1, s.c2, t), between(s.c2, s.to, t)];
    const [d, e] = [between(a, b, t), between(b, c, t)];
    return [
      { kind: 'cubic', c1: a, c2: d, to: between(d, e, t) },
      { kind: 'cubic', c1: e, c2: c, to: s.to },
    ];
  });
  return { ...next, start: path.start };
}

/** Takes a corner out; a path keeps at least three segments. */
export function deleteCorner(path: Path, index: number): Path {
  const n = path.segments.length;
  if (n <= 3) return path;
  const before = (index + n - 1) % n;
  const parts = [...walk(path)];
  const [into, out] = [parts[before]?.segment, parts[index]?.segment];
  if (!into || !out) return path;
  const curved = into.kind === 'cubic' || out.kind === 'cubic';
  const joined: Segment = curved
    ? {
        kind: 'cubic',
        c1: into.kind === 'cubic' ? into.c1 : between(parts[before]?.from ?? out.to, out.to, 1 / 3),
        c2: out.kind === 'cubic' ? out.c2 : between(parts[before]?.from ?? out.to, out.to, 2 / 3),
        to: out.to,
      }
    : { kind: 'line', to: out.to };
  const segments = path.segments.flatMap((s, i) =>
    i === before ? [joined] : i === index ? [] : [s],
  );
  return {
    start: index === 0 ? (parts[before]?.from ?? path.start) : path.start,
    segments: index === 0 ? [joined, ...segments.slice(0, -1)] : segments,
  };
}

/** How far the handles of a new curve stand out, share of its chord. Judgement, no source. */
const BULGE = 0.15;

/** Makes a segment curved (handles a third along, bulging out a little, clockwise or not) or straight. */
export function bendSegment(path: Path, segment: number, curved: boolean): Path {
  const bulge = pathArea(path) < 0 ? -BULGE : BULGE;
  const next = rebuild(path, (s, i, from) => {
    if (i !== segment) return [s];
    if (!curved) return [{ kind: 'line', to: s.to }];
    if (s.kind === 'cubic') return [s];
    const [dx, dy] = minus(s.to, from);
    const out: Point = [dy * bulge, -dx * bulge];
    const c1 = add(between(from, s.to, 1 / 3), out);
    return [{ kind: 'cubic', c1, c2: add(between(from, s.to, 2 / 3), out), to: s.to }];
  });
  return { ...next, start: path.start };
}

/**
 * Gives a straight segment a length. Its end moves along it, and the segment that follows is carried
 * along, so that right angles stay right.
 * @param lengthM > 0
 */
export function setSegmentLength(path: Path, segment: number, lengthM: number): Path {
  const n = path.segments.length;
  const points = corners(path);
  const [from, end] = [points[segment], points[(segment + 1) % n]];
  const s = path.segments[segment];
  if (!from || !end || s?.kind !== 'line' || !(lengthM > 0)) return path;
  const [dx, dy] = minus(end, from);
  const now = Math.hypot(dx, dy);
  if (!(now > 0)) return path;
  const shift: Point = [(dx / now) * (lengthM - now), (dy / now) * (lengthM - now)];
  const moved = moveCorner(path, (segment + 1) % n, add(end, shift));
  const after = points[(segment + 2) % n];
  return n > 3 && after ? moveCorner(moved, (segment + 2) % n, add(after, shift)) : moved;
}

/** Moves a whole path. */
export const shiftPath = (path: Path, by: Point): Path => mapPath(path, (p) => add(p, by));

/** A path moved so that the middle of its box is the origin, and the move. */
export function centrePath(path: Path): { readonly path: Path; readonly shift: Point } {
  const { middle } = pathBox(path);
  const shift: Point = [-middle[0], -middle[1]];
  return { path: shiftPath(path, shift), shift };
}

const turnOf = (a: Point, b: Point, c: Point): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
const cross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  turnOf(a, b, c) > 0 !== turnOf(a, b, d) > 0 && turnOf(c, d, a) > 0 !== turnOf(c, d, b) > 0;

/** The first two segments that cross, or null. */
function crossingPair(path: Path): readonly [number, number] | null {
  const { widthM, heightM } = pathBox(path);
  const pieces = [...walk(path)].map(({ from, segment }) =>
    flattenSegment(from, segment, Math.max(widthM, heightM) * 1e-3),
  );
  for (let i = 0; i < pieces.length; i += 1)
    for (let j = i; j < pieces.length; j += 1) {
      const [p, q] = [itemAt(pieces, i), itemAt(pieces, j)];
      for (let a = 0; a + 1 < p.length; a += 1)
        for (let b = i === j ? a + 2 : 0; b + 1 < q.length; b += 1) {
          const [p0, p1, q0, q1] = [p[a], p[a + 1], q[b], q[b + 1]];
          if (p0 && p1 && q0 && q1 && p1 !== q0 && p0 !== q1 && cross(p0, p1, q0, q1))
            return [i, j];
        }
    }
  return null;
}

/** More corners than this are not untangled. */
const MOST_CORNERS = 400;

/**
 * An outline that crosses itself, run so that it does not: the run between the two crossing segments is
 * turned round, until none cross. All corners stay; segments that cross become straight.
 * @returns the mended path, or null when that does not end (more than 400 corners, or no success)
 * Source: the 2-opt move (Croes 1958, from memory); with straight segments each move shortens the outline.
 */
export function untangle(path: Path): Path | null {
  if (path.segments.length > MOST_CORNERS) return null;
  let current = path;
  for (let round = 0; round < 500; round += 1) {
    const pair = crossingPair(current);
    if (!pair) return current;
    const [i, j] = pair;
    if (i === j) {
      current = bendSegment(current, i, false);
      continue;
    }
    const points = corners(current);
    const n = points.length;
    const from: Point = itemAt(points, (i + 1) % n);
    const to: Point = itemAt(points, j);
    const inner = reversePath({ start: from, segments: current.segments.slice(i + 1, j) });
    const last = current.segments[j];
    if (!last) return null;
    current = {
      start: current.start,
      segments: [
        ...current.segments.slice(0, i),
        { kind: 'line', to },
        ...inner.segments,
        { kind: 'line', to: last.to },
        ...current.segments.slice(j + 1),
      ],
    };
  }
  return null;
}
