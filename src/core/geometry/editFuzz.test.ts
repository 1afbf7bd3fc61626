import { Polygon, point } from '@flatten-js/core';
import { seededRandom } from '../numeric';
import {
  bendSegment,
  centrePath,
  checkShape,
  corners,
  deleteCorner,
  edgeBand,
  flattenPath,
  insertCorner,
  measurePath,
  measureShape,
  moveCorner,
  moveHandle,
  pathArea,
  ringArea,
  segmentLength,
  setSegmentLength,
  sharedArea,
  shapePath,
  shiftPath,
  walk,
  type Path,
  type Point,
  type Shape,
} from '.';

const random = seededRandom(4321);
const whole = (n: number) => Math.floor(random() * n);

/** A star-shaped polygon: never crosses itself. */
function star(n: number): Path {
  const points = Array.from({ length: n }, (_, i): Point => {
    const a = (2 * Math.PI * (i + 0.6 * random())) / n;
    const r = 0.05 + 0.1 * random();
    return [r * Math.cos(a), r * Math.sin(a)];
  });
  const start = points[0] ?? [0, 0];
  return { start, segments: [...points.slice(1), start].map((to) => ({ kind: 'line', to })) };
}

const edits: readonly ((path: Path) => Path)[] = [
  (p) => moveCorner(p, whole(p.segments.length), [random() * 0.2 - 0.1, random() * 0.2 - 0.1]),
  (p) => insertCorner(p, whole(p.segments.length), 0.1 + 0.8 * random()),
  (p) => deleteCorner(p, whole(p.segments.length)),
  (p) => bendSegment(p, whole(p.segments.length), random() < 0.6),
  (p) =>
    moveHandle(p, whole(p.segments.length), random() < 0.5 ? 'c1' : 'c2', [
      random() * 0.1,
      random() * 0.1,
    ]),
  (p) => setSegmentLength(p, whole(p.segments.length), 0.01 + random() * 0.2),
  (p) => centrePath(p).path,
];

describe('500 random edits (seeded)', () => {
  it('keep a path closed, finite and of at least three segments; what is given is not changed', () => {
    let path = star(8);
    for (let i = 0; i < 500; i += 1) {
      const before = JSON.stringify(path);
      const given = path;
      path = (edits[whole(edits.length)] ?? ((p) => p))(path);
      expect(JSON.stringify(given)).toBe(before);
      expect(path.segments.length).toBeGreaterThanOrEqual(3);
      expect(path.segments.at(-1)?.to).toEqual(path.start);
      expect(corners(path)).toHaveLength(path.segments.length);
      expect(Number.isFinite(pathArea(path))).toBe(true);
      if (path.segments.length > 40) path = star(8);
    }
  });
});

describe('measurePath', () => {
  it('agrees with @flatten-js/core on 100 polygons', () => {
    for (let i = 0; i < 100; i += 1) {
      const path = star(4 + whole(12));
      const theirs = new Polygon(corners(path).map(([x, y]) => point(x, y)));
      expect(Math.abs(measurePath(path).area)).toBeCloseTo(theirs.area(), 12);
    }
  });

  it('is the sum of its segments, and of a dense ring, for curves too', () => {
    for (let i = 0; i < 40; i += 1) {
      let path = star(6);
      for (let k = 0; k < 6; k += 1) if (random() < 0.5) path = bendSegment(path, k, true);
      const { area, lengthM } = measurePath(path);
      const parts = [...walk(path)].map(({ from, segment }) => segmentLength(from, segment));
      expect(lengthM).toBeCloseTo(
        parts.reduce((a, b) => a + b, 0),
        12,
      );
      expect(area).toBeCloseTo(pathArea(path), 15);
      expect(ringArea(flattenPath(path, 1e-8)) / area).toBeCloseTo(1, 5);
    }
  });
});

describe('bare parts', () => {
  it('of any shape: area is what is left, as polygon booleans of @flatten-js/core find it', () => {
    for (let i = 0; i < 5; i += 1) {
      const [w, h] = [0.2 + random() * 0.2, 0.2 + random() * 0.2];
      const [a, b] = [
        star(5 + whole(4)),
        shiftPath(star(5 + whole(4)), [0.05 * random(), 0.05 * random()]),
      ];
      const shape: Shape = { kind: 'rectangle', widthM: w, heightM: h, keepBare: [a, b] };
      if (!checkShape(shape).ok) continue;
      const box = shapePath({ kind: 'rectangle', widthM: w, heightM: h });
      const poly = (p: Path) => {
        const made = new Polygon(corners(p).map(([x, y]) => point(x, y)));
        if (made.area() > 0 && [...made.faces][0]?.orientation() === 1) made.reverse();
        return made;
      };
      // Counted by a fine grid of points, an independent way.
      const [pa, pb, pbox] = [poly(a), poly(b), poly(box)];
      let inside = 0;
      const n = 50;
      for (let k = 0; k < n * n; k += 1) {
        const p = point(
          (((k % n) + 0.5) / n) * w - w / 2,
          ((Math.floor(k / n) + 0.5) / n) * h - h / 2,
        );
        if (pbox.contains(p) && (pa.contains(p) || pb.contains(p))) inside += 1;
      }
      const counted = w * h * (1 - inside / (n * n));
      expect(Math.abs(measureShape(shape).areaM2 / counted - 1)).toBeLessThan(0.02);
      const union = Math.abs(pathArea(a)) + Math.abs(pathArea(b)) - sharedArea([a, b]);
      expect(measureShape(shape).areaM2).toBeGreaterThanOrEqual(w * h - union - 1e-9);
    }
  });
});

describe('edgeBand', () => {
  it('grows with length and thickness', () => {
    for (let i = 0; i < 100; i += 1) {
      const [length, height, size] = [
        0.2 + random(),
        0.01 + 0.02 * random(),
        0.001 + 0.005 * random(),
      ];
      const band = (l: number, h: number, s: number) =>
        edgeBand(l, 2 * Math.PI, { kind: 'round', sizeM: s }, h);
      const base = band(length, height, size);
      expect(band(length * 1.1, height, size).bandM2).toBeGreaterThan(base.bandM2);
      expect(band(length, height * 1.1, size).bandM2).toBeGreaterThan(base.bandM2);
      expect(base.girthM).toBeLessThan(height + size);
    }
  });
});
