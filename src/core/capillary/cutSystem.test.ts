import { cutGrid, type FieldSide } from './cutGrid';
import { assemble, factor, multiply, precondition, type CutSystem } from './cutSystem';
import { domeField } from '.';

/** A rectangle of so many cells, its low corner at 0; sides from the lower one round to the left. */
const rectangle = (w: number, h: number, walls: readonly boolean[]): FieldSide[] => {
  const corners = [
    [0, 0],
    [w, 0],
    [w, h],
    [0, h],
    [0, 0],
  ] as const;
  return walls.map((wall, i) => ({ points: corners.slice(i, i + 2), wall }));
};
const LINK = 9;
const systemOf = (w: number, h: number, walls: readonly boolean[]) => {
  const grid = cutGrid(rectangle(w, h, walls), 1);
  return { grid, system: assemble(grid, LINK) };
};
const [RIM, WALL] = [false, true];

/** Every column of A, from what it does to one cell alone. */
const dense = (system: CutSystem): number[][] => {
  const n = system.diagonal.length;
  const columns = Array.from({ length: n }, (_, k) => {
    const [x, y] = [new Float64Array(n), new Float64Array(n)];
    x[k] = 1;
    multiply(system, x, y);
    return [...y];
  });
  return columns.map((_, i) => columns.map((c) => c[i] ?? NaN));
};

describe('cells of a grid against their neighbours, rims and walls', () => {
  it('lays the grid evenly about the outline, and crosses it where it is', () => {
    const { grid } = systemOf(3.5, 2.2, [RIM, WALL, RIM, RIM]);
    expect([grid.columns, grid.rows]).toEqual([4, 3]);
    grid.xs.forEach((x, i) => expect(x).toBeCloseTo(0.25 + i, 12));
    grid.ys.forEach((y, i) => expect(y).toBeCloseTo(0.1 + i, 12));
    expect([...grid.index]).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
    for (const cuts of grid.rowCuts)
      expect(cuts).toEqual([
        { at: 0, wall: false },
        { at: 3.5, wall: true },
      ]);
    for (const cuts of grid.columnCuts) expect(cuts.map((c) => c.at)).toEqual([0, 2.2]);
  });
  it('crosses a slanted side on its line, and a grid of one row too', () => {
    const triangle = [
      [0, 0],
      [4, 0],
      [0, 4],
      [0, 0],
    ] as const;
    const sides = [0, 1, 2].map((i) => ({ points: triangle.slice(i, i + 2), wall: false }));
    const grid = cutGrid(sides, 1);
    grid.rowCuts.forEach((cuts, r) => expect(cuts.map((c) => c.at)).toEqual([0, 3.5 - r]));
    // Centres on the outline itself lie outside.
    expect(grid.cells).toBe(6);
    const low = cutGrid(rectangle(3, 0.8, [RIM, RIM, RIM, RIM]), 1);
    expect([low.rows, low.cells, low.rowCuts[0]?.length]).toEqual([1, 3, 2]);
    expect(low.columnCuts.map((cuts) => cuts.map((c) => c.at))).toEqual([
      [0, 0.8],
      [0, 0.8],
      [0, 0.8],
    ]);
  });
  it('between walls the room of all cells is the area, but for what the four corners share', () => {
    for (const [w, h] of [
      [4, 3],
      [3.5, 2.2],
      [5.9, 4.6],
    ] as const) {
      const { system, grid } = systemOf(w, h, [WALL, WALL, WALL, WALL]);
      const beyond = [(w - grid.columns) / 2, (h - grid.rows) / 2] as const;
      const sum = system.room.reduce((s, room) => s + room, 0);
      expect(sum).toBeCloseTo(w * h - 4 * beyond[0] * beyond[1], 9);
    }
  });
  it('each cell: its room, its links to neighbours, and to a rim over the share of a cell to it', () => {
    // 3.5 × 2.2: the outer cells lie 0.25 from the rims left and right, 0.1 from the lower and the upper one.
    const { system } = systemOf(3.5, 2.2, [RIM, WALL, RIM, RIM]);
    const a = dense(system);
    const at = (r: number, c: number) => r * 4 + c;
    const room = (r: number, c: number) =>
      1 +
      (c === 0 ? (0.25 - 1) / 2 : 0) +
      (c === 3 ? 0.25 - 0.5 : 0) +
      (r === 0 || r === 2 ? (0.1 - 1) / 2 : 0);
    for (let r = 0; r < 3; r += 1)
      for (let c = 0; c < 4; c += 1) {
        const inside = [c > 0, c < 3, r > 0, r < 2].filter((yes) => yes).length;
        const rims = (c === 0 ? 1 / 0.25 : 0) + (r !== 1 ? 1 / 0.1 : 0);
        expect(system.room[at(r, c)]).toBeCloseTo(Math.max(0.05, room(r, c)), 12);
        expect(a[at(r, c)]?.[at(r, c)]).toBeCloseTo(
          Math.max(0.05, room(r, c)) + LINK * (inside + rims),
          9,
        );
        for (let i = 0; i < 12; i += 1) {
          const [dr, dc] = [Math.abs(Math.floor(i / 4) - r), Math.abs((i % 4) - c)];
          if (dr + dc > 0) expect(a[at(r, c)]?.[i]).toBe(dr + dc === 1 ? -LINK : 0);
        }
      }
  });
  it('a rim nearer than 0.02 of a cell counts as on it', () => {
    const { system } = systemOf(3.01, 3, [WALL, RIM, WALL, RIM]);
    // 4 columns, the first 0.5 − 0.495 = 0.005 from its rim.
    expect(system.room[0]).toBeCloseTo(1 + (0.02 - 1) / 2, 9);
    expect(system.diagonal[0]).toBeCloseTo(LINK * (2 + 1 / 0.02) + 0.51, 6);
  });
  it('what the trapezoids leave out at a rim: Euler and Maclaurin’s h²/12 of the slopes of 1 − e^(−x/lc)', () => {
    for (const [w, link] of [
      [4.5, 25],
      [4.9, 100],
      [4, 400],
    ] as const) {
      const sides = rectangle(w, 3, [WALL, RIM, WALL, RIM]);
      const { bend, room } = assemble(cutGrid(sides, 1), link);
      const cell = 1 / Math.sqrt(link);
      const share = 2 * (room[0] ?? NaN) - 1;
      const near = Math.exp(-share * cell);
      const leftOut = (near + share ** 2 * (1 - near)) / (1 - near);
      // The law takes the exponential to its second order.
      expect(Math.abs((bend[0] ?? NaN) / ((cell / 12) * leftOut) - 1)).toBeLessThan(
        0.4 * (share * cell) ** 2,
      );
      expect(bend[1]).toBe(0);
    }
  });
});

