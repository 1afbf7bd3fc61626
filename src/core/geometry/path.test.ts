import { Point as FlatPoint, Polygon } from '@flatten-js/core';
import { seededRandom } from '../numeric';
import {
  arcSegments,
  bulgeSegments,
  ellipsePerimeter,
  endpointArc,
  flattenPath,
  insideRing,
  mapPath,
  pathArea,
  reversePath,
  ringArea,
  segmentLength,
  selfCrossings,
  walk,
  type Path,
  type Point,
} from '.';

const TURN = 2 * Math.PI;
const length = (path: Path) =>
  [...walk(path)].reduce((sum, { from, segment }) => sum + segmentLength(from, segment), 0);
const circle = (radius: number): Path => ({
  start: [radius, 0],
  segments: arcSegments({ centre: [0, 0], rx: radius, ry: radius, turn: 0, from: 0, sweep: TURN }),
});
const polygon = (points: readonly Point[]): Path => ({
  start: points[0] ?? [0, 0],
  segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
});

describe('pathArea and segmentLength against closed forms', () => {
  it('square: 1 m² and 4 m, negative when run clockwise', () => {
    const square = polygon([
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ]);
    expect(pathArea(square)).toBe(1);
    expect(length(square)).toBe(4);
    expect(pathArea(reversePath(square))).toBe(-1);
  });

  it('a parabola y = x² over [−1, 1] closed by its chord holds 4/3', () => {
    // The quadratic with control point (0, −1) raised to a cubic.
    const path: Path = {
      start: [-1, 1],
      segments: [
        { kind: 'cubic', c1: [-1 / 3, -1 / 3], c2: [1 / 3, -1 / 3], to: [1, 1] },
        { kind: 'line', to: [-1, 1] },
      ],
    };
    expect(Math.abs(pathArea(path))).toBeCloseTo(4 / 3, 14);
    // Arc length of y = x² from −1 to 1: √5 + asinh(2) / 2.
    const curve = path.segments[0];
    expect(curve && segmentLength(path.start, curve)).toBeCloseTo(
      Math.sqrt(5) + Math.asinh(2) / 2,
      9,
    );
  });

  it('circle and ellipse of arcs: area to 1e-7, perimeter to 1e-7', () => {
    expect(Math.abs(pathArea(circle(0.19)) / (Math.PI * 0.19 ** 2) - 1)).toBeLessThan(1e-7);
    expect(Math.abs(length(circle(0.19)) / (TURN * 0.19) - 1)).toBeLessThan(1e-7);
    const oval: Path = {
      start: [Math.cos(0.4) * 0.3, Math.sin(0.4) * 0.3],
      segments: arcSegments({ centre: [0, 0], rx: 0.3, ry: 0.1, turn: 0.4, from: 0, sweep: TURN }),
    };
    expect(Math.abs(pathArea(oval) / (Math.PI * 0.03) - 1)).toBeLessThan(1e-7);
    expect(Math.abs(length(oval) / ellipsePerimeter(0.3, 0.1) - 1)).toBeLessThan(1e-6);
  });

  it('scales with the square of an affine map’s determinant (seeded)', () => {
    const random = seededRandom(41);
    for (let i = 0; i < 50; i += 1) {
      const [a, b, c, d] = [random(), random() - 0.5, random() - 0.5, random() + 0.5];
      const mapped = mapPath(circle(0.1), ([x, y]) => [a * x + b * y + 3, c * x + d * y - 2]);
      expect(pathArea(mapped) / pathArea(circle(0.1))).toBeCloseTo(a * d - b * c, 8);
    }
  });
});

