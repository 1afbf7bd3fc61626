import { capillaryLength, domeMean, puddleHeight, SURFACE_TENSION } from '../../capillary';
import { drainedEdgeMean, fluidityLeft, restForEdge } from '../../film';
import { mixDensity, splitMix, thickeningOf, workingTime, type ResinSheet } from '../../resin';
import { TEST_SHEET } from '../../resin/test/sheet';
import type { BuildCoat } from '../buildUp';
import { plannedGrounds } from '../coatPlan';
import { liftsOf } from '../liftsOf';
import { faceOf, planInput, ROOM_K, type Wish } from '../test/planned';
import type { PlanArea } from '../planArea';
import type { CheckInput } from './check';
import { drainCheck, HIDES_M, restOutlasts } from './drain';
import { edgeCheck } from './edge';
import { levelCheck } from './level';
import { mixingChecks } from './mixing';

const FACE = { kind: 'rectangle', widthM: 0.4, heightM: 0.2 } as const;
const law = thickeningOf(TEST_SHEET);
const input = (
  area: PlanArea,
  coat: Partial<CheckInput['coat']> = {},
  change: Partial<CheckInput> = {},
  wish: Wish = {},
): CheckInput => {
  const plan = planInput([area], { intent: { by: 'given', thicknessM: 1.6e-3 }, ...wish });
  const thicknessM = coat.thicknessM ?? 1.6e-3;
  return {
    coat: { ...plan.coat, thicknessM, staysM: [thicknessM], ...coat },
    ...{ areas: plannedGrounds(plan), count: 1, support: 'sealed panel', tilt: null },
    ...{ sheet: TEST_SHEET, law, runsOffM3: 0, workingS: null },
    ...change,
  };
};
/** A flood of 1 mm that lies there already. */
const lower: BuildCoat = {
  ...{ kind: 'flood', order: 1, areaIds: ['face'], coverage: 1 },
  ...{ thicknessM: 1e-3, staysM: [1e-3] },
};
const open = faceOf(FACE);
const walled = faceOf(FACE, ['mould']);

describe('before the mix', () => {
  const told = (
    thicknessM: number,
    totalM3 = 3e-4,
    scaleDigitKg = 1e-4,
    roomTemperatureK = ROOM_K,
    sheet: ResinSheet = TEST_SHEET,
  ) => {
    const split = splitMix(totalM3, sheet);
    if (!split.ok) throw new Error('no split');
    const [lift, scale, working] = mixingChecks({
      thicknessM,
      sheet,
      split: split.value,
      scaleDigitKg,
      roomTemperatureK,
    });
    return { lift, scale, working, split: split.value };
  };
  it('a lift between the thinnest and the thickest of the sheet, to the hair', () => {
    const verdicts = [0.499e-3, 0.5e-3, 6e-3, 6.001e-3].map((m) => told(m).lift?.verdict);
    expect(verdicts).toEqual(['watch', 'fine', 'fine', 'stop']);
    expect(told(1e-3).lift?.explanation.inputs.map((i) => i.value)).toEqual([1e-3, 0.5e-3, 6e-3]);
  });
  it('a scale whose digit makes more than 2 % of error in the ratio is watched', () => {
    // 1 : 1 by volume of 1150 and 1000 kg/m³: e / A + e / B = 2 % at e = 0.02 / (1/A + 1/B).
    const { split } = told(1e-3);
    const limit = 0.02 / (1 / split.aKg + 1 / split.bKg);
    expect(told(1e-3, 3e-4, limit * 0.999).scale?.verdict).toBe('fine');
    const over = told(1e-3, 3e-4, limit * 1.001).scale;
    expect(over?.verdict).toBe('watch');
    expect(over?.id === 'scale' && over.figures.errorShare).toBeCloseTo(0.02002, 6);
    expect(over?.id === 'scale' && over.figures.smallestKg).toBeGreaterThan(split.totalKg);
  });
  it('less than twenty minutes in the cup is short', () => {
    const long = told(1e-3).working;
    expect(long).toMatchObject({ verdict: 'fine' });
    const { split } = told(1e-3);
    expect(long?.id === 'working' && long.figures).toEqual({
      workingS: workingTime(TEST_SHEET, split.totalKg, ROOM_K),
      massKg: split.totalKg,
      roomTemperatureK: ROOM_K,
    });
    const quick = (workingS: number) => {
      const sheet = {
        ...TEST_SHEET,
        workingMassKg: split.totalKg,
        times: { ...TEST_SHEET.times, workingS },
      };
      return told(1e-3, 3e-4, 1e-4, ROOM_K, sheet).working?.verdict;
    };
    expect([quick(1201), quick(1199)]).toEqual(['fine', 'watch']);
  });
});

