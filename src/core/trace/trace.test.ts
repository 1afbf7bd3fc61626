import perspectiveTransform from 'perspective-transform';
import { cameraOf } from '@/demo/photoScene';
import { pathArea, shapePath, type Point } from '../geometry';
import { seededRandom } from '../numeric';
import {
  cameraPose,
  compose,
  correctHeight,
  homographyOf,
  inverse,
  isConvex,
  measureTraced,
  MEASURE_DEFAULTS,
  project,
  REFERENCES,
  sortCorners,
  turnToFit,
  viewOf,
  type Corners,
  type Homography,
} from '.';

const square: Corners = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];
const random = seededRandom(77);
/** A convex quadrilateral: the unit square with each corner moved a little. */
const quad = (): Corners =>
  square.map(([x, y]): Point => [
    100 * x + 30 * random(),
    100 * y + 30 * random(),
  ]) as unknown as Corners;
const mapOf = (from: Corners, to: Corners): Homography => {
  const made = homographyOf(from, to);
  if (!made.ok) throw new Error('no map');
  return made.value;
};
const close = (a: Point, b: Point, digits = 8) => {
  expect(a[0]).toBeCloseTo(b[0], digits);
  expect(a[1]).toBeCloseTo(b[1], digits);
};

describe('homographyOf', () => {
  it('agrees with the package perspective-transform on 50 pairs of quadrilaterals (seeded)', () => {
    for (let k = 0; k < 50; k += 1) {
      const [from, to] = [quad(), quad()];
      const ours = mapOf(from, to);
      const theirs = perspectiveTransform(from.flat(), to.flat());
      for (let i = 0; i < 5; i += 1) {
        const p: Point = [130 * random(), 130 * random()];
        const [x = NaN, y = NaN] = theirs.transform(p[0], p[1]);
        close(project(ours, p), [x, y], 5);
      }
    }
  });

  it('takes corners to corners, back again, and composes', () => {
    const [a, b, c] = [quad(), quad(), quad()];
    const [ab, bc] = [mapOf(a, b), mapOf(b, c)];
    a.forEach((p, i) => {
      close(project(ab, p), b[i] ?? [0, 0]);
      close(project(inverse(ab), project(ab, p)), p);
      close(project(compose(bc, ab), p), c[i] ?? [0, 0]);
    });
  });

  it('keeps the cross ratio of four points in a line', () => {
    const h = mapOf(quad(), quad());
    const xs = [0, 1, 3, 7];
    const ratio = (p: readonly Point[]) => {
      const d = (i: number, j: number) =>
        Math.hypot((p[i]?.[0] ?? 0) - (p[j]?.[0] ?? 0), (p[i]?.[1] ?? 0) - (p[j]?.[1] ?? 0));
      return (d(0, 2) * d(1, 3)) / (d(1, 2) * d(0, 3));
    };
    const line = xs.map((t): Point => [10 + 12 * t, 20 + 5 * t]);
    expect(ratio(line.map((p) => project(h, p)))).toBeCloseTo(ratio(line), 9);
  });

  it('refuses corners that are crossed or in a line', () => {
    const [a, b, c, d] = square;
    for (const bad of [
      [a, c, b, d],
      [a, b, [2, 0], d],
    ] as unknown as Corners[]) {
      expect(isConvex(bad)).toBe(false);
      expect(homographyOf(bad, square)).toMatchObject({ ok: false, issues: [{ path: ['from'] }] });
    }
    expect(homographyOf(square, [a, c, b, d])).toMatchObject({
      ok: false,
      issues: [{ path: ['to'] }],
    });
  });
});

