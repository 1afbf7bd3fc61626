import { ledgerArea, measureArea } from '@/core/coat';
import {
  measureFace,
  pathArea,
  shapePath,
  type Path,
  type Point,
  type Shape,
} from '@/core/geometry';
import { type Area, asId, edgeHeightOf, edgeKindsOf, plainArea } from '@/records';
import { areaExplanation, bandExplanation, edgeExplanation, levelExplanation } from './explain';
import { emptyArea, emptyDraft, emptyEdge, fitEdges, sideCount, type AreaDraft } from './draft';
import { draftOf, shapeTexts } from './draftOf';
import { freeOutline, planPoints, shapeNow } from './readShape';
import { drawnPath } from './plan/drawing';
import { pathD } from './plan/pathD';
import { fitView, gridStepM, toPlan, toScreen, zoomAbout, type View } from './plan/planView';
import { AREA_WORDS, edgeName, hasHeight, SHAPE_LABEL } from './words';
import { demoView, METRIC, US } from '@/features/test/shop';

const size = { width: 640, height: 410 };
const typed = (change: Partial<AreaDraft>): AreaDraft => ({
  ...emptyArea(METRIC),
  width: '300 mm',
  height: '200 mm',
  ...change,
});

describe('the view of the plan', () => {
  const points: Point[] = [
    [-0.2, 0.1],
    [0.4, 0.3],
    [0, -0.15],
  ];
  it('holds all points with room round them, and is centred', () => {
    const view = fitView(points, size);
    for (const p of points) {
      const [x, y] = toScreen(view, size, p);
      expect(x).toBeGreaterThanOrEqual(90);
      expect(x).toBeLessThanOrEqual(550);
      expect(y).toBeGreaterThanOrEqual(50);
      expect(y).toBeLessThanOrEqual(360);
    }
    expect(view.middle[0]).toBeCloseTo(0.1, 12);
    expect(fitView([], size).scale).toBeGreaterThan(500);
    expect(Number.isFinite(fitView([[0.1, 0.1]], size).scale)).toBe(true);
  });

  it('screen and plan go there and back; up is up', () => {
    const view: View = { scale: 900, middle: [0.05, -0.02] };
    for (const p of points) {
      const back = toPlan(view, size, toScreen(view, size, p));
      expect(back[0]).toBeCloseTo(p[0], 12);
      expect(back[1]).toBeCloseTo(p[1], 12);
    }
    expect(toScreen(view, size, [0, 0.1])[1]).toBeLessThan(toScreen(view, size, [0, 0])[1]);
  });

  it.each([1.4, 0.5, 1e9, 1e-9])('zooming by %d keeps the place under the pointer', (factor) => {
    const view = fitView(points, size);
    const at: Point = [120, 300];
    const before = toPlan(view, size, at);
    const next = zoomAbout(view, size, at, factor);
    const after = toPlan(next, size, at);
    expect(after[0]).toBeCloseTo(before[0], 9);
    expect(after[1]).toBeCloseTo(before[1], 9);
    expect(next.scale).toBeGreaterThanOrEqual(30);
    expect(next.scale).toBeLessThanOrEqual(2e5);
  });

  it.each([50, 300, 1000, 5000, 60000])(
    'grid lines at %d px/m lie apart, on round numbers',
    (scale) => {
      const metric = gridStepM(scale, 'metric');
      expect(metric * scale).toBeGreaterThanOrEqual(9);
      expect([1, 2, 5]).toContain(
        Number((metric / 10 ** Math.floor(Math.log10(metric) + 1e-9)).toFixed(6)),
      );
      const us = gridStepM(scale, 'us');
      expect(us * scale).toBeGreaterThanOrEqual(Math.min(9, 0.3048 * scale));
      const sixteenths = (us / 0.0254) * 16;
      expect(sixteenths).toBeCloseTo(Math.round(sixteenths), 9);
    },
  );

  it('writes a path for the screen', () => {
    const path: Path = {
      start: [0, 0],
      segments: [
        { kind: 'line', to: [1, 0] },
        { kind: 'cubic', c1: [1, 1], c2: [0, 1], to: [0, 0] },
      ],
    };
    expect(pathD(path, ([x, y]) => [x * 10, -y * 10])).toBe(
      'M0.00 0.00L10.00 0.00C10.00 -10.00 0.00 -10.00 0.00 0.00Z',
    );
  });
});

