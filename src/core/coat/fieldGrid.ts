import { cutGrid, type DomeField, type FieldSide } from '../capillary';
import type { Point } from '../geometry';
import { itemAt } from '../numeric';

/** A film over some height of it on a grid, with the room of each cell. */
export type Grid = Pick<DomeField, 'columns' | 'rows' | 'cellM' | 'originM' | 'shares' | 'rooms'>;

/** The same grid with blocks of `by` × `by` cells as one; film and room are kept. */
export function coarsened<G extends Grid>(fine: G, by: number): G {
  if (by === 1) return fine;
  const [columns, rows] = [Math.ceil(fine.columns / by), Math.ceil(fine.rows / by)];
  const [shares, rooms] = [new Float64Array(columns * rows), new Float64Array(columns * rows)];
  for (let i = 0; i < fine.rooms.length; i += 1) {
    const room = fine.rooms[i] as number;
    if (room === 0) continue;
    const [c, r] = [i % fine.columns, Math.floor(i / fine.columns)];
    const k = Math.floor(r / by) * columns + Math.floor(c / by);
    rooms[k] = (rooms[k] as number) + room;
    shares[k] = (shares[k] as number) + room * (fine.shares[i] as number);
  }
  for (let k = 0; k < rooms.length; k += 1)
    if ((rooms[k] as number) > 0) {
      shares[k] = (shares[k] as number) / (rooms[k] as number);
      rooms[k] = (rooms[k] as number) / by ** 2;
    }
  const half = ((by - 1) / 2) * fine.cellM;
  return {
    ...fine,
    ...{ columns, rows, shares, rooms },
    cellM: fine.cellM * by,
    originM: [fine.originM[0] + half, fine.originM[1] + half],
  };
}

const distanceTo = ([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number => {
  const [dx, dy] = [bx - ax, by - ay];
  const size = dx * dx + dy * dy;
  const t = size > 0 ? Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / size)) : 0;
  return Math.hypot(x - ax - t * dx, y - ay - t * dy);
};

const segmentsOf = (sides: readonly FieldSide[]): [Point, Point][] =>
  sides.flatMap(({ points }) => points.slice(1).map((b, i): [Point, Point] => [points[i] ?? b, b]));

/** Places in a cell, each way, at which a rim is felt, and how many capillary lengths away it still is. */
const PLACES = 8;
const FELT = 7;

/**
 * Film on a face far larger than its rims: 1 − e^(−d/lc) at a distance d from the nearest of them, averaged over cells.
 * @param sides closed outline and holes, m @param lengthM capillary length, m @param cellM side of a cell, m
 * @returns shares 0…1; off by the corners, 0.7 lc² each
 * Source: the linear dome at a straight rim.
 */
export function layeredField(sides: readonly FieldSide[], lengthM: number, cellM: number): Grid {
  const { columns, rows, xs, ys, index } = cutGrid(sides, cellM);
  const [shares, rooms] = [new Float64Array(columns * rows), new Float64Array(columns * rows)];
  for (let i = 0; i < index.length; i += 1)
    if (itemAt(index, i) >= 0) [shares[i], rooms[i]] = [1, 1];
  const rims = segmentsOf(sides.filter((side) => !side.wall));
  const originM: Point = [itemAt(xs, 0), itemAt(ys, 0)];
  const near = FELT * lengthM + cellM;
  const felt = new Map<number, [Point, Point][]>();
  for (const rim of rims) {
    const span = (k: 0 | 1, count: number): readonly [number, number] => [
      Math.max(0, Math.floor((Math.min(rim[0][k], rim[1][k]) - near - originM[k]) / cellM)),
      Math.min(count - 1, Math.ceil((Math.max(rim[0][k], rim[1][k]) + near - originM[k]) / cellM)),
    ];
    const [[c0, c1], [r0, r1]] = [span(0, columns), span(1, rows)];
    for (let r = r0; r <= r1; r += 1)
      for (let c = c0; c <= c1; c += 1) {
        const i = r * columns + c;
        if (distanceTo([itemAt(xs, c), itemAt(ys, r)], ...rim) > near) continue;
        felt.set(i, [...(felt.get(i) ?? []), rim]);
      }
  }
  const ring = segmentsOf(sides);
  const inside = ([x, y]: Point): boolean =>
    ring.filter(([a, b]) => {
      if (a[1] > y === b[1] > y) return false;
      return x < a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0]);
    }).length %
      2 ===
    1;
  for (const [i, close] of felt) {
    const [x, y] = [itemAt(xs, i % columns), itemAt(ys, Math.floor(i / columns))];
    let [sum, within] = [0, 0];
    for (let a = 0; a < PLACES; a += 1)
      for (let b = 0; b < PLACES; b += 1) {
        const at: Point = [
          x + ((a + 0.5) / PLACES - 0.5) * cellM,
          y + ((b + 0.5) / PLACES - 0.5) * cellM,
        ];
        if (!inside(at)) continue;
        within += 1;
        const d = close.reduce((least, rim) => Math.min(least, distanceTo(at, ...rim)), Infinity);
        sum -= Math.expm1(-d / lengthM);
      }
    rooms[i] = within / PLACES ** 2;
    shares[i] = within > 0 ? sum / within : 0;
  }
  return { columns, rows, cellM, originM, shares, rooms };
}
