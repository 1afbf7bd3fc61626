import { roomOf } from '@/shop/room';
import { READY_PLANS } from '@/core/coat';
import { type Coat, type Resin } from '@/records';
import { checkWords } from './checkWords';
import { coatName, defaultAreas, readCoat, type CoatDraft } from './model';
import { readyPlan } from './readyPlan';
import { filmChecksOf, ledgerOf, type CoatView, type PieceView } from '@/shop/coatView';
import { METRIC, plain } from '@/features/test/shop';
import { coatOf, ledger, onPiece, shop, views } from './test/demo';

describe('the form of a new coat', () => {
  const map = onPiece('Relief map');
  const draft: CoatDraft = {
    name: 'Bury',
    kind: 'flood',
    resinId: 'demo-millrace',
    areaIds: map.areas.map((a) => a.id),
    line: null,
    over: '',
    intent: { by: 'bury', value: '0.5 mm' },
  };
  const read = (change: Partial<CoatDraft>, view = map, resins: readonly Resin[] = shop.resins) =>
    readCoat({ ...draft, ...change }, view, resins, { by: 'risk', confidence: 0.95 }, METRIC);
  it('bury: cover over what still stands of the relief', () => {
    const plan = read({});
    // Lock, floods of 3 and 1.8 mm lie over relief of 2.4 mm: only the cover is left.
    expect(plan.ok && plan.value.thicknessM).toBeCloseTo(0.5e-3, 9);
    expect(plan.ok && plan.value.intent).toEqual({ by: 'bury', coverM: 0.5e-3 });
  });
  it('buried relief may be thicker than one lift, a thickness of one’s own may not', () => {
    const [face] = map.areas;
    if (!face) throw new Error('no face');
    const tall: PieceView = {
      ...map,
      coats: [],
      areas: [{ ...face, relief: [{ kind: 'stones', greatestM: 9e-3, meanM: 4e-3, share: 0.5 }] }],
    };
    expect(read({}, tall)).toMatchObject({ ok: true, value: { thicknessM: 9.5e-3 } });
    expect(read({ intent: { by: 'given', value: '9.5 mm' } }, tall)).toMatchObject({ ok: false });
  });
  it('a dome on open edges is refused at the field', () => {
    const panel = onPiece('Viaduct painting');
    const plan = read(
      { areaIds: panel.areas.map((a) => a.id), intent: { by: 'dome', value: '' } },
      panel,
    );
    expect(plan).toMatchObject({
      ok: false,
      errors: { intent: expect.stringContaining('no lip') },
    });
  });
  it('reads inches, and holds the sheet’s limits of one lift', () => {
    const given = (value: string) => read({ intent: { by: 'given', value } });
    const inch = given('1/16 in');
    expect(inch.ok && inch.value.thicknessM).toBeCloseTo(0.0015875, 10);
    for (const bad of ['7 mm', '0.4 mm', 'thick'])
      expect(given(bad)).toMatchObject({ ok: false, errors: { intent: expect.anything() } });
  });
  it('a coat without an area or a resin names both', () => {
    expect(read({ areaIds: [], resinId: 'gone' })).toMatchObject({
      ok: false,
      errors: { areaIds: expect.anything(), resinId: expect.anything() },
    });
  });
  it('names tell coats apart, and each goes where its kind belongs', () => {
    const tray = onPiece('Lamp-room tray');
    expect(coatName('flood', [])).toBe('Flood 1');
    expect(coatName('dome', tray.coats)).toBe('Dome 2');
    expect(coatName('seal', [])).toBe('Seal');
    const kinds = (kind: Coat['kind']) =>
      defaultAreas(kind, tray.areas).map((id) => tray.areas.find((a) => a.id === id)?.kind);
    expect(kinds('fill')).toEqual(['recess']);
    expect(kinds('back')).toEqual(['back']);
    expect(kinds('flood')).toEqual(['face']);
    expect(defaultAreas('fill', onPiece('Viaduct painting').areas)).toHaveLength(1);
  });
});

describe('ready plans on a piece', () => {
  const read = (id: string, view: PieceView) => {
    const plan = READY_PLANS.find((p) => p.id === id);
    const [resin] = shop.resins;
    if (!plan || !resin) throw new Error(id);
    return readyPlan(plan, view, resin, { by: 'share', share: 0.1 }, METRIC);
  };
  it('glitter relief: lock, bury what is left with half a millimetre, gloss', () => {
    const map = { ...onPiece('Relief map'), coats: [] };
    const plan = read('glitter-relief', map);
    if (!plan.ok) throw new Error(plan.why);
    expect(plan.coats.map((c) => c.kind)).toEqual(['lock', 'flood', 'flood']);
    // 2.4 mm of relief less 0.7 mm of lock, and 0.5 mm.
    expect(plan.coats[1]?.thicknessM).toBeCloseTo(2.2e-3, 9);
    expect(plain(plan.text)).toBe('Lock 0.70 mm · Bury 2.20 mm · Gloss 1.50 mm');
  });
  it('a failed pour needs a recess to fill; where there is none it says so', () => {
    const tray = read('failed-pour', { ...onPiece('Lamp-room tray'), coats: [] });
    expect(tray.ok && tray.coats[0]?.thicknessM).toBeCloseTo(2.4e-3, 9);
    expect(read('failed-pour', onPiece('Viaduct painting'))).toMatchObject({ ok: false });
  });
});

