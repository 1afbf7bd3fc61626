import { MASK_FACTS, planPrep, type MaskMethod } from '..';
import { unmaskAges, maskMaterials } from '../masks';
import type { LaidMask, PrepArea, PrepFacts } from '../facts';
import {
  amountOf,
  area,
  asked,
  coat,
  facts,
  HOUR,
  NOW,
  on,
  pouredAgo,
  relief,
  surface,
  task,
} from '../test/facts';

/** Four edges of a face of 400 × 200 mm: two long ones and two short ones in turn. */
const edged = (kinds: Parameters<typeof area>[1], change: Partial<PrepArea> = {}) =>
  area(change, kinds);
const by = (mask: MaskMethod) => ({ schools: { mask } });
const laid = (change: Partial<LaidMask> = {}): LaidMask => ({
  ...{ coatId: 'first', areaId: 'face', method: 'painter’s tape', laidMs: NOW - 11 * HOUR },
  takenOffMs: null,
  ...change,
});
const first = (hours: number, change: Parameters<typeof coat>[0] = {}) =>
  coat({ id: 'first', poured: pouredAgo(hours), ...change });
const second = coat({ id: 'second', name: 'Flood 2', order: 2 });

describe('what a mask is put on, and what it takes', () => {
  it('drips want it under open edges, and round bare parts: length of all pieces and a tenth', () => {
    const told = task(facts({ count: 3 }), 'mask');
    expect(amountOf(told, 'painter’s tape 24 mm')).toBeCloseTo(1.2 * 3 * 1.1, 12);
    expect(told.edges).toEqual([0, 1, 2, 3].map((edge) => ({ areaId: 'face', edge })));
    expect(told.how).toBe(MASK_FACTS['painter’s tape'].how);
    const bare = facts({ count: 3, areas: [edged(['own rim'], { bareOutlineM: 0.25 })] });
    expect(amountOf(task(bare, 'mask'), 'painter’s tape 24 mm')).toBeCloseTo(0.25 * 3 * 1.1, 12);
    const both = facts({ count: 3, areas: [edged(['open'], { bareOutlineM: 0.25 })] });
    expect(amountOf(task(both, 'mask'), 'painter’s tape 24 mm')).toBeCloseTo(1.45 * 3 * 1.1, 12);
  });
  it('a brushed mask is length × 20 mm × its wet thickness', () => {
    const latex = task(facts({ count: 3, ...by('latex') }), 'mask');
    expect(amountOf(latex, 'liquid latex')).toBeCloseTo(3.6 * 0.02 * 0.5e-3, 12);
    expect(latex.drying).toEqual(MASK_FACTS.latex.drying);
    const glue = task(facts({ ...by('PVA glue') }), 'mask');
    expect(amountOf(glue, 'PVA glue')).toBeCloseTo(1.2 * 0.02 * 1e-3, 12);
    expect(glue.cautions).toEqual([]);
  });
  it('a wall of tape wants tape, whatever the shop masks with, wide enough for the film', () => {
    const walls = [edged(['tape wall', 'own rim'])];
    const low = task(facts({ areas: walls }), 'mask');
    expect(amountOf(low, 'painter’s tape 24 mm')).toBeCloseTo(0.8 * 1.1, 12);
    expect(low.how).toMatch(/wall of tape stands 6 mm/);
    expect(low.edges).toEqual([
      { areaId: 'face', edge: 0 },
      { areaId: 'face', edge: 2 },
    ]);
    // 6 mm over the film and as much below: 24 mm hold one of 6 mm.
    const wide = (thicknessM: number) =>
      amountOf(
        task(facts({ areas: walls, coats: [coat({ thicknessM })] }), 'mask'),
        'painter’s tape 48 mm',
      );
    expect(wide(6e-3)).toBe(0);
    expect(wide(6.1e-3)).toBeCloseTo(0.8 * 1.1, 12);
    const none = task(facts({ areas: walls, ...by('none') }), 'mask');
    expect(none).toMatchObject({ mask: 'painter’s tape', problems: ['tape wall needs tape'] });
    expect(amountOf(none, 'painter’s tape 24 mm')).toBeCloseTo(0.8 * 1.1, 12);
    const cloth = task(facts({ areas: walls, ...by('cloth tape') }), 'mask');
    expect(cloth).toMatchObject({ mask: 'cloth tape', problems: [] });
    expect(amountOf(cloth, 'cloth tape 48 mm')).toBeCloseTo(0.8 * 1.1, 12);
    const mixed = facts({ areas: [edged(['tape wall', 'open'])], ...by('latex') });
    expect(task(mixed, 'mask')).toMatchObject({
      mask: 'latex',
      problems: ['tape wall needs tape'],
    });
    expect(task(mixed, 'mask').edges.map((e) => e.edge)).toEqual([1, 3, 0, 2]);
    expect(amountOf(task(mixed, 'mask'), 'painter’s tape 24 mm')).toBeCloseTo(0.8 * 1.1, 12);
    expect(amountOf(task(mixed, 'mask'), 'liquid latex')).toBeCloseTo(0.4 * 0.02 * 0.5e-3, 12);
  });
  it('nothing to mask: domed edges, no mask at all, recesses, edge bands, drawn lines', () => {
    expect(asked({ areas: [edged(['doming'])] }, 'mask')).toEqual([]);
    expect(asked({ ...by('none') }, 'mask')).toEqual([]);
    for (const kind of ['recess', 'edge band'] as const)
      expect(asked({ areas: [edged(['open'], { kind })] }, 'mask')).toEqual([]);
    expect(asked({ coats: [coat({ kind: 'line' })] }, 'mask')).toEqual([]);
    expect(task(facts(), 'mask').how).not.toMatch(/wall of tape/);
  });
  it('tape brings a warm gun and a knife; on plastic the heat is said', () => {
    expect(task(facts(), 'mask')).toMatchObject({ cautions: ['hot air', 'knife'], problems: [] });
    expect(task(facts({ support: 'plastic' }), 'mask')).toMatchObject({
      cautions: ['plastic heat', 'knife'],
      problems: ['heat on plastic'],
    });
    expect(task(facts({ support: 'plastic', ...by('latex') }), 'mask').problems).toEqual([]);
  });
  it('tape round a part that stays bare comes before paint or spray go over it', () => {
    const step = (
      change: Partial<PrepArea>,
      method: MaskMethod = 'painter’s tape',
      support: PrepFacts['support'] = 'sealed panel',
    ) =>
      task(
        facts({
          support,
          areas: [edged(['open'], { bareOutlineM: 0.2, ...change })],
          ...by(method),
        }),
        'mask',
      ).step;
    expect(step(surface('ink'))).toBe('keep bare');
    expect(step(relief('leaf'))).toBe('keep bare');
    expect(step({ ...surface('painted'), porosity: 'porous' })).toBe('keep bare');
    expect(step(surface('painted'), 'painter’s tape', 'bare wood')).toBe('keep bare');
    expect(step(surface('painted'), 'painter’s tape', 'paper on board')).toBe('keep bare');
    expect(step(surface('painted'))).toBe('mask');
    expect(step({ porosity: 'porous' })).toBe('mask');
    expect(step({ ...surface('old resin'), porosity: 'porous' })).toBe('mask');
    expect(step(surface('ink'), 'latex')).toBe('mask');
    expect(step({ ...surface('ink'), bareOutlineM: 0 })).toBe('mask');
    // Two areas under one coat: the delicate one is the second.
    const cover = { kind: 'face', edges: area().edges.map((e) => ({ ...e, on: null })) } as const;
    const two = facts({
      areas: [area(), area({ id: 'b', ...surface('ink') })],
      coats: [
        coat({
          areaIds: ['face', 'b'],
          covers: [{ ...cover, areaIds: ['face', 'b'], bareOutlineM: 0.2 }],
        }),
      ],
    });
    expect(task(two, 'mask')).toMatchObject({
      step: 'keep bare',
      areaIds: ['face', 'b'],
      edges: [],
    });
    const plain = { ...two, areas: two.areas.map((a) => ({ ...a, ...surface('bare') })) };
    expect(task(plain, 'mask').step).toBe('mask');
  });
});

