import { seededRandom } from '../numeric';
import {
  arcSegments,
  checkShape,
  cutShape,
  measureShape,
  outlineArea,
  outlineSides,
  pathBox,
  shapeBox,
  shapePath,
  pathArea,
  type Outline,
  type Path,
  type Point,
  type Shape,
} from '.';

const polygon = (...points: Point[]): Path => ({
  start: points[0] ?? [0, 0],
  segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
});
const box = (x: number, y: number, w: number, h: number): Path =>
  polygon([x, y], [x + w, y], [x + w, y + h], [x, y + h]);
const disc = (x: number, y: number, r: number): Path => ({
  start: [x + r, y],
  segments: arcSegments({ centre: [x, y], rx: r, ry: r, turn: 0, from: 0, sweep: 2 * Math.PI }),
});
const outline = (outer: Path, ...keepBare: Path[]): Outline => ({
  kind: 'outline',
  outer,
  keepBare,
});

describe('outlineArea against closed forms', () => {
  const outer = box(-0.3, -0.2, 0.6, 0.4);
  it('a round hole in a board: exact', () => {
    expect(
      Math.abs(outlineArea(outer, [disc(0, 0, 0.1)]) / (0.24 - Math.PI * 0.01) - 1),
    ).toBeLessThan(1e-7);
  });
  it('a bare handle that reaches beyond the outline counts only inside', () => {
    // The disc stands with its centre on the right edge: half of it is inside.
    const area = outlineArea(outer, [disc(0.3, 0, 0.1)]);
    expect(Math.abs(area / (0.24 - (Math.PI * 0.01) / 2) - 1)).toBeLessThan(1e-5);
  });
  it('overlapping bare parts count once: two discs a radius apart, lens area by the closed form', () => {
    const r = 0.1;
    const lens = 2 * r * r * Math.acos(0.5) - (r / 2) * Math.sqrt(4 * r * r - r * r);
    const area = outlineArea(outer, [disc(-0.05, 0, r), disc(0.05, 0, r)]);
    expect(Math.abs(area / (0.24 - (2 * Math.PI * r * r - lens)) - 1)).toBeLessThan(1e-5);
  });
  it('one bare part inside another adds nothing', () => {
    expect(outlineArea(outer, [disc(0, 0, 0.1), disc(0, 0, 0.05)])).toBeCloseTo(
      0.24 - Math.PI * 0.01,
      6,
    );
  });
  it('never below zero and never above the outline (seeded)', () => {
    const random = seededRandom(12);
    for (let i = 0; i < 60; i += 1) {
      const bare = Array.from({ length: 1 + Math.floor(random() * 4) }, () =>
        disc(random() - 0.5, random() - 0.5, 0.02 + random() * 0.3),
      );
      const area = outlineArea(outer, bare);
      expect(area).toBeGreaterThan(-1e-6);
      expect(area).toBeLessThanOrEqual(0.24 + 1e-12);
    }
  });
});

describe('outlineSides', () => {
  it('splits at corners: a D of a straight side and a half circle has two, a disc one, an L six', () => {
    const d: Path = {
      start: [0, -0.1],
      segments: [
        ...arcSegments({
          centre: [0, 0],
          rx: 0.1,
          ry: 0.1,
          turn: 0,
          from: -Math.PI / 2,
          sweep: Math.PI,
        }),
        { kind: 'line', to: [0, -0.1] },
      ],
    };
    const lengths = outlineSides(d).map((s) => s.lengthM);
    expect(lengths).toHaveLength(2);
    expect(lengths[0]).toBeCloseTo(0.1 * Math.PI, 6);
    expect(lengths[1]).toBeCloseTo(0.2, 12);
    expect(outlineSides(disc(0, 0, 0.1))).toHaveLength(1);
    expect(outlineSides(polygon([0, 0], [2, 0], [2, 1], [1, 1], [1, 2], [0, 2]))).toHaveLength(6);
  });
  it('keeps a corner where the path happens to start mid-side', () => {
    const midway = polygon([0.5, 0], [1, 0], [1, 1], [0, 1], [0, 0]);
    const sides = outlineSides(midway);
    expect(sides.map((s) => s.lengthM).sort()).toEqual([1, 1, 1, 1]);
    expect(sides.every((s) => s.points.length >= 2)).toBe(true);
  });
  it('counts an outline with very many corners as one stretch', () => {
    const teeth = Array.from({ length: 200 }, (_, i): Point => {
      const r = i % 2 === 0 ? 0.1 : 0.08;
      return [r * Math.cos((Math.PI * i) / 100), r * Math.sin((Math.PI * i) / 100)];
    });
    expect(outlineSides(polygon(...teeth))).toHaveLength(1);
  });
});

