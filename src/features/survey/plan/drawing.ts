import {
  bendSegment,
  flattenPath,
  flattenSegment,
  pathArea,
  reversePath,
  walk,
  type Path,
  type Point,
} from '@/core/geometry';

/** A corner that was set while drawing. */
export interface Corner {
  readonly at: Point;
  /** The stretch that ends here is curved. */
  readonly curved: boolean;
}

/** What is being drawn, for the drawing layer and the bar above the plan. */
export interface Drawing {
  readonly points: readonly Corner[];
  readonly cursor: Point;
  readonly curved: boolean;
}

export const EMPTY_DRAWING: Drawing = { points: [], cursor: [0, 0], curved: false };

/** The closed path through the points, anticlockwise; null with fewer than three, or two and a curve. */
export function drawnPath(
  { points }: Pick<Drawing, 'points'>,
  closingCurved: boolean,
): Path | null {
  const [first, ...rest] = points;
  if (!first || points.length < 3) return null;
  const ends = [...rest, { at: first.at, curved: closingCurved }];
  const straight: Path = {
    start: first.at,
    segments: ends.map(({ at }) => ({ kind: 'line', to: at })),
  };
  const path = ends.reduce((p, end, i) => (end.curved ? bendSegment(p, i, true) : p), straight);
  return pathArea(path) < 0 ? reversePath(path) : path;
}

/** Curves of a cut are kept as straight pieces so close to them, m. */
const CUT_FLAT_M = 0.02e-3;

/** The open line through the points; null with fewer than two. */
export function drawnLine({ points }: Pick<Drawing, 'points'>): readonly Point[] | null {
  const [first, ...rest] = points;
  if (!first || rest.length === 0) return null;
  const straight: Path = {
    start: first.at,
    segments: [...rest, first].map(({ at }) => ({ kind: 'line', to: at })),
  };
  const path = rest.reduce((p, end, i) => (end.curved ? bendSegment(p, i, true) : p), straight);
  const open = [...walk(path)].slice(0, rest.length);
  return [
    first.at,
    ...open.flatMap(({ from, segment }) => flattenSegment(from, segment, CUT_FLAT_M).slice(1)),
  ];
}

/** A closed path as the points of a cut. */
export const cutRing = (path: Path): readonly Point[] => flattenPath(path, CUT_FLAT_M);
