import { pathArea, reversePath, type Path } from '../geometry';
import { FOOT_M, INCH_M } from '../units';

/** A shape found in a drawing file; coordinates in drawing units, y up, run anticlockwise. */
export interface FoundShape {
  readonly name: string;
  readonly path: Path;
  /** Open paths are told but cannot be an outline. */
  readonly closed: boolean;
  /** Area in square drawing units. */
  readonly area: number;
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

/** Largest drawing that is read, characters, and most segments in all its shapes. */
export const DRAWING_LIMITS = { characters: 20_000_000, segments: 200_000 } as const;

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

/** A found shape from a path run either way. */
export function foundShape(name: string, path: Path, closed: boolean): FoundShape {
  const area = pathArea(path);
  return { name, closed, area: Math.abs(area), path: area < 0 ? reversePath(path) : path };
}
