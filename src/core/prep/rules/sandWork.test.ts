import type { HalfPlane } from '../../geometry';
import { prepContext } from '../context';
import type { PrepArea, PrepCoat, PrepFacts } from '../facts';
import { area, coat, facts, NOW, pouredAgo, relief, surface } from '../test/facts';
import { sanding, sandRegion } from './sandWork';

/** Sides in fractions of two, so that boxes that meet do so exactly. `areaM2` is less than the outline: a part stays bare. */
const box = (id: string, kind: PrepArea['kind'], at: PrepArea['at'], w: number, h: number) =>
  area({
    ...{ id, name: id, kind, at, shape: { kind: 'rectangle', widthM: w, heightM: h } },
    areaM2: w * h - 1 / 1024,
  });
const LESS = 1 / 1024;
const face = box('face', 'face', [0, 0], 0.5, 0.25);
const inFace = box('pit', 'recess', [0.0625, 0.0625], 0.125, 0.125);
const band = { ...box('band', 'edge band', [0, 0], 0.5, 0.25), areaM2: 0.01 };
const FACE_M2 = 0.125;
const PIT_M2 = 1 / 64;

const context = (areas: readonly PrepArea[], change: Partial<Omit<PrepFacts, 'schools'>> = {}) =>
  prepContext(facts({ areas, ...change }));
type Told = Parameters<typeof sanding>[3];
const OWN: Told = { why: 'own', key: 'k', grits: [120, 400] };
const sanded = (
  areas: readonly PrepArea[],
  ids: readonly string[] = areas.map((a) => a.id),
  change: Partial<Omit<PrepFacts, 'schools'>> = {},
  next: PrepCoat | null = null,
  told: Told = OWN,
) => {
  const of = context(areas, change);
  return sanding(
    of,
    areas.filter((a) => ids.includes(a.id)),
    next,
    told,
  );
};
const m2 = (...all: Parameters<typeof sanded>) => sanded(...all).sanding?.areaM2;

