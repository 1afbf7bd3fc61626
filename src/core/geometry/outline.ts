import type { Issue } from '../result';
import {
  controlPoints,
  flattenPath,
  flattenSegment,
  pathArea,
  segmentLength,
  walk,
  type Path,
  type Segment,
} from './path';
import type { Point } from './point';
import { clip, multiArea, polygonOf } from './clip';
import { insideRing, ringArea, selfCrossings } from './ring';

/** Straight pieces stay within this share of the outline's size of its curves. */
const FLATNESS = 1e-6;
/** Flatness for drawing. */
const DRAWN_FLATNESS = 1e-3;
/** A turn of the tangent that makes a corner, rad. Judgement, no source. */
const CORNER = Math.PI / 12;
/** More corners than this and the outline counts as one stretch. */
const MOST_SIDES = 60;

/** Width and height of a path's box, m, and its middle. */
export function pathBox(path: Path): {
  readonly widthM: number;
  readonly heightM: number;
  readonly middle: Point;
} {
  const reach = [...walk(path)]
    .flatMap(({ from, segment }) => controlPoints(from, segment))
    .reduce((most, [x, y]) => Math.max(most, Math.abs(x), Math.abs(y)), 1e-9);
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of flattenPath(path, reach * 1e-4)) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    low = Math.min(low, y);
    high = Math.max(high, y);
  }
  return {
    widthM: right - left,
    heightM: high - low,
    middle: [(left + right) / 2, (low + high) / 2],
  };
}

/** Points of a ring that goes into a boolean, at most. */
const MOST_CLIPPED = 20_000;

const ringOf = (path: Path, share: number): Point[] => {
  const { widthM, heightM } = pathBox(path);
  return flattenPath(path, Math.max(1e-12, Math.max(widthM, heightM) * share), MOST_CLIPPED);
};

/** Area of the keep-bare parts inside the outline, overlaps counted once, m². */
function bareArea(outer: Path, keepBare: readonly Path[]): number {
  if (keepBare.length === 0) return 0;
  const rings = keepBare.map((path) => ringOf(path, FLATNESS));
  const [first, ...rest] = rings.map(polygonOf);
  if (!first) return 0;
  const whole = rings.reduce((sum, ring) => sum + Math.abs(ringArea(ring)), 0);
  const together = clip('union', first, ...rest);
  const inside = together && clip('intersection', polygonOf(ringOf(outer, FLATNESS)), together);
  // `checkShape` refuses such parts; here the nearest that can be said is that they lie inside and apart.
  if (!inside) return Math.min(whole, Math.abs(pathArea(outer)));
  const clipped = multiArea(inside);
  // Nothing was cut away: the parts are inside and apart, and their exact areas hold.
  if (Math.abs(clipped - whole) <= 1e-9 * whole)
    return keepBare.reduce((sum, path) => sum + Math.abs(pathArea(path)), 0);
  return clipped;
}

/**
 * Area of an outline without its keep-bare parts.
 * @param outer closed outline, m @param keepBare parts that get no resin; what overlaps or lies outside counts once or not
 * @returns m²; exact to rounding while the bare parts lie inside and apart, else to about 1e-5
 * Source: Green's theorem (pathArea); polygon booleans by the polygon-clipping package.
 */
export function outlineArea(outer: Path, keepBare: readonly Path[]): number {
  return Math.abs(pathArea(outer)) - bareAreaOf(outer, keepBare);
}

/** Area of the bare parts inside an outline, m²; remembered, for screens ask again and again. */
export function bareAreaOf(outer: Path, keepBare: readonly Path[]): number {
  const known = knownBare.get(keepBare);
  const bareM2 = known?.outer === outer ? known.areaM2 : bareArea(outer, keepBare);
  knownBare.set(keepBare, { outer, areaM2: bareM2 });
  return bareM2;
}

const tangent = (from: Point, segment: Segment, end: boolean): number => {
  const points = controlPoints(from, segment);
  const ordered = end ? [...points].reverse() : points;
  const base = ordered[0] ?? from;
  const other = ordered.find((p) => Math.hypot(p[0] - base[0], p[1] - base[1]) > 1e-15) ?? base;
  const [dx, dy] = end
    ? [base[0] - other[0], base[1] - other[1]]
    : [other[0] - base[0], other[1] - base[1]];
  return Math.atan2(dy, dx);
};

export interface OutlineSide {
  readonly points: readonly Point[];
  readonly lengthM: number;
}

/** Paths are never changed, and screens ask for the same one again and again. */
const knownSides = new WeakMap<Path, readonly OutlineSide[]>();
const knownBare = new WeakMap<readonly Path[], { readonly outer: Path; readonly areaM2: number }>();

/** The stretches between the corners of a path: each can have its own kind of edge. */
export function outlineSides(path: Path): readonly OutlineSide[] {
  const known = knownSides.get(path) ?? splitAtCorners(path);
  knownSides.set(path, known);
  return known;
}

/**
 * For each segment of a path the stretch that it belongs to: as the path says, else parted at corners.
 * @returns one index a segment, in the order of {@link outlineSides}
 */
