import { seededRandom } from '../numeric';
import {
  bendSegment,
  centrePath,
  corners,
  deleteCorner,
  flattenPath,
  insertCorner,
  moveCorner,
  moveHandle,
  pathArea,
  pathBox,
  reversePath,
  segmentLength,
  selfCrossings,
  setSegmentLength,
  shapePath,
  snap,
  stretchPath,
  untangle,
  walk,
  type Path,
  type Point,
} from '.';

const polygon = (...points: Point[]): Path => ({
  start: points[0] ?? [0, 0],
  segments: [...points.slice(1), points[0] ?? [0, 0]].map((to) => ({ kind: 'line', to })),
});
const board = polygon([0, 0], [0.3, 0], [0.3, 0.2], [0, 0.2]);
const disc = shapePath({ kind: 'disc', diameterM: 0.2 });
const lengths = (path: Path) =>
  [...walk(path)].map(({ from, segment }) => segmentLength(from, segment));

describe('edits of an outline', () => {
  it.each([0, 1, 2, 3])('moves corner %d and nothing else', (i) => {
    const moved = moveCorner(board, i, [0.5, 0.5]);
    expect(corners(moved)).toEqual(corners(board).map((p, k) => (k === i ? [0.5, 0.5] : p)));
    expect(moved.segments.at(-1)?.to).toEqual(moved.start);
  });

  it('takes the handles along, so a moved disc is the same disc', () => {
    const shifted = corners(disc).reduce<Path>(
      (path, [x, y], i) => moveCorner(path, i, [x + 0.1, y - 0.05]),
      disc,
    );
    expect(pathArea(shifted) / pathArea(disc)).toBeCloseTo(1, 12);
    expect(pathBox(shifted).middle[0]).toBeCloseTo(0.1, 6);
  });

  it.each([0.25, 0.5, 0.9])('a corner put in at %d keeps area and length', (t) => {
    for (const path of [board, disc]) {
      const more = insertCorner(path, 1, t);
      expect(more.segments).toHaveLength(path.segments.length + 1);
      expect(pathArea(more) / pathArea(path)).toBeCloseTo(1, 12);
      expect(
        lengths(more).reduce((a, b) => a + b) / lengths(path).reduce((a, b) => a + b),
      ).toBeCloseTo(1, 8);
    }
  });

  it('takes a corner out: of a square half is left, and three stay', () => {
    for (const i of [0, 1, 2, 3]) {
      const less = deleteCorner(polygon([0, 0], [1, 0], [1, 1], [0, 1]), i);
      expect(pathArea(less)).toBeCloseTo(0.5, 12);
      expect(less.segments.at(-1)?.to).toEqual(less.start);
      expect(deleteCorner(less, 0)).toBe(less);
    }
    expect(deleteCorner(disc, 3).segments).toHaveLength(disc.segments.length - 1);
  });

  it('stretches along the axes: area goes with both factors, the middle stays', () => {
    const wide = stretchPath(disc, [0, 0], [2, 0.5]);
    expect(pathArea(wide)).toBeCloseTo(pathArea(disc), 9);
    const box = pathBox(stretchPath(board, pathBox(board).middle, [2, 3]));
    expect(box.widthM).toBeCloseTo(2 * pathBox(board).widthM, 6);
    expect(box.middle[0]).toBeCloseTo(pathBox(board).middle[0], 9);
  });

  it('bends a stretch outwards and makes it straight again', () => {
    const bent = bendSegment(board, 0, true);
    expect(pathArea(bent)).toBeGreaterThan(pathArea(board));
    expect(bendSegment(bent, 0, true)).toEqual(bent);
    // Drawn clockwise it bulges out too: its first side is 200 mm long, 0.075 · 0.2² m².
    const turned = pathArea(bendSegment(reversePath(board), 0, true));
    expect(Math.abs(turned)).toBeCloseTo(0.06 + 0.075 * 0.2 ** 2, 12);
    expect(pathArea(bendSegment(bent, 0, false))).toBeCloseTo(0.06, 12);
    const pulled = moveHandle(bent, 0, 'c1', [0.1, -0.2]);
    expect(pathArea(pulled)).toBeGreaterThan(pathArea(bent));
    expect(moveHandle(board, 0, 'c1', [9, 9])).toEqual(board);
  });

  it.each([0, 1, 2, 3])('gives side %d a length and keeps a rectangle right-angled', (i) => {
    const longer = setSegmentLength(board, i, 0.45);
    expect(lengths(longer)[i]).toBeCloseTo(0.45, 12);
    expect(lengths(longer)[(i + 2) % 4]).toBeCloseTo(0.45, 12);
    expect(Math.abs(pathArea(longer))).toBeCloseTo(0.45 * (lengths(board)[(i + 1) % 4] ?? 0), 12);
    expect(setSegmentLength(board, i, -1)).toBe(board);
  });

  it('centres a path on the middle of its box', () => {
    const { path, shift } = centrePath(board);
    expect(shift).toEqual([-0.15, -0.1]);
    expect(pathBox(path).middle[0]).toBeCloseTo(0, 12);
  });
});

