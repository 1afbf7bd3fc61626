import type { Shape } from '../../geometry';
import { mixDensity, thickeningOf } from '../../resin';
import { TEST_SHEET } from '../../resin/test/sheet';
import { plannedGrounds } from '../coatPlan';
import { domeOn, mixLength } from '../domeOn';
import { filmShape } from '../filmShape';
import { RIM } from '../intent';
import type { PlanArea } from '../planArea';
import { cutBoard, on } from '../test/cutBoard';
import { faceOf, planInput } from '../test/planned';
import type { CheckInput, FilmCheck } from '.';
import { domeCheck } from './dome';
import { wallCheck } from './wall';

const lc = mixLength(TEST_SHEET);
const density = mixDensity(TEST_SHEET);
const input = (plan: ReturnType<typeof planInput>, thicknessM: number): CheckInput => ({
  coat: { ...plan.coat, thicknessM, staysM: plan.coat.areaIds.map(() => thicknessM) },
  ...{ areas: plannedGrounds(plan), count: 3, support: 'plastic', tilt: null },
  ...{ sheet: TEST_SHEET, law: thickeningOf(TEST_SHEET), runsOffM3: 0, workingS: null },
});
const given = (thicknessM: number) => ({ intent: { by: 'given', thicknessM } }) as const;
const dome = (areas: readonly PlanArea[], thicknessM: number, wish = {}) =>
  domeCheck(input(planInput(areas, { ...given(thicknessM), ...wish }), thicknessM));
const shown = (check: Pick<FilmCheck, 'explanation'> | null) =>
  Object.fromEntries((check?.explanation.inputs ?? []).map((i) => [i.label, i.value]));

describe('what a dome shows', () => {
  const plate: Shape = { kind: 'rectangle', widthM: 0.1, heightM: 0.06 };
  const small: Shape = { kind: 'rectangle', widthM: 0.012, heightM: 0.01 };
  const disc: Shape = { kind: 'disc', diameterM: 0.06 };
  it('each of its numbers from its outline, by hand', () => {
    const shape = filmShape(plate, [], lc);
    const [safe, most] = [domeOn(shape, RIM.safe, lc), domeOn(shape, Math.PI / 2, lc)];
    const on1 = shown(dome([faceOf(plate, ['doming'])], 1e-3));
    expect(on1).toMatchObject({
      ...{ 'mean film of the coat': 1e-3, 'mean film that lies there already': 0, pieces: 3 },
      ...{ 'safe mean, at 60°': safe.meanM, 'safe height in the middle, at 60°': safe.centreM },
      ...{ 'greatest mean, at 90°': most.meanM, 'area of one face': expect.closeTo(0.006, 12) },
    });
    expect(on1['safe mass on one piece']).toBeCloseTo(safe.meanM * 0.006 * density, 12);
    const spills = on1['over-dose to the greatest, one piece'];
    expect(spills).toBeCloseTo((most.meanM - 1e-3) * 0.006 * density, 12);
    const over = shown(dome([faceOf(plate, ['doming'])], most.meanM * 1.1));
    expect(over['over-dose to the greatest, one piece']).toBe(0);
    expect(over).not.toHaveProperty('height in the middle');
  });
  it('what is solved on an odd outline; what is exact on a disc; which formula', () => {
    const odd = dome([faceOf(small, ['doming'])], 0.5e-3);
    expect(shown(odd)['m, solved on the outline']).toBe(filmShape(small, [], lc).mask);
    expect(odd?.explanation.formula).toContain('mean = 2 lc');
    expect(shown(dome([faceOf(plate, ['doming'])], 1e-3))).not.toHaveProperty(
      'm, solved on the outline',
    );
    expect(dome([faceOf(disc, ['doming'])], 1e-3)?.explanation.formula).toContain('Young–Laplace');
  });
  it('a recess: the depth that it fills first, and what its rim holds besides', () => {
    const pit = faceOf(disc, ['mould'], 0, { kind: 'recess', depthM: 2e-3 });
    const check = dome([pit], 2.5e-3, { kind: 'fill' });
    expect(shown(check)['depth of the recess that it fills first']).toBeCloseTo(2e-3, 12);
    const most = domeOn(filmShape(disc, [], lc), Math.PI / 2, lc);
    const area = (Math.PI / 4) * 0.06 ** 2;
    expect(check?.figures.spillsKg).toBeCloseTo((most.meanM + 2e-3) * area * density, 9);
    const lies = { kind: 'flood', order: 1, areaIds: ['face'], coverage: 1 } as const;
    const coats = [{ ...lies, thicknessM: 0.4e-3, staysM: [0.4e-3] }];
    const over = dome([faceOf(disc, ['doming'])], 1e-3, { coats });
    expect(shown(over)['mean film that lies there already']).toBeCloseTo(0.4e-3, 12);
    expect(over?.figures.spillsKg).toBeCloseTo((most.meanM - 0.4e-3) * area * density, 9);
  });
  it('of several the one that is closest to spilling, whatever their order', () => {
    const two = [
      faceOf(plate, ['doming']),
      faceOf(small, ['doming'], 0.018, { id: 'b', name: 'B' }),
    ];
    const told = [two, [...two].reverse()].map((areas) => dome(areas, 1e-3)?.figures.areaName);
    expect(told).toEqual(['B', 'B']);
  });
  // Half of a triangle’s height lies nearer its base: the way downhill is not the way uphill.
  it('a tilt is forgiven over the way to the low side', () => {
    const triangle: Shape = { kind: 'regularPolygon', sides: 3, sizeM: 0.1, across: 'flats' };
    const forgives = (alongY: number) => {
      const plan = input(planInput([faceOf(triangle, ['doming'])], given(1e-3)), 1e-3);
      return (
        shown(domeCheck({ ...plan, tilt: { alongX: 0, alongY } }))[
          'tilt it forgives, rise over 1 m'
        ] ?? NaN
      );
    };
    const ratio = forgives(1e-3) / forgives(-1e-3);
    expect(Math.max(ratio, 1 / ratio)).toBeCloseTo(2, 1);
    // The point is up (y grows towards it): uphill along y the low side is the base, half as far away.
    expect(ratio).toBeGreaterThan(1);
  });
});