describe('drawing', () => {
  const corner = (x: number, y: number, curved = false) => ({ at: [x, y] as Point, curved });
  const square = [corner(0, 0), corner(1, 0), corner(1, 1), corner(0, 1)];
  it('closes what was drawn, anticlockwise however it was drawn', () => {
    for (const points of [square, [...square].reverse()]) {
      const path = drawnPath({ points }, false);
      expect(path && pathArea(path)).toBeCloseTo(1, 12);
    }
  });
  it('six curved stretches bulge outwards whichever way they were drawn: no star', () => {
    const six = Array.from({ length: 6 }, (_, i) => {
      const angle = (Math.PI / 3) * i;
      return corner(Math.cos(angle), Math.sin(angle), true);
    });
    // A hexagon of side 1, and on each side a cubic whose handles stand 0.15 out: ∫ 3 t (1 − t) 0.15 dt = 0.075.
    const area = (3 * Math.sqrt(3)) / 2 + 6 * 0.075;
    for (const points of [six, [...six].reverse()]) {
      const path = drawnPath({ points }, true);
      expect(path && pathArea(path)).toBeCloseTo(area, 9);
    }
  });
  it('stretches that were set curved bulge outwards', () => {
    const one = drawnPath(
      { points: [corner(0, 0), corner(1, 0, true), corner(1, 1), corner(0, 1)] },
      false,
    );
    const two = drawnPath(
      { points: [corner(0, 0), corner(1, 0, true), corner(1, 1), corner(0, 1)] },
      true,
    );
    // A cubic whose handles stand 0.15 out at the thirds of its chord adds 9/20 · 0.15.
    expect(one && pathArea(one)).toBeCloseTo(1 + ((0.45 * 0.15 * 2) / 2) * 1, 1);
    expect(one && two && pathArea(two) - pathArea(one)).toBeCloseTo(
      (one ? pathArea(one) : 0) - 1,
      9,
    );
  });
  it('is nothing with fewer than three corners', () => {
    for (const n of [0, 1, 2]) expect(drawnPath({ points: square.slice(0, n) }, false)).toBeNull();
  });
});

describe('what is drafted', () => {
  const kinds: readonly Partial<AreaDraft>[] = [
    { shape: 'rectangle' },
    { shape: 'roundedRectangle', radius: '20 mm' },
    { shape: 'disc' },
    { shape: 'ellipse' },
    { shape: 'regularPolygon', sides: '8' },
  ];
  it.each(kinds)('%j made free keeps its area and has an edge for each side', (change) => {
    const area = typed(change);
    const free = freeOutline(area, METRIC);
    const [before, after] = [shapeNow(area, METRIC), shapeNow(free, METRIC)];
    if (!before || !after) throw new Error('no shape');
    const areaOf = (shape: Shape) => measureFace(shape, []).areaM2;
    expect(areaOf(after) / areaOf(before)).toBeCloseTo(1, 6);
    expect(free.edges).toHaveLength(sideCount(free));
    expect(freeOutline(free, METRIC)).toBe(free);
  });

  it.each(kinds)('%j: its dimensions as text are read back alike, also in inches', (change) => {
    for (const format of [METRIC, US]) {
      const shape = shapeNow(typed(change), METRIC);
      if (!shape) throw new Error('no shape');
      const again = shapeNow({ ...typed(change), ...shapeTexts(shape, format) }, format);
      // Two lengths, each within what a field keeps of a converted number; what is written is kept whole.
      const off = (again ? measureFace(again, []).areaM2 : 0) / measureFace(shape, []).areaM2 - 1;
      expect(Math.abs(off)).toBeLessThan(format === US ? 1e-4 : 1e-9);
    }
  });

  it('what cannot be read is no shape, and a bare part of it stays with it', () => {
    expect(shapeNow(typed({ width: 'wide' }), METRIC)).toBeNull();
    expect(shapeNow(typed({ width: '20 km' }), METRIC)).toBeNull();
    expect(shapeNow(typed({ shape: 'outline' }), METRIC)).toBeNull();
    expect(freeOutline(typed({ width: '' }), METRIC).shape).toBe('rectangle');
    const seat = shapePath({ kind: 'disc', diameterM: 0.04 });
    expect(shapeNow(typed({ keepBare: [seat] }), METRIC)?.keepBare).toEqual([seat]);
  });

  it('the corners of an area stand on the plan where the area does', () => {
    const points = planPoints(typed({ at: [0.1, -0.2] }), METRIC);
    expect(points).toHaveLength(4);
    expect(Math.max(...points.map((p) => p[0]))).toBeCloseTo(0.25, 12);
    expect(Math.min(...points.map((p) => p[1]))).toBeCloseTo(-0.3, 12);
    expect(planPoints(typed({ width: '' }), METRIC)).toEqual([]);
  });

  it('edges fit the sides, new ones are like the first', () => {
    const dammed = emptyEdge('tape wall');
    expect(fitEdges([dammed], 3).map((e) => e.kind)).toEqual([
      'tape wall',
      'tape wall',
      'tape wall',
    ]);
    expect(fitEdges([], 2).map((e) => e.kind)).toEqual(['open', 'open']);
    expect(sideCount(typed({ shape: 'regularPolygon', sides: 'many' }))).toBe(3);
    expect(sideCount(typed({ shape: 'outline' }))).toBe(1);
  });

  it('a recess starts as one: with its own rim and a depth; every kind has its words', () => {
    const recess = emptyArea(US, 'recess');
    expect([recess.name, recess.depth, recess.edges[0]?.kind]).toEqual([
      'Recess',
      '1/8 in',
      'own rim',
    ]);
    expect(Object.keys(AREA_WORDS)).toContain(recess.kind);
    expect(emptyDraft(US).level.over).toBe('12 in');
  });

  it('names edges by place or by number', () => {
    expect(edgeName({ shape: 'rectangle' }, 2, 4)).toBe('Top');
    expect(edgeName({ shape: 'outline' }, 2, 4)).toBe('Edge 3');
    expect(edgeName({ shape: 'disc' }, 0, 1)).toBe('All round');
    expect(Object.keys(SHAPE_LABEL).filter((k) => hasHeight(k as Shape['kind']))).toHaveLength(3);
  });

  it('a saved level comes back as angles', () => {
    const shop = demoView();
    const board = shop.pieces.find((p) => p.name === 'Signal-box board');
    if (!board) throw new Error('demo changed');
    const draft = draftOf(
      board,
      shop.areas.filter((a) => a.pieceId === board.id),
      METRIC,
    );
    expect(draft.level.alongX).toBe('0.0029°');
    expect(draft.level.props).toHaveLength(3);
    expect(draft.marks.map((m) => m.name)).toContain('Left hanging plate');
  });
});

