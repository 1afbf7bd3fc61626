import { itemAt } from '../numeric';
import { contours } from 'd3-contour';
import { insideRing, ringArea, type Point } from '../geometry';
import type { Raster } from './raster';

/**
 * The outer line at chance ½ round the place that was picked.
 * @param raster the cells @param inside chance of each cell @param pick column and row inside the piece
 * @returns ring in columns and rows (fractional), or null when nothing lies round the pick
 * Source: marching squares with linear interpolation, d3-contour.
 */
export function contourOf(raster: Raster, inside: Float64Array, pick: Point): Point[] | null {
  const { width, height, known } = raster;
  // Beyond the picture there is no piece: rings close there.
  const values = Array.from(inside, (u, i) => (known[i] ? u : 0));
  for (let column = 0; column < width; column += 1)
    values[column] = values[(height - 1) * width + column] = 0;
  for (let row = 0; row < height; row += 1) values[row * width] = values[(row + 1) * width - 1] = 0;
  const [found] = contours().size([width, height]).thresholds([0.5])(values);
  const rings = (found?.coordinates ?? []).map((polygon) =>
    itemAt(polygon, 0)
      .slice(0, -1)
      .map(([x = 0, y = 0]): Point => [x - 0.5, y - 0.5]),
  );
  const round = rings.filter((ring) => insideRing(pick, ring));
  return round.sort((a, b) => Math.abs(ringArea(b)) - Math.abs(ringArea(a)))[0] ?? null;
}

/** Points along a closed ring at even distances of about `step`. */
export function resampleRing(ring: readonly Point[], step: number): Point[] {
  const lengths = ring.map((p, i) => {
    const q = ring[(i + 1) % ring.length] ?? p;
    return Math.hypot(q[0] - p[0], q[1] - p[1]);
  });
  const total = lengths.reduce((a, b) => a + b, 0);
  const count = Math.max(8, Math.round(total / step));
  const points: Point[] = [];
  let [index, walked] = [0, 0];
  for (let k = 0; k < count; k += 1) {
    const target = (total * k) / count;
    while (index < ring.length - 1 && walked + itemAt(lengths, index) < target) {
      walked += itemAt(lengths, index);
      index += 1;
    }
    const [p, q] = [itemAt(ring, index), itemAt(ring, (index + 1) % ring.length)];
    const share = Math.min(1, (target - walked) / Math.max(1e-12, itemAt(lengths, index)));
    points.push([p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share]);
  }
  return points;
}

/** A closed ring with each point at the mean of its neighbours up to `reach` away. */
export function smoothRing(ring: readonly Point[], reach: number): Point[] {
  const n = ring.length;
  return ring.map((_, i) => {
    let [x, y] = [0, 0];
    for (let k = -reach; k <= reach; k += 1) {
      const p = itemAt(ring, (((i + k) % n) + n) % n);
      [x, y] = [x + p[0], y + p[1]];
    }
    return [x / (2 * reach + 1), y / (2 * reach + 1)];
  });
}