describe('what open edges hold', () => {
  // Both parts 1 : 1 by volume: 1075 kg/m³.
  const lc = capillaryLength(SURFACE_TENSION, mixDensity(TEST_SHEET));
  const outline = {
    ...{ areaM2: 0.08, rimM: 1.2, wallCornersRad: [], bendRad: 0, curvaturePerM: 0 },
    cornersRad: Array<number>(4).fill(Math.PI / 2),
  };
  const held = (degrees: number) => domeMean(outline, (degrees * Math.PI) / 180, lc);
  const edge = (...of: Parameters<typeof input>) => edgeCheck(input(...of));
  it('lies between 30° and 60° at the rim: thinner draws back, thicker runs off', () => {
    const found = edge(open);
    expect(mixDensity(TEST_SHEET)).toBeCloseTo(1075, 9);
    expect((found?.figures.lowM ?? NaN) / held(30)).toBeCloseTo(1, 2);
    expect((found?.figures.highM ?? NaN) / held(60)).toBeCloseTo(1, 2);
    expect(found?.figures.highM).toBeLessThan(puddleHeight(Math.PI / 3, lc));
    const low = found?.figures.lowM ?? NaN;
    const at = (thicknessM: number, change: Partial<CheckInput> = {}) =>
      edge(open, { thicknessM }, change);
    expect(at(low * 1.001)).toMatchObject({
      verdict: 'fine',
      figures: { drawsBack: false, meant: false },
    });
    expect(at(low * 0.999)).toMatchObject({ verdict: 'watch', figures: { drawsBack: true } });
    expect(
      edge(open, { thicknessM: low / 2, intent: { by: 'spread', thicknessM: low / 2 } }),
    ).toMatchObject({ verdict: 'fine' });
    // What the ledger lets run off is told, unless it is meant.
    expect(at(1.6e-3, { runsOffM3: 1e-6 })).toMatchObject({
      verdict: 'watch',
      figures: { runsOffM3: 1e-6 },
    });
    const over = { by: 'over', perMetreM2: 1e-5 } as const;
    expect(edge(open, { intent: over }, { runsOffM3: 1e-6 })).toMatchObject({
      verdict: 'fine',
      figures: { meant: true },
    });
    expect(edge(open, { thicknessM: 3e-3, staysM: [1.9e-3] })?.figures).toMatchObject({
      pouredM: 3e-3,
      staysM: 1.9e-3,
    });
  });
  it('a film over a poured one stays where it is put, however thin', () => {
    const thin = edge(open, { thicknessM: 0.4e-3 }, {}, { coats: [lower] });
    expect(thin).toMatchObject({ verdict: 'fine', figures: { drawsBack: false } });
  });
  it('the weakest of several decides; nothing is told without an open edge, or of a brushed coat', () => {
    const small = faceOf({ kind: 'rectangle', widthM: 0.03, heightM: 0.03 }, ['open'], 0.018, {
      id: 'small',
    });
    const plan = planInput([open, small], { intent: { by: 'given', thicknessM: 1.6e-3 } });
    const both = input(
      open,
      { areaIds: ['face', 'small'], staysM: [1.6e-3, 1.2e-3] },
      { areas: plannedGrounds(plan) },
    );
    const [one, other] = [edge(open), edge(small, { areaIds: ['small'] })];
    const least = Math.min(one?.figures.highM ?? NaN, other?.figures.highM ?? NaN);
    expect(edgeCheck(both)?.figures.highM).toBe(least);
    expect(edge(walled)).toBeNull();
    expect(edge(open, { kind: 'seal' })).toBeNull();
    expect(one?.explanation.inputs.at(-1)?.value).toBeCloseTo(0.08, 9);
  });
});

describe('what drains from an open edge', () => {
  const drain = (...of: Parameters<typeof input>) => drainCheck(input(...of));
  it('is Jeffreys’ film on the tallest one, with the fluidity that the rest leaves', () => {
    const tall = {
      ...open,
      edges: open.edges.map((e, i) => ({ ...e, heightM: i === 1 ? 0.03 : 0.018 })),
    };
    const found = drain(tall);
    const fluidityPerPa = fluidityLeft(law, 600);
    expect(found?.figures.staysM).toBeCloseTo(
      drainedEdgeMean(0.03, { densityKgM3: 1075, fluidityPerPa }),
      12,
    );
    // ⅔ √(H / (ρ g τ))
    expect(found?.figures.staysM).toBeCloseTo(
      (2 / 3) * Math.sqrt(0.03 / (1075 * 9.80665 * fluidityPerPa)),
      9,
    );
    expect(found?.figures.restS).toBe(restForEdge(HIDES_M, 0.03, law, 1075));
    expect(found?.explanation.inputs.map((i) => i.value)).toEqual([0.03, fluidityPerPa, 600]);
  });
  it('is watched on wood and paper, whose grain it should hide', () => {
    const verdict = (support: CheckInput['support'], restS = 0) =>
      drain(open, { restS }, { support })?.verdict;
    const thin = (drain(open, { restS: 0 })?.figures.staysM ?? NaN) < HIDES_M;
    expect(thin).toBe(true);
    expect([verdict('bare wood'), verdict('paper on board'), verdict('sealed panel')]).toEqual([
      'watch',
      'watch',
      'fine',
    ]);
    const enough = (drain(open)?.figures.restS ?? NaN) * 1.01;
    expect(verdict('bare wood', enough)).toBe('fine');
    expect(drain(walled)).toBeNull();
    expect(drain({ ...open, edges: open.edges.map((e) => ({ ...e, heightM: 0 })) })).toBeNull();
  });
  it('a rest that takes over three quarters of the working time is no advice', () => {
    expect([restOutlasts(750, 1000), restOutlasts(751, 1000), restOutlasts(1e6, null)]).toEqual([
      false,
      true,
      false,
    ]);
    const rest = drain(open)?.figures.restS ?? NaN;
    expect(drain(open, {}, { workingS: rest })?.figures).toMatchObject({
      tooLong: true,
      workingS: rest,
    });
    expect(drain(open, {}, { workingS: 2 * rest })?.figures.tooLong).toBe(false);
  });
});

