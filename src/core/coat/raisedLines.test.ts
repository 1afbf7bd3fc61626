import type { Point } from '../geometry';
import type { EdgeKind } from '../piece';
import { plannedGrounds, type BuildCoat, type Ground } from '.';
import { raisedBelow, runsAlong, withRaised, type RaisedLine } from './raisedLines';
import { cutBoard, given, layer, on } from './test/cutBoard';
import { faceOf, planInput } from './test/planned';

const line = (points: readonly Point[], change: Partial<RaisedLine> = {}): RaisedLine => ({
  ...{ points, closed: false, widthM: 4e-3, standsOnM: 0, heightM: 2e-3 },
  ...change,
});
/** 300 × 200 mm about the middle; sides from the lower left: bottom, right, top, left. */
const groundOf = (edges: readonly EdgeKind[] = ['open'], change: Partial<Ground> = {}): Ground => {
  const face = faceOf({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, edges);
  const [ground] = plannedGrounds(planInput([face], given(2e-3)));
  if (!ground) throw new Error('no ground');
  return { ...ground, ...change };
};
const right: readonly Point[] = [
  [0.149, -0.1],
  [0.149, 0.1],
];
const across: readonly Point[] = [
  [-0.1, 0.05],
  [0.12, 0.05],
];

describe('whether a line runs along a stretch', () => {
  const stretch: readonly Point[] = [
    [0.2, 0.1],
    [0.2, 0.3],
  ];
  const beside = (off: number, from = 0.1, to = 0.3) =>
    runsAlong(
      line([
        [0.2 + off, from],
        [0.2 + off, to],
      ]),
      stretch,
    );
  it('a hand draws it beside by a millimetre and half its width, and no more', () => {
    expect(beside(0.0029)).toBe(true);
    expect(beside(-0.0029)).toBe(true);
    expect(beside(0.0031)).toBe(false);
  });
  it('all of the stretch, or it is not along it', () => {
    expect(beside(0, 0.1, 0.25)).toBe(false);
    expect(beside(0, 0.15, 0.3)).toBe(false);
    expect(beside(0, 0, 0.5)).toBe(true);
    const bow = line([
      [0.2, 0.1],
      [0.25, 0.2],
      [0.2, 0.3],
    ]);
    expect(runsAlong(bow, stretch)).toBe(false);
    expect(runsAlong(bow, [stretch[0] as Point])).toBe(false);
    expect(runsAlong(bow, [])).toBe(false);
    expect(runsAlong(line([stretch[0] as Point]), stretch)).toBe(false);
  });
  it('a closed one comes back to its start', () => {
    const ring: readonly Point[] = [
      [0.2, 0.3],
      [0.4, 0.2],
      [0.2, 0.1],
    ];
    expect(runsAlong(line(ring, { closed: true }), stretch)).toBe(true);
    expect(runsAlong(line(ring), stretch)).toBe(false);
  });
});

describe('a line along an edge of a ground', () => {
  const rightOf = (ground: Ground) => {
    const edge = ground.edges[1];
    return [edge?.kind, edge?.wallM ?? null];
  };
  it.each<[EdgeKind, EdgeKind, number | null]>([
    ['open', 'raised line', 2.5e-3],
    ['doming', 'raised line', 2.5e-3],
    ['line', 'raised line', 2.5e-3],
    ['raised line', 'raised line', 2.5e-3],
    ['tape wall', 'tape wall', null],
    ['mould', 'mould', null],
    ['dam', 'dam', null],
  ])('%s becomes %s', (kind, told, wallM) => {
    const ground = withRaised(groundOf([kind]), [line(right, { standsOnM: 0.5e-3 })]);
    expect(rightOf(ground)).toEqual([told, wallM]);
    expect(ground.edges.filter((e) => e.kind === kind).length).toBe(told === kind ? 4 : 3);
    // What is a wall is not buried besides; where a wall stood already, the line stands before it.
    expect(ground.standing.length).toBe(told === 'raised line' ? 0 : 1);
  });
  it('a higher one that stands already stays as high', () => {
    const plain = groundOf(['raised line']);
    const walled = (wallM: number) => ({
      ...plain,
      edges: plain.edges.map((e) => ({ ...e, wallM })),
    });
    expect(rightOf(withRaised(walled(4e-3), [line(right)]))[1]).toBe(4e-3);
    expect(rightOf(withRaised(walled(1e-3), [line(right)]))[1]).toBe(2e-3);
  });
  it('one that what lies there has drowned is nothing', () => {
    for (const belowM of [2e-3, 3e-3]) {
      const ground = groundOf(['open'], { belowM });
      expect(withRaised(ground, [line(right), line(across)])).toEqual(ground);
    }
    const low = withRaised(groundOf(['open'], { belowM: 1.9e-3 }), [line(right), line(across)]);
    expect(rightOf(low)[0]).toBe('raised line');
    expect(low.standing).toHaveLength(1);
  });
  it('without a line it is the same ground', () => {
    const ground = groundOf();
    expect(withRaised(ground, [])).toBe(ground);
  });
});

describe('a line elsewhere', () => {
  it('stands in the film by its length, width and two thirds of its height', () => {
    const relief = { greatestM: 1e-3, meanM: 1e-3, share: 0.1 };
    const own = groundOf(['open'], { belowM: 0.4e-3, standing: [relief] });
    const ground = withRaised(own, [line(across, { standsOnM: 0.3e-3 })]);
    expect(ground.standing).toEqual([
      relief,
      {
        ...{ greatestM: 2e-3, meanM: expect.closeTo((2e-3 * 2) / 3, 12) },
        ...{ share: expect.closeTo((0.22 * 4e-3) / 0.06, 9), standsOnM: 0.3e-3, aboveM: 0.4e-3 },
      },
    ]);
  });
  it('counts with what of it lies on the ground, and never with more than all of it', () => {
    const shareOf = (points: readonly Point[], change: Partial<RaisedLine> = {}) =>
      withRaised(groundOf(), [line(points, change)]).standing.map((r) => r.share);
    const half: readonly Point[] = [
      [0, -0.2],
      [0, 0],
    ];
    expect(shareOf(half)[0]).toBeCloseTo((0.1 * 4e-3) / 0.06, 9);
    const away: readonly Point[] = [
      [1, 1],
      [1, 2],
    ];
    expect(shareOf(away)).toEqual([]);
    const often = Array.from({ length: 80 }, (_, i) => across[i % 2] as Point);
    expect(shareOf(often)).toEqual([1]);
    const square: readonly Point[] = [
      [-0.05, -0.05],
      [0.05, -0.05],
      [0.05, 0.05],
      [-0.05, 0.05],
    ];
    expect(shareOf(square, { closed: true })[0]).toBeCloseTo((0.4 * 4e-3) / 0.06, 9);
    expect(shareOf(square)[0]).toBeCloseTo((0.3 * 4e-3) / 0.06, 9);
  });
});

describe('a line along a cut inside a ground', () => {
  const inner = (wallM: number | null, heightM = 2e-3) => {
    const board = cutBoard([0.14], { kind: 'raised line', wallM });
    const [ground] = plannedGrounds(on(board, ['p0', 'p1'], given(2e-3)));
    if (!ground) throw new Error('no ground');
    const cut: readonly Point[] = [
      [0.14, -0.11],
      [0.14, 0.11],
    ];
    return withRaised(ground, [line(across), line(cut, { heightM, standsOnM: 0.5e-3 })]).inner;
  };
  it('is as high as the higher of what stands there and the line', () => {
    expect(inner(null)).toMatchObject([{ kind: 'raised line', wallM: 2.5e-3 }]);
    expect(inner(4e-3)).toMatchObject([{ kind: 'raised line', wallM: 4e-3 }]);
    expect(inner(1e-3)).toMatchObject([{ kind: 'raised line', wallM: 2.5e-3 }]);
  });
});

describe('the lines that lie below a coat', () => {
  const { areas } = cutBoard([0.14]);
  const drawn = (order: number, as: 'raised line' | 'wave' = 'raised line'): BuildCoat => ({
    ...{ kind: 'line', order, areaIds: ['p0'], thicknessM: 1.5e-3, staysM: [], coverage: 1 },
    line: { points: across, closed: true, widthM: 3e-3, angleRad: 1, as },
  });
  const flood: BuildCoat = {
    ...{ id: 'f', kind: 'flood', order: 2, areaIds: ['p0'], thicknessM: 1e-3, coverage: 1 },
    staysM: [0.8e-3],
  };
  const found = (coats: readonly BuildCoat[], order = 5) =>
    raisedBelow({ coat: { order }, coats, areas, layers: [layer({ areaIds: ['p0'] })] });
  it('stand on what was there when they were drawn', () => {
    const told = { points: across, closed: true, widthM: 3e-3, heightM: 1.5e-3 };
    expect(found([drawn(1), flood])).toEqual([{ ...told, standsOnM: expect.closeTo(3e-3, 12) }]);
    expect(found([drawn(3), flood])).toEqual([{ ...told, standsOnM: expect.closeTo(3.8e-3, 12) }]);
    expect(found([{ ...drawn(3), areaIds: ['gone'] }])[0]?.standsOnM).toBe(0);
  });
  it('not waves, and not those that are drawn with it or later', () => {
    expect(found([drawn(1, 'wave'), drawn(5), drawn(6), flood])).toEqual([]);
    expect(found([drawn(4)])).toHaveLength(1);
  });
});
