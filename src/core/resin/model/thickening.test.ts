import { drainedEdgeMean, fluidityLeft, viscosityAfter } from '../../film';
import { TEST_SHEET } from '../test/sheet';
import { thickeningOf } from '../workingTime';
import { cupRun } from './cup';
import { filmRun } from './film';
import { cureViscosity, warmthFactor, type Kinetics } from './kinetics';

/** A usual resin fitted to 100 g for 40 min, gel 5 h, tack-free 12 h, 24 h, 120 h (parameters from memory). */
const USUAL: Kinetics = {
  ...{ rate: 9.071e-5, start: 0.328, order: 2.076, glass: 0.874 },
  ...{ energyJMol: 55.1e3, heatJKg: 350e3, viscosityPaS: 1 },
};
const ROOM = 295.15;
const workingS = cupRun(USUAL, 0.1, ROOM).workingS ?? NaN;
const law = { viscosityPaS: 1, workingS };
const off = (a: number, b: number) => Math.abs(a / b - 1);

/** Fluidity of a film that is poured after a rest in its cup, by a run of the whole model. */
function byModel(restMin: number, massKg = 0.1, roomK = ROOM): number {
  const { moments } = cupRun(USUAL, massKg, roomK);
  const i = moments.findIndex((m) => m.s >= restMin * 60);
  const [a, b] = [moments[Math.max(0, i - 1)], moments[i]];
  if (!a || !b) throw new Error('no run');
  const t = b.s > a.s ? (restMin * 60 - a.s) / (b.s - a.s) : 0;
  const conversion = a.conversion + t * (b.conversion - a.conversion);
  const film = filmRun(USUAL, 1.6e-3, roomK, { conversion, ageS: restMin * 60 });
  return film.fluidity.at(-1)?.perPaS ?? NaN;
}

describe('the curve by which a mix thickens', () => {
  it('poured fresh it is the model’s, within a thousandth', () => {
    expect(off(fluidityLeft(law), byModel(0))).toBeLessThan(1e-3);
  });
  // Rest in a 100 g cup, then a film of 1.6 mm: an independent prototype’s fluidity times fresh viscosity (from memory).
  it.each([
    [0, 2659],
    [8, 2164],
    [15, 1713],
    [20, 1387],
    [30, 756],
  ])('after %d min in the cup: %d left, within 3 %%', (min, left) => {
    expect(off(fluidityLeft(law, min * 60), left)).toBeLessThan(0.03);
    expect(off(byModel(min), left)).toBeLessThan(0.01);
  });
  it('at the end of the working time a tenth is left', () => {
    expect(off(fluidityLeft(law, 2400), 226)).toBeLessThan(0.08);
  });
  it.each([
    [0.02, ROOM, 0.06],
    [0.5, ROOM, 0.06],
    [0.1, 283.15, 0.15],
    [0.1, 289.15, 0.06],
    [0.1, 301.15, 0.06],
  ])(
    'a cup of %d kg at %d K: within a share of %d through the first half of the working time',
    (massKg, roomK, share) => {
      const viscosityPaS = cureViscosity(USUAL, 0, roomK);
      const slower = warmthFactor(USUAL.energyJMol, roomK);
      for (const part of [0, 0.25, 0.5]) {
        const restS = (part * workingS) / slower;
        const told = fluidityLeft({ viscosityPaS, workingS: workingS / slower }, restS);
        expect(off(told, byModel(restS / 60, massKg, roomK))).toBeLessThan(share);
      }
    },
  );
  it('an edge film after a rest of 20 min grows by 1.38, of 30 min by 1.87; a doubling law said 1.78 and 2.38', () => {
    const film = (min: number) =>
      drainedEdgeMean(0.02, { densityKgM3: 1100, fluidityPerPa: fluidityLeft(law, min * 60) });
    expect(film(0) * 1e6).toBeCloseTo(17.6, 1);
    expect(film(20) / film(0)).toBeCloseTo(1.38, 1);
    expect(film(30) / film(0)).toBeCloseTo(1.87, 1);
  });
  it('only thickens, and never flows backwards', () => {
    let [left, thick] = [Infinity, 0];
    for (let s = 0; s < 3 * workingS; s += 20) {
      const [here, now] = [fluidityLeft(law, s), viscosityAfter(law, s)];
      expect(here).toBeGreaterThan(0);
      expect(here).toBeLessThanOrEqual(left);
      expect(now).toBeGreaterThanOrEqual(thick);
      [left, thick] = [here, now];
    }
  });
});

describe('how a resin thickens in a room', () => {
  it('warming does not level better in the end: it only shortens', () => {
    const all = [283.15, 295.15, 305.15].map((k) => fluidityLeft(thickeningOf(TEST_SHEET, k)));
    for (const tau of all) expect(off(tau, all[1] ?? NaN)).toBeLessThan(0.01);
    const [cold, warm] = [thickeningOf(TEST_SHEET, 285.15), thickeningOf(TEST_SHEET, 299.15)];
    expect(cold.viscosityPaS).toBeGreaterThan(2 * warm.viscosityPaS);
    expect(cold.workingS).toBeGreaterThan(2 * warm.workingS);
  });
  it('a sheet’s own time for another mass is brought to 100 g', () => {
    const { times } = TEST_SHEET;
    expect(thickeningOf(TEST_SHEET).workingS).toBeCloseTo(times.workingS, 6);
    const kilo = thickeningOf({ ...TEST_SHEET, workingMassKg: 1 });
    expect(kilo.workingS).toBeGreaterThan(times.workingS * 1.1);
  });
});