describe('the factor that hastens the solver', () => {
  const { grid, system } = systemOf(5.5, 4.3, [RIM, WALL, RIM, RIM]);
  const n = grid.cells;
  const a = dense(system);

  /** Cholesky’s factor by the textbook, entry by entry: what falls outside A’s own entries goes, 97 %, to the diagonals of both. */
  function textbook(): number[][] {
    const m = a.map((row) => [...row]);
    const get = (i: number, j: number) => m[i]?.[j] ?? NaN;
    const add = (i: number, j: number, v: number) => ((m[i] as number[])[j] = get(i, j) + v);
    const l = a.map((row) => row.map(() => 0));
    for (let k = 0; k < n; k += 1) {
      const root = Math.sqrt(get(k, k));
      for (let i = k; i < n; i += 1) (l[i] as number[])[k] = get(i, k) / root;
      for (let i = k + 1; i < n; i += 1)
        for (let j = k + 1; j < n; j += 1) {
          const fill = (l[i]?.[k] ?? 0) * (l[j]?.[k] ?? 0);
          if (i === j || a[i]?.[j] !== 0) add(i, j, -fill);
          else add(i, i, -0.97 * fill);
        }
    }
    return l;
  }
  const l = textbook();

  it('its pivots are the textbook’s', () => {
    const root = factor(system);
    for (let i = 0; i < n; i += 1) expect(root[i]).toBeCloseTo(1 / (l[i]?.[i] ?? NaN), 9);
  });
  it('what it makes of a vector, L Lᵀ takes back', () => {
    const r = Float64Array.from({ length: n }, (_, i) => Math.sin(1 + 3 * i));
    const z = new Float64Array(n);
    precondition(system, factor(system), r, z);
    const down = l[0]?.map((_, k) => l.reduce((s, row, i) => s + (row[k] ?? 0) * (z[i] ?? 0), 0));
    const back = l.map((row) => row.reduce((s, v, k) => s + v * (down?.[k] ?? 0), 0));
    for (let i = 0; i < n; i += 1) expect(back[i]).toBeCloseTo(r[i] ?? NaN, 9);
  });
  it('a field of 2,500 cells is solved in twenty steps', () => {
    const { steps, outcome } = domeField(rectangle(0.05, 0.05, [RIM, RIM, RIM, RIM]), 0.01, 1e-3);
    expect(outcome).toBe('converged');
    expect(steps).toBeLessThanOrEqual(20);
  });
});
