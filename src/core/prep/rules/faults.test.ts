import type { PrepFacts } from '../facts';
import {
  area,
  asked,
  damage,
  HOUR,
  NOW,
  old,
  on,
  OWN,
  ownNote,
  relief,
  surface,
} from '../test/facts';

const areas = [area(), area({ id: 'other' })];

describe('faults that sanding or a file puts right', () => {
  const defect = (kind: PrepFacts['defects'][number]['kind'], coatId: string | null = 'a') => ({
    defects: [{ id: 'd', kind, coatId }],
  });
  const base = on('a', 1, ['face', 'other'], 200);
  it('along the edges of the area: a lip 10 mm wide, drips 15 mm, domed edges left out', () => {
    const edged = [area({}, ['open', 'doming'])];
    const flat = (kind: 'tape lip' | 'drips') =>
      asked(
        { areas: edged, coats: [on('a', 1, ['face'], 200), on('b', 2, ['face'])], ...defect(kind) },
        'flatten',
      )[0]?.sanding;
    expect(flat('tape lip')?.areaM2).toBeCloseTo(0.8 * 0.01, 12);
    expect(flat('tape lip')?.removeM3).toBeCloseTo(0.8 * 0.25e-6, 15);
    expect(flat('drips')?.areaM2).toBeCloseTo(0.8 * 0.015, 12);
    expect(flat('drips')?.removeM3).toBeCloseTo(0.8 * 2e-6, 15);
  });
  it('only where the coat with the fault and the next one both lie', () => {
    const coats = [base, on('z', 2, ['other'], 150), on('b', 3, ['face'])];
    const flat = (coatId: string | null) =>
      asked({ areas, coats, ...defect('dimples', coatId) }, 'flatten').map((t) => [
        t.coatId,
        t.areaIds,
        t.notBeforeMs,
      ]);
    expect(flat('a')).toEqual([['b', ['face'], NOW - 130 * HOUR]]);
    expect(flat('z')).toEqual([]);
    // In which coat nobody knows: wherever one lies.
    expect(flat(null)).toEqual([['b', ['face'], NOW - 130 * HOUR]]);
    const third = [...areas, area({ id: 'bare' })];
    const low = [on('a', 1, ['face'], 200), on('b', 2, ['bare'])];
    expect(asked({ areas: third, coats: low, ...defect('dimples', null) }, 'flatten')).toEqual([]);
    // The next is the first over any part of it.
    const two = [base, on('b', 2, ['other']), on('c', 3, ['face', 'other'])];
    expect(asked({ areas, coats: two, ...defect('dimples') }, 'flatten')[0]?.coatId).toBe('b');
  });
  it('no coat comes: lips and drips are filed, on all areas of their coat', () => {
    const filed = (coats: PrepFacts['coats'], kind: 'drips' | 'dimples' = 'drips') =>
      asked({ areas, coats, ...defect(kind) }, 'file off').map((t) => [
        t.title,
        t.areaIds,
        t.notBeforeMs,
      ]);
    expect(filed([base])).toEqual([
      ['Take the drips off below', ['face', 'other'], NOW - 180 * HOUR],
    ]);
    expect(filed([base, on('b', 2, ['other'])])).toEqual([]);
    expect(filed([base], 'dimples')).toEqual([]);
    expect(filed([on('a', 1, ['face'])])).toEqual([]);
  });
  it('what no coat may go over holds the next one, on the areas of both', () => {
    const hold = (coats: PrepFacts['coats'], coatId: string | null = 'a') =>
      asked({ areas, coats, ...defect('soft spot', coatId) }, 'put right').map((t) => [
        t.coatId,
        t.areaIds,
      ]);
    expect(hold([base, on('b', 2, ['other'])])).toEqual([['b', ['other']]]);
    expect(hold([on('a', 1, ['face'], 200), on('b', 2, ['other', 'face'])])).toEqual([
      ['b', ['face']],
    ]);
    expect(
      hold(
        [on('a', 1, ['face'], 200), on('z', 2, ['other'], 90), on('b', 3, ['other', 'face'])],
        'z',
      ),
    ).toEqual([['b', ['other']]]);
    expect(hold([base, on('b', 2, ['other', 'face'])], null)).toEqual([['b', ['other', 'face']]]);
    expect(hold([on('a', 1, ['face'], 200), on('b', 2, ['other'])])).toEqual([]);
  });
  it('polish after the last coat, on all its areas, for what polish takes out', () => {
    const polish = (kind: 'scratches' | 'dimples', coats: PrepFacts['coats'] = [base]) =>
      asked(
        {
          areas,
          coats,
          defects: [
            { id: 'e', kind: 'drips', coatId: 'a' },
            { id: 'd', kind, coatId: 'a' },
          ],
        },
        'polish',
      ).map((t) => [t.areaIds, t.coatId, t.notBeforeMs]);
    expect(polish('scratches')).toEqual([[['face', 'other'], null, NOW - 180 * HOUR]]);
    expect(polish('dimples')).toEqual([]);
    expect(polish('scratches', [base, on('b', 2, ['face'])])).toEqual([]);
    expect(polish('scratches', [on('a', 1, ['face'])])).toEqual([]);
  });
});

