import ClipperLib from 'clipper-lib';
import { flattenPath, measureShape, pathArea, type Point, type Shape } from '../geometry';
import { seededRandom } from '../numeric';
import { clip, multiArea, polygonOf } from '../geometry/clip';
import {
  joinRegions,
  partition,
  placeOutline,
  regionArea,
  sidedFace,
  loopPath,
  type FaceCut,
} from '.';
import { insetRing } from './insetRing';

const board: Shape = { kind: 'rectangle', widthM: 0.52, heightM: 0.22 };
const line = (...points: Point[]) => ({ points, closed: false });
const round = (...points: Point[]) => ({ points, closed: true });
const cut = (of: string, makes: string, l: Pick<FaceCut, 'points' | 'closed'>): FaceCut => ({
  of,
  makes,
  ...l,
});
const areas = (shape: Shape, ...cuts: FaceCut[]) => {
  const found = partition(shape, cuts);
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return Object.fromEntries([...found.value].map(([name, r]) => [name, regionArea(r)]));
};
const faults = (shape: Shape, ...cuts: FaceCut[]) => {
  const found = partition(shape, cuts);
  return found.ok ? [] : found.issues.map((i) => [i.code, i.path[0], i.value]);
};

describe('places of a face', () => {
  it('cuts the bare end off a board: worked by hand', () => {
    const found = areas(board, cut('a', 'b', line([0.14, -0.2], [0.14, 0.2])));
    expect(found['a']).toBeCloseTo(0.12 * 0.22, 12);
    expect(found['b']).toBeCloseTo(0.4 * 0.22, 12);
  });

  it('takes a line that stops 2 mm short of the edge, and one that begins in a corner', () => {
    expect(areas(board, cut('a', 'b', line([0.14, -0.108], [0.14, 0.109])))['b']).toBeCloseTo(
      0.088,
      12,
    );
    const half = areas(board, cut('a', 'b', line([-0.26, -0.11], [0.26, 0.11])));
    expect(half['a']).toBeCloseTo((0.52 * 0.22) / 2, 12);
    expect(half['b']).toBeCloseTo((0.52 * 0.22) / 2, 12);
  });

  it('tells a line that does not cut, that cuts more, that crosses itself, and a place that is not there', () => {
    expect(faults(board, cut('a', 'b', line([0, -0.2], [0, 0])))).toEqual([
      ['does-not-fit', 0, 'does not cut'],
    ]);
    expect(faults(board, cut('a', 'b', line([1, -0.2], [1, 0.2])))).toEqual([
      ['does-not-fit', 0, 'does not cut'],
    ]);
    const twice = line([-0.1, -0.2], [-0.1, 0.2], [0.1, 0.2], [0.1, -0.2]);
    expect(faults(board, cut('a', 'b', twice))).toEqual([['does-not-fit', 0, 'more than two']]);
    const bow = round([-0.1, -0.05], [0.1, 0.05], [0.1, -0.05], [-0.1, 0.05]);
    expect(faults(board, cut('a', 'b', bow))).toEqual([['does-not-fit', 0, 'crosses itself']]);
    const across = line([0, -0.2], [0, 0.2]);
    expect(faults(board, cut('a', 'b', across), cut('c', 'd', across))).toEqual([
      ['unknown-name', 1, 'c'],
    ]);
    expect(faults(board, cut('a', 'b', across), cut('a', 'b', across))).toEqual([
      ['unknown-name', 1, 'b'],
    ]);
  });

  it('cuts an island out, whichever way it is drawn, and through the island', () => {
    const island = round([-0.05, -0.04], [0.05, -0.04], [0.05, 0.04], [-0.05, 0.04]);
    const other = { ...island, points: [...island.points].reverse() };
    for (const way of [island, other]) {
      const found = areas(board, cut('a', 'b', way));
      expect(found['b']).toBeCloseTo(0.1 * 0.08, 12);
      expect(found['a']).toBeCloseTo(0.52 * 0.22 - 0.1 * 0.08, 12);
    }
    const through = areas(
      board,
      cut('a', 'b', island),
      cut('a', 'c', line([0, -0.2], [0, 0.2])),
      cut('b', 'd', line([0, -0.2], [0, 0.2])),
    );
    expect(through['b']).toBeCloseTo(0.004, 12);
    expect(through['d']).toBeCloseTo(0.004, 12);
    expect(through['c']).toBeCloseTo(0.26 * 0.22 - 0.004, 12);
  });

  it('takes a closed line that reaches over the boundary', () => {
    const over = round([0.14, -0.2], [0.4, -0.2], [0.4, 0.2], [0.14, 0.2]);
    expect(areas(board, cut('a', 'b', over))['b']).toBeCloseTo(0.12 * 0.22, 12);
    expect(
      areas(board, cut('a', 'b', { ...over, points: [...over.points].reverse() }))['b'],
    ).toBeCloseTo(0.12 * 0.22, 12);
  });

  it('cuts a segment off a disc: closed form', () => {
    const found = areas(
      { kind: 'disc', diameterM: 0.3 },
      cut('a', 'b', line([0.1, -0.2], [0.1, 0.2])),
    );
    const [r, d] = [0.15, 0.1];
    // Area of a circular segment: r² acos(d/r) − d √(r² − d²), handbook.
    expect(found['a']).toBeCloseTo(r * r * Math.acos(d / r) - d * Math.sqrt(r * r - d * d), 11);
  });

  it('knows what each side of a place lies on, and a neighbour’s new corner', () => {
    const found = partition(board, [
      cut('a', 'b', line([0, -0.2], [0, 0.2])),
      cut('b', 'c', line([-0.3, 0], [0.02, 0])),
    ]);
    if (!found.ok) throw new Error('cut');
    const marks = [...found.value].map(([name, r]) => [name, placeOutline(r).marks]);
    expect(Object.fromEntries(marks)).toEqual({
      a: [0, 1, 2, -1],
      b: expect.arrayContaining([-1, -2, 3]),
      c: expect.arrayContaining([-1, -2, 3]),
    });
    const back = joinRegions([...found.value.values()]);
    expect(back).toHaveLength(1);
    expect(regionArea(back[0]!)).toBeCloseTo(0.52 * 0.22, 13);
    expect(new Set(placeOutline(back[0]!).marks)).toEqual(new Set([0, 1, 2, 3]));
  });

  it('joins what borders on each other, and leaves apart what does not', () => {
    const thirds = partition(board, [
      cut('a', 'b', line([-0.1, -0.2], [-0.1, 0.2])),
      cut('a', 'c', line([0.1, -0.2], [0.1, 0.2])),
    ]);
    if (!thirds.ok) throw new Error('cut');
    const of = (...names: string[]) => joinRegions(names.flatMap((n) => thirds.value.get(n) ?? []));
    const [left, right] = [...thirds.value]
      .filter(([, r]) => Math.abs(regionArea(r) - 0.16 * 0.22) < 1e-9)
      .map(([n]) => n);
    expect(of(left!, right!)).toHaveLength(2);
    const middle = [...thirds.value.keys()].find((n) => n !== left && n !== right);
    expect(of(left!, middle!)).toHaveLength(1);
    expect(of('a', 'b', 'c').map(regionArea)).toEqual([expect.closeTo(0.1144, 13)]);
  });
});

