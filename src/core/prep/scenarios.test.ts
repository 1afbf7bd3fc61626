import { planPrep } from '.';
import type { PrepFacts } from './facts';
import {
  amountOf,
  area,
  coat,
  damage,
  facts,
  found,
  HOUR,
  NOW,
  OWN,
  pouredAgo,
  relief,
  surface,
  task,
} from './test/facts';

const seal = coat({ id: 'seal', name: 'Seal', kind: 'seal', order: 1, thicknessM: 0.2e-3 });
const first = (hours: number) => coat({ id: 'first', poured: pouredAgo(hours) });
const second = coat({ id: 'second', name: 'Flood 2', order: 2, thicknessM: 1.8e-3 });
const ink = { areas: [area(surface('ink'))] };

/** What comes to the bench, what must be asked and what must not. Common practice, no source. */
const SITUATIONS: readonly (readonly [string, PrepFacts, must: string[], never: string[]])[] = [
  [
    'alcohol ink on a sealed panel',
    facts({ ...ink, slope: null }),
    ['fix art', 'rub test', 'lint', 'mask', 'level'],
    ['seal', 'wipe', 'tooth', 'dry paint'],
  ],
  [
    'a porous board, painted, bare handle end',
    facts({
      support: 'bare wood',
      areas: [area({ porosity: 'porous', bareOutlineM: 0.2, ...surface('painted') })],
    }),
    ['seal', 'dry paint', 'edge ground', 'mask', 'lint'],
    ['fix art', 'tooth', 'belly'],
  ],
  [
    'the same board with a thin resin seal coat planned',
    facts({
      support: 'bare wood',
      areas: [area({ porosity: 'porous' })],
      coats: [seal, { ...second, areaIds: ['face'] }],
    }),
    ['wipe', 'mask'],
    ['seal', 'tooth'],
  ],
  [
    'a relief tile with loose glitter',
    facts({ support: 'tile', areas: [area(relief('fine glitter'), ['tape wall'])] }),
    ['loose parts', 'mask', 'brush off'],
    ['seal', 'dry paste', 'edge ground', 'tooth'],
  ],
  [
    'sand and stones on paste',
    facts({ areas: [area({ relief: [...relief('paste').relief, ...relief('stones').relief] })] }),
    ['dry paste', 'dry inclusions', 'shape paste', 'loose parts'],
    ['fix art'],
  ],
  [
    'a torn canvas',
    facts({ support: 'canvas', areas: [area(damage('tear'))] }),
    ['tear', 'belly'],
    ['rim gap', 'dent'],
  ],
  [
    'a panel in a rim with a gap',
    facts({ areas: [area(damage('gap at the rim'), ['tape wall'])] }),
    ['rim gap', 'mask'],
    ['tear', 'edge ground'],
  ],
  [
    'a coat that has cured hard',
    facts({ coats: [first(30), second] }),
    ['tooth', 'sanding dust', 'wipe'],
    ['polish', 'seal'],
  ],
  [
    'old resin of unknown age',
    facts({ support: 'cured resin', areas: [area(surface('old resin'), ['doming'])] }),
    ['tooth', 'sanding dust'],
    ['mask', 'seal', 'dry paint'],
  ],
  [
    'a recess to be filled',
    facts({
      areas: [area(), area({ id: 'dial', kind: 'recess' }, ['tape wall'])],
      coats: [coat({ kind: 'fill', areaIds: ['dial'] })],
      slope: null,
    }),
    ['lint', 'wipe', 'level'],
    ['mask', 'tooth', 'edge ground'],
  ],
  [
    'a turntable board with its bearing on',
    facts({ hardware: ['Bearing'] }),
    ['hardware'],
    ['fix art', 'seal'],
  ],
  [
    'its first coat is on: the bearing is off already',
    facts({ hardware: ['Bearing'], coats: [first(10), second] }),
    ['mask'],
    ['hardware', 'seal'],
  ],
  [
    'the last coat is on and scratched',
    facts({ coats: [first(200)], defects: [{ id: 'd', kind: 'scratches', coatId: 'first' }] }),
    ['polish'],
    ['tooth', 'flatten', 'wipe', 'cover'],
  ],
  [
    'metal leaf in a window',
    facts({ daylight: true, areas: [area(relief('leaf'))] }),
    ['fix art', 'rub test'],
    ['wipe', 'seal'],
  ],
  [
    'an edge coat is on a porous face: its pores are still open',
    facts({
      areas: [area({ porosity: 'porous' })],
      coats: [coat({ id: 'rim', kind: 'edge', order: 0, poured: pouredAgo(30) }), second],
    }),
    ['seal', 'lint'],
    ['tooth', 'flatten'],
  ],
  [
    'no coat is planned',
    facts({ coats: [], areas: [area(damage('dent'))] }),
    ['dent'],
    ['wipe', 'mask', 'cover'],
  ],
];

