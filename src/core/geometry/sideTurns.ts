import { ringArea } from './ring';
import type { Point } from './point';

/** Turn between two straight pieces from which on a corner counts as sharp, rad. Judgement, no source. */
export const SHARP_RAD = 0.2;

/** One piece of a stretch, straight as it is drawn. */
export interface TurnPiece {
  readonly lengthM: number;
  /** What the outline turns along it where it stands for a curve, rad; + where it is convex. */
  readonly bendRad: number;
  /** What it turns at once where the piece ends, rad: a sharp corner; 0 where there is none. */
  readonly cornerRad: number;
}

const turn = (a: Point, b: Point, c: Point): number => {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
};

/**
 * How a closed outline turns, piece by piece, for each of its stretches.
 * @param sides stretches as polylines, m, each ending where the next begins, clockwise or not
 * @param sharpRad a turn from which on a corner is sharp, rad; 0 where the outline has no curves
 * @returns for each stretch its pieces; all turns together come to 2π
 * Source: turning of polygons; lesser turns are those of a curve and lie half on either piece.
 */
export function sideTurns(
  sides: readonly (readonly Point[])[],
  sharpRad = SHARP_RAD,
): TurnPiece[][] {
  const pieces = sides.flatMap((points, side) =>
    points.slice(1).flatMap((to, i) => {
      const from = points[i];
      if (!from || Math.hypot(to[0] - from[0], to[1] - from[1]) < 1e-12) return [];
      return [{ from, to, side }];
    }),
  );
  const ways = ringArea(pieces.map((p) => p.from)) < 0 ? -1 : 1;
  const turnAfter = pieces.map(({ from, to }, i) => {
    const next = pieces[(i + 1) % pieces.length];
    return next ? ways * turn(from, to, next.to) : 0;
  });
  const curved = (i: number): number => {
    const turned = turnAfter.at(i) ?? 0;
    return Math.abs(turned) <= sharpRad ? turned : 0;
  };
  const found: TurnPiece[][] = sides.map(() => []);
  pieces.forEach(({ from, to, side }, i) => {
    const turned = turnAfter[i] ?? 0;
    found[side]?.push({
      lengthM: Math.hypot(to[0] - from[0], to[1] - from[1]),
      bendRad: (curved(i - 1) + curved(i)) / 2,
      cornerRad: Math.abs(turned) > sharpRad ? turned : 0,
    });
  });
  return found;
}
