import { seededRandom, extent } from '../numeric';
import { checkShape, flattenPath, measureShape, selfCrossings, spacedRing, thinRing } from '.';
import { clip, multiArea, polygonOf } from './clip';
import type { Path, Point } from '.';

const pathOf = (points: readonly Point[]): Path => ({
  start: points[0] ?? [0, 0],
  segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
});
/** A comb: long tines side by side, turned by an angle; it does not cross itself. */
function comb(tines: number, angle: number): Point[] {
  const points: Point[] = [];
  for (let i = 0; i < tines; i += 1)
    points.push([0, 2 * i], [900, 2 * i], [900, 2 * i + 1], [0, 2 * i + 1]);
  points.push([-50, 2 * tines], [-50, 0]);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return points.map(([x, y]): Point => [c * x - s * y, s * x + c * y]);
}

describe('outlines of very many points', () => {
  it.each([0, 0.6, Math.PI / 4, Math.PI / 2])(
    'a comb turned by %f is looked through tine by tine, not all with all',
    (angle) => {
      const ring = comb(2500, angle);
      expect(selfCrossings(ring)).toEqual([]);
      // One point moved across the next tine is found.
      const [x, y] = [
        Math.cos(angle) * 600 - Math.sin(angle) * 52.5,
        Math.sin(angle) * 600 + Math.cos(angle) * 52.5,
      ];
      ring[101] = [x, y];
      expect(selfCrossings(ring, 1)).toHaveLength(1);
    },
  );
  it('a ring too intricate to be looked through is said to be; too many points are refused as a shape', () => {
    // Spokes through one middle: whichever way it is swept, all overlap all.
    const star = Array.from({ length: 8000 }, (_, i): Point => {
      const a = (i / 8000) * 2 * Math.PI;
      return i % 2 === 0 ? [1e-3 * Math.cos(a), 1e-3 * Math.sin(a)] : [Math.cos(a), Math.sin(a)];
    });
    expect(selfCrossings(star, 1)).toBeNull();
    const many = Array.from({ length: 25_000 }, (_, i): Point => {
      const a = (i / 25_000) * 2 * Math.PI;
      return [Math.cos(a), Math.sin(a)];
    });
    const shape = { kind: 'outline', outer: pathOf(many), keepBare: [] } as const;
    expect(checkShape(shape)).toMatchObject({ ok: false, issues: [{ code: 'does-not-fit' }] });
  });
  it('are thinned without recursion, within the tolerance, and told when it takes too many looks', () => {
    const circle = Array.from({ length: 50_000 }, (_, i): Point => {
      const a = (i / 50_000) * 2 * Math.PI;
      return [Math.cos(a), Math.sin(a)];
    });
    const thin = thinRing(circle, 1e-4);
    expect(thin.length).toBeLessThan(500);
    // The sagitta of a chord, 1 − cos(a/2), is the farthest that a point of a circle lies from it.
    for (let i = 0; i < thin.length; i += 1) {
      const [p, q] = [thin[i] ?? [0, 0], thin[(i + 1) % thin.length] ?? [0, 0]];
      const half = Math.asin(Math.min(1, Math.hypot(q[0] - p[0], q[1] - p[1]) / 2));
      expect(1 - Math.cos(half)).toBeLessThanOrEqual(1e-4 + 1e-12);
    }
    expect(thinRing(comb(30_000, 0.1), 1e-6, 1e6)).toBeNull();
    expect(thinRing([], 1)).toEqual([]);
    expect(spacedRing(circle, 0.01).length).toBeLessThan(640);
  });
  it('many curves are flattened to a bounded number of points', () => {
    const segments = Array.from({ length: 3000 }, (_, i) => {
      const a = ((i + 1) / 3000) * 2 * Math.PI;
      return { kind: 'cubic', c1: [9, 9], c2: [-9, 9], to: [Math.cos(a), Math.sin(a)] } as const;
    });
    expect(flattenPath({ start: [1, 0], segments }, 1e-9, 20_000).length).toBeLessThanOrEqual(
      20_000,
    );
  });
});

describe('booleans of outlines', () => {
  const square = (x: number, size: number): Point[] => [
    [x, 0],
    [x + size, 0],
    [x + size, size],
    [x, size],
  ];
  it('areas of union, intersection and difference of two squares', () => {
    const [a, b] = [polygonOf(square(0, 2)), polygonOf(square(1, 2))];
    expect(multiArea(clip('union', a, b) ?? [])).toBeCloseTo(6, 12);
    expect(multiArea(clip('intersection', a, b) ?? [])).toBeCloseTo(2, 12);
    expect(multiArea(clip('difference', a, b) ?? [])).toBeCloseTo(2, 12);
  });
  it('of simple rings that nearly meet give a region; tangled rings are told by null, at once', () => {
    const random = seededRandom(77);
    for (let i = 0; i < 80; i += 1) {
      const jitter = 10 ** -(6 + Math.floor(random() * 10));
      const near = (v: number) => Math.round(v * 20) / 20 + (random() - 0.5) * jitter;
      // A ring about a middle, its points on a coarse grid but for the jitter: edges nearly coincide.
      const ring = (count: number, turns: number) => {
        const middle = 0.1 * Math.round(random() * 4);
        return Array.from({ length: count }, (_, k): Point => {
          const a = (k / count) * 2 * Math.PI * turns;
          const r = 0.05 + 0.1 * Math.round(random() * 3);
          return [near(middle + r * Math.cos(a)), near(middle + r * Math.sin(a))];
        });
      };
      const [p, q] = [ring(12, 1), ring(9, 1)];
      const simple = [p, q].every((r) => selfCrossings(r, 1)?.length === 0);
      const region = clip('union', polygonOf(p), polygonOf(q));
      if (simple) expect(multiArea(region ?? [])).toBeGreaterThan(0);
      expect(clip('union', polygonOf(ring(40, 17)))).toBeNull();
    }
  });
  it('a part that stays bare and crosses itself is counted once, or refused with the place', () => {
    const bow: Point[] = [
      [-0.05, -0.05],
      [0.05, 0.05],
      [0.05, -0.05],
      [-0.05, 0.05],
    ];
    const shape = {
      kind: 'rectangle',
      widthM: 0.3,
      heightM: 0.2,
      keepBare: [pathOf(bow)],
    } as const;
    const checked = checkShape(shape);
    if (checked.ok) expect(measureShape(shape).areaM2).toBeLessThan(0.06);
    else expect(checked.issues[0]).toMatchObject({ path: ['keepBare', 0] });
  });
});

describe('extent', () => {
  it('of many numbers, none, and what is no number', () => {
    expect(extent([3, -1, 2])).toEqual([-1, 3]);
    expect(extent([])).toEqual([Infinity, -Infinity]);
    expect(extent([NaN, 4])).toEqual([4, 4]);
    expect(extent(new Float64Array(300_000).fill(7))).toEqual([7, 7]);
  });
});
