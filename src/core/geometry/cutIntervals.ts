import type { CutLine } from './cutShape';
import { flattenPath } from './path';
import type { Point } from './point';
import type { Shape } from './shape';
import { shapeSides } from './shapeSides';

/** A part of a straight line that lies inside a shape, along it, m, and the sides that it meets; −1: a bare part. */
export interface CutInterval {
  readonly fromM: number;
  readonly toM: number;
  readonly leftSide: number;
  readonly rightSide: number;
}

const FLAT_M = 1e-4;

/**
 * The parts of a straight line across the plan that lie inside a shape and outside its bare parts.
 * @param shape lengths in m @param line m from the shape's own origin
 * @returns from left to right, or from front to back; none where it misses
 * Source: even–odd crossings with the drawn outline, curves to 0.1 mm.
 */
export function cutIntervals(shape: Shape, line: CutLine): CutInterval[] {
  const [u, v] = line.along === 'x' ? ([0, 1] as const) : ([1, 0] as const);
  const rings: { readonly points: readonly Point[]; readonly side: number }[] = [
    ...shapeSides(shape).map((points, side) => ({ points, side })),
    ...(shape.keepBare ?? []).map((path) => {
      const ring = flattenPath(path, FLAT_M);
      return { points: [...ring, ...ring.slice(0, 1)], side: -1 };
    }),
  ];
  const met = rings
    .flatMap(({ points, side }) =>
      points.slice(1).flatMap((b, i) => {
        const a = points[i] ?? b;
        // Half open, so that a corner on the line counts once.
        if (a[v] > line.atM === b[v] > line.atM) return [];
        const share = (line.atM - a[v]) / (b[v] - a[v]);
        return [{ at: a[u] + share * (b[u] - a[u]), side }];
      }),
    )
    .sort((p, q) => p.at - q.at);
  return met.flatMap((from, i) => {
    const to = met[i + 1];
    return i % 2 === 0 && to && to.at - from.at > 1e-7
      ? [{ fromM: from.at, toM: to.at, leftSide: from.side, rightSide: to.side }]
      : [];
  });
}
