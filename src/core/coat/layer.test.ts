import { buildUp, leastFilm, type BuildArea, type BuildCoat, type BuildLayer } from '.';
import { layOn, type Layered } from './layer';

const laid = (change: Partial<BuildLayer> = {}): BuildLayer => ({
  ...{ id: 'l', kind: 'paste', areaIds: ['face'], over: null, turn: 0 },
  ...{ greatestM: 3e-3, meanM: 3e-3, share: 1 },
  ...change,
});
const bare: Layered = { surfaceM: 0, levelled: false, layers: [], relief: [], pores: null };
const film: Layered = { ...bare, surfaceM: 2e-3, levelled: true };

describe('a layer on what lies there', () => {
  it('even all over it raises the surface, and nothing stands up from it', () => {
    const on = layOn(film, laid());
    expect(on.surfaceM).toBeCloseTo(5e-3, 12);
    expect(on.relief).toEqual([]);
    expect(on.layers).toEqual([{ layer: laid(), bottomM: 2e-3, topM: 5e-3 }]);
    expect(on.pores).toBe('porous');
    expect(on.levelled).toBe(false);
  });
  it('uneven all over: its least height raises, the rest stands up', () => {
    // Evenly between 2 · 2 − 3 = 1 mm and 3 mm.
    const on = layOn(film, laid({ meanM: 2e-3 }));
    expect(on.surfaceM).toBeCloseTo(3e-3, 12);
    expect(on.layers[0]?.topM).toBeCloseTo(3e-3, 12);
    expect(on.relief).toHaveLength(1);
    const [relief] = on.relief;
    expect(relief?.greatestM).toBeCloseTo(2e-3, 12);
    expect(relief?.meanM).toBeCloseTo(1e-3, 12);
    expect(relief?.aboveM).toBeCloseTo(3e-3, 12);
    expect(relief?.standsOnM).toBeCloseTo(3e-3, 12);
    // Less than half of the greatest in the mean: nothing of it is even.
    expect(layOn(film, laid({ meanM: 1e-3 })).surfaceM).toBe(2e-3);
  });
  it('on a part it raises nothing, and stands up from the surface', () => {
    const part = layOn(film, laid({ share: 0.4 }));
    expect(part.surfaceM).toBe(2e-3);
    expect(part.layers[0]?.topM).toBeCloseTo(5e-3, 12);
    expect(part.relief).toEqual([
      { greatestM: 3e-3, meanM: 3e-3, share: 0.4, standsOnM: 2e-3, aboveM: 2e-3 },
    ]);
    expect(part.pores).toBeNull();
    expect(part.levelled).toBe(true);
    expect(layOn(film, laid({ share: 0.5 })).pores).toBe('porous');
    expect(layOn({ ...film, pores: 'sealed' }, laid({ kind: 'ink' })).pores).toBe('sealed');
    // Grains without a height stand nowhere.
    expect(layOn(film, laid({ share: 0.4, greatestM: 0, meanM: 0 })).relief).toEqual([]);
    expect(layOn(film, laid({ share: 0.4, meanM: 0 })).relief).toEqual([]);
  });
  it('what is pressed into soft resin stands half in it, as far as there is any', () => {
    const pressed = laid({ kind: 'pressed in', share: 0.3 });
    expect(layOn(film, pressed).layers[0]?.bottomM).toBeCloseTo(0.5e-3, 12);
    expect(layOn(film, pressed).layers[0]?.topM).toBeCloseTo(3.5e-3, 12);
    expect(layOn(film, pressed).relief[0]?.standsOnM).toBeCloseTo(0.5e-3, 12);
    const thin = layOn({ ...film, surfaceM: 1e-3 }, pressed);
    expect(thin.layers[0]?.bottomM).toBe(0);
    expect(thin.relief[0]?.standsOnM).toBe(0);
  });
  it('a thin even one leaves a level film level', () => {
    expect(layOn(film, laid({ greatestM: 1e-3, meanM: 1e-3 })).levelled).toBe(true);
    expect(layOn(film, laid({ greatestM: 1.01e-3, meanM: 1.01e-3 })).levelled).toBe(false);
    expect(layOn(bare, laid({ greatestM: 1e-4, meanM: 1e-4 })).levelled).toBe(false);
  });
});

describe('layers between coats', () => {
  const areas: BuildArea[] = [
    { id: 'face', kind: 'face', depthM: 0 },
    { id: 'pit', kind: 'recess', depthM: 3e-3 },
  ];
  const coat = (id: string, order: number, change: Partial<BuildCoat> = {}): BuildCoat => ({
    ...{ id, order, kind: 'flood', areaIds: ['face'], coverage: 1 },
    ...{ thicknessM: 1e-3, staysM: [1e-3] },
    ...change,
  });
  const layersOn = (layers: BuildLayer[], coats = [coat('a', 1), coat('b', 2)]) =>
    buildUp(areas, coats, layers)
      .get('face')
      ?.layers.map(({ layer, bottomM }) => [layer.id, Math.round(bottomM * 1e6)]);
  const thin = { greatestM: 1e-4, meanM: 1e-4 };
  it('lie on their coat, in their turn, and only while it lies there', () => {
    expect(
      layersOn([
        laid({ id: 'second', over: 'a', turn: 1, ...thin }),
        laid({ id: 'first', over: 'a', turn: 0, ...thin }),
        laid({ id: 'ground', ...thin }),
        laid({ id: 'gone', over: 'x', ...thin }),
        laid({ id: 'elsewhere', areaIds: ['nowhere'], ...thin }),
      ]),
    ).toEqual([
      ['ground', 0],
      ['first', 1100],
      ['second', 1200],
    ]);
    const nameless = { ...coat('a', 1), id: undefined } as unknown as BuildCoat;
    expect(layersOn([laid({ over: 'a', ...thin })], [nameless])).toEqual([]);
  });
  it('an edge coat is the last on its area alone; a patch, or a seal, follows the floor of a recess', () => {
    const lies = (...coats: BuildCoat[]) => buildUp(areas, coats);
    const edge = coat('e', 1, { kind: 'edge' });
    expect(lies(edge).get('face')?.last).toBe(edge);
    expect(lies(edge).get('pit')?.last).toBeNull();
    const fill = coat('f', 1, { kind: 'fill', areaIds: ['face', 'pit'], staysM: [1e-3, 1e-3] });
    expect(lies(fill).get('face')).toMatchObject({ last: fill, top: null, surfaceM: 0 });
    const seal = coat('s', 1, { kind: 'seal' });
    expect(lies(seal).get('pit')).toMatchObject({ levelled: false, top: seal });
    expect(lies(coat('a', 1), coat('s', 2, { kind: 'seal' })).get('pit')?.levelled).toBe(true);
    expect(lies(coat('a', 1)).get('pit')?.surfaceM).toBeCloseTo(4e-3, 12);
  });
  it('one number for what a coat leaves is the least of its areas', () => {
    expect(leastFilm({ thicknessM: 3e-3, staysM: [2e-3, 1e-3] })).toBe(1e-3);
    expect(leastFilm({ thicknessM: 3e-3, staysM: [] })).toBe(3e-3);
  });
});
