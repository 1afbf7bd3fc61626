import type { LaidMask, PrepFacts } from '../facts';
import { area, asked, HOUR, NOW, on, relief } from '../test/facts';

const areas = [area(), area({ id: 'other' })];

describe('the lip of tape that came off late', () => {
  const mask = (takenOffH: number | null, change: Partial<LaidMask> = {}): LaidMask => ({
    ...{ coatId: 'a', areaId: 'face', method: 'painter’s tape', laidMs: NOW - 31 * HOUR },
    takenOffMs: takenOffH === null ? null : NOW - (30 - takenOffH) * HOUR,
    ...change,
  });
  const lips = (
    masks: LaidMask[],
    coats: PrepFacts['coats'] = [on('a', 1, ['face'], 30)],
    change: Partial<Omit<PrepFacts, 'schools'>> = {},
  ) => asked({ areas, coats, masks, ...change }, 'lip');
  it('is filed where its coat had set: painter’s tape after 16 h, cloth tape when leathery', () => {
    expect(lips([mask(17)])).toMatchObject([
      { coatId: null, areaIds: ['face'], notBeforeMs: NOW - 10 * HOUR, key: 'lip:a.face' },
    ]);
    expect(lips([mask(16)])).toEqual([]);
    expect(lips([mask(8, { method: 'cloth tape' })])).toHaveLength(1);
    expect(lips([mask(7, { method: 'cloth tape' })])).toEqual([]);
    for (const method of ['latex', 'PVA glue', 'none'] as const)
      expect(lips([mask(29, { method, laidMs: NOW - 900 * HOUR })])).toEqual([]);
    expect(lips([mask(null)])).toEqual([]);
  });
  it('belongs to its own coat, and comes before the next on its area', () => {
    const two = [on('z', 1, ['other'], 100), on('a', 2, ['face'], 30), on('b', 3, ['face'])];
    expect(lips([mask(17)], two)).toMatchObject([{ coatId: 'b' }]);
    expect(lips([mask(17, { coatId: 'gone' })], two)).toEqual([]);
    expect(lips([mask(17)], [on('a', 1, ['face'])])).toEqual([]);
  });
  it('is settled by a pour over it, or by a finding that brings its own step', () => {
    const upper = (areaIds: string[], order = 2) => [
      on('a', 1, ['face'], 30),
      on('b', order, areaIds, 5),
    ];
    expect(lips([mask(17)], upper(['face']))).toEqual([]);
    expect(lips([mask(17)], upper(['other']))).toHaveLength(1);
    expect(lips([mask(17)], [on('b', 1, ['face'], 90), on('a', 2, ['face'], 30)])).toHaveLength(1);
    const defect = (kind: 'tape lip' | 'drips', coatId: string) => ({
      defects: [{ id: 'd', kind, coatId }],
    });
    expect(lips([mask(17)], undefined, defect('tape lip', 'a'))).toEqual([]);
    expect(lips([mask(17)], undefined, defect('tape lip', 'z'))).toHaveLength(1);
    expect(lips([mask(17)], undefined, defect('drips', 'a'))).toHaveLength(1);
  });
});

describe('what a coat leaves for the one over it', () => {
  it('waits until all of it that is below bears a hand, and names where', () => {
    const coats = [
      on('a', 1, ['face'], 10, { silicone: true }),
      on('b', 2, ['other'], 30, { silicone: true }),
      on('c', 3, ['other', 'face']),
    ];
    expect(asked({ areas, coats }, 'degrease')).toMatchObject([
      { coatId: 'c', areaIds: ['other', 'face'], notBeforeMs: NOW + 10 * HOUR },
    ]);
    const planned = [on('a', 1, ['face'], null, { silicone: true }), on('c', 2, ['face'])];
    expect(asked({ areas, coats: planned }, 'degrease')).toEqual([]);
  });
  it('a fill in a mould leaves a lip that is sanded with the ground of the next, where that is sanded', () => {
    const mould = area({}, ['mould', 'open']);
    const lip = (of: Parameters<typeof asked>[0]) => asked(of, 'meniscus').length;
    const fill = (hours: number) => on('a', 1, ['face'], hours, { kind: 'fill' });
    expect(lip({ areas: [mould], coats: [fill(200), on('b', 2, ['face'])] })).toBe(1);
    expect(lip({ areas: [mould], coats: [fill(10), on('b', 2, ['face'])] })).toBe(0);
    expect(lip({ areas: [area()], coats: [fill(200), on('b', 2, ['face'])] })).toBe(0);
    expect(
      lip({ areas: [mould], coats: [fill(200), on('b', 2, ['face'], null, { kind: 'fill' })] }),
    ).toBe(0);
  });
  it('a casting goes back into its mould for a fill on bare walls', () => {
    const walled = area({}, ['mould', 'open']);
    const back = (coats: PrepFacts['coats'], of = [walled, area({ id: 'other' })]) =>
      asked({ support: 'cured resin', areas: of, coats }, 'back in mould').map((t) => t.areaIds);
    const fill = { kind: 'fill' as const };
    expect(back([on('a', 1, ['face', 'other'], null, fill)])).toEqual([['face']]);
    expect(back([on('a', 1, ['other'], null, fill)])).toEqual([]);
    expect(back([on('a', 1, ['face'])])).toEqual([]);
    expect(back([on('a', 1, ['face'], 30), on('b', 2, ['face'], null, fill)])).toEqual([]);
  });
  it('grains that a lock coat did not bind are brushed off: only where they lie', () => {
    const strewn = [area(relief('sand')), area({ id: 'other' })];
    const coats = [
      on('a', 1, ['face', 'other'], 30, { kind: 'lock' }),
      on('b', 2, ['face', 'other']),
    ];
    expect(asked({ areas: strewn, coats }, 'loose between')).toMatchObject([{ areaIds: ['face'] }]);
  });
  it('a seep that was lifted is painted again until a coat lies over it', () => {
    const atMs = NOW - 10 * HOUR;
    const seep = (coats: PrepFacts['coats'], change: object = {}) =>
      asked(
        { areas, coats, repaired: [{ kind: 'seep', areaIds: ['face'], atMs, ...change }] },
        'repaint seep',
      );
    const base = on('a', 1, ['face', 'other'], 30);
    expect(seep([base, on('b', 2, ['face'])])).toMatchObject([
      { coatId: 'b', areaIds: ['face'], drying: { labelS: 86_400, leaves: 'water' } },
    ]);
    expect(seep([base])).toMatchObject([{ coatId: null }]);
    expect(seep([base], { kind: 'scorch' })).toEqual([]);
    expect(seep([base], { areaIds: [] })).toEqual([]);
    const over = (change: Parameters<typeof on>[4], areaIds = ['face'], hours = 9) =>
      seep([base, on('b', 2, areaIds, hours, change)]).length;
    expect(over({})).toBe(0);
    expect(over({}, ['face'], 10)).toBe(1);
    expect(over({}, ['other'])).toBe(1);
    expect(over({}, ['other', 'face'])).toBe(0);
    expect(over({ kind: 'patch', coverage: 0.1 })).toBe(1);
    expect(seep([base, on('b', 2, ['face'])]).length).toBe(1);
  });
});
