import ClipperLib from 'clipper-lib';
import {
  edgeBand,
  measureFace,
  measureShape,
  propLifts,
  propsCarry,
  reachOf,
  sharedArea,
  shapePath,
  shapeSides,
  sideTurns,
  steepest,
  shiftPath,
  type Shape,
} from '.';

const TURN = 2 * Math.PI;

describe('edgeBand against surfaces of revolution', () => {
  const [R, H] = [0.1, 0.018];
  const around = TURN * R;
  it('a square edge is a cylinder', () => {
    expect(edgeBand(around, TURN, { kind: 'square' }, H)).toEqual({
      bandM2: around * H,
      girthM: H,
    });
  });

  it.each([0.001, 0.005, 0.018])('rounded over by %d m: quarter torus and cylinder', (r) => {
    // Quarter of a torus by Pappus: arc π/2 r at mean radius R − r + 2 r/π; below it a cylinder.
    const torus = TURN * (R - r + (2 * r) / Math.PI) * (Math.PI / 2) * r;
    const { bandM2 } = edgeBand(around, TURN, { kind: 'round', sizeM: r }, H);
    expect(bandM2).toBeCloseTo(torus + around * (H - r), 12);
  });

  it.each([0.002, 0.01])('bevelled by %d m: frustum of a cone and cylinder', (s) => {
    const frustum = Math.PI * (R + R - s) * Math.SQRT2 * s;
    const { bandM2 } = edgeBand(around, TURN, { kind: 'bevel', sizeM: s }, H);
    expect(bandM2).toBeCloseTo(frustum + around * (H - s), 12);
  });

  it('a size over the thickness counts as the thickness; no edge has no band', () => {
    expect(edgeBand(1, 0, { kind: 'round', sizeM: 1 }, 0.01).girthM).toBeCloseTo(
      0.01 * (Math.PI / 2),
      12,
    );
    expect(edgeBand(1, 0, { kind: 'eased' }, 0).bandM2).toBe(0);
    for (const bad of [-1, NaN])
      expect(() => edgeBand(bad, 0, { kind: 'square' }, 0.01)).toThrow('edgeBand');
  });
});

describe('measureFace', () => {
  const square: Shape = { kind: 'rectangle', widthM: 0.3, heightM: 0.2 };
  it('each edge has its own thickness and profile', () => {
    const plain = { heightM: 0.02, profile: { kind: 'square' } as const };
    const { areaM2, edges } = measureFace(square, [
      plain,
      { ...plain, heightM: 0.01 },
      plain,
      plain,
    ]);
    expect(areaM2).toBeCloseTo(0.06, 12);
    expect(edges.map((e) => e.bandM2)).toEqual(
      [0.006, 0.002, 0.006, 0.004].map((v) => expect.closeTo(v, 12)),
    );
  });
  it('bare parts of any shape are taken off; a photo’s share of error is used', () => {
    const seat = shapePath({ kind: 'disc', diameterM: 0.04 });
    const shape: Shape = { ...square, keepBare: [seat] };
    const { areaM2, areaSigmaM2 } = measureFace(shape, [], 0.01);
    expect(areaM2).toBeCloseTo(0.06 - Math.PI * 0.02 ** 2, 9);
    expect(areaSigmaM2).toBeCloseTo(0.01 * areaM2, 12);
  });
});

/** Flat face inside a mitred inset by the clipper-lib package, m². */
function clippedInset(shape: Shape, byM: number): number {
  const SCALE = 1e8;
  const offset = new ClipperLib.ClipperOffset(1e6);
  const ring = shapeSides(shape).flatMap((side) =>
    side.slice(1).map(([x, y]) => ({ X: Math.round(x * SCALE), Y: Math.round(y * SCALE) })),
  );
  offset.AddPath(ring, ClipperLib.JoinType.jtMiter, ClipperLib.EndType.etClosedPolygon);
  const inset: { X: number; Y: number }[][] = [];
  offset.Execute(inset, -byM * SCALE);
  return inset.reduce((sum, path) => sum + ClipperLib.Clipper.Area(path), 0) / SCALE ** 2;
}

const outlineOf = (...points: readonly (readonly [number, number])[]): Shape => ({
  kind: 'outline',
  outer: {
    start: points[0] ?? [0, 0],
    segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
  },
  keepBare: [],
});
const L_SHAPE = outlineOf([0, 0], [0.2, 0], [0.2, 0.08], [0.08, 0.08], [0.08, 0.2], [0, 0.2]);
const CLOCKWISE = outlineOf([0, 0], [0, 0.1], [0.15, 0.12], [0.2, 0.02]);

