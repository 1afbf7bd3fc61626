import {
  flattenPath,
  insideRing,
  measureShape,
  outlineSides,
  pathArea,
  pathBox,
} from '@/core/geometry';
import { seededRandom } from '@/core/numeric';
import { project } from '@/core/trace';
import { LENS_BOX, lensOutline, lensPhoto, lensPlan } from './lampLens';
import { hangingPlate } from './paddle';
import { cameraOf, drawPhoto } from './photoScene';
import { testScene } from './test/scenes';

describe('the traced lens', () => {
  const outline = lensOutline();
  it('has the area of a disc, and of a lug less the cap it stands in', () => {
    const [r, half, top] = [0.07, 0.022, 0.092];
    const neck = Math.asin(half / r);
    const sector = r * r * (neck - Math.sin(neck) * Math.cos(neck));
    const lug = 2 * half * (top - r * Math.cos(neck)) - sector;
    expect(pathArea(outline)).toBeCloseTo(Math.PI * r * r + lug, 6);
    expect(outlineSides(outline)).toHaveLength(4);
  });
  it('lies in the box of its straightened picture', () => {
    const { widthM, heightM } = pathBox(outline);
    expect(widthM).toBeLessThan(LENS_BOX.right - LENS_BOX.left);
    expect(heightM).toBeLessThan(LENS_BOX.high - LENS_BOX.low);
  });
  it.each([
    ['photo', lensPhoto()],
    ['plan', lensPlan()],
  ])('its %s is drawn with numbers only, and names nothing outside', (_name, svg) => {
    expect(svg).not.toMatch(/NaN|Infinity|href|script/);
    expect(svg.match(/<polygon/g)?.length).toBeGreaterThan(10);
  });
});

it('the seat of a hanging plate is 28 × 60 mm where it is asked for', () => {
  const seat = hangingPlate(0.4);
  expect(Math.abs(pathArea(seat))).toBeCloseTo(0.028 * 0.06, 12);
  expect(pathBox(seat).middle[0]).toBeCloseTo(0.4, 12);
});

describe('drawn photos', () => {
  it('what the camera looks at is in the middle of the picture', () => {
    const random = seededRandom(3);
    for (let i = 0; i < 20; i += 1) {
      const lookAt = [random(), random()] as const;
      const map = cameraOf({
        lookAt,
        distanceM: 0.5 + random(),
        tiltRad: random(),
        turnRad: 6 * random(),
        widthPx: 800,
        heightPx: 600,
        focal: 0.8,
      });
      const [x, y] = project(map, lookAt);
      expect(x).toBeCloseTo(400, 6);
      expect(y).toBeCloseTo(300, 6);
    }
  });

  it('the piece shows its colour, the sheet is light, and the corners are the sheet’s', () => {
    const { scene } = testScene(2, 160);
    const { picture, toPicture, corners } = drawPhoto({ ...scene, noise: 0, shadow: 1 });
    const at = ([x, y]: readonly [number, number]) => {
      const i = 4 * (Math.floor(y) * picture.widthPx + Math.floor(x));
      return [...picture.rgba.slice(i, i + 3)];
    };
    const middle = [
      corners.reduce((s, p) => s + p[0], 0) / 4,
      corners.reduce((s, p) => s + p[1], 0) / 4,
    ] as const;
    expect(Math.min(...at(middle))).toBeGreaterThan(180);
    const truth = scene.piece([0.02, 0.01]) ?? [0, 0, 0];
    const seen = at(project(toPicture, [0.02, 0.01]));
    seen.forEach((v, c) => expect(Math.abs(v - (truth[c] ?? 0))).toBeLessThan(40));
    expect(insideRing(middle, corners)).toBe(true);
  });

  it('is alike on each run, and its noise is as asked', () => {
    const { scene } = testScene(5, 120);
    const [a, b] = [drawPhoto(scene), drawPhoto(scene)];
    expect(a.picture.rgba).toEqual(b.picture.rgba);
    const still = drawPhoto({ ...scene, noise: 0 });
    let sum = 0;
    let count = 0;
    a.picture.rgba.forEach((v, i) => {
      const clean = still.picture.rgba[i] ?? 0;
      if (i % 4 === 3 || clean < 15 || clean > 240) return;
      sum += (v - clean) ** 2;
      count += 1;
    });
    expect(Math.sqrt(sum / count) / scene.noise).toBeCloseTo(1, 0);
  });
});

it('the measured outline of the demo is what its shape says', () => {
  const shape = { kind: 'outline' as const, outer: lensOutline(), keepBare: [] };
  const ring = flattenPath(shape.outer, 1e-6);
  expect(measureShape(shape).perimeterM).toBeCloseTo(
    ring.reduce((s, p, i) => {
      const q = ring[(i + 1) % ring.length] ?? p;
      return s + Math.hypot(q[0] - p[0], q[1] - p[1]);
    }, 0),
    4,
  );
});
