import { planPrep } from '..';
import {
  area,
  asked,
  coat,
  facts,
  found,
  HOUR,
  NOW,
  on,
  pouredAgo,
  relief,
  surface,
  task,
} from '../test/facts';

const second = coat({ id: 'second', name: 'Flood 2', order: 2, thicknessM: 1.8e-3 });

describe('where a coat wants tooth', () => {
  const hard = coat({ id: 'first', poured: pouredAgo(30) });
  const keyed = (next: Parameters<typeof coat>[0]) =>
    task(facts({ coats: [hard, coat({ id: 'next', order: 2, ...next })] }), 'tooth').sanding
      ?.areaM2;
  it('all over, on its share, or on its edges: what it covers', () => {
    // 400 × 200 mm; edges 1.2 m around, 18 mm tall.
    expect(keyed({})).toBeCloseTo(0.08, 9);
    expect(keyed({ kind: 'patch', coverage: 0.05 })).toBeCloseTo(0.004, 9);
    expect(keyed({ kind: 'edge' })).toBeCloseTo(0.0216, 9);
  });
  it('an edge coat over an edge coat that has cured is keyed', () => {
    const rims = [
      coat({ kind: 'edge', poured: pouredAgo(30) }),
      coat({ id: 'two', kind: 'edge', order: 2 }),
    ];
    expect(found(facts({ coats: rims }))).toContain('tooth');
  });
});

describe('relief that stands proud of a coat', () => {
  it('is taken off by the law of the ledger', () => {
    // Heights even from 0 to 2 mm over half of 0.08 m². At 1 mm: ½ · (1 mm)² / (2 · 2 mm) = 0.125 mm, on a quarter.
    const proud = task(
      facts({
        areas: [area(relief('paste'))],
        coats: [coat({ thicknessM: 1e-3, poured: pouredAgo(30) }), second],
        defects: [{ id: 'd', kind: 'proud relief', coatId: 'flood' }],
      }),
      'flatten',
    );
    expect((proud.sanding?.removeM3 ?? 0) * 1e6).toBeCloseTo(10, 9);
    expect(proud.sanding?.areaM2).toBeCloseTo(0.02, 9);
  });
  it('heights that are nearly even: 0.175 mm, where a law of its own said 0.08', () => {
    // Greatest 2 mm, mean 1.5 mm (p = 1/3) at 1.6 mm: 1.5 · 0.2^(4/3) = 0.17544 mm over all of it.
    const narrow = { kind: 'paste', greatestM: 2e-3, meanM: 1.5e-3, share: 1 } as const;
    const proud = task(
      facts({
        areas: [area({ relief: [narrow] })],
        coats: [coat({ poured: pouredAgo(30) }), second],
        defects: [{ id: 'd', kind: 'proud relief', coatId: 'flood' }],
      }),
      'flatten',
    );
    const meanM = 1.5e-3 * 0.2 ** (4 / 3);
    expect(proud.sanding?.removeM3).toBeCloseTo(0.08 * meanM, 12);
  });
});

describe('a patch on a twentieth of a porous face', () => {
  it('leaves the rest drinking: it is sealed, not keyed', () => {
    const patch = coat({ kind: 'patch', order: 0, coverage: 0.05, poured: pouredAgo(30) });
    const rules = found(facts({ areas: [area({ porosity: 'porous' })], coats: [patch, second] }));
    expect(rules).toContain('seal');
    expect(rules).not.toContain('tooth');
  });
});

describe('ground that is not all alike', () => {
  it('beside a filled recess the old face is keyed too, where only the fill was', () => {
    // 54 cm² of dial in 432 cm² of face; the dial was filled and is hard.
    const side = { kind: 'rectangle', widthM: 0.24, heightM: 0.18 } as const;
    const dial = { kind: 'rectangle', widthM: 0.09, heightM: 0.06 } as const;
    const of = facts({
      areas: [
        area({ shape: side, ...surface('old resin') }),
        area({ id: 'dial', kind: 'recess', depthM: 2e-3, shape: dial }),
      ],
      coats: [
        coat({ id: 'fill', kind: 'fill', order: 0, areaIds: ['dial'], poured: pouredAgo(30) }),
        coat({ areaIds: ['face', 'dial'] }),
      ],
    });
    expect(task(of, 'tooth').sanding?.areaM2).toBeCloseTo(0.24 * 0.18, 6);
  });
  it('a part that is still soft is left, a part that is hard is keyed', () => {
    const of = facts({
      areas: [area(surface('old resin')), area({ id: 'b' })],
      coats: [
        coat({ id: 'first', order: 0, areaIds: ['b'], poured: pouredAgo(10) }),
        coat({ areaIds: ['face', 'b'] }),
      ],
    });
    const tooth = planPrep(of).filter((t) => t.rule === 'tooth');
    expect(tooth.map((t) => [t.areaIds, t.skippedUntilMs !== null])).toEqual([
      [['face'], false],
      [['b'], true],
    ]);
  });
  it('between standing relief only, and inside the window the recoat is urged', () => {
    const at = (hours: number) =>
      task(
        facts({
          areas: [area(relief('stones'))],
          coats: [
            coat({ id: 'first', order: 0, thicknessM: 1e-3, poured: pouredAgo(hours) }),
            coat(),
          ],
        }),
        'tooth',
      );
    expect(at(10)).toMatchObject({
      title: expect.stringContaining('Recoat inside the window'),
      cautions: ['skin'],
      reason: expect.not.stringContaining('peel'),
    });
    // Heights even from 0 to 2 mm over half: a quarter of the area stands through 1 mm.
    expect(at(30).title).toContain('between what stands up');
    expect(at(30).sanding?.areaM2).toBeCloseTo(0.08 * 0.75, 9);
  });
  it('old resin of less than a day may still be inside its window: the finger decides', () => {
    const young = { ...surface('old resin').surface, ageDays: 0.5 };
    expect(task(facts({ areas: [area({ surface: young })] }), 'tooth').how).toContain('touch it');
    const aged = { ...young, ageDays: 5 };
    expect(task(facts({ areas: [area({ surface: aged })] }), 'tooth').how).not.toContain('touch');
  });
});