describe('steps of one’s own', () => {
  const sand = {
    ...OWN,
    kind: 'sand',
    title: 'Back',
    areaIds: ['other'],
    fromGrit: 120,
    toGrit: 220,
  } as const;
  const own = (given: PrepFacts['own'], coats: PrepFacts['coats'], rule = 'own sanding') =>
    asked({ areas, coats, own: given }, rule);
  const waits = [
    on('a', 1, ['face'], 30),
    on('b', 2, ['face']),
    on('c', 3, ['other'], null, { thicknessM: 0.2e-3 }),
  ];
  it('go on their own areas, with their own coat', () => {
    const at = (coatId: string) => own([{ ...sand, on: { at: 'coat', coatId } }], waits)[0];
    expect(at('c')).toMatchObject({ coatId: 'c', areaIds: ['other'], step: 'sand' });
    expect(at('c')?.sanding?.areaM2).toBeCloseTo(0.08, 9);
    expect(at('c')?.sanding?.beyondM2).toBe(0);
    // The coat tells what hides the scratches: P120 under 0.2 mm they show, and all of it lies beyond coat b.
    expect(at('c')?.sanding?.steps[0]?.hidden).toBe(false);
    expect(at('b')?.sanding?.steps[0]?.hidden).toBe(true);
    expect(at('b')?.sanding?.beyondM2).toBeCloseTo(0.08, 9);
    expect(at('gone')?.coatId).toBe('b');
    expect(at('a')).toBeUndefined();
    expect(own([{ ...sand, on: { at: 'next' } }], waits)[0]?.coatId).toBe('b');
    expect(
      own([{ ...sand, on: { at: 'next' } }], [on('a', 1, ['face'], 30)])[0]?.coatId,
    ).toBeNull();
    expect(
      own([{ ...sand, on: { at: 'coat', coatId: 'gone' } }], [on('a', 1, ['face'], 30)])[0]?.coatId,
    ).toBeNull();
  });
  it('after the last coat they wait until everything bears a hand', () => {
    const last = { at: 'last' } as const;
    const poured = [on('a', 1, ['face'], 10), on('b', 2, ['other'], 30)];
    for (const step of [{ ...sand, on: last }, ownNote({ on: last })])
      expect(own([step], poured, step.kind === 'sand' ? 'own sanding' : 'own note')).toMatchObject([
        { coatId: null, step: 'after', notBeforeMs: NOW + 10 * HOUR },
      ]);
    expect(own([ownNote({ on: last })], [], 'own note')).toMatchObject([
      { step: 'after', notBeforeMs: null },
    ]);
    expect(own([sand], poured)).toMatchObject([{ step: 'sand', notBeforeMs: null }]);
    expect(own([ownNote()], poured, 'own note')).toMatchObject([
      { step: 'level', notBeforeMs: null, drying: null },
    ]);
    expect(own([ownNote({ labelS: 60 })], poured, 'own note')).toMatchObject([
      { drying: { labelS: 60, thicknessM: 0.2e-3, leaves: 'water' } },
    ]);
    expect(own([sand], poured, 'own note')).toEqual([]);
    expect(own([ownNote()], poured)).toEqual([]);
  });
});