describe('untangle', () => {
  const crossings = (path: Path) => selfCrossings(flattenPath(path, 1e-4));

  it('two corners taken in the wrong order: the square comes back', () => {
    const mended = untangle(polygon([0, 0], [1, 1], [1, 0], [0, 1]));
    expect(mended && Math.abs(pathArea(mended))).toBeCloseTo(1, 12);
  });

  it('60 random tangles of 5 to 14 corners (seeded): no crossing is left, every corner is', () => {
    const random = seededRandom(12);
    for (let k = 0; k < 60; k += 1) {
      const points = Array.from({ length: 5 + (k % 10) }, (): Point => [random(), random()]);
      const mended = untangle(polygon(...points));
      if (!mended) throw new Error('not mended');
      expect(crossings(mended)).toEqual([]);
      const key = (p: Point) => p.join();
      expect(corners(mended).map(key).sort()).toEqual(points.map(key).sort());
    }
  });

  it('leaves a sound outline alone and gives up on one too long', () => {
    expect(untangle(board)).toBe(board);
    const long = polygon(...Array.from({ length: 401 }, (_, i): Point => [i % 2, i / 401]));
    expect(untangle(long)).toBeNull();
  });

  it('a loop of one curve becomes straight', () => {
    const loop: Path = {
      start: [0, 0],
      segments: [
        { kind: 'cubic', c1: [2, 1], c2: [-1, 1], to: [1, 0] },
        { kind: 'line', to: [1, -1] },
        { kind: 'line', to: [0, 0] },
      ],
    };
    expect(untangle(loop)?.segments[0]?.kind).toBe('line');
  });
});

describe('snap', () => {
  const rules = {
    gridM: 0.01,
    points: [[0.1, 0.1]] as Point[],
    anchors: [] as Point[],
    reachM: 0.004,
  };
  it.each<[string, Point, Partial<typeof rules>, Point]>([
    ['a point that is near', [0.103, 0.101], {}, [0.1, 0.1]],
    ['else the grid', [0.124, 0.156], {}, [0.12, 0.16]],
    ['a direction of 15° from a corner', [0.2, 0.002], { anchors: [[0, 0]] }, [0.2, 0]],
    [
      'a diagonal, a whole number of steps long',
      [0.0714, 0.0707],
      { anchors: [[0, 0]], points: [] },
      [0.1 / Math.SQRT2, 0.1 / Math.SQRT2],
    ],
  ])('%s', (_name, at, change, expected) => {
    const { at: found } = snap(at, { ...rules, ...change });
    expect(found[0]).toBeCloseTo(expected[0], 9);
    expect(found[1]).toBeCloseTo(expected[1], 9);
  });
  it('near its corner a direction that is well off is left to the grid', () => {
    const near = snap([0.031, 0.0045], { ...rules, anchors: [[0, 0]], reachM: 0.009 });
    // 8° off level: neither 0° nor 15° is meant.
    expect(near).toEqual({ at: [expect.closeTo(0.03, 12), 0], by: 'grid' });
  });
  it('without a grid what is far from all stays', () => {
    expect(snap([0.5, 0.37], { ...rules, gridM: null })).toEqual({ at: [0.5, 0.37], by: null });
  });
});
