import type { Point } from '../geometry';
import { TEST_SHEET } from '../resin/test/sheet';
import {
  beadOf,
  buildUp,
  ledgerInput,
  mixLength,
  plannedGrounds,
  type BuildCoat,
  type BuildLayer,
  type PlanInput,
} from '.';
import { cutBoard, given, layer, made, on } from './test/cutBoard';

describe('a coat on a part of a face', () => {
  const board = cutBoard([0.14]);

  it('follows the boundary of what it covers: 1020 mm of open edge, not 1480', () => {
    const { areas } = ledgerInput(on(board, ['p0'], given(1.6e-3)), 1.6e-3);
    expect(areas).toHaveLength(1);
    expect(areas[0]?.areaM2).toBeCloseTo(0.4 * 0.22, 12);
    expect(areas[0]?.openEdges.reduce((s, e) => s + e.lengthM, 0)).toBeCloseTo(1.02, 12);
    const all = ledgerInput(on(board, ['p0', 'p1'], given(1.6e-3)), 1.6e-3);
    expect(all.areas).toHaveLength(1);
    expect(all.areas[0]?.openEdges.reduce((s, e) => s + e.lengthM, 0)).toBeCloseTo(1.48, 12);
  });

  it('places that do not border on each other are films of their own', () => {
    const three = cutBoard([-0.1, 0.1]);
    expect(plannedGrounds(on(three, ['p0', 'p2'], given(1.6e-3)))).toHaveLength(2);
    expect(plannedGrounds(on(three, ['p0', 'p1'], given(1.6e-3)))).toHaveLength(1);
  });

  it('beside a bank of paste meets none of it, and is held by it', () => {
    const water = on(board, ['p0'], given(1.6e-3), [layer({})]);
    const [ground] = plannedGrounds(water);
    expect(ground?.standing).toEqual([]);
    expect(ground?.edges.map((e) => e.kind).sort()).toEqual([
      'open',
      'open',
      'open',
      'raised line',
    ]);
    expect(ground?.edges.find((e) => e.kind === 'raised line')?.wallM).toBeCloseTo(3e-3, 12);
    const relief = made(water).ledger.lines.find((l) => l.id === 'relief');
    expect(relief).toBeUndefined();
  });

  it('a low step is levelled over, a high one parts the film', () => {
    const low = on(board, ['p0', 'p1'], given(1.6e-3), [layer({ greatestM: 4e-4, meanM: 4e-4 })]);
    const { staysM } = made(low);
    expect(plannedGrounds(low)).toHaveLength(1);
    expect(staysM[0]).toBeCloseTo(1.6e-3, 9);
    expect(staysM[1]).toBeCloseTo(1.2e-3, 9);
    const high = on(board, ['p0', 'p1'], given(1.6e-3), [layer({})]);
    expect(plannedGrounds(high)).toHaveLength(2);
    expect(made(high).staysM.map((m) => Math.round(m * 1e9))).toEqual([1600000, 1600000]);
  });

  it('pores are those of what lies on top: paste opens them, varnish closes them', () => {
    const soak = (...layers: BuildLayer[]) =>
      ledgerInput(on(board, ['p1'], given(1.6e-3), layers), 1.6e-3).areas[0]?.soakM ?? 0;
    expect(soak()).toBe(0);
    expect(soak(layer({}))).toBeGreaterThan(0);
    const varnish = layer({ id: 'v', kind: 'varnish', turn: 1, greatestM: 1e-4, meanM: 1e-4 });
    expect(soak(layer({}), varnish)).toBe(0);
  });

  it('a dam that came off turns its edges open for what follows', () => {
    const dammed = cutBoard([0.14], {}, ['dam']);
    const below = { id: 'a', kind: 'flood', order: 1, thicknessM: 2e-3, coverage: 1 } as const;
    const coat = { ...below, areaIds: ['p0', 'p1'], staysM: [2e-3, 2e-3] };
    const edges = (freesDams: boolean) =>
      plannedGrounds(
        on(dammed, ['p0', 'p1'], { ...given(1.6e-3), coats: [{ ...coat, freesDams }] }),
      ).flatMap((g) => g.edges.map((e) => e.kind));
    expect(new Set(edges(false))).toEqual(new Set(['dam']));
    expect(new Set(edges(true))).toEqual(new Set(['open']));
  });
});

