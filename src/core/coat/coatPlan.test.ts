import { domeDisc } from '../capillary';
import type { Path, Shape } from '../geometry';
import { seededRandom } from '../numeric';
import { mixDensity } from '../resin';
import { TEST_SHEET } from '../resin/test/sheet';
import { US_FLUID_OUNCE_M3 } from '../units';
import {
  bellyShare,
  domeOn,
  filmShape,
  LEAST_COVER_M,
  ledgerInput,
  measureArea,
  mixLength,
  planCoat,
  planLifts,
  plannedFilm,
  RIM,
  wallsOf,
  type BuildCoat,
  type FilmCheck,
  type Intent,
} from '.';
import { faceOf, planInput, planned, ROOM_K, type Wish } from './test/planned';

const lc = mixLength(TEST_SHEET);
const tile: Shape = { kind: 'rectangle', widthM: 0.1, heightM: 0.1 };
const given = (mm: number): Intent => ({ by: 'given', thicknessM: mm / 1e3 });
const stones = (mm: number) => ({
  relief: [{ kind: 'stones', greatestM: mm / 1e3, meanM: mm / 2e3, share: 0.4 } as const],
});
const checkOf = <Id extends FilmCheck['id']>(
  checks: readonly FilmCheck[],
  id: Id,
): Extract<FilmCheck, { id: Id }> | undefined =>
  checks.find((c): c is Extract<FilmCheck, { id: Id }> => c.id === id);
const lying = (kind: BuildCoat['kind'], mm: number, order = 1): BuildCoat => ({
  ...{ kind, order, areaIds: ['face'], thicknessM: mm / 1e3, staysM: [mm / 1e3], coverage: 1 },
});
const faults = (areas: Parameters<typeof planInput>[0], wish: Wish) => {
  const found = planCoat(planInput(areas, wish), ROOM_K);
  return found.ok ? [] : found.issues.map((i) => `${i.path.join('.')} ${i.code}`);
};

describe('poured is not what stays', () => {
  it('a 100 mm tile with open edges does not bury under what runs off', () => {
    // 2.4 mm stones and 0.5 mm of cover want 2.9 mm; its edges hold 1.8 (capillary statics at 60°).
    const plan = planned([faceOf(tile, ['open'], 0.006, stones(2.4))]);
    expect(plan.thicknessM * 1e3).toBeCloseTo(2.9, 9);
    expect((plan.staysM[0] ?? 0) * 1e3).toBeGreaterThan(1.75);
    expect((plan.staysM[0] ?? 0) * 1e3).toBeLessThan(1.9);
    const relief = checkOf(plan.checks, 'relief');
    expect(relief?.verdict).toBe('watch');
    expect((relief?.figures.proudM ?? 0) * 1e3).toBeCloseTo(2.4 - (plan.staysM[0] ?? 0) * 1e3, 9);
    // Edge card and ledger tell the same volume.
    const off = plan.ledger.lines.find((l) => l.id === 'run-off')?.volumeM3;
    expect(checkOf(plan.checks, 'edge')?.figures.runsOffM3).toBe(off);
    expect(off ?? 0).toBeGreaterThan(5e-6);
    // In lifts that the edges hold it goes under.
    if (!plan.lifts.ok) throw new Error('no lifts');
    expect(plan.lifts.value.at(-1)?.proud).toBe(0);
    for (const lift of plan.lifts.value.slice(1))
      expect(lift.thicknessM).toBeLessThan((plan.staysM[0] ?? 0) * (1 + 1e-9));
    expect((plan.lifts.value.at(-1)?.topM ?? 0) * 1e3).toBeCloseTo(2.9, 6);
  });
  it('flush is not buried: less cover than hides it is a warning', () => {
    const over = (mm: number) => {
      const walled = faceOf(tile, ['dammed'], 0.006, stones(2));
      return checkOf(planned([walled], { intent: given(2 + mm) }).checks, 'relief');
    };
    expect(over(0)).toMatchObject({ verdict: 'watch', figures: { flush: true } });
    expect(over(LEAST_COVER_M * 1e3 - 0.01)).toMatchObject({ verdict: 'watch' });
    expect(over(LEAST_COVER_M * 1e3 + 0.01)).toMatchObject({
      verdict: 'fine',
      figures: { flush: false },
    });
    expect(over(-0.01)).toMatchObject({ verdict: 'watch', figures: { flush: false } });
  });
  it('the next coat stands on what stays', () => {
    const flood = { ...lying('flood', 3), staysM: [1.8e-3] };
    const next = planInput([faceOf(tile, ['open'], 0.006, stones(2.4))], { coats: [flood] });
    const found = plannedFilm(next);
    expect(found.ok && found.value.thicknessM * 1e3).toBeCloseTo(2.4 - 1.8 + 0.5, 9);
  });
});

