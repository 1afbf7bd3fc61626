import { seededRandom } from '../numeric';
import {
  grainSize,
  gritSequence,
  grits,
  LARGEST_STEP,
  nearestGrit,
  sandingPlan,
  scratchOf,
} from '.';

describe('grit scales', () => {
  // FEPA 43 / ISO 6344 median grain sizes, µm, from memory.
  it.each([
    [80, 201],
    [220, 68],
    [240, 58.5],
    [320, 46.2],
    [400, 35],
    [600, 25.8],
    [1000, 18.3],
    [2500, 8.4],
  ])('P%d has grains of %d µm', (grit, um) => {
    expect(grainSize('P', grit) * 1e6).toBeCloseTo(um, 6);
  });

  it('gets finer from grit to grit on both scales', () => {
    for (const scale of ['P', 'CAMI'] as const)
      grits(scale).reduce((coarser, finer) => {
        expect(grainSize(scale, finer)).toBeLessThan(grainSize(scale, coarser));
        return finer;
      });
  });

  // Conversion table of the two scales, from memory: they agree to 220 and then part. CAMI 280 (44 µm)
  // lies nearer to P320 (46.2) than to P280 (52.2).
  it.each([
    [80, 80],
    [100, 120],
    [150, 150],
    [220, 220],
    [280, 320],
    [320, 400],
    [400, 800],
    [500, 1000],
    [600, 1200],
    [800, 1500],
    [1000, 2500],
    [1200, null],
  ])('CAMI %d is nearest to P%s', (cami, p) => {
    expect(nearestGrit('CAMI', cami, 'P')).toBe(p);
  });

  it('gives the scratch by rule of thumb: P220 7–14 µm and 27 at the deepest', () => {
    const { fromM, toM, deepestM } = scratchOf(grainSize('P', 220));
    expect([fromM, toM, deepestM].map((m) => Math.round(m * 1e6))).toEqual([7, 14, 27]);
  });

  it('steps no wider than 1.6 and skips no end', () => {
    const random = seededRandom(5);
    const all = grits('P');
    for (let n = 0; n < 60; n += 1) {
      const i = Math.floor(random() * all.length);
      const j = i + Math.floor(random() * (all.length - i));
      const steps = gritSequence('P', all[i] ?? 0, all[j] ?? 0);
      expect([steps[0], steps.at(-1)]).toEqual([all[i], all[j]]);
      steps.slice(1).forEach((grit, k) => {
        const before = steps[k] ?? 0;
        const ratio = grainSize('P', before) / grainSize('P', grit);
        const neighbours = all.indexOf(grit) - all.indexOf(before) === 1;
        expect(ratio <= LARGEST_STEP || neighbours).toBe(true);
      });
    }
    expect(() => gritSequence('P', 400, 220)).toThrow(RangeError);
    expect(() => grainSize('P', 230)).toThrow(RangeError);
  });
});

describe('a sanding plan', () => {
  const base = {
    why: 'tooth',
    areaM2: 0.7,
    grits: [240],
    filmM: 1.6e-3,
    bearsWater: true,
  } as const;

  it('by hand: 0.7 m² are 17.5 min and 2 sheets; 1.8 mm hides a 23 µm scratch', () => {
    const plan = sandingPlan({ ...base, nextM: 1.8e-3 });
    expect(plan.steps[0]).toMatchObject({ grit: 240, cami: 240, sheets: 2, hidden: true });
    expect(plan.steps[0]?.minutes).toBeCloseTo(17.5, 9);
    expect((plan.leftM ?? 0) * 1e6).toBeCloseTo(1600 - 0.4 * 58.5, 6);
  });

  it('a brushed skin of 0.2 mm does not hide P80, and 0.05 mm of film is sanded through', () => {
    const plan = sandingPlan({ ...base, grits: [80], nextM: 0.2e-3, filmM: 0.05e-3 });
    expect(plan.steps[0]?.hidden).toBe(false);
    expect(plan.leftM).toBeLessThan(0);
    expect(sandingPlan({ ...base, nextM: null }).steps[0]?.hidden).toBeNull();
  });

  it('matter is taken off with the first grit: 20 ml are 80 min more and half a sheet', () => {
    const plan = sandingPlan({ ...base, grits: [80, 220], removeM3: 20e-6, nextM: 2e-3 });
    expect(plan.steps.map((s) => s.sheets)).toEqual([3, 2]);
    expect(plan.steps[0]?.minutes).toBeCloseTo(17.5 + 80, 9);
    expect(plan.steps[1]?.minutes).toBeCloseTo(17.5, 9);
  });

  it('1.05 m² are three sheets of 0.35, whatever the sum of floats says', () => {
    const plan = sandingPlan({ ...base, areaM2: 0.35 + 0.35 + 0.35, nextM: null });
    expect(plan.steps[0]?.sheets).toBe(3);
  });

  it('is wet from P320 on, where the support bears water', () => {
    const wet = (bearsWater: boolean) =>
      sandingPlan({ ...base, grits: [220, 320], bearsWater, nextM: 1e-3 }).steps.map((s) => s.wet);
    expect(wet(true)).toEqual([false, true]);
    expect(wet(false)).toEqual([false, false]);
  });

  it('uses nothing on no area, and refuses a negative one', () => {
    expect(sandingPlan({ ...base, areaM2: 0, nextM: 1e-3 }).steps[0]).toMatchObject({
      sheets: 0,
      minutes: 0,
    });
    expect(() => sandingPlan({ ...base, areaM2: NaN, nextM: 1e-3 })).toThrow(RangeError);
  });
});
