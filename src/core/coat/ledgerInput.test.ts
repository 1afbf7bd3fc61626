import type { Point } from '../geometry';
import {
  coatLedger,
  heldOn,
  intentAreas,
  ledgerInput,
  mixLength,
  plannedFilm,
  plannedGrounds,
  RIM,
  type BuildCoat,
  type LedgerArea,
  type PlanArea,
  type PlanInput,
} from '.';
import { cutBoard, given, on } from './test/cutBoard';
import { faceOf, planInput, type Wish } from './test/planned';

const board = { kind: 'rectangle', widthM: 0.3, heightM: 0.2 } as const;
const face = faceOf(board);
const pit = (change: Partial<PlanArea> = {}): PlanArea =>
  faceOf({ kind: 'rectangle', widthM: 0.05, heightM: 0.04 }, ['open'], 0, {
    ...{ id: 'pit', name: 'Pit', kind: 'recess', depthM: 3e-3 },
    ...change,
  });
const laid = (change: Partial<BuildCoat> = {}): BuildCoat => ({
  ...{ kind: 'flood', order: 1, areaIds: ['face'], thicknessM: 1e-3, staysM: [1e-3], coverage: 1 },
  ...change,
});
const under = (plan: PlanInput): readonly LedgerArea[] => ledgerInput(plan, 2e-3).areas;
const of = (areas: readonly PlanArea[], wish: Wish = {}, areaIds = ['face']): LedgerArea => {
  const plan = planInput(areas, { ...given(2e-3), ...wish });
  const [first] = under({ ...plan, coat: { ...plan.coat, areaIds } });
  if (!first) throw new Error('no area');
  return first;
};

describe('recesses that a coat on the face runs into', () => {
  it('with the depth that is open still: a fill below takes its own', () => {
    expect(of([face, pit()]).pits).toEqual([{ areaM2: expect.closeTo(0.002, 12), depthM: 3e-3 }]);
    const fill = (mm: number) =>
      laid({ kind: 'fill', areaIds: ['pit'], thicknessM: mm / 1e3, staysM: [mm / 1e3] });
    expect(of([face, pit()], { coats: [fill(1)] }).pits[0]?.depthM).toBeCloseTo(2e-3, 12);
    expect(of([face, pit()], { coats: [fill(3)] }).pits).toEqual([]);
    expect(of([face, pit()], { coats: [fill(4)] }).pits).toEqual([]);
    expect(of([face]).pits).toEqual([]);
  });
  it('none for what is brushed, for a back, or in a place that the coat leaves out', () => {
    expect(of([face, pit()], { kind: 'seal' }).pits).toEqual([]);
    expect(of([{ ...face, kind: 'back' }, pit()]).pits).toEqual([]);
    const places = cutBoard([0.14]);
    const pits = (areaIds: readonly string[], liesIn: string | null) =>
      under(on({ ...places, areas: [...places.areas, pit({ liesIn })] }, areaIds, given(2e-3))).map(
        (a) => a.pits.length,
      );
    expect(pits(['p0'], 'p1')).toEqual([0]);
    expect(pits(['p1'], 'p1')).toEqual([1]);
    expect(pits(['p0', 'p1'], 'p1')).toEqual([1]);
    expect(pits(['p0'], null)).toEqual([1]);
  });
  it('a recess itself is filled: no edges, walls or level of its own', () => {
    const own = of([face, pit({ edges: faceOf(board, ['mould']).edges })], { kind: 'fill' }, [
      'pit',
    ]);
    expect(own).toMatchObject({ cover: { by: 'recess' }, openEdges: [], dammedM: 0, pits: [] });
    const open = of(
      [face, pit()],
      { kind: 'fill', piece: { bellyM: 2e-3, tilt: { alongX: 1e-3, alongY: 0 } } },
      ['pit'],
    );
    expect(open).toMatchObject({ openEdges: [], wedge: null, belly: null });
    expect(intentAreas(planInput([pit()], { kind: 'fill', ...given(1e-3) }))[0]?.depthM).toBe(3e-3);
    expect(intentAreas(planInput([{ ...face, depthM: 9e-3 }], given(1e-3)))[0]?.depthM).toBe(0);
  });
});