describe('the ground', () => {
  it('is bare until a coat lies all over it; asked for with its first coat, or with none where no coat is planned', () => {
    const gap = [
      area(damage('gap at the rim')),
      area({ id: 'other', ...damage('gap at the rim') }),
    ];
    const at = (coats: PrepFacts['coats'], change = gap) =>
      asked({ areas: change, coats }, 'rim gap').map((t) => [t.areaIds[0], t.coatId]);
    expect(at([])).toEqual([
      ['face', null],
      ['other', null],
    ]);
    expect(
      at(
        [],
        gap.map((a) => ({ ...a, bare: a.id === 'face' })),
      ),
    ).toEqual([['other', null]]);
    // In whatever order they were written down, the lower coat is the first.
    expect(at([on('b', 2, ['face']), on('a', 1, ['face'])])).toEqual([['face', 'a']]);
    expect(at([on('a', 1, ['face'], 30), on('b', 2, ['face', 'other'])])).toEqual([['other', 'b']]);
    expect(at([on('a', 1, ['face'], 30)])).toEqual([]);
  });
  it('hardware comes off before anything else, told of the first area', () => {
    const off = (coats: PrepFacts['coats']) =>
      asked({ areas, coats, hardware: ['Hinge'] }, 'hardware').map((t) => [t.coatId, t.areaIds]);
    expect(off([on('a', 1, ['face'])])).toEqual([['a', ['face']]]);
    expect(off([])).toEqual([[null, ['face']]]);
    expect(off([on('a', 1, ['face'], 30)])).toEqual([]);
  });
  it('old resin is taken off or washed by its state; a new surface of that name is none', () => {
    const asks = (change: Parameters<typeof area>[0], rule: string) =>
      asked({ areas: [area(change)] }, rule).length;
    expect([asks(old('sticky'), 'old resin soft'), asks(old('hard'), 'old resin soft')]).toEqual([
      1, 0,
    ]);
    expect([asks(old('chalky'), 'old resin dirty'), asks(old('hard'), 'old resin dirty')]).toEqual([
      1, 0,
    ]);
    const painted = { ...old('sticky').surface, kind: 'painted' as const };
    expect(asks({ surface: painted }, 'old resin soft')).toBe(0);
    expect(asks({ surface: { ...old('sticky').surface, resin: null } }, 'old resin soft')).toBe(0);
  });
  it('paste is shaped over its own share, for the coat that comes over it', () => {
    const mixed = area({
      relief: [
        ...relief('paste').relief,
        { ...relief('sand').relief[0], kind: 'sand', share: 0.25 } as never,
      ],
    });
    const thin = on('b', 2, ['face'], null, { thicknessM: 0.2e-3 });
    const shape = (coats: PrepFacts['coats']) =>
      asked({ areas: [mixed, area({ id: 'other' })], coats }, 'shape paste')[0];
    expect(shape([on('a', 1, ['other']), thin])?.sanding?.areaM2).toBeCloseTo(0.04, 12);
    expect(shape([on('a', 1, ['other']), thin])).toMatchObject({ coatId: 'b', areaIds: ['face'] });
    expect(shape([on('a', 1, ['other']), thin])?.sanding?.steps[0]?.hidden).toBe(false);
    expect(
      shape([on('a', 1, ['other'], null, { thicknessM: 0.2e-3 }), on('b', 2, ['face'])])?.sanding
        ?.steps[0]?.hidden,
    ).toBe(true);
    expect(shape([])?.sanding?.steps[0]?.hidden).toBeNull();
    expect(asked({ areas: [area(relief('sand'))] }, 'shape paste')).toEqual([]);
  });
  it('edges are painted where the ground shows through: a coloured face that drinks or is wood or paper', () => {
    const painted = (
      change: Parameters<typeof area>[0],
      support: PrepFacts['support'] = 'sealed panel',
    ) =>
      asked({ support, areas: [area({ ...surface('painted'), ...change })] }, 'edge ground').length;
    expect(painted({})).toBe(0);
    expect(painted({ porosity: 'porous' })).toBe(1);
    expect(painted({}, 'bare wood')).toBe(1);
    expect(painted({}, 'paper on board')).toBe(1);
    expect(painted({ kind: 'recess' }, 'bare wood')).toBe(0);
    expect(painted(surface('bare'), 'bare wood')).toBe(0);
    expect(painted(surface('old resin'), 'bare wood')).toBe(0);
  });
});
