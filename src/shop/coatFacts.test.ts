import { coatLedger, domeOn, domeShapeOf, mixLength, RIM } from '@/core/coat';
import { TEST_SHEET } from '@/core/resin/test/sheet';
import type { CoatKind } from '@/core/piece';
import { type Area, asId, type Coat, plainArea, plainCoat } from '@/records';
import { filmOf, ledgerInput } from './coatFacts';
import { plainPiece } from './test/rows';

const area = (id: string, change: Partial<Area> = {}): Area => ({
  ...plainArea({ kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.018, [
    'open',
    'open',
    'open',
    'tape wall',
  ]),
  id: asId(id),
  pieceId: asId('p'),
  ...change,
});
const face = area('face', { porosity: 'porous' });
const pit = area('pit', {
  ...plainArea({ kind: 'rectangle', widthM: 0.05, heightM: 0.04 }, 0, ['tape wall'], 'recess'),
  id: asId('pit'),
  depthM: 3e-3,
});
const back = area('back', {
  kind: 'back',
  edges: face.edges.map((e) => ({ ...e, kind: 'tape wall' })),
});
const areas = [face, pit, back];

const coat = (
  order: number,
  kind: CoatKind,
  areaIds: readonly string[],
  thicknessM = 1e-3,
  change: Partial<Coat> = {},
): Coat => ({
  ...plainCoat(thicknessM),
  ...{ id: asId(`c${order}`), pieceId: asId('p'), name: `Coat ${order}`, resinId: asId('r') },
  ...{ batchId: null, mixedMs: null, pouredMs: null, coveredMs: null, learned: null, touches: [] },
  ...{ order, kind, areaIds: areaIds.map((id) => asId(id)) },
  staysM: areaIds.map(() => thicknessM),
  ...change,
});
const piece = plainPiece('p', {
  ...{ count: 2, support: 'canvas', bellyM: 2e-3 },
  level: { tilt: { alongX: 0.003, alongY: 0.004 }, by: 'typed', readMs: 0, props: [] },
});
const input = (own: Coat, coats: readonly Coat[] = [own], sealed: readonly string[] = []) =>
  ledgerInput(
    own,
    { piece, areas, wholes: [], layers: [], coats, sealed: new Set(sealed) },
    TEST_SHEET,
  );
const film = (own: Coat, coats: readonly Coat[]) =>
  filmOf(own, { piece, areas, wholes: [], layers: [], coats, sealed: new Set() }, TEST_SHEET);

describe('a coat as the ledger takes it', () => {
  it('the first flood meets pores, belly, tilt, walls, an open recess and edges that hold so much', () => {
    const flood = coat(1, 'flood', ['face'], 1.6e-3);
    const [first] = input(flood).areas;
    expect(first).toMatchObject({
      count: 2,
      belowM: 0,
      soakM: 0.06e-3,
      belly: { sagM: 2e-3 },
      wedge: { slope: 0.005 },
      pits: [{ depthM: 3e-3 }],
    });
    expect(first?.dammedM).toBeCloseTo(0.2, 12);
    // 300 × 200 mm askew at 3 : 4: 0.6 · 300 + 0.8 · 200 mm long, and half of it ahead.
    expect(first?.wedge?.lengthM).toBeCloseTo(0.34, 12);
    expect(first?.wedge?.aheadM).toBeCloseTo(0.17, 12);
    expect(first?.belly?.share).toBeCloseTo(0.486, 2);
    const holds = domeOn(
      { ...domeShapeOf(face.shape, [false, false, false, true]), discM: null },
      RIM.safe,
      mixLength(TEST_SHEET),
    );
    expect(first?.cover).toEqual({ by: 'film', holdsM: holds.meanM });
    const ledger = coatLedger(input(flood));
    expect(ledger.ok && ledger.value.lines.map((l) => l.id)).toEqual([
      ...[
        'face',
        'recess',
        'soak',
        'meniscus',
        'wedge',
        'belly',
        'edges',
        'bead',
        'cup',
        'reserve',
      ],
    ]);
  });
  it('the second lies on a level, closed ground', () => {
    const coats = [coat(1, 'flood', ['face'], 1.6e-3), coat(2, 'flood', ['face'], 1.6e-3)];
    const [second] = input(coats[1] ?? coat(9, 'flood', []), coats).areas;
    expect(second).toMatchObject({ belowM: 1.6e-3, soakM: 0, pits: [] });
    expect(second).toMatchObject({ belly: null, wedge: null });
  });
  it('a ground that Prepare has sealed drinks nothing', () => {
    const flood = coat(1, 'flood', ['face']);
    expect(input(flood, [flood], ['face']).areas[0]?.soakM).toBe(0);
  });
  it('a brushed coat makes no lip and fills no belly; a back in walls climbs them', () => {
    const [seal] = input(coat(1, 'seal', ['face'], 0.2e-3)).areas;
    expect(seal).toMatchObject({ dammedM: 0, pits: [] });
    expect(seal).toMatchObject({ belly: null, wedge: null });
    const [behind] = input(coat(1, 'back', ['back'])).areas;
    expect(behind).toMatchObject({
      openEdges: [],
      cover: { by: 'film', holdsM: null },
    });
    expect(behind?.dammedM).toBeCloseTo(1, 12);
  });
  it('an edge coat wets only edges; patch and overrides go through', () => {
    expect(input(coat(1, 'edge', ['face'])).edges).toEqual({ by: 'edge coat' });
    const own = { line: 'cup', volumeM3: 1e-6, reason: 'small' } as const;
    const patch = coat(1, 'patch', ['face'], 1e-3, { coverage: 0.1, overrides: [own] });
    expect(input(patch)).toMatchObject({ coverage: 0.1, overrides: [own], edges: { by: 'brush' } });
  });
});

describe('thickness on the piece', () => {
  it('a fill has what is open of its recess, under a flood or over it', () => {
    const fill = coat(2, 'fill', ['pit'], 1e-3, { intent: { by: 'fill', belowM: 0 } });
    const alone = film({ ...fill, order: 1 }, []);
    expect(alone.ok && alone.value.thicknessM).toBeCloseTo(3e-3, 12);
    const over = film(fill, [coat(1, 'flood', ['face'])]);
    expect(over).toMatchObject({ ok: false, issues: [{ path: ['belowM'], code: 'does-not-fit' }] });
  });
  it('a coat whose areas are gone says so', () => {
    const lost = film(coat(1, 'flood', ['gone']), []);
    expect(lost).toMatchObject({ ok: false });
    expect(coatLedger(input(coat(1, 'flood', ['gone'])))).toMatchObject({
      ok: false,
      issues: [{ code: 'required', path: ['areas'] }],
    });
  });
});
