import { domeDisc } from '../capillary';
import type { Path, Shape } from '../geometry';
import { mixDensity } from '../resin';
import { TEST_SHEET } from '../resin/test/sheet';
import {
  bellyShare,
  domeOn,
  filmShape,
  LEAST_COVER_M,
  mixLength,
  plannedFilm,
  RIM,
  wallsOf,
  type BuildCoat,
  type FilmCheck,
  type Intent,
} from '.';
import { faceOf, planInput, planned, type Wish } from './test/planned';

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
      const walled = faceOf(tile, ['tape wall'], 0.006, stones(2));
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
  const plank = faceOf({ kind: 'rectangle', widthM: 0.6, heightM: 0.2 }, ['tape wall']);
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
    const canvas = faceOf({ kind: 'rectangle', widthM: 0.5, heightM: 0.25 }, ['tape wall']);
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
  it('a recess filled over its rim is held by that rim: its margin in grams', () => {
    const round: Shape = { kind: 'disc', diameterM: 0.06 };
    const pit = faceOf(round, ['tape wall'], 0, {
      id: 'pit',
      name: 'Pit',
      kind: 'recess',
      depthM: 3e-3,
    });
    const fill = (mm: number) =>
      checkOf(planned([pit], { kind: 'fill', intent: given(mm) }).checks, 'dome');
    expect(fill(3)).toBeUndefined();
    const over = fill(4);
    const { meanM } = domeDisc(0.06, RIM.safe, lc);
    const area = (Math.PI * 0.06 ** 2) / 4;
    expect(over?.verdict).toBe('fine');
    expect(over?.figures.safeKg).toBeCloseTo((meanM + 3e-3) * area * mixDensity(TEST_SHEET), 6);
    expect(over?.figures.spareKg).toBeCloseTo((meanM - 1e-3) * area * mixDensity(TEST_SHEET), 6);
    expect(fill(5.5)?.verdict).toBe('watch');
  });
  it('a back with open edges runs off like a face, and one in walls climbs them', () => {
    const side = (edge: 'open' | 'tape wall') =>
      planned([faceOf(tile, [edge], 0.006, { id: 'back', kind: 'back' })], {
        kind: 'back',
        intent: given(3),
      }).ledger.lines.map((l) => l.id);
    expect(side('open')).toEqual(['face', 'edges', 'bead', 'run-off', 'cup', 'reserve']);
    expect(side('tape wall')).toEqual(['face', 'meniscus', 'cup', 'reserve']);
  });
});
