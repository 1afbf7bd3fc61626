import { capillaryLength, domeDisc } from '../capillary';
import { meanAtAngle, type RimRing } from '../capillary/test/youngLaplace';
import { shapePath, type Point, type Shape } from '../geometry';
import { domeOn } from './domeOn';
import { domeShape } from './domeShape';

const lc = capillaryLength(0.04, 1100);
const SAFE = Math.PI / 3;
/** Places round an outline, and layers to its middle: the reference is then good to 0.3 %. */
const [PLACES, LAYERS] = [160, 24];
const FULL = 2 * Math.PI;

const ringOf = (at: (share: number) => Point, open: (share: number) => boolean): RimRing => {
  const shares = Array.from({ length: PLACES }, (_, i) => i / PLACES);
  return {
    points: shares.map((s) => at(s)).map(([x, y]): Point => [x / lc, y / lc]),
    isRim: shares.map((s) => open(s + 0.5 / PLACES)),
  };
};
const all = () => true;
const oval =
  (a: number, b: number) =>
  (s: number): Point => [a * Math.cos(FULL * s), b * Math.sin(FULL * s)];
/** Round a rectangle from its lower left corner, a share of the places on each side as its length. */
const box =
  (w: number, h: number) =>
  (s: number): Point => {
    const along = s * 2 * (w + h);
    if (along < w) return [along - w / 2, -h / 2];
    if (along < w + h) return [w / 2, along - w - h / 2];
    if (along < 2 * w + h) return [w / 2 - (along - w - h), h / 2];
    return [-w / 2, h / 2 - (along - 2 * w - h)];
  };
/** The same with round corners: the places of the box drawn towards their corner's circle. */
const rounded =
  (w: number, h: number, r: number) =>
  (s: number): Point => {
    const [x, y] = box(w, h)(s);
    const [cx, cy] = [Math.sign(x) * (w / 2 - r), Math.sign(y) * (h / 2 - r)];
    const [dx, dy] = [x - cx, y - cy];
    if (dx * Math.sign(x) <= 0 || dy * Math.sign(y) <= 0) return [x, y];
    const size = Math.hypot(dx, dy);
    return [cx + (r * dx) / size, cy + (r * dy) / size];
  };

const rectangle: Shape = { kind: 'rectangle', widthM: 0.1, heightM: 0.06 };
const seat = (diameterM: number): Shape => ({
  kind: 'disc',
  diameterM: 0.1,
  keepBare: [shapePath({ kind: 'disc', diameterM })],
});
const sides =
  (...open: boolean[]) =>
  (s: number): boolean => {
    const [w, h] = [0.1 / 0.32, 0.06 / 0.32];
    return open[s < w ? 0 : s < w + h ? 1 : s < 2 * w + h ? 2 : 3] === true;
  };

it('the reference agrees with the exact disc', () => {
  const found = meanAtAngle(ringOf(oval(0.05, 0.05), all), null, SAFE, LAYERS) * lc;
  expect(Math.abs(found / domeDisc(0.1, SAFE, lc).meanM - 1)).toBeLessThan(3e-3);
});

describe('what a rim holds, against a non-linear solve of Young–Laplace by finite elements', () => {
  it.each<[string, Shape, boolean[], RimRing, RimRing | null]>([
    [
      'rounded rectangle',
      { kind: 'roundedRectangle', widthM: 0.1, heightM: 0.06, radiusM: 0.01 },
      [],
      ringOf(rounded(0.1, 0.06, 0.01), all),
      null,
    ],
    [
      'ellipse',
      { kind: 'ellipse', widthM: 0.1, heightM: 0.06 },
      [],
      ringOf(oval(0.05, 0.03), all),
      null,
    ],
    [
      'small ellipse',
      { kind: 'ellipse', widthM: 0.06, heightM: 0.045 },
      [],
      ringOf(oval(0.03, 0.0225), all),
      null,
    ],
    [
      'one long side open',
      rectangle,
      [false, true, true, true],
      ringOf(box(0.1, 0.06), sides(true, false, false, false)),
      null,
    ],
    [
      'two sides open that meet',
      rectangle,
      [false, false, true, true],
      ringOf(box(0.1, 0.06), sides(true, true, false, false)),
      null,
    ],
    [
      'disc with a hole of 20 mm',
      seat(0.02),
      [],
      ringOf(oval(0.05, 0.05), all),
      ringOf(oval(0.01, 0.01), all),
    ],
    [
      'disc with a hole of 50 mm',
      seat(0.05),
      [],
      ringOf(oval(0.05, 0.05), all),
      ringOf(oval(0.025, 0.025), all),
    ],
  ])('%s: within 1 %%, never over by more than 0.5 %%', (_, shape, walls, outer, hole) => {
    const truth = meanAtAngle(outer, hole, SAFE, LAYERS) * lc;
    const ours = domeOn({ ...domeShape(shape, walls), discM: null }, SAFE, lc).meanM / truth - 1;
    expect(ours).toBeGreaterThan(-0.01);
    expect(ours).toBeLessThan(0.005);
  });
});