/** An outline of curves round a middle, with a waist now and then. */
function blob(random: () => number, count: number): Shape {
  const at = (i: number): Point => {
    const a = (2 * Math.PI * i) / count;
    const r = 0.1 + 0.05 * random();
    return [r * Math.cos(a), r * Math.sin(a)];
  };
  const points = Array.from({ length: count }, (_, i) => at(i));
  const start = points[0]!;
  return {
    kind: 'outline',
    keepBare: [],
    outer: {
      start,
      segments: [...points.slice(1), start].map((to, i) => {
        const from = points[i]!;
        if (i % 2) return { kind: 'line', to };
        const mid = (k: number): Point => [
          from[0] + (to[0] - from[0]) * k + 0.004 * random(),
          from[1] + (to[1] - from[1]) * k + 0.004 * random(),
        ];
        return { kind: 'cubic', c1: mid(0.3), c2: mid(0.7), to };
      }),
    },
  };
}

/** `npm run deep` makes a thousand. */
const CUTS = process.env['DEEP'] ? 1000 : 300;

describe('hundreds of cuts', () => {
  it('never lose or double area, and agree with a second geometry library', () => {
    const random = seededRandom(12);
    let done = 0;
    let checked = 0;
    for (let round = 0; done < CUTS; round += 1) {
      const shape: Shape =
        round % 3 === 0 ? { kind: 'disc', diameterM: 0.2 } : blob(random, 12 + (round % 5));
      const whole = regionArea(sidedFace(shape));
      const cuts: FaceCut[] = [];
      for (let tries = 0; tries < 9; tries += 1) {
        const near = (k: number) => (random() - 0.5) * k;
        const closed = random() < 0.25;
        const a = 2 * Math.PI * random();
        const middle: Point = [near(0.2), near(0.2)];
        const points: Point[] = closed
          ? [0, 1, 2, 3].map((k): Point => [
              middle[0] + 0.02 * Math.cos(a + k * 1.57),
              middle[1] + 0.03 * Math.sin(a + k * 1.57),
            ])
          : [
              [-0.4, 0],
              [-0.02, 0.01 * random()],
              [0.03, 0.01 * random()],
              [0.4, 0],
            ].map(([x, y]): Point => [
              middle[0] + x! * Math.cos(a) - y! * Math.sin(a),
              middle[1] + x! * Math.sin(a) + y! * Math.cos(a),
            ]);
        const of =
          cuts.length === 0 ? 'p' : random() < 0.5 ? 'p' : `q${Math.floor(random() * cuts.length)}`;
        const next = [...cuts, cut(of, `q${cuts.length}`, { points, closed })];
        const found = partition(shape, next);
        if (!found.ok) continue;
        cuts.push(next.at(-1)!);
        done += 1;
        const regions = [...found.value.values()];
        const sum = regions.reduce((s, r) => s + regionArea(r), 0);
        expect(Math.abs(sum - whole) / whole).toBeLessThan(1e-12);
        expect(regions.every((r) => regionArea(r) > 0)).toBe(true);
        const back = joinRegions(regions);
        expect(back.map(regionArea)).toEqual([expect.closeTo(whole, 13)]);
        // Each new pair against a boolean of the flattened place before, by the second library.
        if (closed && checked < 60 && cuts.length > 1) {
          const prior = (
            partition(shape, cuts.slice(0, -1)) as {
              value: ReadonlyMap<string, ReturnType<typeof sidedFace>>;
            }
          ).value.get(of)!;
          const multi = [
            [prior.outer, ...prior.holes].map((l) =>
              flattenPath(loopPath(l), 1e-7).map(([x, y]): [number, number] => [x, y]),
            ),
          ];
          const inside = clip('intersection', multi, polygonOf(points));
          if (inside) {
            expect(regionArea(found.value.get(`q${cuts.length - 1}`)!)).toBeCloseTo(
              multiArea(inside),
              7,
            );
            checked += 1;
          }
        }
      }
    }
    expect(checked).toBeGreaterThan(20);
  });
});

