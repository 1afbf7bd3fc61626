import { assert } from '../result';
import { SHEET_TIME_SIGMA } from './coatClock';
import type { SheetTimes } from './sheet';

/** What a gloved finger finds, from wet to hard. */
export const TOUCH_FINDS = ['strings', 'tacky', 'leathery', 'nail mark', 'hard'] as const;
export type TouchFind = (typeof TOUCH_FINDS)[number];

/** A touch: what was found, at which ripe age by the sheet's own pace, s. */
export interface Touch {
  readonly found: TouchFind;
  readonly ripeS: number;
}

/** How fast a coat ripens against its sheet, as its touches tell. */
export interface Pace {
  /** 1: as the sheet says; 0.8: a fifth slower. */
  readonly factor: number;
  /** One standard deviation of its logarithm. */
  readonly sigma: number;
  /** A touch fits no likely clock: another resin, another ratio, or colder than noted. */
  readonly unlikely: boolean;
}

/**
 * Before any touch: most sheets are right to their spread, one in five is further off (another lot, a cold bottle, a
 * ratio). Judgement, no source.
 */
const PRIOR = [
  { weight: 0.8, sigma: SHEET_TIME_SIGMA },
  { weight: 0.2, sigma: 0.35 },
] as const;
/** A finger draws its lines so sharply, and errs this often. Judgement, no source. */
const FINGER = { sigma: 0.08, errs: 0.01 } as const;
/** A touch less likely than this, of all that are possible, is told. Judgement, no source. */
const UNLIKELY = 0.03;
const GRID = { from: -1.2, to: 1.2, step: 0.01 } as const;

/** Ripe ages between which a finding is made, s. Common practice, no source. */
export function touchSpan(found: TouchFind, t: SheetTimes): readonly [fromS: number, toS: number] {
  const firm = Math.max(t.recoatClosesS, t.handleS);
  const lines = [0, t.leatheryS, t.recoatClosesS, firm, Math.max(firm, t.hardS), Infinity];
  const at = TOUCH_FINDS.indexOf(found);
  return [lines[at] ?? NaN, lines[at + 1] ?? Infinity];
}

/** Normal distribution function. Source: Abramowitz & Stegun 1964, 7.1.26, error under 1.5e-7. */
function normal(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

/** Chance of a finding when the coat ripens exp(x) times as fast as the sheet. */
function chance({ found, ripeS }: Touch, times: SheetTimes, x: number): number {
  const [from, to] = touchSpan(found, times);
  const below = (edge: number) =>
    edge === Infinity ? 1 : edge <= 0 ? 0 : normal((Math.log(edge / ripeS) - x) / FINGER.sigma);
  return (
    FINGER.errs / TOUCH_FINDS.length + (1 - FINGER.errs) * Math.max(0, below(to) - below(from))
  );
}

/**
 * How fast a coat ripens, by what a finger found.
 * @param touches in any order, ripe ages > 0 @param times of the sheet
 * @returns the sheet's own pace and spread where nothing was touched
 * @throws RangeError on a ripe age that is not above zero
 * Source: Bayes on the logarithm of the pace, by a grid; findings are intervals with soft edges.
 */
export function paceOf(touches: readonly Touch[], times: SheetTimes): Pace {
  assert(
    touches.every((t) => t.ripeS > 0),
    'paceOf',
    touches,
  );
  if (touches.length === 0) return { factor: 1, sigma: SHEET_TIME_SIGMA, unlikely: false };
  const [sum, mean, square] = [0, 0, 0];
  let total = { sum, mean, square };
  const expected = touches.map(() => 0);
  let prior = 0;
  for (let x: number = GRID.from; x <= GRID.to; x += GRID.step) {
    const p = PRIOR.reduce(
      (s, { weight, sigma }) => s + (weight / sigma) * Math.exp(-0.5 * (x / sigma) ** 2),
      0,
    );
    const chances = touches.map((t) => chance(t, times, x));
    const weight = chances.reduce((product, c) => product * c, p);
    chances.forEach((c, i) => (expected[i] = (expected[i] ?? NaN) + c * p));
    prior += p;
    total = {
      sum: total.sum + weight,
      mean: total.mean + weight * x,
      square: total.square + weight * x * x,
    };
  }
  const middle = total.mean / total.sum;
  return {
    factor: Math.exp(middle),
    sigma: Math.sqrt(Math.max(1e-6, total.square / total.sum - middle * middle)),
    unlikely: expected.some((e) => e / prior < UNLIKELY),
  };
}
