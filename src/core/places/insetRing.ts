import ClipperLib from 'clipper-lib';
import { thinRing, type Point } from '../geometry';
import { extent } from '../numeric';

/** Largest whole number with which the package reckons fast. */
const FAST = 2e7;
/** A ring is thinned by so much first, m: no hand and no tape follows finer. */
const ROUND_M = 0.02e-3;

/**
 * What is left of a ring a distance inside its boundary: a rim of even width is taken off.
 * @param ring m @param insetM > 0 inward, < 0 outward
 * @returns rings, anticlockwise; none where nothing is left
 * Source: polygon offsetting by the clipper-lib package from npm (Vatti's clipping; Chen & McMains 2005 for offsets).
 */
export function insetRing(ring: readonly Point[], insetM: number): Point[][] {
  const [left, right] = extent(ring.map((p) => p[0]));
  const [low, high] = extent(ring.map((p) => p[1]));
  // Farther in than the middle of its box nothing can be left.
  if (2 * insetM >= Math.min(right - left, high - low)) return [];
  const reach = Math.max(-left, right, -low, high) + Math.abs(insetM);
  const stepM = reach / FAST;
  const offset = new ClipperLib.ClipperOffset(2);
  const path = thinRing(ring, ROUND_M).map(([x, y]) => ({
    X: Math.round(x / stepM),
    Y: Math.round(y / stepM),
  }));
  if (!ClipperLib.Clipper.Orientation(path)) path.reverse();
  offset.AddPath(path, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const found: { X: number; Y: number }[][] = [];
  offset.Execute(found, -insetM / stepM);
  return found
    .filter((r) => ClipperLib.Clipper.Orientation(r))
    .map((r) => r.map(({ X, Y }): Point => [X * stepM, Y * stepM]));
}
