import { conjugateGradient, extent, type Outcome, type Solved } from '../numeric';
import { assert } from '../result';

type Point = readonly [x: number, y: number];

/** A stretch of outline or hole. A wall is wetted, so the surface meets it level; at any other rim the film ends. */
export interface FieldSide {
  readonly points: readonly Point[];
  readonly wall: boolean;
}

export interface DomeField {
  readonly columns: number;
  readonly rows: number;
  /** Side of a cell and centre of the first, m. */
  readonly cellM: number;
  readonly originM: Point;
  /** Film over its height far from the rim, row by row from the bottom; 0 outside. */
  readonly shares: Float64Array;
  /** Room of each cell, in cells; 0 outside. */
  readonly rooms: Float64Array;
  readonly cells: number;
  /** Integral of the shares, in cells: over the area of the outline it is their mean. */
  readonly volume: number;
  /** How the solver ended, after how many steps, and what it left. */
  readonly outcome: Outcome;
  readonly steps: number;
  readonly residual: number;
}

interface Crossing {
  readonly at: number;
  readonly wall: boolean;
}

/** Where lines of one direction cross the outline, for each line in order. */
function crossings(
  sides: readonly FieldSide[],
  axis: 0 | 1,
  lines: readonly number[],
): Crossing[][] {
  const other = axis === 0 ? 1 : 0;
  const found: Crossing[][] = lines.map(() => []);
  const first = lines[0] ?? 0;
  const step = (lines[1] ?? first + 1) - first;
  for (const { points, wall } of sides)
    for (let i = 1; i < points.length; i += 1) {
      const [p, q] = [points[i - 1], points[i]];
      if (!p || !q) continue;
      const [low, high] = p[other] < q[other] ? [p, q] : [q, p];
      const from = Math.max(0, Math.floor((low[other] - first) / step));
      for (let k = from; k < lines.length; k += 1) {
        const y = lines[k] ?? 0;
        if (y < low[other]) continue;
        if (y >= high[other]) break;
        const share = (y - low[other]) / (high[other] - low[other]);
        found[k]?.push({ at: low[axis] + share * (high[axis] - low[axis]), wall });
      }
    }
  return found.map((list) => list.sort((a, b) => a.at - b.at));
}