describe('walls and lines', () => {
  const check = (plan: PlanInput) => made(plan).checks.find((c) => c.id === 'wall');
  const cell = cutBoard([0.14], { kind: 'raised line', wallM: 2e-3 }, ['mould']);
  it.each([
    [1.4e-3, 'fine'],
    [1.6e-3, 'watch'],
    [2e-3, 'watch'],
    [2.1e-3, 'stop'],
  ])('a fill of %d m under a line of 2 mm: %s', (thicknessM, verdict) =>
    expect(check(on(cell, ['p0'], given(thicknessM)))?.verdict).toBe(verdict),
  );
  it.each([
    [1.9e-3, 'watch'],
    [2.2e-3, 'watch'],
    [2.4e-3, 'fine'],
  ])('a flood of %d m over it: %s', (thicknessM, verdict) => {
    const found = check(on(cell, ['p0', 'p1'], given(thicknessM)));
    expect(found).toMatchObject({ verdict, figures: { is: 'buried' } });
  });
  it('nothing without a height', () =>
    expect(check(on(cutBoard([0.14], {}, ['mould']), ['p0'], given(2e-3)))).toBeUndefined());

  it('a bead is a circular segment while it is narrow (handbook), and a puddle when wide', () => {
    const lc = mixLength(TEST_SHEET);
    const bead = (widthM: number, degrees: number) =>
      beadOf(
        {
          points: [
            [0, 0],
            [0.5, 0],
          ] as Point[],
          closed: false,
          widthM,
          angleRad: (degrees * Math.PI) / 180,
        },
        lc,
      );
    for (const degrees of [30, 60]) {
      const t = (degrees * Math.PI) / 180;
      const w = 0.4e-3;
      // Segment of a circle: (w²/4)(θ − sin θ cos θ)/sin² θ, height (w/2) tan(θ/2).
      expect(
        bead(w, degrees).sectionM2 /
          (((w * w) / 4) * ((t - Math.sin(t) * Math.cos(t)) / Math.sin(t) ** 2)),
      ).toBeCloseTo(1, 1);
      expect(bead(w, degrees).heightM / ((w / 2) * Math.tan(t / 2))).toBeCloseTo(1, 1);
      expect(bead(0.1, degrees).heightM / (2 * lc * Math.sin(t / 2))).toBeCloseTo(1, 2);
    }
    expect(bead(6e-3, 45).lengthM).toBe(0.5);
  });
  it('a line coat takes its bead, and nothing for face or edges', () => {
    const board = cutBoard([0.14]);
    const line = {
      points: [
        [0, -0.11],
        [0, 0.11],
      ] as Point[],
      closed: false,
      widthM: 6e-3,
      angleRad: 0.7,
    };
    const plan = on(board, ['p0'], { kind: 'line', ...given(1e-3), coat: { line } });
    const { ledger, checks } = made(plan);
    const lines = ledger.lines.map((l) => l.id);
    expect(lines).toEqual(['line', 'cup', 'reserve']);
    expect(ledger.lines[0]?.volumeM3).toBeCloseTo(
      0.22 * beadOf(line, mixLength(plan.sheet)).sectionM2,
      15,
    );
    expect(checks).toEqual([]);
    expect(
      buildUp(board.areas, [{ ...plan.coat, thicknessM: 1e-3, staysM: [1e-3] }]).get('p0')
        ?.surfaceM,
    ).toBe(0);
  });
});

describe('a raised line of resin', () => {
  const board = cutBoard([0.14]);
  const raised = (x: number): BuildCoat => ({
    ...{ id: 'line', kind: 'line', order: 1, areaIds: ['p0'], thicknessM: 1.5e-3 },
    ...{ coverage: 1, staysM: [1.5e-3] },
    line: {
      points: [
        [x, -0.11],
        [x, 0.11],
      ],
      ...{ closed: false, widthM: 3e-3, angleRad: 1.2, as: 'raised line' },
    },
  });
  const grounds = (x: number, ids: readonly string[], line = raised(x)) =>
    plannedGrounds(on(board, ids, { ...given(1e-3), coats: [line] }));

  it('along a boundary is a wall of its height by itself, a hand’s breadth off it is not', () => {
    const walls = (x: number) =>
      grounds(x, ['p0']).flatMap((g) => g.edges.flatMap((e) => (e.wallM ? [e.wallM] : [])));
    expect(walls(0.14)).toEqual([1.5e-3]);
    expect(walls(0.1422)).toEqual([1.5e-3]);
    expect(walls(0.15)).toEqual([]);
    const flat = raised(0.14);
    const wave = flat.line ? { ...flat, line: { ...flat.line, as: 'wave' as const } } : flat;
    expect(grounds(0.14, ['p0'], wave).flatMap((g) => g.edges.map((e) => e.kind))).not.toContain(
      'raised line',
    );
  });
  it('under a flood across both its sides it is to be buried', () => {
    const [ground] = grounds(0.14, ['p0', 'p1']);
    expect(ground?.inner).toMatchObject([{ kind: 'raised line', wallM: 1.5e-3 }]);
    const mould = cutBoard([0.14], {}, ['mould']);
    const check = (thicknessM: number) =>
      made(on(mould, ['p0', 'p1'], { ...given(thicknessM), coats: [raised(0.14)] })).checks.find(
        (c) => c.id === 'wall',
      )?.figures;
    expect(check(2e-3)).toMatchObject({ is: 'buried', spareM: expect.closeTo(0.5e-3, 9) });
  });
  it('elsewhere it stands in the film of its own ground: two thirds of width × height × length', () => {
    const [ground] = grounds(0, ['p0']);
    const [line] = ground?.standing ?? [];
    expect((line?.share ?? 0) * 0.4 * 0.22).toBeCloseTo(3e-3 * 0.22, 9);
    expect(line).toMatchObject({ greatestM: 1.5e-3, meanM: 1e-3 });
    expect(grounds(0, ['p1'])[0]?.standing).toEqual([]);
  });
});