describe('where the camera stood', () => {
  const camera = { lookAt: [0.1, 0.05] as Point, distanceM: 0.8, widthPx: 4000, heightPx: 3000 };
  it.each([0.15, 0.4, 0.6])(
    'tilted by %d rad: focal length, height, foot and tilt come back',
    (tiltRad) => {
      const toPicture = cameraOf({ ...camera, tiltRad, turnRad: 0.7, focal: 0.8 });
      const pose = cameraPose(toPicture, camera);
      expect(pose.focalFrom).toBe('perspective');
      expect(pose.focalPx / 3200).toBeCloseTo(1, 6);
      expect(pose.heightM).toBeCloseTo(0.8 * Math.cos(tiltRad), 6);
      const out = 0.8 * Math.sin(tiltRad);
      close(pose.foot, [0.1 + out * Math.sin(0.7), 0.05 - out * Math.cos(0.7)], 6);
      expect(pose.tiltRad).toBeCloseTo(tiltRad, 6);
    },
  );

  it('straight from above the focal length is taken as 26 mm on 36 mm', () => {
    const pose = cameraPose(
      cameraOf({ ...camera, tiltRad: 0, turnRad: 0, focal: 26 / 36 }),
      camera,
    );
    expect(pose.focalFrom).toBe('assumed');
    expect(pose.heightM).toBeCloseTo(0.8, 6);
  });

  it('nearly straight from above the lens stays the assumed one: a face 40 mm up no longer scatters', () => {
    const random = seededRandom(40);
    const [h, sheet] = [
      0.04,
      [
        [-0.105, -0.1485],
        [0.105, -0.1485],
        [0.105, 0.1485],
        [-0.105, 0.1485],
      ],
    ];
    for (let round = 0; round < 60; round += 1) {
      const view = { ...camera, tiltRad: 0.1 * random(), turnRad: 6 * random(), focal: 26 / 36 };
      const exact = cameraOf(view);
      // Corners are found to half a pixel.
      const seen = sheet.map((p): Point => {
        const [x, y] = project(exact, p as unknown as Point);
        return [x + random() - 0.5, y + random() - 0.5];
      });
      const found = homographyOf(sheet as unknown as Corners, seen as unknown as Corners);
      if (!found.ok) throw new Error('homography');
      const pose = cameraPose(found.value, camera);
      const heightM = 0.8 * Math.cos(view.tiltRad);
      // A face above the sheet is seen larger by (H / (H − h))²; what is left of that is the error of its area.
      const scale = (m: number) => (m / (m - h)) ** 2;
      expect(pose.focalFrom).toBe('assumed');
      expect(Math.abs(scale(pose.heightM) / scale(heightM) - 1)).toBeLessThan(0.002);
    }
  });

  it('a face above the sheet is put back where the ray to it passes', () => {
    const pose = cameraPose(cameraOf({ ...camera, tiltRad: 0.3, turnRad: 0, focal: 0.8 }), camera);
    const [h, truth] = [0.03, [0.2, -0.1] as Point];
    // The ray from the camera through the raised point meets the sheet's plane farther out.
    const t = pose.heightM / (pose.heightM - h);
    const seen: Point = [
      pose.foot[0] + t * (truth[0] - pose.foot[0]),
      pose.foot[1] + t * (truth[1] - pose.foot[1]),
    ];
    close(correctHeight([seen], pose, h)[0] ?? [0, 0], truth);
  });
});

describe('viewOf', () => {
  const size = { widthPx: 2000, heightPx: 1500 };
  const sheet = (k: number): Corners => [
    [100, 100],
    [100 + 297 * k, 100],
    [100 + 297 * k, 100 + 210 * k],
    [100, 100 + 210 * k],
  ];
  const reference = REFERENCES.a4;
  it.each<[string, Corners, object]>([
    [
      'crossed',
      [sheet(2)[0], sheet(2)[2], sheet(2)[1], sheet(2)[3]],
      { code: 'not-allowed', path: ['corners'] },
    ],
    [
      'gone round the wrong way',
      [...sheet(2)].reverse() as unknown as Corners,
      { code: 'not-allowed', path: ['corners'] },
    ],
    ['too small', sheet(0.2), { code: 'does-not-fit', path: ['corners'] }],
  ])('refuses marks that are %s', (_name, corners, issue) => {
    expect(viewOf({ corners, reference, size })).toMatchObject({ ok: false, issues: [issue] });
  });

  it('refuses a view from over 55° to the side, takes one from 50°', () => {
    const seen = (degrees: number): Corners => {
      const tiltRad = (degrees * Math.PI) / 180;
      const h = cameraOf({
        lookAt: [0.15, 0.1],
        distanceM: 0.7,
        tiltRad,
        turnRad: 0,
        focal: 0.8,
        ...size,
      });
      return (
        [
          [0, 0.21],
          [0.297, 0.21],
          [0.297, 0],
          [0, 0],
        ] as Point[]
      ).map((p) => project(h, p)) as unknown as Corners;
    };
    expect(viewOf({ corners: seen(50), reference, size }).ok).toBe(true);
    expect(viewOf({ corners: seen(60), reference, size })).toMatchObject({
      ok: false,
      issues: [{ path: ['tilt'] }],
    });
  });

  it('turns the sheet as it lies, and sorts corners that were marked in any order', () => {
    const upright: Corners = [
      [0, 0],
      [210, 0],
      [210, 297],
      [0, 297],
    ];
    expect(turnToFit(reference, upright).widthM).toBe(0.21);
    expect(turnToFit(reference, sheet(1)).widthM).toBe(0.297);
    const [a, b, c, d] = sheet(1);
    expect(sortCorners([c, a, d, b])).toEqual([a, b, c, d]);
  });
});