describe('a mask from coat to coat', () => {
  it('is renewed where one was for another coat on this area, and only then', () => {
    const title = (masks: LaidMask[]) =>
      task(facts({ coats: [coat({ id: 'first' })], masks }), 'mask').title;
    const off = { takenOffMs: NOW - HOUR };
    expect(title([])).toBe('Mask: painter’s tape');
    expect(title([laid(off)])).toBe('Mask: painter’s tape');
    expect(title([laid({ coatId: 'other', ...off })])).toBe('Renew the mask: painter’s tape');
    expect(title([laid({ coatId: 'other', areaId: 'elsewhere', ...off })])).toBe(
      'Mask: painter’s tape',
    );
  });
  it('only its own age counts: another area’s or another coat’s is none of it', () => {
    const old = { laidMs: NOW - 60 * HOUR };
    const problems = (...masks: LaidMask[]) =>
      task(facts({ coats: [coat({ id: 'first' })], masks }), 'mask').problems;
    expect(problems(laid(old))).toEqual(['mask past its limit']);
    expect(problems(laid({ ...old, areaId: 'elsewhere' }))).toEqual([]);
    expect(problems(laid({ ...old, coatId: 'other' }))).toEqual([]);
    expect(problems(laid(old), laid())).toEqual([]);
    expect(problems(laid({ laidMs: NOW - 48 * HOUR }))).toEqual([]);
  });
  it('glue stays through three coats that went over it since, counted on its own area', () => {
    const upper = (order: number, hours: number | null, areaIds = ['face']) =>
      coat({ id: `c${order}`, order, areaIds, poured: hours === null ? null : pouredAgo(hours) });
    const glue = (change: Partial<LaidMask> = {}) => [
      laid({ method: 'PVA glue', laidMs: NOW - 50 * HOUR, ...change }),
    ];
    const areas = [area(), area({ id: 'other' })];
    const rules = (coats: PrepFacts['coats'], masks = glue()) =>
      planPrep(facts({ areas, coats, masks, ...by('PVA glue') }))
        .filter((t) => t.areaIds[0] === 'face')
        .map((t) => t.rule);
    const three = [first(40), upper(2, 30), upper(3, 20)];
    expect(rules([first(40), upper(2, 30), upper(3, null)])).not.toContain('mask');
    expect(rules([...three, upper(4, null)])).toContain('mask');
    expect(rules([...three, upper(4, null)])).toContain('unmask');
    // One of the three lay on another area, or was there before the mask.
    expect(rules([first(40), upper(2, 30), upper(3, 20, ['other']), upper(4, null)])).not.toContain(
      'mask',
    );
    expect(rules([...three, upper(4, null)], glue({ laidMs: NOW - 35 * HOUR }))).not.toContain(
      'mask',
    );
    // A mask that no coat went over yet, one that was taken off, one on another area: none of them holds.
    expect(rules([coat({ id: 'first' })])).toContain('mask');
    expect(rules([first(40), upper(2, null)], glue({ takenOffMs: NOW - HOUR }))).toContain('mask');
    expect(rules([first(40), upper(2, null)], glue({ areaId: 'other' }))).toContain('mask');
    expect(rules([first(40), upper(2, null)], glue({ method: 'painter’s tape' }))).toContain(
      'mask',
    );
  });
  it('comes off all edges that it is on, with what that brings', () => {
    const coats = [first(10)];
    const off = (method: MaskMethod, kinds: Parameters<typeof area>[1] = ['open']) =>
      task(facts({ coats, areas: [edged(kinds)], masks: [laid({ method })] }), 'unmask');
    expect(off('painter’s tape', ['open', 'doming'])).toMatchObject({
      title: 'Take the mask off: painter’s tape',
      edges: [0, 2].map((edge) => ({ areaId: 'face', edge })),
      cautions: ['hot air', 'knife'],
      coatId: null,
      areaIds: ['face'],
    });
    expect(off('latex').cautions).toEqual(['skin']);
    expect(off('PVA glue').cautions).toEqual(['hot air', 'knife']);
    expect(task(facts({ coats, ...by('none') }), 'unmask').cautions).toEqual(['skin']);
  });
  it('is asked to come off for its own coat, and is settled by the next pour after that', () => {
    const other = coat({ id: 'other', order: 2, areaIds: ['b'], poured: pouredAgo(3) });
    const areas = [area(), area({ id: 'b' })];
    const masks = [laid(), laid({ coatId: 'other', areaId: 'b', laidMs: NOW - 4 * HOUR })];
    const both = asked({ areas, coats: [first(10), other], masks }, 'unmask');
    expect(both.map((t) => [t.areaIds[0], t.notBeforeMs])).toEqual(
      expect.arrayContaining([
        ['face', NOW - 3 * HOUR],
        ['b', NOW + 4 * HOUR],
      ]),
    );
    const done = (takenOffMs: number) =>
      asked(
        { coats: [first(10), { ...second, poured: pouredAgo(2) }], masks: [laid({ takenOffMs })] },
        'unmask',
      ).length;
    expect([done(NOW - 3 * HOUR), done(NOW - 2 * HOUR), done(NOW - HOUR)]).toEqual([0, 1, 1]);
    expect(asked({ coats: [coat({ id: 'first' })], masks: [laid()] }, 'unmask')).toEqual([]);
    expect(asked({ coats: [first(10)], masks: [laid({ areaId: 'gone' })] }, 'unmask')).toEqual([]);
  });
  it('one that went through too many coats is no fault any more once it is off', () => {
    const coats = [first(20), coat({ id: 'c2', order: 2, poured: pouredAgo(8) })];
    const off = (takenOffMs: number | null) =>
      task(facts({ coats, masks: [laid({ laidMs: NOW - 21 * HOUR, takenOffMs })] }), 'unmask');
    expect(off(null).how).toBe(MASK_FACTS['painter’s tape'].missed);
    expect(off(NOW - HOUR)).toMatchObject({ problems: [], how: MASK_FACTS['painter’s tape'].off });
  });
  it('without a mask drips are scraped off the last coat, where edges are open and nothing was put on', () => {
    const upper = coat({ id: 'c2', order: 2, areaIds: ['face', 'b'], poured: pouredAgo(1) });
    const areas = [edged(['doming', 'open']), area({ id: 'b' }, ['doming'])];
    const scraped = (masks: LaidMask[] = []) =>
      asked({ areas, coats: [first(30), upper], masks, ...by('none') }, 'unmask').filter(
        (t) => t.mask === 'none',
      );
    expect(scraped().map((t) => [t.areaIds, t.key, t.title])).toEqual([
      [['face'], 'unmask:c2.face', 'Scrape the drips'],
    ]);
    expect(scraped()[0]?.removal?.limitMs).toBe(NOW + 4 * HOUR);
    expect(scraped([laid({ coatId: 'c2' })])).toEqual([]);
    expect(scraped([laid({ coatId: 'c2', areaId: 'b' })])).toHaveLength(1);
    expect(scraped([laid()])).toHaveLength(1);
  });
});