describe('areas as records', () => {
  const area: Area = {
    ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018, ['open', 'tape wall']),
    id: asId('a'),
    pieceId: asId('p'),
  };
  it('the ledger takes the open edges only, unrolled', () => {
    expect(edgeKindsOf(area)).toEqual(['open', 'tape wall', 'open', 'tape wall']);
    expect(edgeHeightOf(area)).toBe(0.018);
    const { openEdges, areaM2, count } = ledgerArea(area, 3);
    expect(openEdges.map((e) => e.areaM2)).toEqual(
      [0.0054, 0.0054].map((v) => expect.closeTo(v, 12)),
    );
    expect([areaM2, count]).toEqual([expect.closeTo(0.06, 12), 3]);
  });
  it('an area from a photo is as sure as its trace', () => {
    const measured = {
      by: 'photo',
      photoId: asId<'photo'>('x'),
      planPhotoId: asId<'photo'>('y'),
      box: { left: 0, right: 1, low: 0, high: 1 },
      sigmaShare: 0.02,
    } as const;
    expect(measureArea({ ...area, measured }).areaSigmaM2).toBeCloseTo(0.0012, 12);
    expect(measureArea(area).areaSigmaM2).toBeLessThan(0.0012);
  });
  it('opens to formula, inputs and source', () => {
    const rounded: Area = {
      ...area,
      edges: area.edges.map((e) => ({ ...e, profile: { kind: 'round', sizeM: 0.006 } })),
    };
    const measure = measureArea(rounded);
    const opened = areaExplanation(rounded.shape, measure, 'rule');
    expect(opened.formula).toBe('w · h, less what the edge profiles take');
    expect(opened.inputs.map((i) => i.label)).toEqual([
      'width, w',
      'height, h',
      'taken by rounded or bevelled edges',
    ]);
    expect(areaExplanation(area.shape, measureArea(area), 'photo').source).toContain('homography');
    expect(edgeExplanation(area.shape, measure).inputs.at(-1)?.label).toBe('side 4');
    expect(bandExplanation(measure).inputs).toHaveLength(8);
    const { tolerable, explanation } = levelExplanation(0.9, 0.001);
    // 0.16 mm over 900 mm.
    expect(tolerable).toBeCloseTo(0.16e-3 / 0.9, 12);
    expect(explanation.inputs.map((i) => i.quantity)).toContain('share');
  });
});
