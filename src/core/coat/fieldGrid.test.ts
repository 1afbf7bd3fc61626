import type { FieldSide } from '../capillary';
import type { Path, Point, Shape } from '../geometry';
import { coarsened, layeredField, type Grid } from './fieldGrid';
import { filmField, filmFieldSteps, type FilmField } from '.';

const MM = 1e-3;
/** A rectangle from the lower left, whose sides are walls but for those that are named: bottom, right, top, left. */
const box = (widthM: number, heightM: number, rims: readonly number[], turned = 0): FieldSide[] => {
  const at = (x: number, y: number): Point => [
    x * Math.cos(turned) - y * Math.sin(turned),
    x * Math.sin(turned) + y * Math.cos(turned),
  ];
  const corners = [at(0, 0), at(widthM, 0), at(widthM, heightM), at(0, heightM), at(0, 0)];
  return corners.slice(1).map((to, i) => ({
    points: [corners[i] ?? to, to],
    wall: !rims.includes(i),
  }));
};
const cells = ({ columns, rows, originM, cellM, shares, rooms }: Grid) =>
  Array.from({ length: columns * rows }, (_, i) => ({
    x: originM[0] + (i % columns) * cellM,
    y: originM[1] + Math.floor(i / columns) * cellM,
    share: shares[i] ?? NaN,
    room: rooms[i] ?? NaN,
  }));
/** Mean of 1 − e^(−d/lc) between two distances: by hand. */
const between = (d0: number, d1: number, lc: number) =>
  1 - (lc / (d1 - d0)) * (Math.exp(-d0 / lc) - Math.exp(-d1 / lc));

describe('rims laid on a large face', () => {
  const lc = 1.2 * MM;
  // Eight places a cell: the mean of the exponential by midpoints, off by (cell / 8 lc)² / 24 of it.
  it.each([
    ['bottom', 0, (_: number, y: number) => y],
    ['right', 1, (x: number) => 40 * MM - x],
    ['top', 2, (_: number, y: number) => 20 * MM - y],
    ['left', 3, (x: number) => x],
  ] as const)('straight, at the %s: the mean of 1 − e^(−d/lc) over each cell', (_, rim, off) => {
    const grid = layeredField(box(40 * MM, 20 * MM, [rim]), lc, MM);
    expect([grid.columns, grid.rows]).toEqual([40, 20]);
    for (const { x, y, share, room } of cells(grid)) {
      const d = off(x, y);
      expect(room).toBe(1);
      if (d > 7 * lc + 1.001 * MM) expect(share).toBe(1);
      else expect(share).toBeCloseTo(between(d - MM / 2, d + MM / 2, lc), 3);
    }
  });
  it('a cell feels the nearest of several: a square is the same all round', () => {
    const grid = layeredField(box(20 * MM, 20 * MM, [0, 1, 2, 3]), lc, MM);
    const at = (c: number, r: number) => grid.shares[r * 20 + c] ?? NaN;
    for (let r = 0; r < 20; r += 1)
      for (let c = 0; c < 20; c += 1) {
        expect(at(c, r)).toBeCloseTo(at(r, c), 12);
        expect(at(c, r)).toBeCloseTo(at(19 - c, r), 12);
        const d = (Math.min(c, r, 19 - c, 19 - r) + 0.5) * MM;
        expect(at(c, r)).toBeLessThan(between(d - MM / 2, d + MM / 2, lc) + 1e-3);
      }
    // At half its height, far from the corners, it is that of one rim.
    expect(at(0, 10)).toBeCloseTo(between(0, MM, lc), 3);
  });
  it('askew: cells that the rim cuts count by their room, those outside not at all', () => {
    const turned = 0.4;
    const grid = layeredField(box(40 * MM, 20 * MM, [0, 1, 2, 3], turned), lc, MM);
    const all = cells(grid);
    const room = all.reduce((s, c) => s + c.room, 0);
    expect(room / 800).toBeCloseTo(1, 2);
    expect(all.some((c) => c.room > 0 && c.room < 1)).toBe(true);
    for (const { x, y, room: own, share } of all) {
      const [along, up] = [
        x * Math.cos(turned) + y * Math.sin(turned),
        y * Math.cos(turned) - x * Math.sin(turned),
      ];
      const d = Math.min(along, 40 * MM - along, up, 20 * MM - up);
      if (d < -0.71 * MM) expect([own, share]).toEqual([0, 0]);
      if (d > 0.71 * MM && d < 8 * MM) {
        expect(own).toBe(1);
        expect(share).toBeGreaterThan(-Math.expm1(-(d - 0.71 * MM) / lc));
        expect(share).toBeLessThan(-Math.expm1(-(d + 0.71 * MM) / lc));
      }
    }
  });
  it('a stretch of no length is a point', () => {
    const [bottom, ...rest] = box(40 * MM, 20 * MM, [0]);
    const doubled = { wall: false, points: [[0, 0], [0, 0], ...(bottom?.points ?? [])] as Point[] };
    const [one, two] = [[doubled, ...rest], box(40 * MM, 20 * MM, [0])].map(
      (sides) => layeredField(sides, lc, MM).shares,
    );
    expect([...(one ?? [])]).toEqual([...(two ?? [])]);
  });
});