export function sideOfSegments(path: Path): readonly number[] {
  if (path.sideOf) return path.sideOf;
  const stretches = [...walk(path)];
  const corner = stretches.map(({ from, segment }, i) => {
    const before = stretches.at(i - 1);
    if (!before) return true;
    const turn = tangent(from, segment, false) - tangent(before.from, before.segment, true);
    return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) > CORNER;
  });
  const count = corner.filter(Boolean).length;
  if (count > MOST_SIDES) return stretches.map(() => 0);
  const first = Math.max(0, corner.indexOf(true));
  const of = new Array<number>(stretches.length);
  let side = 0;
  for (let k = 0; k < stretches.length; k += 1) {
    const i = (first + k) % stretches.length;
    if (k > 0 && corner[i]) side += 1;
    of[i] = side;
  }
  return of;
}

function splitAtCorners(path: Path): OutlineSide[] {
  const { widthM, heightM } = pathBox(path);
  const tolerance = Math.max(1e-9, Math.max(widthM, heightM) * DRAWN_FLATNESS);
  const sideOf = sideOfSegments(path);
  const stretches = [...walk(path)];
  // Where the first stretch goes round the begin of the path, it is gathered from its own begin.
  const wraps = sideOf[0] === 0 && sideOf.at(-1) === 0;
  const first = wraps ? sideOf.findLastIndex((side) => side !== 0) + 1 : sideOf.indexOf(0);
  const sides: { points: Point[]; lengthM: number }[] = [];
  for (let k = 0; k < stretches.length; k += 1) {
    const i = (first + k) % stretches.length;
    const stretch = stretches[i];
    if (!stretch) continue;
    const points = flattenSegment(stretch.from, stretch.segment, tolerance);
    const lengthM = segmentLength(stretch.from, stretch.segment);
    const side = sides[sideOf[i] ?? 0];
    if (!side) sides.push({ points, lengthM });
    else {
      side.points.push(...points.slice(1));
      side.lengthM += lengthM;
    }
  }
  return sides;
}

/** Every fault of an outline and its bare parts. */
export function outlineIssues(
  outer: Path,
  keepBare: readonly Path[],
  sizes: { readonly min: number; readonly max: number },
): Issue[] {
  const { widthM, heightM } = pathBox(outer);
  const fits = (v: number) => v >= sizes.min && v <= sizes.max;
  if (!fits(widthM) || !fits(heightM))
    return [
      { code: 'out-of-range', path: ['outer'], value: Math.max(widthM, heightM), allowed: sizes },
    ];
  const crossings = selfCrossings(ringOf(outer, DRAWN_FLATNESS), 1);
  if (!crossings) return [{ code: 'does-not-fit', path: ['outer'], value: 'too intricate' }];
  const [crossing] = crossings;
  if (crossing) return [{ code: 'not-allowed', path: ['outer'], value: crossing }];
  if (!(Math.abs(pathArea(outer)) > 1e-7))
    return [{ code: 'out-of-range', path: ['outer'], value: 0, allowed: { min: 1e-7 } }];
  return bareIssues(outer, keepBare);
}

/** Parts of all outlines of a shape together: more could not be looked through in time. */
const MOST_PARTS = 20_000;

/** Bare parts that lie outside an outline, have no area, or cross themselves so that no boolean can be made. */
export function bareIssues(outer: Path, keepBare: readonly Path[]): Issue[] {
  const parts = [outer, ...keepBare].reduce((sum, path) => sum + path.segments.length, 0);
  if (parts > MOST_PARTS)
    return [
      { code: 'does-not-fit', path: ['keepBare'], value: parts, allowed: { max: MOST_PARTS } },
    ];
  const ring = ringOf(outer, DRAWN_FLATNESS);
  return keepBare.flatMap((path, i): Issue[] => {
    const at = ['keepBare', i];
    const own = ringOf(path, DRAWN_FLATNESS);
    if (!(Math.abs(pathArea(path)) > 0))
      return [{ code: 'does-not-fit', path: at, value: 'outside' }];
    // A part that crosses itself is counted once by the boolean; one that it cannot count is told.
    if (!clip('union', polygonOf(ringOf(path, FLATNESS)))) {
      const crossing = selfCrossings(own, 1)?.[0] ?? own[0] ?? path.start;
      return [{ code: 'not-allowed', path: at, value: crossing }];
    }
    const within = own.some((p) => insideRing(p, ring));
    if (within || bareArea(outer, [path]) > 0) return [];
    return [{ code: 'does-not-fit', path: at, value: 'outside' }];
  });
}

/**
 * Area that several parts of an outline share, m²: what is counted once although drawn twice.
 * Source: polygon booleans by the polygon-clipping package; to about 1e-5.
 */
export function sharedArea(parts: readonly Path[]): number {
  const area = (paths: readonly Path[]): number => {
    const [first, ...rest] = paths.map((path) => polygonOf(ringOf(path, FLATNESS)));
    const together = first && clip('union', first, ...rest);
    return together ? multiArea(together) : Infinity;
  };
  return Math.max(0, parts.reduce((sum, path) => sum + Math.abs(pathArea(path)), 0) - area(parts));
}
