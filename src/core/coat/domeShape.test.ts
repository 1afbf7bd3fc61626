import { shapePath, type Path, type Point, type Shape } from '../geometry';
import { domeShape } from './domeShape';

const ring = (...points: readonly Point[]): Path => ({
  start: points[0] ?? [0, 0],
  segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
});
/** A part that stays bare: a square of a side, m, about a place. */
const square = (sideM: number, x: number, y: number): Path => {
  const half = sideM / 2;
  return ring(
    [x - half, y - half],
    [x + half, y - half],
    [x + half, y + half],
    [x - half, y + half],
  );
};
const box: Shape = { kind: 'rectangle', widthM: 0.1, heightM: 0.06 };
const bare = (...keepBare: readonly Path[]): Shape => ({ ...box, keepBare });
const degrees = (rads: readonly number[]) => rads.map((r) => Math.round((r * 180) / Math.PI));
const disc: Shape = { kind: 'disc', diameterM: 0.1 };
const [F, W] = [false, true];

describe('an outline as films see it, by hand', () => {
  it('a rectangle: its sides, four right angles, nothing bent', () => {
    const found = domeShape(box);
    expect(found).toMatchObject({ wallCornersRad: [], discM: null });
    expect(found.areaM2).toBeCloseTo(0.006, 12);
    expect(found.rimM).toBeCloseTo(0.32, 12);
    expect(degrees(found.cornersRad)).toEqual([90, 90, 90, 90]);
    expect(found.bendRad).toBeCloseTo(0, 9);
    expect(found.curvaturePerM).toBeCloseTo(0, 9);
    expect(found.shortestM).toBeCloseTo(0.06, 12);
  });
  // Sides from the lower left: bottom and top of 100 mm, right and left of 60.
  it.each([
    [[W, F, F, F], 0.22, 2, 2, 0.06],
    [[W, W, F, W], 0.1, 0, 2, 0.1],
    [[F, W, F, W], 0.2, 0, 4, 0.1],
    [[W, F, W, F], 0.12, 0, 4, 0.06],
    [[F, F, F, W], 0.26, 2, 2, 0.06],
    [[F, W, W, F], 0.16, 1, 2, 0.06],
  ])('walls %j leave rim, corners of rims and corners at walls', (walls, rim, own, at, least) => {
    const found = domeShape(box, walls);
    expect(found.rimM).toBeCloseTo(rim, 12);
    expect(degrees(found.cornersRad)).toEqual(Array(own).fill(90));
    expect(degrees(found.wallCornersRad)).toEqual(Array(at).fill(90));
    expect(found.shortestM).toBeCloseTo(least, 12);
  });
  it('in walls all round there is no rim', () => {
    const found = domeShape(box, [W, W, W, W]);
    expect(found).toMatchObject({ rimM: 0, cornersRad: [], wallCornersRad: [], bendRad: 0 });
    expect(found.shortestM).toBe(Infinity);
  });
  // A slanted side: 59° at its foot (tan = 50/30), 121° at its head.
  it('corners at a wall are those at both its ends', () => {
    const outer = ring([0, 0], [0.1, 0], [0.07, 0.05], [0, 0.05]);
    const found = domeShape({ kind: 'outline', outer, keepBare: [] }, [F, W, F, F]);
    expect(degrees(found.cornersRad)).toEqual([90, 90]);
    expect(degrees(found.wallCornersRad).sort((a, b) => a - b)).toEqual([59, 121]);
    expect(found.rimM).toBeCloseTo(0.07 + 0.05 + 0.1, 9);
    const slanted = domeShape({ kind: 'outline', outer, keepBare: [] }, [W, F, W, W]);
    expect(degrees(slanted.wallCornersRad).sort((a, b) => a - b)).toEqual([59, 121]);
    expect(slanted.rimM).toBeCloseTo(Math.hypot(0.03, 0.05), 9);
  });
  it('a disc turns once round, as sharply everywhere, and is exact while nothing is left out', () => {
    const found = domeShape(disc);
    expect(found).toMatchObject({ discM: 0.1, cornersRad: [], shortestM: Infinity });
    expect(found.rimM).toBeCloseTo(Math.PI * 0.1, 9);
    expect(found.bendRad).toBeCloseTo(2 * Math.PI, 6);
    expect(found.curvaturePerM).toBeCloseTo(20, 1);
    expect(domeShape(disc, [W])).toMatchObject({ discM: null, rimM: 0 });
  });
});

describe('parts that stay bare', () => {
  it('a round one inside is a rim that turns the other way', () => {
    const seat = shapePath({ kind: 'disc', diameterM: 0.02 });
    const found = domeShape({ ...disc, keepBare: [seat] });
    expect(found.discM).toBeNull();
    expect(found.rimM).toBeCloseTo(Math.PI * 0.12, 3);
    expect(found.bendRad).toBeCloseTo(0, 3);
    expect(found.curvaturePerM).toBeCloseTo(-100, -1);
    expect(found.areaM2).toBeCloseTo((Math.PI / 4) * (0.01 - 0.0004), 6);
  });
  it('a square one inside has four corners that turn outward', () => {
    const found = domeShape(bare(square(0.02, 0, 0)));
    expect(found.rimM).toBeCloseTo(0.32 + 0.08, 9);
    expect(degrees(found.cornersRad).sort((a, b) => a - b)).toEqual([
      90, 90, 90, 90, 270, 270, 270, 270,
    ]);
    expect(found.shortestM).toBeCloseTo(0.06, 12);
  });
  it('one over the edge takes its part of the outline, and gives its own inside', () => {
    // 20 mm of the lower edge are gone; 20 + 20 + 20 mm of the square lie inside.
    const found = domeShape(bare(square(0.04, 0, -0.03)));
    expect(found.rimM).toBeCloseTo(0.32 - 0.04 + 0.08, 3);
    expect(found.areaM2).toBeCloseTo(0.006 - 0.0008, 6);
    expect(degrees(found.cornersRad).filter((d) => d === 270)).toHaveLength(2);
    expect(degrees(found.cornersRad).filter((d) => d === 90)).toHaveLength(4);
  });
  it('beside one over the edge, one inside keeps its rim', () => {
    const found = domeShape(bare(square(0.02, 0.03, 0.01), square(0.04, -0.01, -0.03)));
    expect(found.rimM).toBeCloseTo(0.32 - 0.04 + 0.08 + 0.08, 3);
    const swapped = domeShape(bare(square(0.04, -0.01, -0.03), square(0.02, 0.03, 0.01)));
    expect(swapped.rimM).toBeCloseTo(found.rimM, 9);
  });
  it('one without an area is none', () => {
    const flat = ring([0, 0], [0.02, 0], [0, 0]);
    expect(domeShape(bare(flat))).toEqual({ ...domeShape(box), areaM2: expect.closeTo(0.006, 12) });
  });
});
