import type { Point } from './point';
import { ringCentroid } from './ring';
import type { Shape } from './shape';
import { shapeSides } from './shapeSides';

export interface Reach {
  /** Length of the shape along the direction, m. */
  readonly lengthM: number;
  /** From its middle of mass to its farthest place in the direction, m. */
  readonly aheadM: number;
}

/**
 * How far a shape reaches along a direction.
 * @param direction any length but 0 @returns m
 * Source: geometry; parts kept bare are counted in.
 */
export function reachOf(shape: Shape, [dx, dy]: Point): Reach {
  const size = Math.hypot(dx, dy);
  const along = (p: Point): number => (p[0] * dx + p[1] * dy) / size;
  const points = shapeSides(shape).flat();
  const places = points.map(along);
  const farthest = places.reduce((most, v) => Math.max(most, v), -Infinity);
  const nearest = places.reduce((least, v) => Math.min(least, v), Infinity);
  return { lengthM: farthest - nearest, aheadM: farthest - along(ringCentroid(points)) };
}