describe('how level is level enough', () => {
  const level = (...of: Parameters<typeof input>) => levelCheck(input(...of));
  it('10 % of the film over the longest side; unread, what a spirit level leaves', () => {
    const found = level(open);
    expect(found?.figures.allowed).toBeCloseTo(0.16e-3 / 0.4, 9);
    expect(found?.figures.wasRead).toBe(false);
    expect(found?.explanation.inputs.map((i) => i.value)).toEqual([1.6e-3, 0.4]);
  });
  it('read: over the length along the slope, to the hair', () => {
    const tilt = (alongX: number, alongY: number) => ({ tilt: { alongX, alongY } });
    expect(level(open, {}, tilt(0.000399, 0))).toMatchObject({
      verdict: 'fine',
      figures: { wasRead: true },
    });
    expect(level(open, {}, tilt(0.000401, 0))?.verdict).toBe('watch');
    // Across the short side a piece may lean twice as much.
    expect(level(open, {}, tilt(0, 0.000799))?.verdict).toBe('fine');
    expect(level(open, {}, tilt(0, 0.000801))?.verdict).toBe('watch');
    expect(level(open, {}, tilt(0, 0))).toMatchObject({
      verdict: 'fine',
      figures: { slope: 0, wasRead: true },
    });
    expect(level(open, {}, tilt(0, 0))?.figures.allowed).toBeCloseTo(0.16e-3 / 0.4, 9);
  });
  it('is not asked of a brushed coat, or of none', () => {
    expect(level(open, { kind: 'seal' })).toBeNull();
    expect(levelCheck(input(open, {}, { areas: [] }))).toBeNull();
  });
});

describe('the lifts of a coat', () => {
  const relief = (kind: 'stones' | 'paste') => ({
    relief: [{ kind, greatestM: 4e-3, meanM: 2e-3, share: 0.5 }],
  });
  const lifts = (area: PlanArea, thicknessM: number, wish: Wish = {}) => {
    const found = liftsOf(
      planInput([area], { intent: { by: 'given', thicknessM }, ...wish }),
      thicknessM,
    );
    if (!found.ok) throw new Error(JSON.stringify(found.issues));
    return found.value.map(
      (l) => [Math.round(l.thicknessM * 1e6), Math.round(l.topM * 1e6), l.gentle] as const,
    );
  };
  it('as few as the sheet’s greatest depth allows, all alike', () => {
    expect(lifts(walled, 6e-3)).toEqual([[6000, 6000, false]]);
    expect(lifts(walled, 9e-3)).toEqual([
      [4500, 4500, false],
      [4500, 9000, false],
    ]);
  });
  it('over loose parts on the ground a thin one first, streamed on; not over paste, under a lock coat or on a film', () => {
    const stones = { ...walled, ...relief('stones') };
    expect(lifts(stones, 5e-3)[0]).toEqual([700, 700, true]);
    expect(lifts({ ...walled, ...relief('paste') }, 5e-3)).toHaveLength(1);
    expect(lifts(stones, 5e-3, { kind: 'lock' })).toHaveLength(1);
    expect(lifts(stones, 5e-3, { coats: [lower] })).toEqual([[5000, 6000, false]]);
  });
  it('where relief is to be buried none is thicker than open edges hold', () => {
    const bury = { intent: { by: 'bury', coverM: 1e-3 } } as const;
    const stood = { ...open, ...relief('paste') };
    const buried = lifts(stood, 5e-3, bury);
    expect(buried.length).toBeGreaterThan(2);
    expect(Math.max(...buried.map(([film]) => film))).toBeLessThan(2200);
    // Between walls the sheet's depth alone counts; so it does where the film is given.
    expect(lifts({ ...walled, ...relief('paste') }, 5e-3, bury)).toHaveLength(1);
    expect(lifts(stood, 5e-3)).toHaveLength(1);
  });
});
