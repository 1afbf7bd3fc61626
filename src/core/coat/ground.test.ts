import type { BuildLayer, PlanArea, PlanInput } from '.';
import { beneathPlan, ledgerInput, plannedFilm, plannedGrounds, staysOfFilm } from '.';
import { cutBoard, given, layer, on } from './test/cutBoard';
import { faceOf, planInput } from './test/planned';
import { SOAK_M } from './soak';

const raisedBy = (mm: number, areaIds: readonly string[], id = `${mm}`): BuildLayer =>
  layer({ id, areaIds, kind: 'paint', greatestM: mm / 1e3, meanM: mm / 1e3 });
const P1 = 0.12 / 0.52;
const board = cutBoard([0.14]);
const withArea = (id: string, change: Partial<PlanArea>) => ({
  ...board,
  areas: board.areas.map((a) => (a.id === id ? { ...a, ...change } : a)),
});
const close = (m: number) => expect.closeTo(m, 12);

describe('places that lie a little higher', () => {
  const stones = { kind: 'stones', greatestM: 2e-3, meanM: 1e-3, share: 0.5 } as const;
  const stony = withArea('p1', { relief: [stones] });
  it('stand in the film as a step of their share, with their relief above it', () => {
    const [ground] = plannedGrounds(on(stony, ['p0', 'p1'], given(2e-3), [raisedBy(0.4, ['p1'])]));
    expect(ground?.belowM).toBe(0);
    expect(ground?.parts.map((p) => [p.area.id, p.share, p.stepM])).toEqual([
      ['p0', close(1 - P1), 0],
      ['p1', close(P1), close(0.4e-3)],
    ]);
    expect(ground?.standing).toMatchObject([
      { greatestM: close(0.4e-3), meanM: close(0.4e-3), share: close(P1), standsOnM: 0 },
      { ...stones, share: close(P1 / 2), aboveM: close(0.4e-3) },
    ]);
  });
  it('over what lies there already: step and burial count from the ground', () => {
    const flood = { kind: 'flood', order: 1, thicknessM: 1e-3, coverage: 1 } as const;
    const coats = [{ ...flood, id: 'a', areaIds: ['p0', 'p1'], staysM: [1e-3, 1e-3] }];
    const grains = layer({ id: 'g', kind: 'loose grains', over: 'a', share: 0.6, turn: 1 });
    const step = { ...raisedBy(0.4, ['p1']), over: 'a' };
    const [ground] = plannedGrounds(
      on(stony, ['p0', 'p1'], { ...given(2e-3), coats }, [step, grains]),
    );
    expect(ground?.belowM).toBeCloseTo(1e-3, 12);
    expect(ground?.standing).toMatchObject([
      { greatestM: close(0.4e-3), share: close(P1), standsOnM: close(1e-3) },
      { ...stones, share: close(P1 / 2), aboveM: close(1.4e-3) },
      {
        greatestM: close(3e-3),
        share: close(0.6 * P1),
        standsOnM: close(1.4e-3),
        aboveM: close(1.4e-3),
      },
    ]);
    // A level place keeps the burial that its layers tell.
    const [flat] = plannedGrounds(on(stony, ['p0', 'p1'], { ...given(2e-3), coats }, [grains]));
    expect(flat?.standing).toMatchObject([
      { ...stones, share: close(P1 / 2) },
      { share: close(0.6 * P1), standsOnM: close(1e-3), aboveM: close(1e-3) },
    ]);
    expect(flat?.standing[0]).not.toHaveProperty('aboveM');
  });
});