describe('the demo shows every kind of coat', () => {
  it('and each has a ledger, but those that need no more than they have', () => {
    const kinds = new Set(shop.coats.map((c) => c.kind));
    expect([...kinds].sort()).toEqual(
      ['art', 'back', 'dome', 'edge', 'fill', 'flood', 'line', 'lock', 'patch', 'seal'].sort(),
    );
    for (const { coats } of views) for (const c of coats) expect(ledgerOf(c).ok).toBe(true);
  });
  it('its tray: a pit by hand, π · 25² mm² × 2.4 mm = 4.71 ml; an own cup with its reason', () => {
    const fill = ledger(coatOf('Lamp-room tray', 'Fill')).lines.find((l) => l.id === 'recess');
    expect((fill?.volumeM3 ?? 0) * 1e6).toBeCloseTo(Math.PI * 0.625 * 2.4, 6);
    const cup = ledger(coatOf('Lamp-room tray', 'Colours')).lines.find((l) => l.id === 'cup');
    expect(cup?.explanation.source).toContain('small cup for each colour');
    expect(cup?.volumeM3).toBe(5e-6);
  });
  it('its canvas has a belly, its board a wedge, its panel run-off none', () => {
    const ids = (piece: string, name: string) => ledger(coatOf(piece, name)).lines.map((l) => l.id);
    expect(ids('Signal-box board', 'Flood 1')).toEqual(
      expect.arrayContaining(['wedge', 'relief', 'edges']),
    );
    expect(ids('Timetable canvas', 'Flood 1')).toContain('meniscus');
    expect(ids('Viaduct painting', 'Rim')).toEqual(['edges', 'bead', 'cup', 'reserve']);
    expect(ids('Viaduct painting', 'Flood 2')).not.toContain('run-off');
  });
});

describe('film checks of domes and relief', () => {
  const told = (view: CoatView, change: Partial<Coat> = {}) => {
    const own = { ...view, coat: { ...view.coat, ...change } };
    return checkWords(filmChecksOf(own, ledger(own), roomOf([])), METRIC);
  };
  it('a dome says its safe mass, what lies below it taken off, and what it forgives', () => {
    const dome = told(coatOf('Lamp-room tray', 'Dome')).find((c) => c.title === 'The dome holds');
    expect(plain(dome?.detail ?? '')).toMatch(
      /^Face: rim at 60 °; pour at most 49\.\d+ g a piece, 0\.0+ g to spare; 8\d\.\d+ g spill$/,
    );
    const input = (label: string) =>
      dome?.explanation.inputs.find((i) => i.label.startsWith(label))?.value;
    expect(input('mean film that lies there')).toBeCloseTo(0.7e-3, 9);
    expect(input('over-dose')).toBeGreaterThan(0.01);
    expect(input('tilt it forgives')).toBeCloseTo(0, 6);
    const lower = told(coatOf('Lamp-room tray', 'Dome'), { thicknessM: 1e-3 })[0];
    const forgives = lower?.explanation.inputs.find((i) => i.label.startsWith('tilt it forgives'));
    expect(forgives?.value).toBeGreaterThan(0.001);
  });
  it('an odd outline takes what was solved on it; a plain one does not', () => {
    const lens = coatOf('Signal lamp lens', 'Dome');
    const [face] = lens.areas;
    if (!face) throw new Error('no face');
    // A batten of 100 × 12 mm: its ends are shorter than 8 capillary lengths.
    const shape = { kind: 'rectangle', widthM: 0.1, heightM: 0.012 } as const;
    const edges = [0, 1, 2, 3].map(() => face.edges[0]).filter((e) => e !== undefined);
    const areas = [{ ...face, shape, edges }];
    const batten: CoatView = { ...lens, areas, around: { ...lens.around, areas } };
    const opened = (view: CoatView) =>
      told(view)[0]?.explanation.inputs.find((i) => i.label.startsWith('m, solved'))?.value;
    // A strip of 12 mm between two rims: 1 − tanh(x)/x with x = 6 mm / 1.93 mm, and its ends.
    expect(opened(batten)).toBeGreaterThan(0.62);
    expect(opened(batten)).toBeLessThan(0.68);
    expect(opened(coatOf('Lamp-room tray', 'Dome'))).toBeUndefined();
  });
  it('relief that stands through a coat is told, with the share of the area', () => {
    const board = coatOf('Signal-box board', 'Flood 1');
    const relief = (thicknessM: number) =>
      plain(
        told(board, { thicknessM, staysM: board.coat.areaIds.map(() => thicknessM) }).find((c) =>
          c.title.startsWith('Relief'),
        )?.title ?? '',
      );
    expect(relief(2e-3)).toBe('Relief is buried');
    expect(relief(0.8e-3)).toBe('Relief stands proud');
  });
});