describe('an outline as a shape', () => {
  const random = seededRandom(3);
  const known: Shape[] = [
    { kind: 'rectangle', widthM: 0.6, heightM: 0.4 },
    { kind: 'roundedRectangle', widthM: 0.3, heightM: 0.2, radiusM: 0.04 },
    { kind: 'roundedRectangle', widthM: 0.3, heightM: 0.2, radiusM: 0 },
    { kind: 'disc', diameterM: 0.38 },
    { kind: 'ellipse', widthM: 0.5, heightM: 0.2 },
    { kind: 'regularPolygon', sides: 8, sizeM: 0.15, across: 'flats' },
  ];
  it.each(known)('%j drawn as a path measures as the shape does', (shape) => {
    const drawn = measureShape(outline(shapePath(shape)));
    const exact = measureShape(shape);
    expect(Math.abs(drawn.areaM2 / exact.areaM2 - 1)).toBeLessThan(1e-7);
    expect(Math.abs(drawn.perimeterM / exact.perimeterM - 1)).toBeLessThan(1e-6);
    expect(pathArea(shapePath(shape))).toBeGreaterThan(0);
    const [a, b] = [shapeBox(outline(shapePath(shape))), shapeBox(shape)];
    expect(a.widthM / b.widthM).toBeCloseTo(1, 2);
    expect(cutShape(outline(shapePath(shape))).widthM / cutShape(shape).widthM).toBeCloseTo(1, 2);
  });
  it('states the area error of an outline a reading error too large all round: perimeter × error', () => {
    expect(measureShape(outline(box(-0.1, -0.1, 0.2, 0.2)), 1e-3).areaSigmaM2).toBeCloseTo(
      0.8e-3,
      12,
    );
  });
  it('pathBox is the box of the curve, not of its handles', () => {
    const { widthM, heightM, middle } = pathBox(disc(3, -2, 0.5));
    expect([widthM, heightM]).toEqual([expect.closeTo(1, 3), expect.closeTo(1, 3)]);
    expect(middle).toEqual([expect.closeTo(3, 3), expect.closeTo(-2, 3)]);
  });

  const code = (shape: Shape) => {
    const result = checkShape(shape);
    return result.ok ? 'ok' : result.issues.map((i) => `${i.path.join('.')} ${i.code}`).join(', ');
  };
  it.each<[string, Outline, string]>([
    ['a sound one', outline(box(0, 0, 0.2, 0.1), disc(0.1, 0.05, 0.02)), 'ok'],
    [
      'one that crosses itself',
      outline(polygon([0, 0], [0.1, 0.1], [0.1, 0], [0, 0.1])),
      'outer not-allowed',
    ],
    [
      'a bare part outside',
      outline(box(0, 0, 0.2, 0.1), disc(0.5, 0.5, 0.02)),
      'keepBare.0 does-not-fit',
    ],
    ['10 km', outline(box(0, 0, 10_000, 1)), 'outer out-of-range'],
    ['no area', outline(polygon([0, 0], [0.1, 0.1], [0.2, 0.2])), 'outer out-of-range'],
  ])('%s', (_name, shape, expected) => expect(code(shape)).toBe(expected));
  it('says where an outline crosses itself', () => {
    const result = checkShape(outline(polygon([0, 0], [0.1, 0.1], [0.1, 0], [0, 0.1])));
    expect(result.ok ? null : result.issues[0]?.value).toEqual([
      expect.closeTo(0.05, 9),
      expect.closeTo(0.05, 9),
    ]);
  });
  it('goes around: random outlines keep their area under a start elsewhere', () => {
    for (let i = 0; i < 20; i += 1) {
      const n = 5 + Math.floor(random() * 8);
      const points = Array.from({ length: n }, (_, k): Point => {
        const r = 0.05 + 0.1 * random();
        return [r * Math.cos((2 * Math.PI * k) / n), r * Math.sin((2 * Math.PI * k) / n)];
      });
      const turned = [...points.slice(2), ...points.slice(0, 2)];
      expect(pathArea(polygon(...turned))).toBeCloseTo(pathArea(polygon(...points)), 14);
      expect(measureShape(outline(polygon(...turned))).perimeterM).toBeCloseTo(
        measureShape(outline(polygon(...points))).perimeterM,
        12,
      );
    }
  });
});