describe('advice that does not contradict itself', () => {
  it('a rest never outlasts the cup that it is for', () => {
    const drain = (wish: Wish) =>
      checkOf(
        planned([faceOf(tile, ['open'], 0.04)], { support: 'bare wood', ...wish }).checks,
        'drain',
      );
    const thin = drain({ sheet: { viscosityPaS: 0.3 } });
    expect(thin?.figures.tooLong).toBe(true);
    expect(thin?.figures.restS).toBeGreaterThan(0.75 * (thin?.figures.workingS ?? Infinity));
    const thick = drain({ sheet: { viscosityPaS: 4 } });
    expect(thick?.figures.tooLong).toBe(false);
  });
  it('a thin film draws back on bare ground, not where it is spread or keyed', () => {
    const back = (wish: Wish) =>
      checkOf(planned([faceOf(tile)], wish).checks, 'edge')?.figures.drawsBack;
    expect(back({ intent: given(0.6) })).toBe(true);
    expect(back({ intent: { by: 'spread', thicknessM: 0.6e-3 } })).toBe(false);
    expect(back({ intent: given(0.6), coats: [lying('seal', 0.2)] })).toBe(false);
  });
  it('a brushed coat asks for no level and warns of no wave', () => {
    const ids = (kind: 'seal' | 'flood') =>
      planned([faceOf({ kind: 'rectangle', widthM: 0.9, heightM: 0.6 })], { kind }).checks.map(
        (c) => c.id,
      );
    expect(ids('seal')).not.toEqual(expect.arrayContaining(['level']));
    expect(ids('seal')).not.toEqual(expect.arrayContaining(['wave']));
    expect(ids('flood')).toEqual(expect.arrayContaining(['level', 'wave']));
  });
});