describe('where sanding goes', () => {
  it('a face by itself is what its survey says; its recess, when not among them, is cut out of its outline', () => {
    expect(m2([face])).toBeCloseTo(FACE_M2 - LESS, 12);
    expect(m2([face, inFace], ['face'])).toBeCloseTo(FACE_M2 - PIT_M2, 9);
    expect(m2([face, inFace])).toBeCloseTo(FACE_M2, 9);
    expect(m2([face, inFace], ['pit'])).toBeCloseTo(PIT_M2 - LESS, 12);
  });
  it.each<[string, PrepArea['at']]>([
    ['left of it', [-0.3125, 0]],
    ['right of it', [0.3125, 0]],
    ['below', [0, -0.1875]],
    ['above', [0, 0.1875]],
    ['far off', [3, 3]],
  ])('a recess that only meets a face cuts nothing out: %s', (_, at) => {
    const pit = box('pit', 'recess', at, 0.125, 0.125);
    expect(m2([face, pit], ['face'])).toBeCloseTo(FACE_M2 - LESS, 12);
    expect(m2([face, pit])).toBeCloseTo(FACE_M2 - LESS + PIT_M2 - LESS, 12);
    // A little nearer, it does.
    const near = box('pit', 'recess', [at[0] * 0.9, at[1] * 0.9], 0.125, 0.125);
    if (at[0] < 1) expect(m2([face, near], ['face'])).toBeLessThan(FACE_M2 - 1e-4);
  });
  it('edge bands come on top, whatever lies in the face', () => {
    expect(m2([face, band])).toBeCloseTo(FACE_M2 - LESS + 0.01, 12);
    expect(m2([face, inFace, band])).toBeCloseTo(FACE_M2 + 0.01, 9);
    expect(m2([face, inFace, band], ['band'])).toBeCloseTo(0.01, 12);
  });
  it('of two faces only what is cut is measured on its outline', () => {
    const other = box('other', 'face', [1, 0], 0.25, 0.25);
    expect(m2([face, inFace, other], ['face', 'other'])).toBeCloseTo(
      FACE_M2 - PIT_M2 + 0.0625 - LESS,
      9,
    );
    expect(m2([face, inFace, other])).toBeCloseTo(FACE_M2 + 0.0625, 9);
    const inOther = box('second', 'recess', [1, 0], 0.125, 0.125);
    // One of two recesses is among them.
    expect(m2([face, inFace, other, inOther], ['face', 'pit', 'other'])).toBeCloseTo(
      FACE_M2 + 0.0625 - PIT_M2,
      9,
    );
  });
  it('on one side of a line; a recess by itself is whole, whatever lies over it', () => {
    const left: HalfPlane = { side: 'left', atM: 0 };
    const limits = { k: left };
    expect(m2([face], ['face'], { limits })).toBeCloseTo(FACE_M2 / 2, 9);
    expect(m2([face], ['face'], { limits: { other: left } })).toBeCloseTo(FACE_M2 - LESS, 12);
    expect(sanded([face], ['face'], { limits }).limit).toBe(left);
    expect(sanded([face]).limit).toBeNull();
    const twice = box('twice', 'recess', [0.0625, 0.0625], 0.125, 0.0625);
    expect(sandRegion({ areas: [face, inFace, twice] }, ['pit'], null).areaM2).toBeCloseTo(
      PIT_M2,
      9,
    );
    expect(sandRegion({ areas: [face, inFace] }, ['face'], left).areaM2).toBeCloseTo(
      FACE_M2 / 2,
      9,
    );
    expect(sandRegion({ areas: [face, band] }, ['face', 'band'], null).areaM2).toBeCloseTo(
      FACE_M2,
      9,
    );
    expect(sandRegion({ areas: [face, inFace] }, ['band'], null).areaM2).toBe(0);
    // Asked again, and after many others, it is the same.
    const of = context([face, inFace]);
    const at = (atM: number) =>
      sanding({ ...of, limits: { k: { side: 'left', atM } } }, [face], null, OWN).sanding?.areaM2;
    const first = at(0.01);
    for (let i = 0; i < 70; i += 1) at(i / 1000);
    expect(at(0.01)).toBe(first);
  });
});

