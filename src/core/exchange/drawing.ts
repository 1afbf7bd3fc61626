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
 * Largest drawing that is read: characters, elements and shapes in it, segments in all its shapes, and the
 * farthest coordinate, units. What is larger would take longer than two seconds.
 */
export const DRAWING_LIMITS = {
  characters: 6_000_000,
  elements: 50_000,
  shapes: 5000,
  segments: 100_000,
  reach: 1e7,
} as const;

/** More segments than this and an outline is thinned: it could not be edited. */
export const MOST_SEGMENTS = 2000;

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

/** Points of a ring that are thinned with care, at most. */
const MOST_LOOKED_THROUGH = 20_000;
/** First step of thinning, share of a shape's size: 0.01 mm in a metre. */
const FIRST_STEP = 1e-5;

/** A path of too many segments with fewer, and how far it moved at most. Source: Douglas & Peucker 1973. */
function thinned(path: Path): { readonly path: Path; readonly moved: number } {
  if (path.segments.length <= MOST_SEGMENTS) return { path, moved: 0 };
  const { widthM, heightM } = pathBox(path);
  const size = Math.max(widthM, heightM);
  let ring = flattenPath(path, (size * FIRST_STEP) / 2);
  let moved = 0;
  // First by distance alone, down to what the finer way can look through in time.
  for (let step = size * FIRST_STEP; ring.length > MOST_LOOKED_THROUGH; step *= 2) {
    ring = spacedRing(ring, step);
    moved += step;
  }
  for (let step = size * FIRST_STEP; ring.length > MOST_SEGMENTS && step < size; step *= 2) {
    ring = thinRing(ring, step);
    moved += step;
  }
  const [start, ...rest] = ring;
  if (!start) return { path, moved: 0 };
  const segments = [...rest, start].map((to) => ({ kind: 'line', to }) as const);
  return { path: { start, segments }, moved };
}

/** A found shape from a path run either way, thinned where it has too many segments. */
export function foundShape(name: string, drawn: Path, closed: boolean): FoundShape {
  const { path, moved } = closed ? thinned(drawn) : { path: drawn, moved: 0 };
  const area = pathArea(path);
  return { name, closed, moved, area: Math.abs(area), path: area < 0 ? reversePath(path) : path };
}