describe('edges, walls and level', () => {
  const lean = { piece: { tilt: { alongX: 3e-3, alongY: 0 }, bellyM: 2e-3 } };
  it('a poured coat takes the level of face and back; the belly is the canvas’s', () => {
    const poured = of([face], lean);
    expect(poured.wedge).toMatchObject({ slope: 3e-3, lengthM: expect.closeTo(0.3, 12) });
    expect(poured.wedge?.aheadM).toBeCloseTo(0.15, 12);
    expect(poured.belly).toMatchObject({ sagM: 2e-3 });
    const back = of([{ ...face, kind: 'back' }], lean);
    expect(back.wedge).not.toBeNull();
    expect(back.belly).toBeNull();
    expect(of([face], { piece: { tilt: { alongX: 0, alongY: 0 } } })).toMatchObject({
      ...{ wedge: null, belly: null },
    });
    expect(of([face])).toMatchObject({ wedge: null, belly: null });
  });
  it('what is brushed does not, nor what lies on a level film', () => {
    expect(of([face], { ...lean, kind: 'seal' })).toMatchObject({ wedge: null, belly: null });
    expect(of([face], { ...lean, coats: [laid()] })).toMatchObject({ wedge: null, belly: null });
    const seal = laid({ kind: 'seal', thicknessM: 1e-4, staysM: [1e-4] });
    expect(of([face], { ...lean, coats: [seal] }).wedge).not.toBeNull();
    // Of two places only one was levelled: the other still is not.
    const places = cutBoard([0.14]);
    const coats = [laid({ areaIds: ['p0'], thicknessM: 5e-4, staysM: [5e-4] })];
    const both = on(places, ['p0', 'p1'], { ...given(2e-3), ...lean, coats });
    expect(under(both).map((a) => a.wedge === null)).toEqual([false]);
    expect(under({ ...both, coat: { ...both.coat, areaIds: ['p0'] } })[0]?.wedge).toBeNull();
  });
  it('walls are climbed by what is poured, not by what is brushed', () => {
    const walled = faceOf(board, ['tape wall', 'open']);
    expect(of([walled]).dammedM).toBeCloseTo(0.6, 12);
    expect(of([walled], { kind: 'seal' }).dammedM).toBe(0);
    expect(of([walled], { kind: 'seal' }).openEdges).toHaveLength(2);
    expect(of([{ ...walled, kind: 'back' }]).dammedM).toBeCloseTo(0.6, 12);
  });
  it('an edge whose band is an area of the coat is not wetted twice', () => {
    const band: PlanArea = { ...faceOf(board), id: 'band', kind: 'edge band' };
    const bands = (areaIds: string[]) => of([face, band], {}, areaIds).openEdges;
    expect(bands(['face']).map((e) => Number(e.areaM2.toFixed(9)))).toEqual([
      0.0054, 0.0036, 0.0054, 0.0036,
    ]);
    expect(bands(['face', 'band']).map((e) => [e.areaM2, e.heightM])).toEqual(
      Array.from({ length: 4 }, () => [0, 0.018]),
    );
  });
  it('dams that an earlier coat freed are open; those of a later coat, or elsewhere, stand', () => {
    const dammed = faceOf(board, ['dam', 'mould']);
    const other = faceOf(board, ['dam'], 0.018, { id: 'other' });
    const dams = (freed: Partial<BuildCoat>) =>
      plannedGrounds(
        planInput([dammed, other], {
          ...given(2e-3),
          coats: [laid({ freesDams: true, ...freed })],
        }),
      ).map((g) => g.edges.filter((e) => e.kind === 'dam').length);
    expect(dams({})).toEqual([0, 4]);
    expect(dams({ areaIds: ['other'] })).toEqual([2, 0]);
    expect(dams({ order: 10 })).toEqual([2, 4]);
    expect(dams({ freesDams: false })).toEqual([2, 4]);
    const plan = planInput([dammed], { ...given(2e-3), coats: [laid({ freesDams: true })] });
    expect(plannedGrounds(plan)[0]?.edges.map((e) => e.kind)).toEqual([
      'open',
      'mould',
      'open',
      'mould',
    ]);
    expect(plannedGrounds(plan)).toBe(plannedGrounds(plan));
  });
});

