import { FLOOD_OVER_M2 } from './edgeWetting';
import { coatCost, leftOverPlan, usualIntent, type CostInput } from '.';
import type { AreaKind, CoatKind, EdgeKind, Support } from '../piece';

describe('what a coat starts with', () => {
  const ground = (edges: readonly EdgeKind[], kind: AreaKind = 'face', stands = false) => ({
    ...{ kind, edges },
    relief: stands ? [{ greatestM: 2e-3, meanM: 1e-3, share: 0.5 }] : [],
  });
  const why = (
    kind: CoatKind,
    edges: readonly EdgeKind[],
    support: Support = 'sealed panel',
    area: AreaKind = 'face',
    stands = false,
  ) => {
    const { intent, why: because } = usualIntent(kind, [ground(edges, area, stands)], support);
    return [intent.by, because];
  };
  // Common practice, no source.
  it('by its kind', () => {
    expect(why('seal', ['open'])).toEqual(['skin', 'brushed']);
    expect(why('edge', ['open'])).toEqual(['skin', 'brushed']);
    expect(why('lock', ['open'])).toEqual(['given', 'locks']);
    expect(why('fill', ['mould'], 'cured resin', 'recess')).toEqual(['fill', 'fills recess']);
    expect(why('fill', ['mould'])).toEqual(['given', 'walls all round']);
    expect(why('dome', ['doming'])).toEqual(['dome', 'must not run over']);
    expect(why('back', ['doming'])).toEqual(['dome', 'must not run over']);
    expect(why('back', ['open', 'doming'])).toEqual(['given', 'part']);
    expect(why('back', ['mould'])).toEqual(['given', 'part']);
    expect(why('art', ['open'])).toEqual(['over', 'wet ground']);
    expect(why('art', ['mould'])).toEqual(['given', 'walls all round']);
    expect(why('patch', ['open'])).toEqual(['given', 'part']);
    expect(why('line', ['open'])).toEqual(['given', 'part']);
  });
  it('a flood by its ground: relief, rims, walls, pictures, small things', () => {
    expect(why('flood', ['mould'], 'cured resin', 'recess')).toEqual(['fill', 'fills recess']);
    expect(why('flood', ['open'], 'canvas', 'face', true)).toEqual(['bury', 'relief stands']);
    expect(why('flood', ['doming', 'mould'])).toEqual(['dome', 'must not run over']);
    expect(why('flood', ['doming', 'open'])).toEqual(['natural', 'picture keeps its edges']);
    expect(why('flood', ['mould'])).toEqual(['given', 'walls all round']);
    for (const support of ['canvas', 'paper on board', 'sealed panel', 'bare wood'] as const)
      expect(why('flood', ['open'], support)).toEqual(['natural', 'picture keeps its edges']);
    expect(why('flood', ['open'], 'plastic')).toEqual(['over', 'small and open']);
    expect(usualIntent('flood', [], 'plastic')).toMatchObject({ why: 'walls all round' });
  });
  it('of several areas any open edge, rim or relief counts; all must be recesses for a fill', () => {
    const of = (...grounds: ReturnType<typeof ground>[]) =>
      usualIntent('flood', grounds, 'plastic').why;
    expect(of(ground(['mould'], 'recess'), ground(['mould']))).toBe('walls all round');
    expect(of(ground(['mould']), ground(['open']))).toBe('small and open');
    expect(of(ground(['mould']), ground(['doming']))).toBe('must not run over');
    expect(of(ground(['mould']), ground(['mould'], 'face', true))).toBe('relief stands');
    expect(
      usualIntent('fill', [ground(['mould']), ground(['mould'], 'recess')], 'plastic').why,
    ).toBe('fills recess');
    expect(usualIntent('art', [ground(['mould']), ground(['open'])], 'plastic').intent).toEqual({
      by: 'over',
      perMetreM2: FLOOD_OVER_M2,
    });
  });
});

describe('cost', () => {
  const input: CostInput = {
    ...{ totalM3: 4e-4, wasteM3: 1e-4, densityKgM3: 1100 },
    ...{ price: { amount: 25, per: 'kg' as const }, consumables: 3 },
  };
  it('by weight or by volume, with what does not stay on the piece', () => {
    // 0.44 kg at 25 is 11; a quarter of it and the 3 for cups are waste: 5.75 of 14.
    const found = coatCost(input);
    expect(found.resin).toBeCloseTo(11, 12);
    expect(found.total).toBeCloseTo(14, 12);
    expect(found.wasteShare).toBeCloseTo(5.75 / 14, 12);
    const litre = coatCost({ ...input, price: { amount: 30, per: 'l' } });
    expect(litre.resin).toBeCloseTo(12, 12);
    expect(found.explanation.inputs.map((i) => i.value)).toEqual([0.44, 25, 3, 1e-4]);
    expect(litre.explanation.inputs.map((i) => i.value)).toEqual([4e-4, 30, 3, 1e-4]);
    expect(coatCost({ ...input, consumables: 0, price: { amount: 0, per: 'kg' } }).wasteShare).toBe(
      0,
    );
    expect(coatCost({ ...input, wasteM3: 4e-4 }).wasteShare).toBeCloseTo(1, 12);
    expect(coatCost({ ...input, wasteM3: 0, consumables: 0 }).wasteShare).toBe(0);
  });
  it('refuses what is no amount', () => {
    for (const wrong of [
      { totalM3: 0, wasteM3: 0 },
      { wasteM3: -1e-9 },
      { wasteM3: 5e-4 },
      { price: { amount: -1, per: 'kg' as const } },
      { consumables: -1 },
    ])
      expect(() => coatCost({ ...input, ...wrong })).toThrow('coatCost');
  });
});

describe('what is left in the cup', () => {
  it('goes to the largest piece that it fills, then to the next', () => {
    const fillers = [
      { id: 'small', eachM3: 2e-6, count: 3 },
      { id: 'large', eachM3: 5e-6, count: 2 },
    ];
    expect(leftOverPlan(13e-6, fillers).takes.map((t) => [t.id, t.pieces])).toEqual([
      ['large', 2],
      ['small', 1],
    ]);
    expect(leftOverPlan(13e-6, fillers).restM3).toBeCloseTo(1e-6, 12);
    expect(leftOverPlan(40e-6, fillers).restM3).toBeCloseTo(24e-6, 12);
    expect(leftOverPlan(1e-6, fillers)).toEqual({ takes: [], restM3: 1e-6 });
    expect(leftOverPlan(0, [])).toEqual({ takes: [], restM3: 0 });
    // As much as they take to the last digit is enough.
    expect(leftOverPlan(3 * 1e-7, [{ id: 'a', eachM3: 1e-7, count: 9 }]).takes[0]?.pieces).toBe(3);
    for (const wrong of [
      { eachM3: 0, count: 1 },
      { eachM3: 1, count: 0 },
    ])
      expect(() => leftOverPlan(1, [{ id: 'a', ...wrong }])).toThrow('leftOverPlan');
    expect(() => leftOverPlan(-1, [])).toThrow('leftOverPlan');
  });
});