describe('measureTraced', () => {
  const size = { widthPx: 2000, heightPx: 1500 };
  const toPicture = cameraOf({
    lookAt: [0, 0],
    distanceM: 0.8,
    tiltRad: 0.4,
    turnRad: 1,
    focal: 0.75,
    ...size,
  });
  const at = (p: Point) => project(toPicture, p);
  const corners = (
    [
      [-0.35, 0.1],
      [-0.053, 0.1],
      [-0.053, -0.11],
      [-0.35, -0.11],
    ] as Point[]
  ).map(at) as unknown as Corners;
  const marks = { corners, reference: REFERENCES.a4, size };
  const ring = (
    [
      [0.02, -0.1],
      [0.22, -0.1],
      [0.22, 0.1],
      [0.02, 0.1],
    ] as Point[]
  ).map(at);

  it('finds a square of 200 mm through the perspective', () => {
    const measure = measureTraced(ring, marks);
    expect(measure?.areaM2).toBeCloseTo(0.04, 9);
    expect(measure?.perimeterM).toBeCloseTo(0.8, 9);
  });

  it('states what 600 marks off at random (seeded) really spread by', () => {
    const off = () => MEASURE_DEFAULTS.markSigmaPx[0]! * Math.sqrt(3) * (2 * random() - 1);
    const areas = Array.from({ length: 600 }, () => {
      const moved = corners.map(([x, y]): Point => [x + off(), y + off()]) as unknown as Corners;
      return measureTraced(ring, { ...marks, corners: moved })?.areaM2 ?? NaN;
    });
    const mean = areas.reduce((a, b) => a + b) / areas.length;
    const spread = Math.sqrt(areas.reduce((s, a) => s + (a - mean) ** 2, 0) / areas.length);
    const stated =
      measureTraced(ring, marks)?.parts.find((p) => p.what === 'marks')?.sigmaM2 ?? NaN;
    expect(Math.abs(stated / spread - 1)).toBeLessThan(0.1);
  });

  it('a smaller, farther sheet is less sure; marks that do not hold give nothing', () => {
    const sigma =
      measureTraced(ring, { ...marks, reference: { ...REFERENCES.a4, sigmaM: 2e-3 } })
        ?.areaSigmaM2 ?? 0;
    expect(sigma).toBeGreaterThan(measureTraced(ring, marks)?.areaSigmaM2 ?? 1);
    const [a, b, c, d] = corners;
    expect(measureTraced(ring, { ...marks, corners: [a, c, b, d] })).toBeNull();
  });
});

it('the shape of a reference of paper has the ratio 1 : √2', () => {
  for (const name of ['a3', 'a4', 'a5'] as const)
    expect(REFERENCES[name].widthM / REFERENCES[name].heightM).toBeCloseTo(Math.SQRT2, 2);
  expect(pathArea(shapePath({ kind: 'rectangle', ...REFERENCES.a4 }))).toBeCloseTo(1 / 16, 3);
});