describe('blocks of cells taken as one', () => {
  // 3 × 3 cells of 2 mm by twos: 2 × 2 blocks, those at the far sides with less room.
  const fine: Grid = {
    ...{ columns: 3, rows: 3, cellM: 2 * MM, originM: [10 * MM, 20 * MM] },
    shares: new Float64Array([0.5, 1, 0.2, 0, 0.4, 1, 0.8, 0.6, 0]),
    rooms: new Float64Array([1, 1, 1, 0, 0.5, 1, 1, 1, 0]),
  };
  it('keep room and film; each lies in the middle of its own', () => {
    const coarse = coarsened(fine, 2);
    expect([coarse.columns, coarse.rows, coarse.cellM]).toEqual([2, 2, 4 * MM]);
    expect(coarse.originM).toEqual([expect.closeTo(11 * MM, 12), expect.closeTo(21 * MM, 12)]);
    expect([...coarse.rooms]).toEqual([2.5 / 4, 2 / 4, 2 / 4, 0]);
    [(0.5 + 1 + 0.2) / 2.5, (0.2 + 1) / 2, (0.8 + 0.6) / 2, 0].forEach((share, k) =>
      expect(coarse.shares[k]).toBeCloseTo(share, 12),
    );
  });
  it('by one it is the same grid', () => expect(coarsened(fine, 1)).toBe(fine));
  it('by threes it is one cell', () => {
    const one = coarsened(fine, 3);
    expect([one.columns, one.rows]).toEqual([1, 1]);
    expect(one.originM[0]).toBeCloseTo(12 * MM, 12);
    expect(one.rooms[0]).toBeCloseTo(6.5 / 9, 12);
  });
});

describe('what the film of a face is refused for', () => {
  const square: Shape = { kind: 'rectangle', widthM: 0.05, heightM: 0.05 };
  const input = { shape: square, walls: [true, true, true, false], lengthM: 2e-3, cells: 400 };
  const issue = (change: Partial<Parameters<typeof filmField>[0]>) => {
    const found = filmField({ ...input, ...change });
    return found.ok ? null : [found.issues[0]?.code, found.issues[0]?.path.join('.')];
  };
  it.each([
    [{ cells: 199 }, ['out-of-range', 'cells']],
    [{ cells: 200 }, null],
    [{ cells: 200_001 }, ['out-of-range', 'cells']],
    [{ lengthM: 1e-5 }, ['out-of-range', 'lengthM']],
    [{ lengthM: 0.1 }, ['out-of-range', 'lengthM']],
    [{ walls: [true] }, ['does-not-fit', 'walls']],
    [{ shape: { ...square, widthM: -1 } }, ['out-of-range', 'shape.widthM']],
  ])('%j', (change, told) => expect(issue(change)).toEqual(told));
  it('a strip so thin and askew that its box is nearly empty', () => {
    const to = (x: number, y: number) => ({ kind: 'line', to: [x, y] }) as const;
    const outer: Path = {
      start: [0, 0],
      segments: [to(1, 1), to(1 - 2e-3, 1 + 2e-3), to(-2e-3, 2e-3), to(0, 0)],
    };
    const strip = { kind: 'outline', outer, keepBare: [] } as const;
    expect(issue({ shape: strip, cells: 200_000 })).toEqual(['does-not-fit', 'shape']);
    expect(issue({ shape: strip, cells: 300 })).toBeNull();
  });
});

