import { splitMix, workingTime } from '../resin';
import { TEST_SHEET } from '../resin/test/sheet';
import type { WetEvent } from './event';
import { gatherChecks, learnedPour, type GatherInput } from './gatherChecks';

const split = splitMix(2e-4, TEST_SHEET);
if (!split.ok) throw new Error('no split');
const INPUT: GatherInput = {
  ...{ sheet: TEST_SHEET, curesK: null, split: split.value, roomK: 295.15 },
  ...{ stepKg: { a: 1e-4, b: 1e-4 }, coats: 1, pourS: 360 },
};
const check = <I extends 'room' | 'time' | 'measure'>(is: I, change: Partial<GatherInput> = {}) =>
  gatherChecks({ ...INPUT, ...change }).find((c) => c.is === is);

describe('before resin is mixed', () => {
  it('the room is in the range of the sheet, or of usual resins: 15 to 30 °C, common practice', () => {
    expect(check('room')).toMatchObject({ verdict: 'fine', usual: true });
    expect(check('room', { roomK: 288.14 })).toMatchObject({ verdict: 'stop' });
    expect(check('room', { roomK: 288.15 })).toMatchObject({ verdict: 'fine' });
    const curesK = { min: 293.15, max: 298.15 };
    expect(check('room', { curesK, roomK: 293.1 })).toMatchObject({
      verdict: 'stop',
      usual: false,
    });
    expect(gatherChecks({ ...INPUT, roomK: null }).map((c) => c.is)).toEqual(['measure']);
  });
  it('stir, rest and all pours fit into the working time, with some of it left', () => {
    const workingS = workingTime(TEST_SHEET, split.value.totalKg, 295.15);
    const before = TEST_SHEET.stirS + 120 + 120;
    const fits = Math.floor((workingS - before) / 360);
    expect(fits).toBeGreaterThan(2);
    expect(check('time')).toMatchObject({ verdict: 'fine', neededS: before + 360, fits });
    expect(check('time', { coats: fits })).toMatchObject({ verdict: 'watch' });
    expect(check('time', { coats: fits + 1 })).toMatchObject({ verdict: 'stop', fits });
    // Warmer is shorter.
    expect(check('time', { coats: fits, roomK: 303 })).toMatchObject({ verdict: 'stop' });
  });
  it('each part off by one step of scale or mark is off by e/A + e/B: two per cent are too much', () => {
    const { aKg, bKg } = split.value;
    const at = (kg: number) => check('measure', { stepKg: { a: kg, b: kg } });
    const limit = 0.02 / (1 / aKg + 1 / bKg);
    expect(at(limit * 0.999)).toMatchObject({ verdict: 'fine' });
    expect(at(limit * 1.001)).toMatchObject({ verdict: 'watch' });
  });
});

describe('how long a piece takes', () => {
  const batch = (...minutes: number[]): WetEvent[] => [
    { is: 'stirred', id: 's', atMs: 0 },
    ...minutes.map((m, i): WetEvent => ({
      ...{ is: 'poured', coatId: `c${i}`, id: `p${i}` },
      atMs: m * 60_000,
    })),
  ];
  it('is the median from the rest to the first pour, and from each to the next', () => {
    // Two minutes of rest: 6, 4 and 9 minutes.
    expect(learnedPour([batch(8, 12, 21)])).toEqual({ pourS: 360, count: 3 });
  });
  it('leaves out what was interrupted, what came before its rest, and batches that were not poured', () => {
    expect(learnedPour([batch(8, 60), batch(1), batch(), []])).toEqual({ pourS: 360, count: 1 });
    expect(learnedPour([])).toBeNull();
  });
});
