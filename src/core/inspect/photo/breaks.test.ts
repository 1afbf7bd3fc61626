import type { Point } from '../../geometry';
import { seededRandom } from '../../numeric';
import type { Corners, Picture } from '../../trace';
import { breaksIn, maskOf } from './breaks';
import { straighten } from './straighten';

/** Faults as light draws them: a bubble, a nib, a crater; sizes in m. */
interface Drawn {
  readonly at: Point;
  readonly sizeM: number;
  readonly kind: 'bubble' | 'nib' | 'crater';
}

// A test’s own globals are looked up slowly: they are taken once.
const { exp, hypot, max, sin, PI } = Math;
const STEP_M = 1e-3 / 6;
const [WIDTH, HEIGHT] = [900, 660];

/** Noise of 3 levels, drawn once: near normal, by four even shares. */
const NOISE = (() => {
  const random = seededRandom(77);
  return Float32Array.from(
    { length: 65_521 },
    () => 3 * 1.73 * (random() + random() + random() + random() - 2),
  );
})();
const noiseAt = (i: number, seed: number): number => NOISE[(i * 17 + seed * 7919) % 65_521] ?? 0;

/** A face in raking light: a curved highlight, grain, brush marks and noise, with faults in it. Drawn, nothing measured. */
function drawn(seed: number) {
  const random = seededRandom(seed);
  const faults: Drawn[] = [];
  const kinds = ['bubble', 'nib', 'crater'] as const;
  while (faults.length < 8) {
    const at: Point = [60 + random() * (WIDTH - 120), 60 + random() * (HEIGHT - 120)];
    const clear = faults.every((f) => hypot(f.at[0] - at[0], f.at[1] - at[1]) > 90);
    const sizeM = 1.6e-3 + random() * 3e-3;
    if (clear) faults.push({ at, sizeM, kind: kinds[faults.length % 3] ?? 'nib' });
  }
  const [cx, cy, bend] = [WIDTH * (0.3 + 0.4 * random()), HEIGHT * random(), 200 + 300 * random()];
  const period = (0.8 + random()) / (STEP_M * 1000);
  const values = new Float32Array(WIDTH * HEIGHT);
  const grain = Array.from({ length: WIDTH }, (_, x) => sin((2 * PI * x) / period));
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const arc = (y - cy - ((x - cx) ** 2 / bend) * 0.4) / 130;
      const lamp = 92 + 85 * exp(-arc * arc) + 8 * sin(x / 90 + y / 140);
      values[y * WIDTH + x] =
        lamp + 1.6 * (grain[x] ?? 0) * (grain[y] ?? 0) + noiseAt(y * WIDTH + x, seed);
    }
  for (const { at, sizeM, kind } of faults) {
    const radius = sizeM / STEP_M / 2;
    const reach = Math.ceil(1.6 * radius);
    for (let dy = -reach; dy <= reach; dy += 1)
      for (let dx = -reach; dx <= reach; dx += 1) {
        const [x, y] = [Math.round(at[0]) + dx, Math.round(at[1]) + dy];
        const [r, side] = [hypot(dx, dy) / radius, dx / radius];
        const soft = exp(-((r / 0.85) ** 4));
        const shade = 30 * exp(-(((r - 1.1) / 0.25) ** 2)) * max(0, side);
        const drawnAs = {
          bubble: 34 * side * soft,
          nib: 38 * soft - shade,
          crater: -36 * soft + 22 * exp(-(((r - 1) / 0.2) ** 2)),
        };
        values[y * WIDTH + x] = (values[y * WIDTH + x] ?? 0) + drawnAs[kind];
      }
  }
  const ring: Point[] = [
    [4, 4],
    [WIDTH - 4, 4],
    [WIDTH - 4, HEIGHT - 4],
    [4, HEIGHT - 4],
  ];
  return { picture: { width: WIDTH, height: HEIGHT, values, stepM: STEP_M, ring }, faults };
}

const AREA_CM2 = WIDTH * HEIGHT * STEP_M ** 2 * 1e4;
const near = (a: Point, b: Point, withinPx: number) => hypot(a[0] - b[0], a[1] - b[1]) < withinPx;

/** `npm run deep` looks through twenty. */
const FACES = process.env['DEEP'] ? 20 : 8;