describe('the film of a face', () => {
  const lengthM = 2e-3;
  const solved = (shape: Shape, walls: readonly boolean[], many = 1000): FilmField => {
    const found = filmField({ shape, walls, lengthM, cells: many });
    if (!found.ok) throw new Error(JSON.stringify(found.issues));
    return found.value;
  };
  const sum = ({ rooms, shares, cellM }: FilmField) =>
    [1, 0].map(
      (all) =>
        rooms.reduce((s, room, i) => s + room * (all ? 1 : (shares[i] ?? 0)), 0) * cellM ** 2,
    );
  const hole: Path = {
    start: [0.02, 0.02],
    segments: (
      [
        [0.03, 0.02],
        [0.03, 0.03],
        [0.02, 0.03],
        [0.02, 0.02],
      ] as const
    ).map((to) => ({ kind: 'line', to })),
  };
  it('comes to its area, in rooms and in film, walls or not, with and without a bare part', () => {
    const square: Shape = { kind: 'rectangle', widthM: 0.05, heightM: 0.05 };
    for (const walls of [
      [false, false, false, false],
      [true, false, true, true],
    ]) {
      const [room, film] = sum(solved(square, walls));
      expect(room).toBeCloseTo(25e-4, 9);
      expect(film).toBeCloseTo(25e-4, 9);
    }
    const middled = {
      start: [-5e-3, -5e-3] as const,
      segments: hole.segments.map((s) => ({
        ...s,
        to: [s.to[0] - 0.025, s.to[1] - 0.025] as const,
      })),
    };
    const holed = solved({ ...square, keepBare: [middled] }, [true, true, true, true]);
    const [room, film] = sum(holed);
    expect(room).toBeCloseTo(24e-4, 8);
    expect(film).toBeCloseTo(24e-4, 8);
    // Rim of 40 mm round the bare part, corners that turn outward lose a little less: about lc · rim.
    expect((1 - holed.mean) / ((lengthM * 0.04) / 24e-4)).toBeCloseTo(1, 0);
    // The peak stands over the mean as the rim loses.
    expect(Math.max(...holed.shares)).toBeCloseTo(1 / holed.mean, 2);
  });
  it('in walls all round is level', () => {
    const level = solved({ kind: 'rectangle', widthM: 0.05, heightM: 0.03 }, [
      true,
      true,
      true,
      true,
    ]);
    expect(level.mean).toBeCloseTo(1, 4);
    for (const share of level.shares) expect(share).toBeCloseTo(1, 3);
  });
  it('tells how far it is, from none to all, and never back', () => {
    const shape: Shape = { kind: 'rectangle', widthM: 0.08, heightM: 0.05 };
    const steps = [
      ...filmFieldSteps({ shape, walls: [false, false, false, false], lengthM, cells: 4000 }),
    ];
    expect(steps.length).toBeGreaterThan(3);
    for (const done of steps) expect(done >= 0 && done <= 1).toBe(true);
    expect(steps.at(-1) ?? 0).toBeGreaterThan(0.8);
    expect(steps[0] ?? 1).toBeLessThan(0.6);
  });
});
