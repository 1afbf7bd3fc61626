import { itemAt, extent } from '../numeric';

/** A place in the plane, m. */
export type Point = readonly [x: number, y: number];

/** A stretch of outline or hole. A wall is wetted, so the surface meets it level; at any other rim the film ends. */
export interface FieldSide {
  readonly points: readonly Point[];
  readonly wall: boolean;
}

export interface Crossing {
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
  const first = itemAt(lines, 0);
  const step = (lines[1] ?? first + 1) - first;
  for (const { points, wall } of sides)
    for (let i = 1; i < points.length; i += 1) {
      const [p, q] = [points[i - 1], points[i]];
      if (!p || !q) continue;
      const [low, high] = p[other] < q[other] ? [p, q] : [q, p];
      const from = Math.max(0, Math.floor((low[other] - first) / step));
      for (let k = from; k < lines.length; k += 1) {
        const y = itemAt(lines, k);
        if (y < low[other]) continue;
        if (y >= high[other]) break;
        const share = (y - low[other]) / (high[other] - low[other]);
        found[k]?.push({ at: low[axis] + share * (high[axis] - low[axis]), wall });
      }
    }
  return found.map((list) => list.sort((a, b) => a.at - b.at));
}

/** A grid of square cells over an outline, and where its lines cross it. */
export interface CutGrid {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  readonly xs: readonly number[];
  readonly ys: readonly number[];
  readonly rowCuts: readonly (readonly Crossing[])[];
  readonly columnCuts: readonly (readonly Crossing[])[];
  /** Number of each cell inside, −1 outside. */
  readonly index: Int32Array;
  readonly cells: number;
}

/** Lays the grid evenly about the outline, so that a symmetric one stays so. */
export function cutGrid(sides: readonly FieldSide[], cellM: number): CutGrid {
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
      while (passed < cuts.length && itemAt(cuts, passed).at <= itemAt(xs, c)) passed += 1;
      if (passed % 2 === 0) continue;
      index[r * columns + c] = cells;
      cells += 1;
    }
  });
  const columnCuts = crossings(sides, 1, xs);
  return { columns, rows, cellM, xs, ys, rowCuts, columnCuts, index, cells };
}