describe('what a coat wants keyed', () => {
  const tooth: Told = { why: 'tooth', key: 'k', grits: [240] };
  const upper = (change: Partial<PrepCoat> = {}) => coat({ id: 'up', order: 2, ...change });
  it('its share of the areas, less what stands up there', () => {
    expect(m2([face], undefined, {}, upper({ coverage: 0.5 }), tooth)).toBeCloseTo(
      (FACE_M2 - LESS) / 2,
      12,
    );
    const spare = (a: PrepArea) => (a.id === 'face' ? 0.25 : 0);
    const both = [face, box('other', 'face', [1, 0], 0.25, 0.25)];
    const [a, b] = both.map((x) => x.areaM2) as [number, number];
    const next = upper({ areaIds: ['face', 'other'] });
    expect(m2(both, undefined, {}, next, { ...tooth, spare })).toBeCloseTo(0.75 * a + b, 12);
    expect(m2(both, undefined, {}, next, tooth)).toBeCloseTo(a + b, 12);
    // Sanding for another reason goes all over.
    const half = upper({ areaIds: ['face', 'other'], coverage: 0.5 });
    expect(m2(both, undefined, {}, half, { ...OWN, spare })).toBeCloseTo(a + b, 12);
    expect(m2(both, undefined, {}, null, { ...tooth, spare })).toBeCloseTo(a + b, 12);
    expect(m2([{ ...face, areaM2: 0 }], undefined, {}, upper(), tooth)).toBe(0);
  });
  it('an edge coat only the edges', () => {
    expect(
      m2(
        [face, { ...face, id: 'b' }],
        undefined,
        {},
        upper({ kind: 'edge', areaIds: ['face', 'b'] }),
        tooth,
      ),
    ).toBeCloseTo(2 * 1.5 * 0.018, 12);
  });
  it('what lies beyond the coat is told, for all pieces', () => {
    const areas = [face, box('other', 'face', [1, 0], 0.25, 0.25)];
    const told = sanded(areas, undefined, { count: 3 }, upper(), OWN);
    expect(told.sanding?.areaM2).toBeCloseTo(3 * (FACE_M2 - LESS), 12);
    expect(told.sanding?.beyondM2).toBeCloseTo(3 * (0.0625 - LESS), 12);
    expect(told.problems).toEqual(['sanding beyond the coat']);
    const own = sanded([face], undefined, { count: 3 }, upper(), {
      ...OWN,
      areaM2: 0.02,
      removeM3: 1e-6,
    });
    expect(own.sanding).toMatchObject({ beyondM2: 0, removeM3: 3e-6 });
    expect(own.sanding?.areaM2).toBeCloseTo(0.06, 12);
    expect(own.problems).toEqual([]);
  });
  it('scratches are held against the next coat, and against the thinnest film that lies there', () => {
    const film = (id: string, areaIds: string[], thicknessM: number) =>
      coat({ id, areaIds, thicknessM, order: id === 'a' ? 1 : 2, poured: pouredAgo(200) });
    const other = box('other', 'face', [1, 0], 0.25, 0.25);
    const on = { coats: [film('a', ['face'], 1e-3), film('b', ['other'], 0.4e-3)], nowMs: NOW };
    const deepest = Math.max(
      ...(sanded([face]).sanding?.steps.map((s) => s.scratch.deepestM) ?? []),
    );
    expect(sanded([face, other], undefined, on).sanding?.leftM).toBeCloseTo(0.4e-3 - deepest, 12);
    expect(sanded([face, other], ['face'], on).sanding?.leftM).toBeCloseTo(1e-3 - deepest, 12);
    expect(sanded([face, other], ['face'], on).problems).toEqual([]);
    expect(sanded([face]).sanding?.leftM).toBeNull();
    expect(sanded([face]).sanding?.steps[0]?.hidden).toBeNull();
    expect(sanded([face], undefined, {}, upper()).sanding?.steps[0]?.hidden).toBe(true);
    expect(sanded([face]).problems).toEqual([]);
    const thin = { coats: [film('a', ['face'], 0.02e-3)] };
    expect(sanded([face], undefined, thin).problems).toEqual(['sanding through']);
    // Bare ground beside it has no film to sand through.
    expect(
      sanded([face, other], undefined, { coats: [film('a', ['face'], 1e-3)] }).sanding?.leftM,
    ).toBeCloseTo(1e-3 - deepest, 12);
  });
  it('fine grits go wet where the ground bears water: under a film, or sealed and no wood or paper', () => {
    const wet = (of: ReturnType<typeof sanded>) => of.sanding?.steps.map((s) => s.wet);
    const poured = { coats: [coat({ poured: pouredAgo(200) })] };
    expect(wet(sanded([face]))).toEqual([false, true]);
    expect(wet(sanded([face], undefined, { support: 'bare wood' }))).toEqual([false, false]);
    expect(wet(sanded([face], undefined, { support: 'paper on board' }))).toEqual([false, false]);
    expect(wet(sanded([face], undefined, { support: 'bare wood', ...poured }))).toEqual([
      false,
      true,
    ]);
    const drinks = { ...face, id: 'b', porosity: 'porous' as const };
    expect(wet(sanded([face, drinks], ['face']))).toEqual([false, false]);
  });
  it('bare ink is not sanded; under a film it is safe', () => {
    const ink = { ...face, ...surface('ink') };
    const plain = { ...box('other', 'face', [1, 0], 0.25, 0.25), ...relief('sand') };
    expect(sanded([ink, plain]).problems).toEqual(['sanding bare ink']);
    expect(sanded([ink, plain], ['other']).problems).toEqual([]);
    const poured = { coats: [coat({ thicknessM: 2e-3, poured: pouredAgo(200) })] };
    expect(sanded([ink], undefined, poured).problems).toEqual([]);
  });
});