describe('tilt and belly', () => {
  const plank = faceOf({ kind: 'rectangle', widthM: 0.6, heightM: 0.2 }, ['dammed']);
  const wedge = (tilt: { alongX: number; alongY: number }, coats: BuildCoat[] = []) => {
    const { ledger } = planned([plank], { intent: given(1.6), piece: { tilt }, coats });
    return (ledger.lines.find((l) => l.id === 'wedge')?.volumeM3 ?? 0) * 1e6;
  };
  it('a 600 × 200 mm plank that leans across is 200 mm long', () => {
    const across = wedge({ alongX: 0, alongY: 2e-3 });
    // 2 mm/m over 200 mm is 0.4 mm from end to end: half of it, 24 ml, when it levels out in time.
    expect(across).toBeLessThanOrEqual(24);
    expect(across).toBeGreaterThan(21);
    // Along it would be three times as high, but has no time to level: 2 mm/m over 600 mm, 72 ml.
    expect(wedge({ alongX: 2e-3, alongY: 0 })).toBeLessThan(72);
    const level = checkOf(
      planned([plank], { intent: given(1.6), piece: { tilt: { alongX: 0, alongY: 7e-4 } } }).checks,
      'level',
    );
    // 10 % of 1.6 mm over 200 mm: 0.8 mm/m.
    expect(level?.figures.allowed).toBeCloseTo(0.8e-3, 9);
    expect(level?.verdict).toBe('fine');
  });
  // Poisson's equation: series of the rectangle (Timoshenko, from memory); ½ on a disc, .45 on a triangle by hand:
  // the product of the three distances has its mean at 27/60 of its peak.
  it.each<[string, Shape, number]>([
    ['square', tile, 0.477],
    ['3 : 2', { kind: 'rectangle', widthM: 0.3, heightM: 0.2 }, 0.486],
    ['2 : 1', { kind: 'rectangle', widthM: 0.4, heightM: 0.2 }, 0.502],
    ['3 : 1', { kind: 'rectangle', widthM: 0.6, heightM: 0.2 }, 0.537],
    ['long strip', { kind: 'rectangle', widthM: 9, heightM: 0.1 }, 0.664],
    ['disc', { kind: 'disc', diameterM: 0.4 }, 0.5],
    ['ellipse', { kind: 'ellipse', widthM: 0.4, heightM: 0.1 }, 0.5],
    ['triangle', { kind: 'regularPolygon', sides: 3, sizeM: 0.3, across: 'flats' }, 0.45],
    ['60-gon', { kind: 'regularPolygon', sides: 60, sizeM: 0.3, across: 'flats' }, 0.5],
  ])('mean over greatest sag: %s', (_, shape, share) =>
    expect(Math.abs(bellyShare(shape) / share - 1)).toBeLessThan(0.012),
  );
  it('does not vanish under a skim: the flood over it still fills belly and wedge', () => {
    const canvas = faceOf({ kind: 'rectangle', widthM: 0.5, heightM: 0.25 }, ['dammed']);
    const filled = (coats: BuildCoat[]) => {
      const wish = { intent: given(1.4), piece: { bellyM: 3e-3 }, coats };
      const { ledger } = planned([canvas], wish);
      return (ledger.lines.find((l) => l.id === 'belly')?.volumeM3 ?? 0) * 1e6;
    };
    // 500 × 250 mm, 3 mm deep: 0.125 m² · 3 mm · .502.
    expect(filled([])).toBeCloseTo(188.4, 0);
    expect(filled([lying('seal', 0.6)])).toBeCloseTo(filled([]), 9);
    expect(filled([lying('seal', 0.6), lying('flood', 1.4, 2)])).toBe(0);
  });
});

