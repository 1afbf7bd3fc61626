import type { CoatKind } from '../../piece';
import { mixDensity, thickeningOf } from '../../resin';
import { TEST_SHEET } from '../../resin/test/sheet';
import { plannedGrounds } from '../coatPlan';
import { domeOn, mixLength } from '../domeOn';
import { filmShape } from '../filmShape';
import { RIM } from '../intent';
import type { PlanArea } from '../planArea';
import { faceOf, planInput } from '../test/planned';
import type { CheckInput } from './check';
import { domeCheck } from './dome';
import { wallCheck } from './wall';

const SHAPE = { kind: 'rectangle', widthM: 0.1, heightM: 0.06 } as const;
const input = (
  areas: readonly PlanArea[],
  thicknessM: number,
  change: Partial<CheckInput> = {},
  kind: CoatKind = 'flood',
): CheckInput => {
  const plan = planInput(areas, { kind, intent: { by: 'given', thicknessM } });
  return {
    coat: { ...plan.coat, thicknessM, staysM: areas.map(() => thicknessM) },
    ...{ areas: plannedGrounds(plan), count: 1, support: 'plastic', tilt: null },
    ...{ sheet: TEST_SHEET, law: thickeningOf(TEST_SHEET), runsOffM3: 0, workingS: null },
    ...change,
  };
};

describe('a dome on its rims', () => {
  const rimmed = faceOf(SHAPE, ['doming']);
  const lc = mixLength(TEST_SHEET);
  const shape = filmShape(SHAPE, [], lc);
  const [safe, most] = [domeOn(shape, RIM.safe, lc), domeOn(shape, Math.PI / 2, lc)];
  const kg = (meanM: number) => meanM * 0.006 * mixDensity(TEST_SHEET);
  const at = (meanM: number, ...more: [Partial<CheckInput>?, CoatKind?]) =>
    domeCheck(input([rimmed], meanM, ...more));
  it('is safe up to 60° at its rim, watched beyond, and stops where an upright rim lets go', () => {
    expect(at(safe.meanM * 0.999)?.verdict).toBe('fine');
    expect(at(safe.meanM * 1.001)?.verdict).toBe('watch');
    expect(at(most.meanM * 0.999)?.verdict).toBe('watch');
    expect(at(most.meanM * 1.01)).toMatchObject({ verdict: 'stop', figures: { rimRad: null } });
  });
  it('tells masses: safe, to spare, to spilling', () => {
    const { figures } = at(1e-3) ?? {};
    expect(figures?.safeKg).toBeCloseTo(kg(safe.meanM), 9);
    expect(figures?.spareKg).toBeCloseTo(kg(safe.meanM - 1e-3), 9);
    expect(figures?.spillsKg).toBeCloseTo(kg(most.meanM), 9);
    expect(at(safe.meanM + 1e-4)?.figures.spareKg).toBeCloseTo(-kg(1e-4), 9);
  });
  it('forgives a tilt by what its middle may still rise, over the way to the low side', () => {
    const tiltOf = (tilt: CheckInput['tilt']) => {
      const check = at(1e-3, { tilt });
      const inputs = check?.explanation.inputs ?? [];
      const value = (label: RegExp) => inputs.find((i) => label.test(i.label))?.value ?? NaN;
      return { tilt: value(/^tilt it/), middleM: value(/^height in the middle/) };
    };
    const { tilt, middleM } = tiltOf(null);
    expect(tilt).toBeCloseTo((safe.centreM - middleM) / 0.05, 9);
    expect(tiltOf({ alongX: 1e-3, alongY: 0 }).tilt).toBeCloseTo(tilt, 6);
    expect(tiltOf({ alongX: 0, alongY: 1e-3 }).tilt).toBeCloseTo(
      (safe.centreM - middleM) / 0.03,
      6,
    );
    expect(tiltOf({ alongX: 0, alongY: 0 }).tilt).toBeCloseTo(tilt, 9);
  });
  it('not of brushed coats, open edges or walls alone; a recess only once it stands over its rim', () => {
    expect(at(1e-3, {}, 'seal')).toBeNull();
    expect(domeCheck(input([faceOf(SHAPE, ['open', 'doming'])], 1e-3))).toBeNull();
    expect(domeCheck(input([faceOf(SHAPE, ['mould'])], 1e-3))).toBeNull();
    const pit = faceOf(SHAPE, ['mould'], 0, { kind: 'recess', depthM: 2e-3 });
    expect(domeCheck(input([pit], 2e-3, {}, 'fill'))).toBeNull();
    expect(domeCheck(input([pit], 2.5e-3, {}, 'fill'))?.figures.safeKg).toBeGreaterThan(0);
  });
});

describe('a coat and its walls', () => {
  const walls = (...heights: readonly (number | null)[]) => {
    const face = faceOf(SHAPE, ['mould']);
    return {
      ...face,
      edges: face.edges.map((e, i) => ({ ...e, wallM: heights[i % heights.length] ?? null })),
    };
  };
  const at = (area: PlanArea, filmM: number, kind: CoatKind = 'flood') =>
    wallCheck(input([area], filmM, {}, kind));
  it('stays half a millimetre under the lowest of them', () => {
    const verdict = (filmM: number) => at(walls(5e-3, 4e-3), filmM)?.verdict;
    expect([verdict(3.5e-3), verdict(3.51e-3), verdict(4e-3), verdict(4.01e-3)]).toEqual([
      'fine',
      'watch',
      'watch',
      'stop',
    ]);
    expect(at(walls(5e-3, 4e-3), 3e-3)?.figures).toMatchObject({
      wallM: 4e-3,
      topM: 3e-3,
      is: 'holds',
      wall: 'mould',
    });
    expect(at(walls(5e-3, 4e-3), 3e-3)?.figures.spareM).toBeCloseTo(1e-3, 12);
  });
  it('nothing is told of walls without a height, of other edges, or of a brushed coat', () => {
    expect(at(walls(null), 3e-3)).toBeNull();
    expect(at(walls(null, 4e-3), 3e-3)?.figures.wallM).toBe(4e-3);
    expect(at(faceOf(SHAPE), 3e-3)).toBeNull();
    expect(at(walls(1e-4), 1e-3, 'seal')).toBeNull();
  });
});