describe('arcs', () => {
  it('bulge 1 is a half circle, tan(22.5°) a quarter, negative turns right', () => {
    const half = (bulge: number): Path => ({
      start: [0, 0],
      segments: [...bulgeSegments([0, 0], [2, 0], bulge), { kind: 'line', to: [0, 0] }],
    });
    expect(pathArea(half(1))).toBeCloseTo(Math.PI / 2, 6);
    expect(pathArea(half(-1))).toBeCloseTo(-Math.PI / 2, 6);
    // Quarter circle over the chord 2: r = √2, segment area r²/2 (π/2 − 1).
    expect(pathArea(half(Math.tan(Math.PI / 8)))).toBeCloseTo(Math.PI / 2 - 1, 6);
    // Three quarters: the rest of the disc.
    expect(pathArea(half(Math.tan((3 * Math.PI) / 8)))).toBeCloseTo(
      2 * Math.PI - (Math.PI / 2 - 1),
      6,
    );
    expect(() => bulgeSegments([0, 0], [0, 0], 1)).toThrow('bulgeSegments');
    expect(() => bulgeSegments([0, 0], [1, 0], 0)).toThrow('bulgeSegments');
  });

  // The four arcs of radius 1 from (0, 0) to (1, 1) by the two flags of SVG: quarter or three quarters, either side.
  it.each([
    [false, true, Math.PI / 4 - 0.5],
    [false, false, -(Math.PI / 4 - 0.5)],
    [true, true, (3 * Math.PI) / 4 + 0.5],
    [true, false, -((3 * Math.PI) / 4 + 0.5)],
  ])('flags large %p, positive %p', (large, positive, area) => {
    const path: Path = {
      start: [0, 0],
      segments: [
        ...endpointArc([0, 0], [1, 1], [1, 1], 0, large, positive),
        { kind: 'line', to: [0, 0] },
      ],
    };
    expect(pathArea(path)).toBeCloseTo(area, 6);
  });

  it('radii too small are scaled up; a zero radius is a line; no distance is nothing', () => {
    const path: Path = {
      start: [0, 0],
      segments: [
        ...endpointArc([0, 0], [2, 0], [0.1, 0.1], 0, false, true),
        { kind: 'line', to: [0, 0] },
      ],
    };
    expect(pathArea(path)).toBeCloseTo(Math.PI / 2, 6);
    expect(endpointArc([0, 0], [2, 0], [0, 1], 0, false, true)).toEqual([
      { kind: 'line', to: [2, 0] },
    ]);
    expect(endpointArc([1, 1], [1, 1], [1, 1], 0, false, true)).toEqual([]);
    expect(() => arcSegments({ centre: [0, 0], rx: 0, ry: 1, turn: 0, from: 0, sweep: 1 })).toThrow(
      'arcSegments',
    );
  });
});

describe('flattening', () => {
  it('stays within its tolerance of the circle', () => {
    for (const tolerance of [1e-3, 1e-4, 1e-6]) {
      const ring = flattenPath(circle(1), tolerance);
      ring.forEach(([x, y], i) => {
        const [nx, ny] = ring[(i + 1) % ring.length] ?? [NaN, NaN];
        expect(1 - Math.hypot((x + nx) / 2, (y + ny) / 2)).toBeLessThan(tolerance * 1.01);
      });
    }
  });
  it('has an area error below 1e-5 at a tolerance of 1e-6 of the size', () => {
    expect(Math.abs(ringArea(flattenPath(circle(1), 2e-6)) / Math.PI - 1)).toBeLessThan(1e-5);
    expect(() => flattenPath(circle(1), 0)).toThrow('flattenSegment');
  });
});

describe('rings against a general geometry library (flatten-js)', () => {
  it('areas and points inside for 100 seeded stars', () => {
    const random = seededRandom(6);
    for (let i = 0; i < 100; i += 1) {
      const n = 4 + Math.floor(random() * 20);
      const ring = Array.from({ length: n }, (_, k): Point => {
        const [r, angle] = [0.1 + random(), (TURN * k) / n];
        return [r * Math.cos(angle), r * Math.sin(angle)];
      });
      const flat = new Polygon(ring.map(([x, y]) => new FlatPoint(x, y)));
      expect(ringArea(ring) / flat.area()).toBeCloseTo(1, 10);
      const probe: Point = [2 * random() - 1, 2 * random() - 1];
      expect(insideRing(probe, ring)).toBe(flat.contains(new FlatPoint(...probe)));
      expect(selfCrossings(ring)).toEqual([]);
    }
  });

  it('finds where an outline crosses itself', () => {
    expect(
      selfCrossings([
        [0, 0],
        [1, 1],
        [1, 0],
        [0, 1],
      ]),
    ).toEqual([[0.5, 0.5]]);
    const pentagram = Array.from({ length: 5 }, (_, k): Point => [
      Math.cos((4 * Math.PI * k) / 5),
      Math.sin((4 * Math.PI * k) / 5),
    ]);
    expect(selfCrossings(pentagram)).toHaveLength(5);
    expect(selfCrossings(pentagram, 2)).toHaveLength(2);
  });
});
