import {
  edgeBand,
  measureFace,
  propLifts,
  propsCarry,
  sharedArea,
  shapePath,
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
      faceLostM2: 0,
      girthM: H,
    });
  });

  it.each([0.001, 0.005, 0.018])('rounded over by %d m: quarter torus and cylinder', (r) => {
    // Quarter of a torus by Pappus: arc π/2 r at mean radius R − r + 2 r/π; below it a cylinder.
    const torus = TURN * (R - r + (2 * r) / Math.PI) * (Math.PI / 2) * r;
    const { bandM2, faceLostM2 } = edgeBand(around, TURN, { kind: 'round', sizeM: r }, H);
    expect(bandM2).toBeCloseTo(torus + around * (H - r), 12);
    expect(faceLostM2).toBeCloseTo(Math.PI * (R * R - (R - r) ** 2), 12);
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
