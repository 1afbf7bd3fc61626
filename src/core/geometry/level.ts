import { assert } from '../result';
import type { Point } from './point';

/** How far a piece is out of level: rise over run towards +x (right) and +y (back). */
export interface Tilt {
  readonly alongX: number;
  readonly alongY: number;
}

/** Steepest slope and its direction (rad from +x, uphill). */
export function steepest({ alongX, alongY }: Tilt): {
  readonly slope: number;
  readonly uphillRad: number;
} {
  return { slope: Math.hypot(alongX, alongY), uphillRad: Math.atan2(alongY, alongX) };
}

/**
 * How much to raise each prop so that the piece is level; the highest stays.
 * @param tilt rise over run @param props where the props stand under the piece, m, at least one
 * @returns lift of each prop, m, >= 0
 * @throws RangeError on no props
 * Source: the plane through the props has height alongX · x + alongY · y.
 */
export function propLifts(tilt: Tilt, props: readonly Point[]): number[] {
  assert(props.length > 0, 'propLifts', props);
  const heights = props.map(([x, y]) => tilt.alongX * x + tilt.alongY * y);
  const highest = Math.max(...heights);
  return heights.map((h) => highest - h);
}

/**
 * Whether three or more props carry the piece: its middle lies inside their hull.
 * @param props m about the middle of the piece
 * Source: statics; the middle of the outline stands for the centre of mass.
 */
export function propsCarry(props: readonly Point[]): boolean {
  const angles = props.map(([x, y]) => Math.atan2(y, x)).sort((a, b) => a - b);
  if (props.length < 3) return false;
  return angles.every((a, i) => {
    const next = angles[i + 1] ?? Math.min(...angles) + 2 * Math.PI;
    return next - a < Math.PI;
  });
}