interface System {
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

interface Grid {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  readonly xs: readonly number[];
  readonly ys: readonly number[];
  readonly rowCuts: readonly Crossing[][];
  readonly columnCuts: readonly Crossing[][];
  /** Number of each cell inside, −1 outside. */
  readonly index: Int32Array;
  readonly cells: number;
}

/**
 * What the trapezoids between cells leave out at a rim, over the share of its first cell: the end term of Euler
 * and Maclaurin, h²/12 of the slope, for a film 1 − e^(−x/lc). `cell` is in capillary lengths.
 */
function rimBend(share: number, cell: number): number {
  const x = share * cell;
  return ((1 + x / 2) * (1 - x + x ** 2 / 2 + share ** 2 * x)) / share / 12;
}

function assemble(grid: Grid, link: number): System {
  const { columns, rows, cellM, xs, ys, rowCuts, columnCuts, index, cells } = grid;
  const diagonal = new Float64Array(cells);
  const room = new Float64Array(cells).fill(1);
  const bend = new Float64Array(cells);
  const east = new Int32Array(cells).fill(-1);
  const north = new Int32Array(cells).fill(-1);
  const couple = (i: number, j: number, next: Int32Array) => {
    next[i] = j;
    diagonal[i] = (diagonal[i] ?? 0) + link;
    diagonal[j] = (diagonal[j] ?? 0) + link;
  };
  const end = (i: number, from: number, cuts: readonly Crossing[] = [], direction: 1 | -1) => {
    const cut =
      direction === 1 ? cuts.find((c) => c.at > from) : cuts.findLast((c) => c.at <= from);
    if (!cut) return;
    const share = Math.min(1, Math.max(NEAREST, Math.abs(cut.at - from) / cellM));
    room[i] = (room[i] ?? 0) + (cut.wall ? share - 0.5 : (share - 1) / 2);
    if (cut.wall) return;
    diagonal[i] = (diagonal[i] ?? 0) + link / share;
    bend[i] = (bend[i] ?? 0) + rimBend(share, 1 / Math.sqrt(link));
  };
  const cellAt = (r: number, c: number): number =>
    r < 0 || r >= rows || c < 0 || c >= columns ? -1 : (index[r * columns + c] ?? -1);
  for (let r = 0; r < rows; r += 1)
    for (let c = 0; c < columns; c += 1) {
      const i = cellAt(r, c);
      if (i < 0) continue;
      const [x, y] = [xs[c] ?? 0, ys[r] ?? 0];
      const [e, n] = [cellAt(r, c + 1), cellAt(r + 1, c)];
      if (e >= 0) couple(i, e, east);
      else end(i, x, rowCuts[r], 1);
      if (cellAt(r, c - 1) < 0) end(i, x, rowCuts[r], -1);
      if (n >= 0) couple(i, n, north);
      else end(i, y, columnCuts[c], 1);
      if (cellAt(r - 1, c) < 0) end(i, y, columnCuts[c], -1);
    }
  for (let i = 0; i < cells; i += 1) {
    room[i] = Math.max(0.05, room[i] ?? 1);
    diagonal[i] = (diagonal[i] ?? 0) + (room[i] ?? 1);
  }
  return { room, diagonal, bend, east, north, link };
}

/** y = A x */
function multiply({ diagonal, east, north, link }: System, x: Float64Array, y: Float64Array): void {
  for (let i = 0; i < x.length; i += 1) y[i] = (diagonal[i] ?? 0) * (x[i] ?? 0);
  for (let i = 0; i < x.length; i += 1) {
    for (const j of [east[i] ?? -1, north[i] ?? -1]) {
      if (j < 0) continue;
      y[i] = (y[i] ?? 0) - link * (x[j] ?? 0);
      y[j] = (y[j] ?? 0) - link * (x[i] ?? 0);
    }
  }
}

/** Share of the dropped fill-in that goes to the diagonal. */
const MODIFIED = 0.97;

/** Inverse roots of the pivots of a modified incomplete Cholesky factor without fill-in. */
function factor({ diagonal, east, north, link }: System): Float64Array {
  const pivot = Float64Array.from(diagonal);
  const root = new Float64Array(diagonal.length);
  for (let i = 0; i < diagonal.length; i += 1) {
    root[i] = 1 / Math.sqrt(pivot[i] ?? 1);
    const [e, n] = [east[i] ?? -1, north[i] ?? -1];
    const w = (link * (root[i] ?? 0)) ** 2;
    const fill = e >= 0 && n >= 0 ? MODIFIED * w : 0;
    if (e >= 0) pivot[e] = (pivot[e] ?? 0) - w - fill;
    if (n >= 0) pivot[n] = (pivot[n] ?? 0) - w - fill;
  }
  return root;
}

/** z = (L Lᵀ)⁻¹ r */
function precondition(
  { east, north, link }: System,
  root: Float64Array,
  r: Float64Array,
  z: Float64Array,
): void {
  z.set(r);
  for (let i = 0; i < z.length; i += 1) {
    const value = (z[i] ?? 0) * (root[i] ?? 0);
    z[i] = value;
    const pass = link * (root[i] ?? 0) * value;
    const [e, n] = [east[i] ?? -1, north[i] ?? -1];
    if (e >= 0) z[e] = (z[e] ?? 0) + pass;
    if (n >= 0) z[n] = (z[n] ?? 0) + pass;
  }
  for (let i = z.length - 1; i >= 0; i -= 1) {
    const [e, n] = [east[i] ?? -1, north[i] ?? -1];
    const back = link * (root[i] ?? 0) * ((e >= 0 ? (z[e] ?? 0) : 0) + (n >= 0 ? (z[n] ?? 0) : 0));
    z[i] = ((z[i] ?? 0) + back) * (root[i] ?? 0);
  }
}

const dot = (a: Float64Array, b: Float64Array): number => {
  let s = 0;
  for (let i = 0; i < a.length; i += 1) s += (a[i] ?? 0) * (b[i] ?? 0);
  return s;
};

/** Root mean square of what the solver leaves, of a right side of about one. */
const TOLERANCE = 1e-7;

/** A x = room. */
function solve(system: System): Solved<Float64Array> {
  const root = factor(system);
  return conjugateGradient(
    {
      multiply: (x, out) => multiply(system, x, out),
      precondition: (r, out) => precondition(system, root, r, out),
    },
    system.room,
    { tolerance: TOLERANCE },
  );
}

/** Lays the grid evenly about the outline, so that a symmetric one stays so. */
function layGrid(sides: readonly FieldSide[], cellM: number): Grid {
  const points = sides.flatMap((s) => s.points);
  const span = (k: 0 | 1): readonly number[] => {
    const [from, to] = extent(points.map((p) => p[k]));
    const n = Math.max(1, Math.ceil((to - from) / cellM));
    const first = (from + to - n * cellM) / 2 + cellM / 2;
    return Array.from({ length: n }, (_, i) => first + i * cellM);
  };
  const [xs, ys] = [span(0), span(1)];
  const [columns, rows] = [xs.length, ys.length];
  const rowCuts = crossings(sides, 0, ys);
  const index = new Int32Array(columns * rows).fill(-1);
  let cells = 0;
  rowCuts.forEach((cuts, r) => {
    let passed = 0;
    for (let c = 0; c < columns; c += 1) {
      while (passed < cuts.length && (cuts[passed]?.at ?? 0) <= (xs[c] ?? 0)) passed += 1;
      if (passed % 2 === 0) continue;
      index[r * columns + c] = cells;
      cells += 1;
    }
  });
  const columnCuts = crossings(sides, 1, xs);
  return { columns, rows, cellM, xs, ys, rowCuts, columnCuts, index, cells };
}

/**
 * Film on any outline over its height far from the rim: u − lc² ∇²u = 1, u = 0 on the rim, level at walls.
 * @param sides closed outline and holes, m, in any order @param lengthM capillary length, m, > 0
 * @param cellM side of a cell, m; four tenths of the capillary length is good to 0.1 %
 * @returns shares of the height on a grid, and their mean, with how the solver ended: only `converged` is the film
 * @throws RangeError on a size that is not above zero, or a grid without a cell inside
 * Source: linear capillary statics; cut links (Gibou et al. 2002) with the room of each cut cell, preconditioned
 *   conjugate gradients with a modified incomplete Cholesky factor (from memory). Against the closed form of the rectangle.
 */
export function domeField(sides: readonly FieldSide[], lengthM: number, cellM: number): DomeField {
  assert(lengthM > 0 && cellM > 0 && sides.length > 0, 'domeField', { lengthM, cellM });
  const grid = layGrid(sides, cellM);
  const { columns, rows, xs, ys, index, cells } = grid;
  assert(cells > 0, 'domeField: no cell inside', { columns, rows });
  const system = assemble(grid, (lengthM / cellM) ** 2);
  const { value: u, outcome, steps, residual } = solve(system);
  const shares = new Float64Array(columns * rows);
  const rooms = new Float64Array(columns * rows);
  for (let i = 0; i < index.length; i += 1) {
    const cell = index[i] ?? -1;
    if (cell < 0) continue;
    shares[i] = u[cell] ?? 0;
    rooms[i] = system.room[cell] ?? 1;
  }
  const originM: Point = [xs[0] ?? 0, ys[0] ?? 0];
  return {
    columns,
    rows,
    cellM,
    originM,
    shares,
    rooms,
    cells,
    volume: dot(system.room, u) + dot(system.bend, u),
    ...{ outcome, steps, residual },
  };
}
