import {
  flattenPath,
  pathArea,
  pathBox,
  reversePath,
  spacedRing,
  thinRing,
  type Path,
} from '../geometry';
import { FOOT_M, INCH_M } from '../units';

/** A shape found in a drawing file; coordinates in drawing units, y up, run anticlockwise. */
export interface FoundShape {
  readonly name: string;
  readonly path: Path;
  /** Open paths are told but cannot be an outline. */
  readonly closed: boolean;
  /** Area in square drawing units. */
  readonly area: number;
  /** Farthest that thinning moved it, drawing units; 0 when it was not thinned. */
  readonly moved: number;
}

/** Something that was left out, how often. */
export interface LeftOut {
  readonly what: string;
  readonly count: number;
}

export interface DrawingRead {
  readonly shapes: readonly FoundShape[];
  /** Metres in one drawing unit; null when the file does not say. */
  readonly unitM: number | null;
  readonly leftOut: readonly LeftOut[];
}

/** Units a user may choose for a file that has none. */
export const DRAWING_UNITS: Readonly<Record<string, number>> = {
  mm: 1e-3,
  cm: 1e-2,
  m: 1,
  in: INCH_M,
  ft: FOOT_M,
};

/**
 * Largest drawing that is read: characters; elements of an SVG and characters of its path data; lines of a DXF;
 * shapes, segments in all of them, and the farthest coordinate, units. What is larger would take longer than two seconds.
 */
export const DRAWING_LIMITS = {
  characters: 6_000_000,
  elements: 50_000,
  pathData: 1_200_000,
  lines: 200_000,
  shapes: 5000,
  segments: 100_000,
  reach: 1e7,
} as const;

/** More segments than this and an outline is thinned: it could not be edited. */
export const MOST_SEGMENTS = 2000;

/** What an outline is called that has more points than can be thinned. */
export const TOO_INTRICATE = 'outline of far too many points';

/** How often a character stands in a text. */
export function countOf(text: string, character: string): number {
  let count = 0;
  for (let at = text.indexOf(character); at >= 0; at = text.indexOf(character, at + 1)) count += 1;
  return count;
}

/** Counts what was left out, by name. */
export class LeftOutList {
  private readonly counts = new Map<string, number>();
  add(what: string): void {
    this.counts.set(what, (this.counts.get(what) ?? 0) + 1);
  }
  list(): LeftOut[] {
    return [...this.counts].map(([what, count]) => ({ what, count }));
  }
}

/** Points that one step of thinning looks at, at most: some 20 ms. */
const MOST_LOOKED_AT = 2e6;
/** Points of an outline before it is thinned, at most. */
const MOST_FLATTENED = 60_000;
/** First step of thinning, share of a shape's size: 0.01 mm in a metre. */
const FIRST_STEP = 1e-5;

/** Farthest that thinning may move an outline, share of its size: 2 mm in a metre. Judgement. */
const FARTHEST_MOVED = 2e-3;

/**
 * A path of too many segments with fewer, and how far it moved at most; null when that would be too far.
 * Source: Douglas & Peucker 1973.
 */
function thinned(path: Path): { readonly path: Path; readonly moved: number } | null {
  if (path.segments.length <= MOST_SEGMENTS) return { path, moved: 0 };
  const { widthM, heightM } = pathBox(path);
  const size = Math.max(widthM, heightM);
  let ring = flattenPath(path, (size * FIRST_STEP) / 2, MOST_FLATTENED);
  let moved = 0;
  for (let step = size * FIRST_STEP; ring.length > MOST_SEGMENTS; step *= 2) {
    if (moved + step > size * FARTHEST_MOVED) return null;
    // What cannot be thinned with care in time is thinned by distance alone.
    ring = thinRing(ring, step, MOST_LOOKED_AT) ?? spacedRing(ring, step);
    moved += step;
  }
  const [start, ...rest] = ring;
  if (!start) return null;
  const segments = [...rest, start].map((to) => ({ kind: 'line', to }) as const);
  return { path: { start, segments }, moved };
}

/**
 * A found shape from a path run either way, thinned where it has too many segments.
 * @returns null when it is too intricate to be thinned
 */
export function foundShape(name: string, drawn: Path, closed: boolean): FoundShape | null {
  const fewer = closed ? thinned(drawn) : { path: drawn, moved: 0 };
  if (!fewer) return null;
  const { path, moved } = fewer;
  const area = pathArea(path);
  return { name, closed, moved, area: Math.abs(area), path: area < 0 ? reversePath(path) : path };
}