describe('situations of the trade', () => {
  it.each(SITUATIONS)('%s', (_name, of, must, never) => {
    const rules = found(of);
    expect(rules).toEqual(expect.arrayContaining(must));
    expect(rules.filter((r) => never.includes(r))).toEqual([]);
  });
});

describe('amounts, by hand', () => {
  it('seals 0.08 m² and its edges twice: (0.08 + 1.2 × 0.018) m² × 100 ml × 2 = 20.3 ml', () => {
    const porous = area({ porosity: 'porous' });
    const amount = amountOf(task(facts({ areas: [porous] }), 'seal'), 'acrylic medium');
    expect(amount * 1e6).toBeCloseTo((0.08 + 1.2 * 0.018) * 200, 9);
    const dozen = task(facts({ areas: [porous], count: 12, schools: { seal: 'paint' } }), 'seal');
    expect(amountOf(dozen, 'acrylic paint') / amount).toBeCloseTo(12, 9);
    const thirsty = task(facts({ areas: [area({ porosity: 'very porous' })] }), 'seal');
    expect(amountOf(thirsty, 'acrylic medium') / amount).toBeCloseTo((150 * 3) / 200, 9);
  });
  it('six light passes of spray at 30 ml/m²', () => {
    expect(amountOf(task(facts(ink), 'fix art'), 'matte spray') * 1e6).toBeCloseTo(0.08 * 180, 9);
    const light = task(facts({ ...ink, daylight: true }), 'fix art');
    expect(amountOf(light, 'matte UV spray')).toBeGreaterThan(0);
  });
  it('tape for 1.2 m of edge and 10 % over; latex 20 mm wide and half a millimetre wet', () => {
    expect(amountOf(task(facts(), 'mask'), 'painter’s tape 24 mm')).toBeCloseTo(1.32, 9);
    const latex = task(facts({ schools: { mask: 'latex' } }), 'mask');
    expect(amountOf(latex, 'liquid latex') * 1e6).toBeCloseTo(12, 9);
    expect(latex.drying?.labelS).toBe(4 * 3600);
    const pva = task(facts({ schools: { mask: 'PVA glue' } }), 'mask');
    expect(amountOf(pva, 'PVA glue') * 1e6).toBeCloseTo(24, 9);
  });
  it('a dent of 100 × 40 × 2 mm is half an ellipsoid: 4.19 ml, two layers of a day', () => {
    const dent = task(facts({ areas: [area(damage('dent'))] }), 'dent');
    expect(amountOf(dent, 'texture paste') * 1e6).toBeCloseTo(4.18879, 4);
    expect(dent.drying?.labelS).toBe(2 * 86_400);
  });
  it('paints the edges twice: 1.2 m × 18 mm × 200 ml/m² = 4.3 ml', () => {
    const of = facts({ support: 'bare wood', areas: [area(surface('painted'))] });
    expect(amountOf(task(of, 'edge ground'), 'acrylic paint') * 1e6).toBeCloseTo(4.32, 9);
  });
  it('a mend takes tape of one and a half its length', () => {
    const tear = task(facts({ support: 'canvas', areas: [area(damage('tear'))] }), 'tear');
    expect(amountOf(tear, 'cloth tape 48 mm')).toBeCloseTo(0.15, 12);
  });
});

