import type { Point } from '../geometry';
import { seededRandom } from '../numeric';
import { LAYER_KINDS } from '../piece';
import { TEST_SHEET } from '../resin/test/sheet';
import {
  beadOf,
  beneathPlan,
  buildUp,
  filmMap,
  ledgerInput,
  filmField,
  mixLength,
  placeOf,
  planCoat,
  plannedGrounds,
  staysOn,
  type BuildCoat,
  type BuildLayer,
  type PlanArea,
  type PlanInput,
  type PlanWhole,
  type WholeCut,
} from '.';
import { faceOf, planInput, ROOM_K } from './test/planned';

/** A board of 520 × 220 mm, cut at so many places from left to right. */
function cutBoard(
  xs: readonly number[],
  cut: Partial<WholeCut> = {},
  edges: Parameters<typeof faceOf>[1] = ['open'],
): { readonly whole: PlanWhole; readonly areas: readonly PlanArea[] } {
  const face = faceOf({ kind: 'rectangle', widthM: 0.52, heightM: 0.22 }, edges, 0.02);
  const cuts = [...xs]
    .sort((a, b) => b - a)
    .map((x, i): WholeCut => ({
      ...{ of: 'p0', makes: `p${xs.length - i}`, closed: false, kind: 'line', wallM: null },
      points: [
        [x, 0.2],
        [x, -0.2],
      ],
      ...cut,
    }));
  const whole: PlanWhole = { ...face, id: 'whole', cuts };
  const ids = ['p0', ...cuts.map((c) => c.makes).reverse()];
  const areas = ids.map((id): PlanArea => {
    const place = placeOf(whole, id);
    if (!place) throw new Error(id);
    return { ...face, id, name: id, partOf: 'whole', shape: place.shape, edges: place.edges };
  });
  return { whole, areas };
}

const on = (
  { whole, areas }: ReturnType<typeof cutBoard>,
  areaIds: readonly string[],
  wish: Parameters<typeof planInput>[1] = {},
  layers: readonly BuildLayer[] = [],
): PlanInput => {
  const plan = planInput(areas, wish);
  return { ...plan, coat: { ...plan.coat, areaIds }, wholes: [whole], layers };
};
const made = (plan: PlanInput) => {
  const found = planCoat(plan, ROOM_K);
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.value;
};
const given = (thicknessM: number) => ({ intent: { by: 'given', thicknessM } }) as const;
const layer = (change: Partial<BuildLayer>): BuildLayer => ({
  ...{ id: 'l', kind: 'paste', areaIds: ['p1'], over: null, turn: 0 },
  ...{ greatestM: 3e-3, meanM: 3e-3, share: 1 },
  ...change,
});

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

describe('mass kept on 1,000 seeded build-ups of places and layers', () => {
  it('ledger and section agree, and the map where the film is even', () => {
    const random = seededRandom(41);
    let mapped = 0;
    for (let round = 0; round < 1000; round += 1) {
      const xs = [-0.12, 0.02, 0.16].filter(() => random() < 0.7);
      if (xs.length === 0) continue;
      const board = cutBoard(xs, {}, ['mould']);
      const ids = board.areas.map((a) => a.id);
      const chosen = ids.filter(() => random() < 0.6);
      if (chosen.length === 0) continue;
      const layers = ids.flatMap((id, i): BuildLayer[] =>
        random() < 0.5
          ? [
              layer({
                ...{
                  id: `l${i}`,
                  areaIds: [id],
                  kind: LAYER_KINDS[Math.floor(random() * 9)] ?? 'paint',
                },
                ...{ greatestM: 9e-4 * random(), over: random() < 0.5 ? 'under' : null },
              }),
            ].map((l) => ({ ...l, meanM: l.greatestM, share: 1 }))
          : [],
      );
      const under: BuildCoat = {
        ...({ id: 'under', kind: 'flood', order: 1, thicknessM: 1e-3, coverage: 1 } as const),
        areaIds: ids,
        staysM: ids.map(() => 1e-3),
      };
      const thicknessM = 1.2e-3 + 2e-3 * random();
      const plan = on(board, chosen, { ...given(thicknessM), coats: [under] }, layers);
      const { staysM, ledger } = made(plan);
      const volume = (id: string) => ledger.lines.find((l) => l.id === id)?.volumeM3 ?? 0;
      const told = volume('face') + volume('relief');
      const coat = { ...plan.coat, id: 'top', thicknessM, staysM };
      const lies = buildUp(board.areas, [under, coat], layers);
      const section = chosen.reduce((sum, id) => {
        const film = lies.get(id)?.films.find((f) => f.coat === coat);
        const area = board.areas.find((a) => a.id === id);
        const m2 = area ? regionOf(area) : 0;
        return sum + m2 * (film ? film.topM - film.bottomM : 0);
      }, 0);
      expect(Math.abs(section - told) / told).toBeLessThan(2e-3);
      expect(beneathPlan(plan).size).toBe(ids.length);
      // The map of one ground whose places are level.
      const grounds = plannedGrounds(plan);
      const [ground] = grounds;
      if (mapped < 12 && grounds.length === 1 && ground && ground.standing.length === 0) {
        const field = filmField({
          shape: ground.shape,
          walls: ground.edges.map(() => true),
          lengthM: 1.9e-3,
          cells: 4000,
        });
        const map = filmMap(field.ok ? field.value : raise(field.issues), {
          thicknessM: staysOn(coat, ground.id),
          wedgeM: 0,
          bellyMeanM: 0,
          downhill: [1, 0],
        });
        expect(Math.abs(map.volumeM3 - told) / told).toBeLessThan(2e-3);
        mapped += 1;
      }
    }
    expect(mapped).toBe(12);
  });
});

const raise = (what: unknown): never => {
  throw new Error(JSON.stringify(what));
};

/** Area of a place by the cuts themselves, m². */
function regionOf(area: PlanArea): number {
  const xs = area.shape.kind === 'outline' ? area.shape.outer : null;
  if (!xs) throw new Error('place');
  const points = [xs.start, ...xs.segments.map((s) => s.to)];
  const span = (k: 0 | 1) =>
    Math.max(...points.map((p) => p[k])) - Math.min(...points.map((p) => p[k]));
  return span(0) * span(1);
}
