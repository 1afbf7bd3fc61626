import { beneath, buildUp, filmAreas, leastFilm, type BuildArea, type BuildCoat } from '.';
import { layer } from './test/cutBoard';

const face: BuildArea = { id: 'face', kind: 'face', depthM: 0 };
const pit: BuildArea = { id: 'pit', kind: 'recess', depthM: 3e-3 };
const back: BuildArea = { id: 'back', kind: 'back', depthM: 0 };
const areas = [face, pit, back];
const coat = (
  order: number,
  kind: BuildCoat['kind'],
  areaIds: readonly string[] = ['face'],
  thicknessM = 1e-3,
  coverage = 1,
): BuildCoat => ({
  order,
  kind,
  areaIds,
  thicknessM,
  coverage,
  staysM: areaIds.map(() => thicknessM),
});

describe('where a coat lies as a film', () => {
  it('a face takes its recesses with it, a fill leaves the face out', () => {
    const ids = (kind: BuildCoat['kind'], on: string[]) =>
      filmAreas({ kind, areaIds: on }, areas).map((a) => a.id);
    expect(ids('flood', ['face', 'pit'])).toEqual(['face']);
    expect(ids('fill', ['face', 'pit'])).toEqual(['pit']);
    expect(ids('fill', ['face'])).toEqual(['face']);
    expect(ids('back', ['back'])).toEqual(['back']);
  });
});

describe('what lies on each area', () => {
  it('nothing: every area is bare', () => {
    const lies = buildUp(areas, []);
    expect([...lies.keys()]).toEqual(['face', 'pit', 'back']);
    expect(lies.get('face')).toEqual({
      ...{ surfaceM: 0, films: [], top: null, last: null },
      ...{ levelled: false, layers: [], relief: [], pores: null },
    });
  });
  it('films add up; a flood levels over an open recess, a seal follows its floor', () => {
    const [seal, edge, flood, next] = [
      coat(1, 'seal', ['face'], 0.2e-3),
      coat(2, 'edge', ['face'], 0.15e-3),
      coat(3, 'flood', ['face'], 1.6e-3),
      coat(4, 'flood', ['face'], 1e-3),
    ];
    const all = [next, flood, edge, seal].filter((c) => c !== undefined);
    const lies = buildUp(areas, all);
    expect(lies.get('face')?.surfaceM).toBeCloseTo(2.8e-3, 12);
    expect(lies.get('face')?.films.map((f) => f.coat)).toEqual([seal, flood, next]);
    const under = beneath({ order: 4 }, areas, all);
    expect(under.get('face')?.surfaceM).toBeCloseTo(1.8e-3, 12);
    // The seal is brushed onto the floor of the recess; the flood fills its 3 mm and lies 1.6 mm over them.
    expect(under.get('pit')?.surfaceM).toBeCloseTo(4.6e-3, 12);
    expect(under.get('pit')).toMatchObject({ films: [], top: flood });
    expect(beneath({ order: 2 }, areas, all).get('pit')?.surfaceM).toBeCloseTo(0.2e-3, 12);
    expect(under.get('back')).toMatchObject({ surfaceM: 0, top: null });
    expect(beneath({ order: 1 }, areas, all).get('face')?.top).toBeNull();
  });
  it('what ran off does not lie there: the next coat, and what is under relief, see what stays', () => {
    const flood = { ...coat(1, 'flood'), thicknessM: 3e-3, staysM: [1.8e-3] };
    const on = buildUp(areas, [flood]).get('face');
    expect(on?.surfaceM).toBeCloseTo(1.8e-3, 12);
    expect(on?.films[0]?.topM).toBeCloseTo(1.8e-3, 12);
  });
  it('a poured coat levels its ground; a skim, however thick, follows it', () => {
    const skim = { ...coat(1, 'seal'), thicknessM: 0.6e-3, staysM: [0.6e-3] };
    expect(buildUp(areas, [skim]).get('face')?.levelled).toBe(false);
    expect(buildUp(areas, [skim, coat(2, 'flood')]).get('face')?.levelled).toBe(true);
  });
  it('an edge coat is the last on its area and lies nowhere on its face', () => {
    const edge = coat(1, 'edge');
    expect(buildUp(areas, [edge]).get('face')).toEqual({
      ...{ surfaceM: 0, films: [], top: null, levelled: false },
      ...{ layers: [], relief: [], pores: null },
      last: edge,
    });
  });
  it('a patch is a film that raises nothing; from half of the area on a coat lies all over it', () => {
    const patch = coat(1, 'patch', ['face'], 1e-3, 0.499);
    const most = coat(2, 'art', ['face'], 0.5e-3, 0.5);
    const { surfaceM, films, top } = buildUp(areas, [patch, most]).get('face') ?? {};
    expect(surfaceM).toBeCloseTo(0.5e-3, 12);
    expect(films).toEqual([
      { coat: patch, bottomM: 0, topM: 1e-3 },
      { coat: most, bottomM: 0, topM: 0.5e-3 },
    ]);
    expect(top).toBe(most);
    expect(buildUp(areas, [patch]).get('face')).toMatchObject({ top: null, last: patch });
  });
  it('a fill lies in the recess alone, and the flood over it only adds its film', () => {
    const fill = coat(1, 'fill', ['face', 'pit'], 3e-3);
    const flood = coat(2, 'flood', ['face'], 1e-3);
    const lies = buildUp(areas, [fill, flood]);
    expect(lies.get('pit')?.surfaceM).toBeCloseTo(4e-3, 12);
    expect(lies.get('face')?.surfaceM).toBeCloseTo(1e-3, 12);
  });
});

