import type { Point } from './point';
import type { Shape } from './shape';
import { shapeSides } from './shapeSides';

/** A cut across a shape. */
export interface Cut {
  readonly widthM: number;
  /** Index of the side met at its start and at its end. */
  readonly leftSide: number;
  readonly rightSide: number;
}

/** A cut runs along x at a height of the plan, or along y at a place beside it. */
export interface CutLine {
  readonly along: 'x' | 'y';
  readonly atM: number;
}

export const CENTRE_CUT: CutLine = { along: 'x', atM: 0 };

/**
 * Cuts a shape along a straight line; a line that misses it is moved to the centre.
 * @param shape lengths in m @param line where it runs, m from the shape's own origin
 * @returns width of the cut, m, and the sides it meets
 * Source: intersection of the line with each stretch of the drawn outline.
 */
export function cutShape(shape: Shape, line: CutLine = CENTRE_CUT): Cut {
  const [u, v] = line.along === 'x' ? ([0, 1] as const) : ([1, 0] as const);
  const place = (p: Point) => p[v] - line.atM;
  const crossings = shapeSides(shape).flatMap((side, index) =>
    side.flatMap((start, i) => {
      const end = side[i + 1];
      if (!end || place(start) * place(end) > 0 || place(start) === place(end)) return [];
      const share = place(start) / (place(start) - place(end));
      return [{ index, at: start[u] + share * (end[u] - start[u]) }];
    }),
  );
  const sorted = crossings.sort((a, b) => a.at - b.at);
  const left = sorted[0];
  const right = sorted.at(-1);
  if (!left || !right || right.at - left.at < 1e-9)
    return line.atM === 0 && line.along === 'x'
      ? { widthM: 0, leftSide: 0, rightSide: 0 }
      : cutShape(shape);
  return {
    widthM: right.at - left.at,
    leftSide: left.index,
    rightSide: right.index,
  };
}
