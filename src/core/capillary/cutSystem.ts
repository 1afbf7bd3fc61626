import { itemAt } from '../numeric';
import type { Crossing, CutGrid } from './cutGrid';

// Typed arrays are read at indexes that the loops themselves make, hence `as number`.

/** The film of every cell against those of its neighbours: a symmetric positive definite A x = room. */
export interface CutSystem {
  /** Room of each cell, in cells: those at a rim or wall reach half way to it, or to it. */
  readonly room: Float64Array;
  readonly diagonal: Float64Array;
  /** What a rim adds to the sum of room × share, over the share: the film is curved between the cells. */
  readonly bend: Float64Array;
  /** Index of the neighbour to the east and to the north, −1 where there is none. */
  readonly east: Int32Array;
  readonly north: Int32Array;
  readonly link: number;
}

/** Shortest distance to a rim that is told apart, in cells: nearer, a cell counts as on it. */
const NEAREST = 0.02;

/**
 * What the trapezoids between cells leave out at a rim, over the share of its first cell: the end term of Euler
 * and Maclaurin, h²/12 of the slope, for a film 1 − e^(−x/lc). `cell` is in capillary lengths.
 */
function rimBend(share: number, cell: number): number {
  const x = share * cell;
  return ((1 + x / 2) * (1 - x + x ** 2 / 2 + share ** 2 * x)) / share / 12;
}

/** Couples every cell with its neighbours, walls and rims; `link` is the square of the capillary length in cells. */
export function assemble(grid: CutGrid, link: number): CutSystem {
  const { columns, rows, cellM, xs, ys, rowCuts, columnCuts, index, cells } = grid;
  const diagonal = new Float64Array(cells);
  const room = new Float64Array(cells).fill(1);
  const bend = new Float64Array(cells);
  const east = new Int32Array(cells).fill(-1);
  const north = new Int32Array(cells).fill(-1);
  const couple = (i: number, j: number, next: Int32Array) => {
    next[i] = j;
    diagonal[i] = (diagonal[i] as number) + link;
    diagonal[j] = (diagonal[j] as number) + link;
  };
  const end = (i: number, from: number, cuts: readonly Crossing[] = [], direction: 1 | -1) => {
    const cut =
      direction === 1 ? cuts.find((c) => c.at > from) : cuts.findLast((c) => c.at <= from);
    if (!cut) return;
    const share = Math.min(1, Math.max(NEAREST, Math.abs(cut.at - from) / cellM));
    room[i] = (room[i] as number) + (cut.wall ? share - 0.5 : (share - 1) / 2);
    if (cut.wall) return;
    diagonal[i] = (diagonal[i] as number) + link / share;
    bend[i] = (bend[i] as number) + rimBend(share, 1 / Math.sqrt(link));
  };
  const cellAt = (r: number, c: number): number =>
    r < 0 || r >= rows || c < 0 || c >= columns ? -1 : (index[r * columns + c] as number);
  for (let r = 0; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1) {
      const i = cellAt(r, c);
      if (i < 0) continue;
      const [x, y] = [itemAt(xs, c), itemAt(ys, r)];
      const [e, n] = [cellAt(r, c + 1), cellAt(r + 1, c)];
      if (e >= 0) couple(i, e, east);
      else end(i, x, rowCuts[r], 1);
      if (cellAt(r, c - 1) < 0) end(i, x, rowCuts[r], -1);
      if (n >= 0) couple(i, n, north);
      else end(i, y, columnCuts[c], 1);
      if (cellAt(r - 1, c) < 0) end(i, y, columnCuts[c], -1);
    }
  for (let i = 0; i < cells; i += 1) {
    room[i] = Math.max(0.05, room[i] as number);
    diagonal[i] = (diagonal[i] as number) + (room[i] as number);
  }
  return { room, diagonal, bend, east, north, link };
}

/** y = A x */
export function multiply(
  { diagonal, east, north, link }: CutSystem,
  x: Float64Array,
  y: Float64Array,
): void {
  for (let i = 0; i < x.length; i += 1) y[i] = (diagonal[i] as number) * (x[i] as number);
  for (let i = 0; i < x.length; i += 1) {
    for (const j of [east[i] as number, north[i] as number]) {
      if (j < 0) continue;
      y[i] = (y[i] as number) - link * (x[j] as number);
      y[j] = (y[j] as number) - link * (x[i] as number);
    }
  }
}

/** Share of the dropped fill-in that goes to the diagonal. */
const MODIFIED = 0.97;

/** Inverse roots of the pivots of a modified incomplete Cholesky factor without fill-in. */
export function factor({ diagonal, east, north, link }: CutSystem): Float64Array {
  const pivot = Float64Array.from(diagonal);
  const root = new Float64Array(diagonal.length);
  for (let i = 0; i < diagonal.length; i += 1) {
    root[i] = 1 / Math.sqrt(pivot[i] as number);
    const [e, n] = [east[i] as number, north[i] as number];
    const w = (link * (root[i] as number)) ** 2;
    const fill = e >= 0 && n >= 0 ? MODIFIED * w : 0;
    if (e >= 0) pivot[e] = (pivot[e] as number) - w - fill;
    if (n >= 0) pivot[n] = (pivot[n] as number) - w - fill;
  }
  return root;
}

/** z = (L Lᵀ)⁻¹ r */
export function precondition(
  { east, north, link }: CutSystem,
  root: Float64Array,
  r: Float64Array,
  z: Float64Array,
): void {
  z.set(r);
  for (let i = 0; i < z.length; i += 1) {
    const value = (z[i] as number) * (root[i] as number);
    z[i] = value;
    const pass = link * (root[i] as number) * value;
    const [e, n] = [east[i] as number, north[i] as number];
    if (e >= 0) z[e] = (z[e] as number) + pass;
    if (n >= 0) z[n] = (z[n] as number) + pass;
  }
  for (let i = z.length - 1; i >= 0; i -= 1) {
    const [e, n] = [east[i] as number, north[i] as number];
    const back =
      link *
      (root[i] as number) *
      ((e >= 0 ? (z[e] as number) : 0) + (n >= 0 ? (z[n] as number) : 0));
    z[i] = ((z[i] as number) + back) * (root[i] as number);
  }
}
