import type { Shape } from './shape';
import { shapeSides } from './shapeSides';

/** A cut across a shape at the height of its centre. */
export interface Cut {
  readonly widthM: number;
  /** Index of the side met on the left and on the right. */
  readonly leftSide: number;
  readonly rightSide: number;
}

/**
 * Cuts a shape along the horizontal line through its centre.
 * @param shape lengths in m @returns width of the cut, m, and the sides it meets
 * Source: intersection of the line y = 0 with each stretch of the drawn outline.
 */
export function cutShape(shape: Shape): Cut {
  const crossings = shapeSides(shape).flatMap((side, index) =>
    side.flatMap(([x1, y1], i) => {
      const end = side[i + 1];
      if (!end || y1 * end[1] > 0 || y1 === end[1]) return [];
      return [{ index, x: x1 - (y1 * (end[0] - x1)) / (end[1] - y1) }];
    }),
  );
  const byX = crossings.sort((a, b) => a.x - b.x);
  const left = byX[0] ?? { index: 0, x: 0 };
  const right = byX[byX.length - 1] ?? left;
  return { widthM: right.x - left.x, leftSide: left.index, rightSide: right.index };
}