describe('insets', () => {
  it('take an even rim off a rectangle and a disc: closed forms', () => {
    const [ring] = insetRing(flattenPath(loopPath(sidedFace(board).outer), 1e-6), 0.02);
    expect(Math.abs(ClipperLib.Clipper.Area(ring!.map(([X, Y]) => ({ X, Y }))))).toBeCloseTo(
      0.48 * 0.18,
      7,
    );
    const disc: Shape = { kind: 'disc', diameterM: 0.2 };
    const [inner] = insetRing(flattenPath(loopPath(sidedFace(disc).outer), 1e-6), 0.03);
    expect(
      pathArea(
        loopPath(
          inner!.map((from, i) => ({
            from,
            segment: { kind: 'line' as const, to: inner![(i + 1) % inner!.length]! },
            mark: 0,
          })),
        ),
      ),
    ).toBeCloseTo(Math.PI * 0.07 ** 2, 5);
    expect(insetRing(flattenPath(loopPath(sidedFace(disc).outer), 1e-6), 0.11)).toEqual([]);
    expect(regionArea(sidedFace(disc)) / measureShape(disc).areaM2 - 1).toBeLessThan(1e-10);
  });
});

describe('the outline of a place', () => {
  it('is one side for each thing that it lies on, and goes round from a side’s begin', () => {
    const found = partition({ kind: 'disc', diameterM: 0.2 }, [
      {
        of: 'a',
        makes: 'b',
        points: [
          [0, 0.2],
          [0.01, 0],
          [0, -0.2],
        ],
        closed: false,
      },
    ]);
    if (!found.ok) throw new Error('cut');
    for (const region of found.value.values()) {
      const { shape, marks } = placeOutline(region);
      expect([...marks].sort()).toEqual([-1, 0]);
      expect(shape.outer.sideOf?.[0]).toBe(0);
      expect(new Set(shape.outer.sideOf)).toEqual(new Set([0, 1]));
    }
  });
});