describe('hardware seats', () => {
  it('are masked with the first coat that comes on a bare face', () => {
    const areas = [area(), area({ id: 'b' }), area({ id: 'pit', kind: 'recess' })];
    const seat = (coats: PrepFacts['coats']) =>
      asked({ hardware: ['Hinge'], areas, coats }, 'hardware seat').map((t) => [
        t.coatId,
        t.areaIds,
      ]);
    expect(seat([on('a', 1, ['pit']), on('b', 2, ['face', 'pit', 'b'])])).toEqual([
      ['b', ['face', 'b']],
    ]);
    expect(
      seat([on('a', 1, ['face'], 30), on('b', 2, ['face']), on('c', 3, ['b', 'face'])]),
    ).toEqual([['c', ['b']]]);
    expect(seat([on('a', 1, ['pit'])])).toEqual([]);
  });
});

describe('ways of masking', () => {
  const times = { noFlowS: 5, leatheryS: 7, unmaskClosesS: 16, handleS: 20 } as Parameters<
    typeof unmaskAges
  >[1];
  // Common practice, no source: tape while leathery, cloth tape while gooey, brushed masks after the cure.
  it.each<[MaskMethod, readonly [number, number | null] | null]>([
    ['painter’s tape', [7, 16]],
    ['cloth tape', [5, 7]],
    ['latex', [20, null]],
    ['PVA glue', [20, null]],
    ['none', null],
  ])('%s: ripe ages', (method, ages) => expect(unmaskAges(method, times)).toEqual(ages));
  it('what an opened amount shows comes to the amount', () => {
    for (const method of ['painter’s tape', 'cloth tape', 'latex', 'PVA glue'] as const)
      for (const { amount, inputs } of maskMaterials(method, 2, 3e-3)) {
        const [length, ...others] = inputs.map((i) => i.value);
        expect(length).toBe(2);
        const by = others.length === 1 ? 1 + (others[0] ?? NaN) : others.reduce((p, v) => p * v, 1);
        expect(amount).toBeCloseTo(2 * by, 12);
      }
    expect(maskMaterials('none', 2)).toEqual([]);
  });
});
