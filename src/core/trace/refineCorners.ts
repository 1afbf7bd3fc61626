import { itemAt } from '../numeric';
import type { Point } from '../geometry';
import type { Corners } from './homography';
import { sample, type Picture } from './raster';

/** Marking error of a corner that was moved onto the edges seen, one standard deviation, px. Judgement. */
export const REFINED_SIGMA_PX = 0.2;
/** The edge is sought this far from the marked line, px, with steps of half a pixel. */
const REACH_PX = 5;
const STEP_PX = 0.5;
const PLACES = 60;
/** A step of brightness below this is no edge, grey levels. */
const LEAST_STEP = 10;
/** Places whose edge lies this near the fitted line count for it, px. */
const NEAR_PX = 0.8;
/** Least share of places that must agree, and farthest that a corner may move, px. Judgement. */
const LEAST_SHARE = 0.5;
const FARTHEST_PX = 4;

/** Offset of the strongest step of brightness along a normal, px, or null. */
function edgeOffset(picture: Picture, at: Point, normal: Point): number | null {
  const rgb = new Float64Array(3);
  const light: number[] = [];
  const count = Math.round((2 * REACH_PX) / STEP_PX);
  for (let k = 0; k <= count; k += 1) {
    const t = k * STEP_PX - REACH_PX;
    const [x, y] = [at[0] + normal[0] * t - 0.5, at[1] + normal[1] * t - 0.5];
    if (!sample(picture, x, y, rgb)) return null;
    light.push((itemAt(rgb, 0) + itemAt(rgb, 1) + itemAt(rgb, 2)) / 3);
  }
  const mean = (from: number): number =>
    (itemAt(light, from) + itemAt(light, from + 1) + itemAt(light, from + 2)) / 3;
  let [best, step] = [-1, LEAST_STEP];
  for (let k = 4; k + 4 < light.length; k += 1) {
    const size = Math.abs(mean(k + 2) - mean(k - 4));
    if (size > step) [best, step] = [k, size];
  }
  if (best < 0) return null;
  const [before, after] = [mean(best - 4), mean(best + 2)];
  let covered = 0;
  for (let k = best - 4; k <= best + 4; k += 1)
    covered += Math.min(1, Math.max(0, (itemAt(light, k) - after) / (before - after)));
  return (best - 4.5 + covered) * STEP_PX - REACH_PX;
}

interface Line {
  readonly p: Point;
  readonly d: Point;
}

/** The line of an edge near a marked side, or null when too few places agree. */
function edgeLine(picture: Picture, a: Point, b: Point): Line | null {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const d: Point = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const normal: Point = [-d[1], d[0]];
  const found: Point[] = [];
  for (let i = 0; i < PLACES; i += 1) {
    const along = length * (0.06 + (0.88 * (i + 0.5)) / PLACES);
    const off = edgeOffset(picture, [a[0] + d[0] * along, a[1] + d[1] * along], normal);
    if (off !== null) found.push([along, off]);
  }
  // Offset = intercept + slope · along, by the pair of places that most others agree with.
  let kept: Point[] = [];
  for (let i = 0; i < found.length; i += 2)
    for (let j = i + 5; j < found.length; j += 2) {
      const [p, q] = [found[i], found[j]];
      if (!p || !q) continue;
      const slope = (q[1] - p[1]) / (q[0] - p[0]);
      const near = found.filter(([x, y]) => Math.abs(p[1] + slope * (x - p[0]) - y) <= NEAR_PX);
      if (near.length > kept.length) kept = near;
    }
  if (kept.length < LEAST_SHARE * PLACES) return null;
  const n = kept.length;
  const mx = kept.reduce((s, p) => s + p[0], 0) / n;
  const my = kept.reduce((s, p) => s + p[1], 0) / n;
  const slope =
    kept.reduce((s, [x, y]) => s + (x - mx) * (y - my), 0) /
    kept.reduce((s, [x]) => s + (x - mx) ** 2, 0);
  const start = my - slope * mx;
  return {
    p: [a[0] + normal[0] * start, a[1] + normal[1] * start],
    d: [d[0] + normal[0] * slope, d[1] + normal[1] * slope],
  };
}

/**
 * Moves marked corners onto the corners that the reference's own edges make in the picture.
 * @param corners as marked, px @returns corners and for each whether it was moved; one whose edges are
 *   not seen clearly, or that would move more than 4 px, stays where it was marked
 * Source: step of brightness along normals, a line by consensus (Fischler & Bolles 1981, from memory) and
 *   least squares, corners where lines meet.
 */
export function refineCorners(
  picture: Picture,
  corners: Corners,
): { readonly corners: Corners; readonly refined: readonly boolean[] } {
  const lines = corners.map((p, i) => edgeLine(picture, p, corners[(i + 1) % 4] ?? p));
  const moved = corners.map((mark, i): Point | null => {
    const [a, b] = [lines[(i + 3) % 4], lines[i]];
    if (!a || !b) return null;
    const cross = a.d[0] * b.d[1] - a.d[1] * b.d[0];
    if (Math.abs(cross) < 0.1) return null;
    const t = ((b.p[0] - a.p[0]) * b.d[1] - (b.p[1] - a.p[1]) * b.d[0]) / cross;
    const at: Point = [a.p[0] + a.d[0] * t, a.p[1] + a.d[1] * t];
    return Math.hypot(at[0] - mark[0], at[1] - mark[1]) <= FARTHEST_PX ? at : null;
  });
  return {
    corners: corners.map((mark, i) => moved[i] ?? mark) as unknown as Corners,
    refined: moved.map((p) => p !== null),
  };
}
