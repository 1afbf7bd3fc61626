import { fluidityLeft, viscosityAfter } from '.';

const LAW = { viscosityPaS: 2, workingS: 1000 };
/** In what a fresh film of eight times its working age would flow, so that the curve shows. */
const WHOLE = (1.9404 * LAW.workingS) / LAW.viscosityPaS;
const times = (rest: number) => viscosityAfter(LAW, rest * LAW.workingS) / LAW.viscosityPaS;
const flowed = (from: number, to: number) =>
  (fluidityLeft(LAW, from * LAW.workingS) - fluidityLeft(LAW, to * LAW.workingS)) / WHOLE;
/** Rest in the cup that gives a film’s age, between two marks of the cup’s table, by hand. */
const AGE_HALF = 0.6 + (0.1 * (0.5 - 0.4083)) / (0.5111 - 0.4083);
const AGE_FIFTH = 0.3 + (0.1 * (0.2 - 0.1728)) / (0.2423 - 0.1728);
const AGE_THIRD = 0.4 + (0.1 * (0.3 - 0.2423)) / (0.3195 - 0.2423);

describe('how a mix thickens', () => {
  it.each([
    ['fresh', 0, 1],
    // Age 0.1104: 1.0833 (1.2275 / 1.0833)^0.104.
    ['a fifth of its working time', 0.2, 1.0975],
    ['at the age of a half', AGE_HALF, 2.0738],
    ['at its working time', 1, 6.9058],
    // Age 1 + 4 · 0.05, and so on.
    ['a twentieth later', 1.05, 12.288],
    ['an eighth later', 1.125, 32.162],
    ['half as long again, and for ever after', 1.5, 65978],
    ['long after', 40, 65978],
  ])('%s', (_name, rest, wanted) => {
    expect(times(rest) / wanted).toBeCloseTo(1, 4);
  });
  it('what flows between two ages is the difference of what had flowed', () => {
    expect(flowed(0, AGE_HALF)).toBeCloseTo(0.377, 9);
    expect(flowed(AGE_HALF, 1)).toBeCloseTo(0.5214 - 0.377, 9);
    expect(flowed(1, 1.05)).toBeCloseTo(0.5435 - 0.5214, 9);
    // Nothing is left at the end but what keeps a film from a division by zero.
    expect(fluidityLeft(LAW, 40_000) / WHOLE).toBeCloseTo(1e-6, 12);
  });
  it('between two marks it is the integral of one over the viscosity, by Simpson’s rule', () => {
    // Ages 0.2 to 0.3 are run through evenly on either side of the mark of the cup at 0.2423.
    const steps = 200;
    const at = (k: number) => {
      const age = 0.2 + (0.1 * k) / steps;
      const rest =
        age < 0.2423
          ? 0.3 + (0.1 * (age - 0.1728)) / 0.0695
          : 0.4 + (0.1 * (age - 0.2423)) / 0.0772;
      return { rest, slope: 1 / times(rest) };
    };
    let sum = 0;
    for (let k = 0; k < steps; k += 2) {
      sum += (at(k).slope + 4 * at(k + 1).slope + at(k + 2).slope) * (0.1 / steps / 3);
      // The marks are rounded to four digits.
      expect(Math.abs(flowed(AGE_FIFTH, at(k + 2).rest) - sum)).toBeLessThan(2e-4);
    }
    expect(flowed(AGE_FIFTH, AGE_THIRD)).toBeCloseTo(0.2595 - 0.1838, 9);
  });
  it('refuses what is no mix and no time', () => {
    for (const [law, rest] of [
      [{ ...LAW, viscosityPaS: 0 }, 0],
      [{ ...LAW, workingS: 0 }, 0],
      [LAW, -1],
      [LAW, NaN],
    ] as const) {
      expect(() => fluidityLeft(law, rest)).toThrow('fluidityLeft');
      expect(() => viscosityAfter(law, rest)).toThrow('viscosityAfter');
    }
  });
});
