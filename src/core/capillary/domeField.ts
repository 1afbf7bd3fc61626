import { itemAt, dot, drain, gradientSteps, type Outcome, type Solved } from '../numeric';
import { assert } from '../result';
import { cutGrid, type FieldSide, type Point } from './cutGrid';
import { assemble, factor, multiply, precondition, type CutSystem } from './cutSystem';

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

/** Root mean square of what the solver leaves, of a right side of about one. */
export const FIELD_TOLERANCE = 1e-7;

/** A x = room. */
function* solve(system: CutSystem): Generator<number, Solved<Float64Array>, void> {
  const root = factor(system);
  return yield* gradientSteps(
    {
      multiply: (x, out) => multiply(system, x, out),
      precondition: (r, out) => precondition(system, root, r, out),
    },
    system.room,
    { tolerance: FIELD_TOLERANCE },
  );
}

/**
 * Film on any outline over its height far from the rim: u − lc² ∇²u = 1, u = 0 on the rim, level at walls. Yields what
 * is left of the equation, as a root mean square of about one at first.
 * @param sides closed outline and holes, m, in any order @param lengthM capillary length, m, > 0
 * @param cellM side of a cell, m; four tenths of the capillary length is good to 0.1 %
 * @returns shares of the height on a grid, and their mean, with how the solver ended: only `converged` is the film
 * @throws RangeError on a size that is not above zero, or a grid without a cell inside
 * Source: linear capillary statics; cut links (Gibou et al. 2002) with the room of each cut cell, preconditioned
 *   conjugate gradients with a modified incomplete Cholesky factor (from memory). Against the closed form of the rectangle.
 */
export function* domeFieldSteps(
  sides: readonly FieldSide[],
  lengthM: number,
  cellM: number,
): Generator<number, DomeField, void> {
  assert(lengthM > 0 && cellM > 0 && sides.length > 0, 'domeField', { lengthM, cellM });
  const grid = cutGrid(sides, cellM);
  const { columns, rows, xs, ys, index, cells } = grid;
  assert(cells > 0, 'domeField: no cell inside', { columns, rows });
  const system = assemble(grid, (lengthM / cellM) ** 2);
  const { value: u, outcome, steps, residual } = yield* solve(system);
  const shares = new Float64Array(columns * rows);
  const rooms = new Float64Array(columns * rows);
  for (let i = 0; i < index.length; i += 1) {
    const cell = itemAt(index, i);
    if (cell < 0) continue;
    shares[i] = itemAt(u, cell);
    rooms[i] = itemAt(system.room, cell);
  }
  const originM: Point = [itemAt(xs, 0), itemAt(ys, 0)];
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

/** {@link domeFieldSteps} in one go. */
export const domeField = (sides: readonly FieldSide[], lengthM: number, cellM: number): DomeField =>
  drain(domeFieldSteps(sides, lengthM, cellM));