describe('rims that hold', () => {
  const comb: Path = {
    start: [0, 0],
    segments: (
      [
        [0.06, 0],
        [0.06, 0.04],
        [0.048, 0.04],
        [0.048, 0.02],
        [0.036, 0.02],
        [0.036, 0.04],
        [0.024, 0.04],
        [0.024, 0.02],
        [0.012, 0.02],
        [0.012, 0.04],
        [0, 0.04],
        [0, 0],
      ] as const
    ).map((to) => ({ kind: 'line', to })),
  };
  it('as high as is safe takes the mean that was solved on an odd outline', () => {
    const odd: Shape = { kind: 'outline', outer: comb, keepBare: [] };
    const face = faceOf(odd, ['doming'], 0.006);
    const shape = filmShape(odd, wallsOf(face), lc);
    expect(shape.mask).toBeDefined();
    const plan = planned([face], { kind: 'dome' });
    expect(plan.thicknessM).toBeCloseTo(domeOn(shape, RIM.safe, lc).meanM, 12);
    const dome = checkOf(plan.checks, 'dome');
    expect(dome?.verdict).toBe('fine');
    expect(dome?.figures.rimRad).toBeCloseTo(RIM.safe, 4);
    // Teeth 12 mm wide hold far less than the plain face between its corners.
    const plain = planned([faceOf(tile, ['doming'], 0.006)], { kind: 'dome' });
    expect(plan.thicknessM).toBeLessThan(0.85 * plain.thicknessM);
  });
  it('a back that may not run over: its greatest safe mass, and the margin in grams', () => {
    const lens: Shape = { kind: 'disc', diameterM: 0.095 };
    const back = faceOf(lens, ['doming'], 0.01, { id: 'back', name: 'Back', kind: 'back' });
    const full = planned([back], { kind: 'back' });
    const exact = domeDisc(0.095, RIM.safe, lc).amount * mixDensity(TEST_SHEET);
    const figures = checkOf(full.checks, 'dome')?.figures;
    expect(figures?.areaName).toBe('Back');
    expect((figures?.safeKg ?? 0) / exact).toBeCloseTo(1, 4);
    expect((figures?.spareKg ?? 1) * 1e3).toBeCloseTo(0, 1);
    const thin = planned([back], { kind: 'back', intent: given(1) });
    const laid = ((Math.PI * 0.095 ** 2) / 4) * 1e-3 * mixDensity(TEST_SHEET);
    expect(checkOf(thin.checks, 'dome')?.figures.spareKg).toBeCloseTo(exact - laid, 5);
    expect(thin.ledger.lines.map((l) => l.id)).toEqual(['dome', 'cup', 'reserve']);
  });
  it('a back with open edges runs off like a face, and one in walls climbs them', () => {
    const side = (edge: 'open' | 'dammed') =>
      planned([faceOf(tile, [edge], 0.006, { id: 'back', kind: 'back' })], {
        kind: 'back',
        intent: given(3),
      }).ledger.lines.map((l) => l.id);
    expect(side('open')).toEqual(['face', 'edges', 'bead', 'run-off', 'cup', 'reserve']);
    expect(side('dammed')).toEqual(['face', 'meniscus', 'cup', 'reserve']);
  });
});