describe('tooth and the recoat window', () => {
  const at = (hours: number, recoat: 'inside the window' | 'always sand') =>
    planPrep(facts({ coats: [first(hours), second], schools: { recoat } })).find(
      (t) => t.rule === 'tooth',
    );
  it('inside the window: no sanding, until it shuts', () => {
    expect(at(6, 'inside the window')).toMatchObject({
      sanding: null,
      notBeforeMs: NOW + 3 * HOUR,
      skippedUntilMs: NOW + 8 * HOUR,
    });
    expect(at(10, 'inside the window')?.skippedUntilMs).toBe(NOW + 4 * HOUR);
  });
  it('at its end it is to be sanded, once the coat can be handled', () => {
    expect(at(13.999, 'inside the window')?.sanding).toBeNull();
    expect(at(14, 'inside the window')).toMatchObject({
      skippedUntilMs: null,
      notBeforeMs: NOW + 6 * HOUR,
    });
    expect(at(14, 'inside the window')?.sanding?.areaM2).toBeCloseTo(0.08, 12);
  });
  it('the other school cures overnight and always sands, planned coats too', () => {
    expect(at(10, 'always sand')?.sanding).not.toBeNull();
    const both = facts({ coats: [coat(), second], schools: { recoat: 'always sand' } });
    expect(planPrep(both).filter((t) => t.rule === 'tooth')).toHaveLength(1);
    expect(found(facts({ coats: [coat(), second] }))).not.toContain('tooth');
  });
  it('coarse or fine school', () => {
    const grit = (tooth: 'coarse' | 'fine') =>
      task(facts({ coats: [first(30), second], schools: { tooth } }), 'tooth').sanding?.steps[0]
        ?.grit;
    expect([grit('coarse'), grit('fine')]).toEqual([100, 240]);
  });
  it('goes only where the next coat will cover: not the back, not the recess, not the bare part', () => {
    const bare = {
      start: [-0.2, -0.1] as const,
      segments: (
        [
          [-0.1, -0.1],
          [-0.1, 0.1],
          [-0.2, 0.1],
          [-0.2, -0.1],
        ] as const
      ).map((to) => ({ kind: 'line' as const, to })),
    };
    const shape = { kind: 'rectangle', widthM: 0.4, heightM: 0.2, keepBare: [bare] } as const;
    const areas = [
      area({ shape, areaM2: 0.06 }),
      area({ id: 'back', kind: 'back' }),
      area({ id: 'dial', kind: 'recess', shape: { kind: 'disc', diameterM: 0.1 }, at: [0.1, 0] }),
    ];
    const under = coat({ id: 'first', areaIds: ['face', 'back', 'dial'], poured: pouredAgo(30) });
    const of = facts({ areas, coats: [under, second] });
    const wanted = 0.06 - Math.PI * 0.05 ** 2;
    expect(task(of, 'tooth').sanding?.areaM2).toBeCloseTo(wanted, 5);
    const limited = facts({
      areas,
      coats: [under, second],
      limits: { 'tooth:second': { side: 'above', atM: 0.06 } },
    });
    // Above the dial: 0.3 m × 40 mm.
    expect(task(limited, 'tooth').sanding?.areaM2).toBeCloseTo(0.3 * 0.04, 9);
  });
});

describe('facts that contradict are said at the task', () => {
  const own = (areaIds: string[]) => ({
    own: [{ ...OWN, kind: 'sand', title: 'S', areaIds, fromGrit: 80, toGrit: 80 }] as const,
  });
  it.each<[string, PrepFacts, string, string]>([
    ['gloss over ink', facts({ ...ink, schools: { spray: 'gloss' } }), 'fix art', 'gloss on ink'],
    ['the rub test failed', facts({ ...ink, rubFailed: ['face'] }), 'fix art', 'colour came off'],
    ['sanding bare ink', facts({ ...ink, ...own(['face']) }), 'own sanding', 'sanding bare ink'],
    [
      'sanding beyond the coat',
      facts({ areas: [area(), area({ id: 'back', kind: 'back' })], ...own(['face', 'back']) }),
      'own sanding',
      'sanding beyond the coat',
    ],
    [
      'sanding through a skin',
      facts({
        coats: [coat({ id: 'first', thicknessM: 0.05e-3, poured: pouredAgo(30) }), second],
        ...own(['face']),
      }),
      'own sanding',
      'sanding through',
    ],
    ['hot air on plastic', facts({ support: 'plastic' }), 'warm air', 'heat on plastic'],
    ['tape that is warmed on plastic', facts({ support: 'plastic' }), 'mask', 'heat on plastic'],
    [
      'a wall of latex',
      facts({ areas: [area({}, ['tape wall'])], schools: { mask: 'latex' } }),
      'mask',
      'tape wall needs tape',
    ],
    [
      'thin resin school without a seal coat',
      facts({ areas: [area({ porosity: 'porous' })], schools: { seal: 'thin resin' } }),
      'seal',
      'no seal coat planned',
    ],
  ])('%s', (_name, of, rule, problem) => {
    expect(task(of, rule).problems).toContain(problem);
  });
  it('and not where they do not', () => {
    for (const quiet of [facts(), facts(ink), facts({ areas: [area({}, ['tape wall'])] })])
      expect(planPrep(quiet).flatMap((t) => t.problems)).toEqual([]);
    const left = task(
      facts({ areas: [area(), area({ id: 'back', kind: 'back' })], ...own(['face', 'back']) }),
      'own sanding',
    );
    expect(left.sanding?.areaM2).toBeCloseTo(0.08, 9);
    expect(left.sanding?.beyondM2).toBeCloseTo(0.08, 9);
  });
});