describe('how a coat lies on an area', () => {
  const lc = mixLength(planInput([face]).sheet);
  const cover = (edges: Parameters<typeof faceOf>[1], wish: Wish = {}) =>
    of([faceOf(board, edges)], wish).cover;
  const free = { by: 'film', holdsM: null };
  const dome: Wish = { intent: { by: 'dome', centreM: 3e-3 } };
  it('open edges hold what is safe of a film that is poured', () => {
    const shape = intentAreas(planInput([face], given(2e-3)))[0]?.shape;
    expect(cover(['open'])).toEqual({
      by: 'film',
      holdsM: shape && heldOn(shape, RIM.safe, lc),
    });
    expect(cover(['open'], { kind: 'seal' })).toEqual(free);
    expect(cover(['open'], { intent: { by: 'spread', thicknessM: 1e-3 } })).toEqual(free);
    expect(of([{ ...face, kind: 'edge band' }]).cover).toEqual(free);
  });
  it('in walls it lies as poured; beside a rim it domes; an open edge beside it lets go', () => {
    expect(cover(['tape wall'], dome)).toEqual(free);
    expect(cover(['doming'])).toEqual({ by: 'dome' });
    expect(cover(['doming', 'tape wall'])).toEqual({ by: 'dome' });
    expect(cover(['line', 'tape wall'], dome)).toEqual({ by: 'dome' });
    expect(cover(['line', 'tape wall'])).toEqual(free);
    expect(cover(['doming', 'open'])).toMatchObject({ by: 'film' });
    expect(cover(['doming', 'open'])).not.toEqual(free);
  });
});

describe('how edges are wetted, and a drawn line', () => {
  const by = (wish: Wish) => ledgerInput(planInput([face], wish), 1e-3).edges;
  const line = {
    points: [
      [0, 0],
      [0.1, 0],
    ] as Point[],
    closed: false,
    widthM: 6e-3,
    angleRad: 0.7,
  };
  it.each<[string, Wish, string]>([
    ['poured', given(1e-3), 'hand'],
    ['poured over', { intent: { by: 'over', perMetreM2: 5e-5 } }, 'flood'],
    ['spread', { intent: { by: 'spread', thicknessM: 1e-3 } }, 'tool'],
    ['brushed', { kind: 'seal', ...given(1e-4) }, 'brush'],
    ['edges only', { kind: 'edge', ...given(1e-4) }, 'edge coat'],
    ['drawn', { kind: 'line', ...given(1e-3), coat: { line } }, 'line'],
  ])('%s', (_, wish, told) => expect(by(wish).by).toBe(told));
  it('its bead is counted once, on the first ground, and it wets no edge', () => {
    const both = [face, { ...face, id: 'second' }];
    const areas = under(planInput(both, { kind: 'line', ...given(1e-3), coat: { line } }));
    expect(areas.map((a) => a.line?.lengthM)).toEqual([expect.closeTo(0.1, 12), undefined]);
    expect(areas.map((a) => a.openEdges.length)).toEqual([0, 0]);
    expect(under(planInput(both, given(1e-3))).map((a) => a.line)).toEqual([undefined, undefined]);
  });
});

describe('a film out of what is mixed', () => {
  const mixed = (volumeM3: number, sheet: Wish['sheet'] = {}) =>
    plannedFilm(planInput([face], { intent: { by: 'mix', volumeM3 }, sheet }));
  const total = (mm: number) => {
    const ledger = coatLedger(
      ledgerInput(planInput([face], { intent: { by: 'mix', volumeM3: 1e-4 } }), mm / 1e3),
    );
    return ledger.ok ? ledger.value.totalM3 : NaN;
  };
  const sheet = { thinnestM: 1e-3, thickestM: 4e-3 };
  it('is the one whose ledger comes to it, to both ends of what the sheet allows', () => {
    const film = (m3: number) => {
      const found = mixed(m3, sheet);
      return found.ok ? found.value.thicknessM * 1e3 : found.issues;
    };
    expect(film(total(2))).toBeCloseTo(2, 6);
    expect(film(total(1))).toBeCloseTo(1, 6);
    expect(film(total(4))).toBeCloseTo(4, 6);
    for (const m3 of [total(1) * 0.999, total(4) * 1.001])
      expect(film(m3)).toEqual([
        {
          ...{ code: 'does-not-fit', path: ['volumeM3'], value: m3 },
          allowed: { min: expect.closeTo(total(1), 12), max: expect.closeTo(total(4), 12) },
        },
      ]);
  });
  it('where relief leaves the thinnest film no room, only the most is told', () => {
    const full = faceOf(board, ['line'], 0.018, {
      relief: [{ kind: 'stones', greatestM: 2e-3, meanM: 2e-3, share: 1 }],
    });
    const found = plannedFilm(planInput([full], { intent: { by: 'mix', volumeM3: 1 }, sheet }));
    expect(found.ok ? {} : found.issues[0]?.allowed).toEqual({ max: expect.any(Number) as number });
  });
  it('on nothing it is refused by the intention', () => {
    const none = planInput([face], { intent: { by: 'mix', volumeM3: 1e-4 } });
    expect(plannedFilm({ ...none, coat: { ...none.coat, areaIds: [] } }).ok).toBe(false);
  });
});