test('drawn faces: nine in ten faults over 1.5 mm, at most one false pin on 100 cm²', () => {
  let [found, all, wrong] = [0, 0, 0];
  for (let seed = 1; seed <= FACES; seed += 1) {
    const { picture, faults } = drawn(seed);
    const breaks = breaksIn(picture);
    found += faults.filter((f) => breaks.some((b) => near(b.at, f.at, 14))).length;
    all += faults.length;
    wrong += breaks.filter((b) => !faults.some((f) => near(b.at, f.at, 24))).length;
  }
  expect(found / all).toBeGreaterThanOrEqual(0.9);
  expect((wrong / FACES / AREA_CM2) * 100).toBeLessThanOrEqual(1);
});

test('a clean face has nothing to propose, and the highlight itself is none', () => {
  const { picture } = drawn(3);
  const clean = picture.values.map((_, i) => {
    const [x, y] = [i % WIDTH, (i / WIDTH) | 0];
    return 100 + 90 * exp(-(((y - 300 - (x - 400) ** 2 / 900) / 120) ** 2));
  });
  expect(breaksIn({ ...picture, values: clean })).toEqual([]);
});

test('dots in a row are one thread, and what lies outside the outline is not looked at', () => {
  const { picture } = drawn(5);
  const dots: Point[] = Array.from({ length: 6 }, (_, i) => [200 + 45 * i, 200 + 20 * i]);
  const noise = seededRandom(9);
  const dot = ([cx, cy]: Point, i: number) =>
    50 * exp(-(((i % WIDTH) - cx) ** 2 + (((i / WIDTH) | 0) - cy) ** 2) / 18);
  const values = picture.values.map((_, i) =>
    dots.reduce((sum, at) => sum + dot(at, i), 110 + 4 * noise() + dot([850, 600], i)),
  );
  const ring: Point[] = [
    [10, 10],
    [800, 10],
    [800, 560],
    [10, 560],
  ];
  const breaks = breaksIn({ ...picture, values, ring });
  expect(breaks).toHaveLength(1);
  expect(breaks[0]).toMatchObject({ shape: 'row', count: 6 });
  // From the first dot to the last.
  expect(breaks[0]?.sizeM).toBeCloseTo(hypot(225, 100) * STEP_M, 3);
});

test('the mask of a ring counts its pixels', () => {
  const ring: Point[] = [
    [1, 1],
    [5, 1],
    [5, 4],
    [1, 4],
  ];
  expect(maskOf(ring, 8, 6).reduce((a, b) => a + b, 0)).toBe(12);
});

describe('a photo that was taken at an angle', () => {
  const corners = (s: number): Corners => [
    [10 * s, 8 * s],
    [140 * s, 14 * s],
    [132 * s, 110 * s],
    [16 * s, 100 * s],
  ];
  const picture = (s: number): Picture => {
    const [widthPx, heightPx] = [150 * s, 120 * s];
    const rgba = new Uint8ClampedArray(4 * widthPx * heightPx).fill(120);
    return { widthPx, heightPx, rgba };
  };
  const outline: Point[] = [
    [0, 0],
    [0.05, 0],
    [0.05, 0.04],
    [0, 0.04],
  ];
  const face = (s: number) => ({
    ...{ picture: picture(s), corners: corners(s), widthM: 0.05, heightM: 0.04, outline },
  });
  test('is straightened to six pixels a millimetre, its outline with it', () => {
    const found = straighten(face(3));
    if (!found.ok) throw new Error('not straightened');
    expect(found.value).toMatchObject({ width: 300, height: 240 });
    expect(found.value.ring[2]).toEqual([300, 240]);
    // Grey all over stays grey: the three weights are one whole.
    expect(found.value.values[100 * 300 + 100]).toBeCloseTo(120, 3);
    expect(breaksIn(found.value)).toEqual([]);
  });
  test('is refused where a fault would be a few pixels, or its corners are crossed', () => {
    expect(straighten(face(1))).toMatchObject({ ok: false, issues: [{ code: 'out-of-range' }] });
    const [a, b, c, d] = corners(3);
    expect(straighten({ ...face(3), corners: [a, c, b, d] }).ok).toBe(false);
  });
});

test('a face that fills its box has no breaks where it touches it', () => {
  const side = 600;
  const middle = side / 2;
  const ring = Array.from({ length: 200 }, (_, i): Point => {
    const turn = (2 * PI * i) / 200;
    return [middle + middle * Math.cos(turn), middle + middle * sin(turn)];
  });
  const values = Float32Array.from({ length: side * side }, (_, i) =>
    hypot((i % side) - middle, ((i / side) | 0) - middle) < middle ? 140 : 60,
  );
  expect(breaksIn({ width: side, height: side, values, stepM: 0.34e-3, ring })).toEqual([]);
});