describe('recesses of several faces', () => {
  it('a coat on one face levels over its own recesses only', () => {
    const areas = [
      { id: 'a', kind: 'face', depthM: 0 },
      { id: 'b', kind: 'face', depthM: 0 },
      { id: 'in a', kind: 'recess', depthM: 2e-3, liesIn: 'a' },
      { id: 'in b', kind: 'recess', depthM: 2e-3, liesIn: 'b' },
    ] as const;
    const coat: BuildCoat = {
      ...{ kind: 'flood', order: 1, areaIds: ['b'], thicknessM: 1e-3, staysM: [1e-3] },
      coverage: 1,
    };
    const lies = buildUp(areas, [coat]);
    expect(lies.get('in a')?.surfaceM).toBe(0);
    expect(lies.get('in b')?.surfaceM).toBeCloseTo(3e-3, 12);
  });
});

describe('layers between coats', () => {
  const even = (id: string, mm: number, turn: number, over: string | null) =>
    layer({ id, turn, over, areaIds: ['face', 'gone'], greatestM: mm / 1e3, meanM: mm / 1e3 });
  const flood = { ...coat(1, 'flood'), id: 'flood' };
  it('lie over the coat that is named, in their turns, whatever the order of rows', () => {
    const layers = [even('c', 3, 2, 'flood'), even('b', 2, 1, 'flood'), even('a', 4, 7, null)];
    const lies = buildUp(areas, [flood, coat(2, 'flood')], layers);
    const on = lies.get('face');
    expect(on?.layers.map((l) => [l.layer.id, Number((l.bottomM * 1e3).toFixed(9))])).toEqual([
      ['a', 0],
      ['b', 5],
      ['c', 7],
    ]);
    expect(on?.surfaceM).toBeCloseTo(11e-3, 12);
    expect(lies.has('gone')).toBe(false);
    expect(lies.get('back')?.layers).toEqual([]);
  });
  it('over a coat that is not there, or has no name, they lie nowhere', () => {
    const layers = [even('b', 2, 1, 'flood')];
    expect(buildUp(areas, [coat(1, 'flood')], layers).get('face')?.layers).toEqual([]);
    expect(buildUp(areas, [], layers).get('face')?.surfaceM).toBe(0);
  });
});

describe('what a coat was on besides its films', () => {
  it('the recess under a coat on its face is last met by what was laid on it', () => {
    const both = coat(1, 'flood', ['face', 'pit', 'gone']);
    const lies = buildUp(areas, [both]);
    expect(lies.get('pit')).toMatchObject({ last: both, top: both, films: [], levelled: true });
    expect(lies.has('gone')).toBe(false);
    expect(lies.get('back')?.last).toBeNull();
    const seal = coat(1, 'seal');
    expect(buildUp(areas, [seal]).get('pit')).toMatchObject({ top: seal, levelled: false });
    const fill = coat(1, 'fill', ['pit'], 3e-3);
    expect(buildUp(areas, [fill, coat(2, 'seal')]).get('pit')?.levelled).toBe(true);
  });
  it('a recess takes what stays on the face that it lies in', () => {
    const two = [face, { ...face, id: 'second' }, { ...pit, liesIn: 'second' }];
    const flood = { ...coat(1, 'flood', ['face', 'second']), staysM: [1e-3, 2e-3] };
    expect(buildUp(two, [flood]).get('pit')?.surfaceM).toBeCloseTo(5e-3, 12);
    const free = buildUp([face, { ...face, id: 'second' }, pit], [flood]);
    expect(free.get('pit')?.surfaceM).toBeCloseTo(4e-3, 12);
  });
  it('is told by the least that it leaves, or by what is poured', () => {
    expect(leastFilm({ thicknessM: 3e-3, staysM: [2e-3, 1e-3] })).toBe(1e-3);
    expect(leastFilm({ thicknessM: 3e-3, staysM: [] })).toBe(3e-3);
  });
});