describe('tape that keeps a part bare', () => {
  const order = (change: Parameters<typeof area>[0], mask: 'painter’s tape' | 'latex') =>
    planPrep(facts({ areas: [area({ bareOutlineM: 0.2, ...change })], schools: { mask } })).map(
      (t) => t.rule,
    );
  it('goes on before the spray; latex after it', () => {
    const taped = order(surface('ink'), 'painter’s tape');
    expect(taped.indexOf('mask')).toBeLessThan(taped.indexOf('fix art'));
    const brushed = order(surface('ink'), 'latex');
    expect(brushed.indexOf('mask')).toBeGreaterThan(brushed.indexOf('rub test'));
  });
});

describe('tooth on several areas', () => {
  const two = [area(), area({ id: 'other' })];
  const tooth = (of: Parameters<typeof facts>[0]) => asked(of, 'tooth');
  it('waits until the last of them bears a hand; the window is what all of them share', () => {
    const hard = [
      on('a', 1, ['face'], 15),
      on('b', 2, ['other'], 18),
      on('c', 3, ['face', 'other'], null),
    ];
    expect(tooth({ areas: two, coats: hard })).toMatchObject([
      { key: 'tooth:c', notBeforeMs: NOW + 5 * HOUR, skippedUntilMs: null },
    ]);
    const soft = [
      on('a', 1, ['face'], 10),
      on('b', 2, ['other'], 12),
      on('c', 3, ['face', 'other'], null),
    ];
    expect(tooth({ areas: two, coats: soft })).toMatchObject([
      {
        key: 'tooth:c',
        areaIds: ['face', 'other'],
        notBeforeMs: NOW - HOUR,
        skippedUntilMs: NOW + 2 * HOUR,
      },
    ]);
    const mixed = [
      on('a', 1, ['face'], 30),
      on('b', 2, ['other'], 12),
      on('c', 3, ['face', 'other'], null),
    ];
    expect(tooth({ areas: two, coats: mixed }).map((t) => [t.key, t.areaIds])).toEqual([
      ['tooth:c', ['face']],
      ['tooth:c.window', ['other']],
    ]);
  });
  it('plastic is scuffed where it is bare; elsewhere, or under a film, it is sanded', () => {
    const plastic = (
      areas: ReturnType<typeof area>[],
      coats = [coat({ areaIds: areas.map((a) => a.id) })],
    ) =>
      tooth({ support: 'plastic', areas, coats }).map((t) => [t.title, t.sanding?.steps[0]?.grit]);
    expect(plastic([area()])).toEqual([['Scuff the plastic', 320]]);
    expect(plastic([area(), area({ id: 'other', ...surface('old resin') })])).toEqual([
      ['Sand for tooth', 240],
    ]);
    expect(plastic([area(surface('painted'))])).toEqual([]);
    expect(plastic([area()], [on('a', 1, ['face'], 30), on('b', 2, ['face'], null)])).toEqual([
      ['Sand for tooth', 240],
    ]);
    expect(tooth({ support: 'cured resin', areas: [area()] })).toHaveLength(1);
    expect(tooth({ support: 'cured resin', areas: [area(surface('painted'))] })).toEqual([]);
  });
  it('relief that stands up through a film is sanded round, and left out of what is keyed', () => {
    const coats = (hours: number) => [
      on('a', 1, ['face', 'other'], hours, { thicknessM: 1e-3 }),
      on('b', 2, ['face', 'other'], null),
    ];
    const proud = [area(relief('paste')), area({ id: 'other' })];
    const told = tooth({ areas: proud, coats: coats(30) })[0];
    expect(told?.title).toBe('Sand for tooth between what stands up');
    // Half of one of two areas has relief of 0 to 2 mm: a half of it stands over 1 mm.
    expect(told?.sanding?.areaM2).toBeCloseTo(0.16 - 0.08 * 0.25, 9);
    expect(tooth({ areas: proud, coats: coats(10) })[0]?.title).toBe(
      'Recoat inside the window: relief stands up',
    );
    expect(tooth({ areas: two, coats: coats(10) })[0]?.title).toBe(
      'No sanding inside the recoat window',
    );
    // Relief on bare old resin has no film to stand up through.
    expect(
      tooth({ areas: [area({ ...surface('old resin'), ...relief('paste') })] })[0]?.title,
    ).toBe('Sand for tooth');
  });
  it('old resin younger than a day is touched first', () => {
    const how = (ageDays: number | null, id = 'face') =>
      tooth({
        areas: [
          area(surface('old resin')),
          area({ id: 'other', surface: { ...surface('old resin').surface, ageDays } }),
        ],
        coats: [coat({ areaIds: [id, 'other'] })],
      })[0]?.how;
    const touch = /younger than a day/;
    expect(how(0.5)).toMatch(touch);
    expect(how(1)).not.toMatch(touch);
    expect(how(null)).not.toMatch(touch);
  });
});