describe('profiles are mitred at corners: against clipper-lib', () => {
  it.each<[string, Shape]>([
    ['rectangle', { kind: 'rectangle', widthM: 0.1, heightM: 0.06 }],
    ['hexagon', { kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' }],
    ['triangle', { kind: 'regularPolygon', sides: 3, sizeM: 0.1, across: 'corners' }],
    ['L', L_SHAPE],
    ['drawn clockwise', CLOCKWISE],
  ])('%s, 4 and 12 mm', (_, shape) => {
    for (const sizeM of [0.004, 0.012]) {
      const edges = shapeSides(shape).map(() => ({
        heightM: 0.018,
        profile: { kind: 'bevel', sizeM } as const,
      }));
      const { areaM2, edges: bands } = measureFace(shape, edges);
      const flatM2 = clippedInset(shape, sizeM);
      expect(areaM2 / flatM2).toBeCloseTo(1, 5);
      // A bevel at 45° lies √2 times over what it takes from the face; below it the edge is upright.
      const lostM2 = measureShape(shape).areaM2 - flatM2;
      const upright = measureShape(shape).perimeterM * (0.018 - sizeM);
      const band = bands.reduce((sum, b) => sum + b.bandM2, 0);
      expect(band / (lostM2 * Math.SQRT2 + upright)).toBeCloseTo(1, 5);
    }
  });
  it('one bevelled side of a rectangle takes its strip and no more', () => {
    const sides = [{ kind: 'bevel', sizeM: 0.01 } as const, ...Array(3).fill({ kind: 'square' })];
    const { areaM2 } = measureFace(
      { kind: 'rectangle', widthM: 0.3, heightM: 0.2 },
      sides.map((profile) => ({ heightM: 0.02, profile })),
    );
    expect(areaM2).toBeCloseTo(0.3 * 0.19, 12);
  });
  it.each<[string, Shape]>([
    ['disc', { kind: 'disc', diameterM: 0.05 }],
    ['rectangle', { kind: 'rectangle', widthM: 0.05, heightM: 0.04 }],
    ['L', L_SHAPE],
  ])(
    'a round-over as wide as the %s leaves no face, and a wider one gives none back',
    (_, shape) => {
      const flat = (sizeM: number) =>
        measureFace(
          shape,
          shapeSides(shape).map(() => ({
            heightM: 0.2,
            profile: { kind: 'round', sizeM } as const,
          })),
        ).areaM2;
      let before = flat(0);
      for (let mm = 1; mm <= 150; mm += 1) {
        const now = flat(mm / 1000);
        expect(now).toBeLessThanOrEqual(before);
        before = now;
      }
      expect(before).toBe(0);
    },
  );
});

describe('turns and reach', () => {
  it('turns of any closed outline come to 2π, clockwise or not', () => {
    for (const shape of [L_SHAPE, CLOCKWISE, { kind: 'disc', diameterM: 0.1 } as const]) {
      const pieces = sideTurns(shapeSides(shape)).flat();
      const all = pieces.reduce((sum, p) => sum + p.bendRad + p.cornerRad, 0);
      expect(all).toBeCloseTo(TURN, 9);
    }
    expect(
      sideTurns(shapeSides(L_SHAPE))
        .flat()
        .map((p) => p.cornerRad > 0),
    ).toEqual([true, true, false, true, true, true]);
  });
  it('600 × 200 mm: across it is 200 mm long and 100 mm ahead, askew by its corners', () => {
    const plank: Shape = { kind: 'rectangle', widthM: 0.6, heightM: 0.2 };
    expect(reachOf(plank, [0, 2])).toEqual({ lengthM: 0.2, aheadM: 0.1 });
    const askew = reachOf(plank, [1, 1]);
    expect(askew.lengthM).toBeCloseTo(0.8 / Math.SQRT2, 12);
    // Triangle with its corner ahead: two thirds of its height lie before its middle.
    const triangle = outlineOf([0, 0], [0.09, 0.03], [0, 0.06]);
    expect(reachOf(triangle, [1, 0]).aheadM).toBeCloseTo(0.06, 12);
    expect(reachOf(triangle, [-1, 0]).aheadM).toBeCloseTo(0.03, 12);
  });
});

it('sharedArea is what overlaps: two squares half over each other, and a third apart', () => {
  const part = shapePath({ kind: 'rectangle', widthM: 0.1, heightM: 0.1 });
  expect(sharedArea([part, shiftPath(part, [0.05, 0])])).toBeCloseTo(0.005, 9);
  expect(sharedArea([part, shiftPath(part, [0.2, 0])])).toBeCloseTo(0, 12);
  expect(sharedArea([])).toBe(0);
});

describe('level', () => {
  it('lifts bring the props into one level plane', () => {
    const tilt = { alongX: 0.002, alongY: -0.001 };
    const props = [
      [-0.2, -0.1],
      [0.2, -0.1],
      [0, 0.15],
    ] as const;
    const lifts = propLifts(tilt, props);
    const heights = props.map(([x, y], i) => tilt.alongX * x + tilt.alongY * y + (lifts[i] ?? 0));
    for (const h of heights) expect(h).toBeCloseTo(heights[0] ?? 0, 12);
    expect(Math.min(...lifts)).toBe(0);
    expect(() => propLifts(tilt, [])).toThrow('propLifts');
  });
  it('the steepest slope is found by Pythagoras', () => {
    expect(steepest({ alongX: 0.003, alongY: 0.004 }).slope).toBeCloseTo(0.005, 12);
  });
  it.each([
    [
      [
        [-1, -1],
        [1, -1],
        [0, 1],
      ],
      true,
    ],
    [
      [
        [1, 1],
        [2, -1],
        [3, 1],
      ],
      false,
    ],
    [
      [
        [-1, 0],
        [1, 0],
      ],
      false,
    ],
  ] as const)('props %j carry: %s', (props, carry) => expect(propsCarry(props)).toBe(carry));
});