describe('what a wall or a line shows', () => {
  const board = cutBoard([0.14], { kind: 'raised line', wallM: 2e-3 }, ['mould']);
  const at = (areaIds: readonly string[], mm: number) =>
    wallCheck(input(on(board, areaIds, given(mm / 1e3)), mm / 1e3));
  it('words and numbers of a wall that holds', () => {
    const check = at(['p0'], 1);
    expect(check?.figures).toMatchObject({ is: 'holds', spareM: expect.closeTo(1e-3, 12) });
    expect(check?.explanation).toMatchObject({
      title: 'Coat against its wall',
      formula: 'top of the wall − top of the coat',
    });
    expect(shown(check)).toEqual({
      'top of the coat over the ground': 1e-3,
      'lowest wall': 2e-3,
      'margin under a wall': 0.5e-3,
    });
    expect(check?.explanation.note).toContain('creeps up a wall');
  });
  it('words and numbers of a line that is buried', () => {
    const check = at(['p0', 'p1'], 3);
    expect(check?.explanation).toMatchObject({
      title: 'Coat over the line',
      formula: 'top of the coat − top of the line',
    });
    expect(shown(check)).toEqual({
      'top of the coat over the ground': 3e-3,
      'highest line': 2e-3,
      'cover over a line': 0.3e-3,
    });
    expect(check?.explanation.note).toContain('next coat');
  });
  it('a cut on which nothing stands is no line, and one without a height is none that is told', () => {
    const bare = cutBoard([0.14], { kind: 'line', wallM: 2e-3 }, ['mould']);
    const untold = cutBoard([0.14], { kind: 'raised line', wallM: null }, ['mould']);
    for (const b of [bare, untold])
      expect(wallCheck(input(on(b, ['p0', 'p1'], given(3e-3)), 3e-3))).toBeNull();
  });
});