describe('which places make one film', () => {
  const three = cutBoard([-0.1, 0.1]);
  const films = (layers: readonly BuildLayer[], ids = ['p0', 'p1', 'p2'], wish = {}) =>
    plannedGrounds(on(three, ids, { ...given(4e-3), ...wish }, layers)).map((g) => ({
      name: g.name,
      belowM: Number(g.belowM.toFixed(9)),
      walls: g.edges.flatMap((e) =>
        e.kind === 'raised line' ? [Number(e.wallM?.toFixed(9))] : [],
      ),
      ids: g.parts.map((p) => p.area.id),
    }));
  it('those within a millimetre of the lowest, lowest first, told by their names', () => {
    expect(films([])).toEqual([{ name: 'Face', belowM: 0, walls: [], ids: ['p0', 'p1', 'p2'] }]);
    expect(films([raisedBy(2, ['p0']), raisedBy(0.9, ['p1'])])).toEqual([
      { name: 'p2 + p1', belowM: 0, walls: [2e-3], ids: ['p2', 'p1'] },
      { name: 'p0', belowM: 2e-3, walls: [], ids: ['p0'] },
    ]);
    // 0, 0.9 and 1.8 mm: the third lies too high over the first.
    expect(films([raisedBy(0.9, ['p1']), raisedBy(1.8, ['p2'])]).map((f) => f.ids.join())).toEqual([
      'p0,p1',
      'p2',
    ]);
  });
  it('a millimetre to the hair is still one film, and no wall', () => {
    expect(films([raisedBy(1, ['p1'])])).toHaveLength(1);
    expect(films([raisedBy(1, ['p1'])], ['p0'])[0]?.walls).toEqual([]);
    expect(films([raisedBy(1.001, ['p1'])], ['p0'])[0]?.walls).toEqual([1.001e-3]);
    // A place that is raised itself is held by what is higher than it, by no more than it stands.
    expect(films([raisedBy(1.5, ['p0']), raisedBy(2, ['p1'])], ['p0'])[0]?.walls).toEqual([]);
  });
  it('what is brushed follows every step: one film, no step in it, no wall', () => {
    const seal = { kind: 'seal' as const };
    expect(films([raisedBy(2, ['p1'])], ['p0', 'p1', 'p2'], seal).map((f) => f.ids)).toEqual([
      ['p0', 'p1', 'p2'],
    ]);
    const plan = on(three, ['p0', 'p1', 'p2'], { ...given(4e-3), ...seal }, [raisedBy(2, ['p1'])]);
    expect(plannedGrounds(plan)[0]?.parts.map((p) => p.stepM)).toEqual([0, 0, 0]);
    expect(films([raisedBy(2, ['p1'])], ['p0'], seal)[0]?.walls).toEqual([]);
  });
  it('a boundary beside two places holds no higher than the lower of them', () => {
    // p0 | p1, and p1 halved from left to right, so that the first cut has both halves beyond it.
    const across = {
      ...({ of: 'p1', makes: 'p2', closed: false, kind: 'line', wallM: null } as const),
      points: [
        [0.13, 0],
        [0.3, 0],
      ] as const,
    };
    const whole = { ...board.whole, cuts: [...board.whole.cuts, across] };
    const halves = on({ ...board, whole }, ['p0'], given(4e-3));
    const p2 = { ...(board.areas[1] as PlanArea), id: 'p2', name: 'p2' };
    const wall = (...layers: BuildLayer[]) =>
      plannedGrounds({ ...halves, areas: [...board.areas, p2], layers }).flatMap((g) =>
        g.edges.flatMap((e) => (e.kind === 'raised line' ? [e.wallM] : [])),
      );
    expect(wall(raisedBy(3, ['p1']), raisedBy(2, ['p2']))[0]).toBeCloseTo(2e-3, 12);
    expect(wall(raisedBy(3, ['p1']))).toEqual([]);
  });
  it('areas of no cut face, and places of two faces, are films of their own', () => {
    const other = cutBoard([0]);
    const back = faceOf({ kind: 'disc', diameterM: 0.1 }, ['open'], 0.01, { id: 'disc' });
    const places = other.areas.map((a) => ({ ...a, id: `q${a.id}`, partOf: 'other' }));
    const second = {
      ...other.whole,
      id: 'other',
      cuts: other.whole.cuts.map((c) => ({ ...c, of: 'qp0', makes: 'qp1' })),
    };
    const plan = on(board, ['disc', 'p0', 'p1', 'qp0', 'qp1'], given(2e-3));
    const found = plannedGrounds({
      ...plan,
      areas: [back, ...board.areas, ...places],
      wholes: [board.whole, { ...second, id: 'other' }],
    });
    expect(found.map((g) => g.parts.map((p) => p.area.id).join())).toEqual([
      'disc',
      'p0,p1',
      'qp0,qp1',
    ]);
  });
});

describe('what a film comes to on each of its places', () => {
  it('less by the step of a higher one, and nothing where it would stand out', () => {
    const plan = on(board, ['p1', 'p0'], given(0.5e-3), [raisedBy(0.4, ['p1'])]);
    const stays = (mm: number) => staysOfFilm(plan, mm / 1e3).map((m) => Number(m.toFixed(9)));
    expect(stays(0.5)).toEqual([0.1e-3, 0.5e-3]);
    expect(stays(0.3)).toEqual([0, 0.3e-3]);
  });
  it('an edge coat or a line lies where it is put, whatever open edges would hold', () => {
    const small = faceOf({ kind: 'rectangle', widthM: 0.1, heightM: 0.1 });
    const line = {
      points: [
        [0, 0],
        [0.05, 0],
      ] as const,
      closed: false,
      widthM: 6e-3,
      angleRad: 0.7,
    };
    const film = (kind: 'edge' | 'line' | 'flood', coat = {}) =>
      staysOfFilm(planInput([small], { kind, ...given(5e-3), coat }), 5e-3)[0];
    expect(film('edge')).toBe(5e-3);
    expect(film('line', { line })).toBe(5e-3);
    expect(film('flood')).toBeLessThan(2e-3);
    const drawn = planInput([small, { ...small, id: 'b' }], {
      kind: 'line',
      ...given(1e-3),
      coat: { line },
    });
    const found = plannedFilm(drawn);
    expect(found.ok && found.value.staysM).toEqual(
      found.ok ? [found.value.thicknessM, found.value.thicknessM] : [],
    );
  });
});

describe('what a ground drinks', () => {
  const soaks = (plan: PlanInput) => ledgerInput(plan, 2e-3).areas.map((a) => a.soakM);
  const porous = withArea('p1', { porosity: 'porous' });
  it('each place by its own pores and its share', () => {
    expect(soaks(on(porous, ['p0', 'p1']))[0]).toBeCloseTo(P1 * SOAK_M.porous, 12);
    expect(SOAK_M.porous).toBeGreaterThan(0);
  });
  it('nothing where it was sealed or a film lies; a porous layer over that drinks again', () => {
    const sealed = { ...on(porous, ['p1']), sealed: new Set(['p1']) };
    expect(soaks(sealed)).toEqual([0]);
    const coat = { id: 'a', kind: 'seal', order: 1, areaIds: ['p1'], coverage: 1 } as const;
    const coats = [{ ...coat, thicknessM: 1e-4, staysM: [1e-4] }];
    expect(soaks(on(porous, ['p1'], { coats }))).toEqual([0]);
    const paste = layer({ over: 'a' });
    expect(soaks(on(porous, ['p1'], { coats }, [paste]))[0]).toBeCloseTo(SOAK_M.porous, 12);
    expect(soaks({ ...sealed, layers: [layer({})] })[0]).toBeCloseTo(SOAK_M.porous, 12);
    expect(beneathPlan(sealed).get('p1')?.top).toBeNull();
  });
});