describe('outlines as films see them', () => {
  const holds = (shape: Shape, walls: boolean[] = []) =>
    domeOn({ ...domeShape(shape, walls), discM: null }, SAFE, lc).meanM;
  const drawn = (shape: Shape, turned: boolean): Shape => {
    const path = shapePath(shape);
    const points = path.segments.map((s) => s.to);
    const order = turned ? [...points].reverse() : points;
    const start = order.at(-1) ?? path.start;
    return {
      kind: 'outline',
      outer: { start, segments: order.map((to) => ({ kind: 'line', to })) },
      keepBare: shape.keepBare ?? [],
    };
  };
  it('a rounded rectangle holds little more than the sharp one, at any radius', () => {
    const at = (radiusM: number) =>
      holds({ kind: 'roundedRectangle', widthM: 0.1, heightM: 0.06, radiusM });
    for (let mm = 0.01; mm < 30; mm += 0.5)
      expect(Math.abs(at(mm / 1e3) / at(Math.max(1e-5, mm / 1e3 - 5e-4)) - 1)).toBeLessThan(2e-3);
    expect(at(1e-5) / holds(rectangle)).toBeCloseTo(1, 2);
  });
  it('a 30-gon, a 32-gon and the disc hold alike', () => {
    const polygon = (n: number) =>
      holds({ kind: 'regularPolygon', sides: n, sizeM: 0.1, across: 'flats' });
    expect(Math.abs(polygon(30) / polygon(32) - 1)).toBeLessThan(3e-3);
    const disc = domeDisc(0.1, SAFE, lc).meanM;
    expect(polygon(60)).toBeLessThan(disc * 1.005);
    expect(polygon(60)).toBeGreaterThan(disc * 0.97);
  });
  it('drawn clockwise or not, outline and hole, it is the same', () => {
    const hexagon: Shape = { kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' };
    expect(holds(drawn(hexagon, true))).toBeCloseTo(holds(hexagon), 9);
    const hole = shapePath({ kind: 'rectangle', widthM: 0.02, heightM: 0.02 });
    const turned = { ...hole, segments: [...hole.segments.slice(0, -1)].reverse() };
    const back = {
      start: hole.start,
      segments: [...turned.segments, { kind: 'line', to: hole.start } as const],
    };
    const withHole = (path: typeof hole): Shape => ({ ...hexagon, keepBare: [path] });
    expect(holds(withHole(back))).toBeCloseTo(holds(withHole(hole)), 9);
    expect(holds(withHole(hole))).toBeLessThan(holds(hexagon));
    expect(domeShape(withHole(hole)).rimM).toBeCloseTo(2 * Math.sqrt(3) * 0.1 + 0.08, 6);
  });
  it('a right angle between open and walled adds nothing: a mirror image', () => {
    const one = domeShape(rectangle, [false, true, true, true]);
    expect(one.rimM).toBeCloseTo(0.1, 12);
    expect(one.wallCornersRad.map((a) => (a * 180) / Math.PI)).toEqual([
      expect.closeTo(90, 9),
      expect.closeTo(90, 9),
    ]);
    // 100 × 60, one long side open: as half of 100 × 120 between two walls; m = .968.
    expect(holds(rectangle, [false, true, true, true])).toBeCloseTo(
      holds({ kind: 'rectangle', widthM: 0.1, heightM: 0.12 }, [false, true, false, true]),
      9,
    );
  });
  it('a bare part over the edge takes its rim with it', () => {
    const handle = shapePath({ kind: 'rectangle', widthM: 0.02, heightM: 0.2 });
    const cut = domeShape({ ...rectangle, keepBare: [handle] });
    // 20 mm out of the middle, right across: two pieces of 40 × 60 with all their rims.
    expect(cut.rimM).toBeCloseTo(4 * 0.1, 2);
    expect(cut.areaM2).toBeCloseTo(0.08 * 0.06, 9);
  });
});
