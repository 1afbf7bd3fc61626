import { Point as FlatPoint, Polygon } from '@flatten-js/core';
import { seededRandom } from '../numeric';
import { INCH_M } from '../units';
import {
  checkShape,
  cutShape,
  ellipsePerimeter,
  measureShape,
  shapeBox,
  shapeSides,
  type Shape,
} from '.';

const close = (ours: number, theirs: number, relative: number) =>
  expect(Math.abs(ours / theirs - 1)).toBeLessThan(relative);

describe('measureShape against closed forms', () => {
  it('rectangle 12 × 12 in is one square foot', () => {
    const foot = 12 * INCH_M;
    const measure = measureShape({ kind: 'rectangle', widthM: foot, heightM: foot });
    close(measure.areaM2, 0.09290304, 1e-12); // NIST SP 811: 1 ft² = 9.290304 E-02 m²
    close(measure.perimeterM, 4 * foot, 1e-12);
  });

  it('disc: π r² and 2 π r', () => {
    const measure = measureShape({ kind: 'disc', diameterM: 0.3 });
    close(measure.areaM2, Math.PI * 0.15 ** 2, 1e-14);
    close(measure.perimeterM, 2 * Math.PI * 0.15, 1e-14);
  });

  it('hexagon: area √3/2 s² across flats; 3√3/8 d² across corners; side s/√3', () => {
    const flats = measureShape({ kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' });
    close(flats.areaM2, (Math.sqrt(3) / 2) * 0.01, 1e-13);
    close(flats.sideLengthsM[0] ?? 0, 0.1 / Math.sqrt(3), 1e-13);
    const corners = measureShape({
      kind: 'regularPolygon',
      sides: 6,
      sizeM: 0.1,
      across: 'corners',
    });
    close(corners.areaM2, ((3 * Math.sqrt(3)) / 8) * 0.01, 1e-13);
  });

  it('a rounded rectangle ends in a rectangle (r = 0) and in a disc (r = half)', () => {
    const rounded = (radiusM: number) =>
      measureShape({ kind: 'roundedRectangle', widthM: 0.2, heightM: 0.2, radiusM });
    close(rounded(0).areaM2, 0.04, 1e-14);
    close(rounded(0).perimeterM, 0.8, 1e-14);
    close(rounded(0.1).areaM2, Math.PI * 0.01, 1e-14);
    close(rounded(0.1).perimeterM, Math.PI * 0.2, 1e-14);
  });

  it('states the area error of reading a rectangle: hypot(h, w) × reading error', () => {
    const { areaSigmaM2 } = measureShape({ kind: 'rectangle', widthM: 0.3, heightM: 0.4 }, 1e-3);
    close(areaSigmaM2, 0.5e-3, 1e-12);
  });
});

describe('ellipsePerimeter', () => {
  it('is that of a circle for equal axes', () =>
    close(ellipsePerimeter(0.2, 0.2), 0.4 * Math.PI, 1e-15));

  // Complete elliptic integral E(m) of Abramowitz & Stegun, table 17.1: E(0.75) = 1.2110560276 (b/a = 1/2), E(0.5) = 1.3506438810.
  it.each([
    [1, 0.5, 4 * 1.211056027568459],
    [1, Math.SQRT1_2, 4 * 1.3506438810476755],
  ])('a %d, b %d against the table', (a, b, perimeter) => {
    close(ellipsePerimeter(a, b), perimeter, 1e-12);
    close(ellipsePerimeter(b, a), perimeter, 1e-12);
  });

  it('tends to four half axes for a needle', () => close(ellipsePerimeter(1, 1e-6), 4, 1e-9));
  it.each([
    [0, 1],
    [1, -1],
    [NaN, 1],
  ])('throws on %p, %p', (a, b) => {
    expect(() => ellipsePerimeter(a, b)).toThrow('ellipsePerimeter');
  });
});

function randomShape(random: () => number): Shape {
  const size = () => 0.01 + random();
  const [widthM, heightM] = [size(), size()];
  const kinds: Shape[] = [
    { kind: 'rectangle', widthM, heightM },
    {
      kind: 'roundedRectangle',
      widthM,
      heightM,
      radiusM: (random() * Math.min(widthM, heightM)) / 2,
    },
    { kind: 'disc', diameterM: widthM },
    { kind: 'ellipse', widthM, heightM },
    {
      kind: 'regularPolygon',
      sides: 3 + Math.floor(random() * 10),
      sizeM: widthM,
      across: random() < 0.5 ? 'flats' : 'corners',
    },
  ];
  return kinds[Math.floor(random() * kinds.length)] ?? { kind: 'disc', diameterM: widthM };
}

describe('drawn outlines against a general geometry library (flatten-js)', () => {
  it('200 seeded shapes: polygon area and length agree with the closed forms', () => {
    const random = seededRandom(2);
    for (let i = 0; i < 200; i += 1) {
      const shape = randomShape(random);
      const sides = shapeSides(shape);
      const corners = sides.flatMap((side) =>
        side.slice(0, -1).map(([x, y]) => new FlatPoint(x, y)),
      );
      const { areaM2, sideLengthsM, perimeterM } = measureShape(shape);
      const flat = new Polygon(corners);
      close(flat.area(), areaM2, 2e-3);
      close(
        [...flat.edges].reduce((s, e) => s + e.length, 0),
        perimeterM,
        2e-3,
      );
      expect(sides).toHaveLength(sideLengthsM.length);
      // Each side ends where the next begins, and the outline closes.
      sides.forEach((side, n) => {
        const [x, y] = side[side.length - 1] ?? [NaN, NaN];
        const [nx, ny] = sides[(n + 1) % sides.length]?.[0] ?? [NaN, NaN];
        expect(Math.hypot(x - nx, y - ny)).toBeLessThan(1e-12);
      });
    }
  });
});

describe('cutShape', () => {
  it('cuts a rectangle from its left to its right side', () => {
    expect(cutShape({ kind: 'rectangle', widthM: 0.6, heightM: 0.4 })).toEqual({
      widthM: 0.6,
      leftSide: 3,
      rightSide: 1,
    });
  });
  it('cuts a disc at its full diameter', () => {
    close(cutShape({ kind: 'disc', diameterM: 0.38 }).widthM, 0.38, 1e-9);
  });
  it('cuts a hexagon lying on a flat across its corners', () => {
    const { widthM } = cutShape({ kind: 'regularPolygon', sides: 6, sizeM: 0.1, across: 'flats' });
    close(widthM, 0.2 / Math.sqrt(3), 1e-9);
  });
  it('never cuts wider than the box (seeded)', () => {
    const random = seededRandom(9);
    for (let i = 0; i < 100; i += 1) {
      const shape = randomShape(random);
      const { widthM } = cutShape(shape);
      expect(widthM).toBeGreaterThan(0);
      expect(widthM).toBeLessThanOrEqual(shapeBox(shape).widthM * (1 + 1e-9));
    }
  });
});

describe('checkShape', () => {
  const code = (shape: Shape) => {
    const result = checkShape(shape);
    return result.ok ? 'ok' : result.issues.map((i) => `${i.path.join('.')} ${i.code}`).join(', ');
  };
  it.each<[Shape, string]>([
    [{ kind: 'rectangle', widthM: 0.001, heightM: 10 }, 'ok'],
    [
      { kind: 'rectangle', widthM: 0.000999, heightM: 10.001 },
      'widthM out-of-range, heightM out-of-range',
    ],
    [{ kind: 'disc', diameterM: 0 }, 'diameterM out-of-range'],
    [{ kind: 'disc', diameterM: -1 }, 'diameterM out-of-range'],
    [{ kind: 'disc', diameterM: NaN }, 'diameterM out-of-range'],
    [{ kind: 'disc', diameterM: 10_000 }, 'diameterM out-of-range'],
    [{ kind: 'roundedRectangle', widthM: 0.2, heightM: 0.1, radiusM: 0.05 }, 'ok'],
    [
      { kind: 'roundedRectangle', widthM: 0.2, heightM: 0.1, radiusM: 0.051 },
      'radiusM does-not-fit',
    ],
    [{ kind: 'regularPolygon', sides: 2, sizeM: 0.1, across: 'flats' }, 'sides out-of-range'],
    [{ kind: 'regularPolygon', sides: 6.5, sizeM: 0.1, across: 'flats' }, 'sides out-of-range'],
  ])('%j: %s', (shape, expected) => expect(code(shape)).toBe(expected));
});