describe('what is mixed', () => {
  it('“I mix 15 fl oz”: the thickness follows, and the ledger comes to 15 fl oz', () => {
    const volumeM3 = 15 * US_FLUID_OUNCE_M3;
    const face = faceOf({ kind: 'rectangle', widthM: 0.6, heightM: 0.4 });
    const plan = planned([face], { intent: { by: 'mix', volumeM3 } });
    expect(plan.ledger.totalM3 / volumeM3).toBeCloseTo(1, 6);
    const again = planned([face], { intent: given(plan.thicknessM * 1e3) });
    expect(again.ledger.totalM3 / volumeM3).toBeCloseTo(1, 6);
  });
  it('a reserve is one pour’s, a third of what two independent errors came to', () => {
    // 12 × 12 in at 3 mm: of 279 ml poured, 4 %: with z = 1.645 and the cup 6.9 %, where it was 17.8 %.
    const foot = faceOf({ kind: 'rectangle', widthM: 0.3048, heightM: 0.3048 });
    const { ledger } = planned([foot], { intent: given(3) });
    const reserve = ledger.lines.find((l) => l.id === 'reserve')?.volumeM3 ?? NaN;
    expect(reserve / ledger.neededM3).toBeGreaterThan(0.06);
    expect(reserve / ledger.neededM3).toBeLessThan(0.075);
  });
  it('is refused where no film of this resin comes to it, or no edge carries the wish', () => {
    const face = [faceOf(tile)];
    const mix = (volumeM3: number): Wish => ({ intent: { by: 'mix', volumeM3 } });
    expect(faults(face, mix(1e-6))).toEqual(['volumeM3 does-not-fit']);
    expect(faults(face, mix(0.01))).toEqual(['volumeM3 does-not-fit']);
    const walled = [faceOf(tile, ['dammed'], 0.006, stones(4))];
    expect(faults(walled, { intent: { by: 'over', perMetreM2: 5e-5 } })).toEqual([
      'open edges required',
    ]);
    expect(faults(walled, { intent: { by: 'natural' } })).toEqual(['open edges required']);
    expect(faults(walled, { kind: 'dome' })).toEqual(['doming edges required']);
    expect(faults(face, { kind: 'dome' })).toEqual(['edges not-allowed']);
    const rim = (mm: number): Wish => ({ intent: { by: 'rim', heightM: mm / 1e3 } });
    expect(faults(face, rim(5))).toEqual(['walls not-allowed']);
    expect(faults(walled, rim(3))).toEqual(['relief does-not-fit']);
    expect(faults(walled, { ...rim(5), coats: [lying('flood', 5)] })).toEqual([
      'heightM does-not-fit',
    ]);
    expect(planned(walled, { ...rim(5), coats: [lying('flood', 2)] }).thicknessM).toBeCloseTo(
      3e-3,
      12,
    );
    expect(faults(face, { intent: { by: 'over', perMetreM2: 1 } })).toEqual([
      'perMetreM2 out-of-range',
    ]);
  });
  it('lifts that no split satisfies are refused with what would: 5.5 mm in lifts of 3 to 5', () => {
    const read = planLifts({
      ...{ thicknessM: 5.5e-3, thinnestM: 3e-3, thickestM: 5e-3 },
      ...{ belowM: 0, relief: [], holdsM: null, loose: false },
    });
    expect(read).toMatchObject({
      ok: false,
      issues: [{ code: 'does-not-fit', allowed: { min: 6e-3, max: 5e-3 } }],
    });
  });
  it('a mean over the greatest, and relief on more than all of the area, make no ledger', () => {
    const two = [
      { kind: 'stones', greatestM: 2e-3, meanM: 1e-3, share: 0.4 },
      { kind: 'sand', greatestM: 1e-3, meanM: 5e-4, share: 0.7 },
    ] as const;
    const face = faceOf(tile, ['dammed'], 0.006, { relief: two });
    expect(faults([face], { intent: given(3) })).toEqual(['areas.0.relief out-of-range']);
  });
  it('what the record keeps is what the ledger leaves on the face, on 200 seeded pieces', () => {
    const random = seededRandom(11);
    for (let i = 0; i < 200; i += 1) {
      const shape: Shape =
        random() < 0.5
          ? { kind: 'disc', diameterM: 0.04 + 0.3 * random() }
          : { kind: 'rectangle', widthM: 0.04 + 0.3 * random(), heightM: 0.04 + 0.3 * random() };
      const edges = (['open', 'dammed', 'doming'] as const).filter(() => random() < 0.6);
      const area = faceOf(shape, edges.length > 0 ? edges : ['open'], 0.01);
      const plan = planned([area], { count: 3, intent: given(0.5 + 4 * random()) });
      const lies = plan.ledger.lines.find((l) => l.id === 'face' || l.id === 'dome')?.volumeM3 ?? 0;
      const kept = (plan.staysM[0] ?? 0) * measureArea(area).areaM2 * 3;
      expect(Math.abs(lies / kept - 1)).toBeLessThan(2e-3);
    }
  });
  it('a band that is an area of its own is not wetted a second time by its face', () => {
    const face = faceOf(tile, ['open'], 0.01);
    const band = faceOf(tile, ['open'], 0, { id: 'band', kind: 'edge band' });
    const ids = (areas: Parameters<typeof planInput>[0]) =>
      planned(areas, { intent: given(1) }).ledger.lines.map((l) => l.id);
    expect(ids([face])).toContain('edges');
    expect(ids([face, band])).not.toContain('edges');
    expect(ids([face, band])).toContain('bead');
  });
  it('of a dammed rim the ledger input tells what the survey says', () => {
    const input = ledgerInput(planInput([faceOf(tile, ['dammed'])], { intent: given(2) }), 2e-3);
    expect(input.areas[0]).toMatchObject({ dammedM: 0.4, cover: { by: 'film', holdsM: null } });
  });
});
