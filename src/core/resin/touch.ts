import { assert } from '../result';
import { SHEET_TIME_SIGMA } from './coatClock';
import type { SheetTimes } from './sheet';

/** What a gloved finger finds, from wet to hard; `no mark`: it leaves none, and no nail was tried. */
export const TOUCH_FINDS = [
  'strings',
  'tacky',
  'leathery',
  'no mark',
  'nail mark',
  'hard',
] as const;
export type TouchFind = (typeof TOUCH_FINDS)[number];

/** What was touched: the coat itself, what was left in the cup of its batch, or a corner of a casting eased from its mould. */
export const TOUCHED = ['coat', 'witness cup', 'demould try'] as const;
export type Touched = (typeof TOUCHED)[number];

/** A touch: what was found, at which ripe age by the sheet's own pace, s. */
export interface Touch {
  readonly found: TouchFind;
  readonly ripeS: number;
  /** The coat when left out. */
  readonly on?: Touched;
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

/** What the batches of a shop have told of a resin, against its sheet. */
export interface Learned {
  /** How fast it cures: 0.9 is a tenth slower than its sheet. */
  readonly factor: number;
  /** One standard deviation of the logarithm that a next batch has. */
  readonly sigma: number;
  /** Batches that told something. */
  readonly count: number;
  /** How far those batches lay apart, one standard deviation of the logarithm; null: of one batch. */
  readonly spread: number | null;
}

/** Batches of one resin in one shop lie so far apart, standard deviation of the logarithm. Judgement, no source. */
const BETWEEN_BATCHES = 0.06;
/** A batch whose touches tell less than this is not counted. Judgement, no source. */
const TELLS_NOTHING = 0.25;

/**
 * What batches that were touched teach of their resin: the mean of their paces, each as sure as its touches make it, drawn
 * to the sheet as far as they are few.
 * @param batches pace of each batch by its own touches alone, as {@link paceOf} gives it with nothing learned
 * @returns null while no batch tells anything
 * Source: normal mean with known spreads and a normal prior (Bayes, conjugate), on the logarithm.
 */
export function learnedOf(batches: readonly Pace[]): Learned | null {
  const told = batches.filter((b) => !b.unlikely && b.sigma < TELLS_NOTHING);
  if (told.length === 0) return null;
  let [weight, sum] = [1 / SHEET_TIME_SIGMA ** 2, 0];
  for (const { factor, sigma } of told) {
    const own = 1 / (sigma ** 2 + BETWEEN_BATCHES ** 2);
    weight += own;
    sum += own * Math.log(factor);
  }
  const logs = told.map((b) => Math.log(b.factor));
  const mean = logs.reduce((s, x) => s + x, 0) / logs.length;
  const square = logs.reduce((s, x) => s + (x - mean) ** 2, 0);
  return {
    factor: Math.exp(sum / weight),
    sigma: Math.hypot(Math.sqrt(1 / weight), BETWEEN_BATCHES),
    count: told.length,
    spread: told.length > 1 ? Math.sqrt(square / (told.length - 1)) : null,
  };
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
/**
 * A witness tells less sharply than the coat: what is left in a cup lies thicker and warms itself a little, a casting
 * cures from its middle. Judgement, no source.
 */
const SHARPNESS: Readonly<Record<Touched, number>> = {
  coat: FINGER.sigma,
  'witness cup': 0.15,
  'demould try': 0.12,
};
/** A touch less likely than this, of all that are possible, is told. Judgement, no source. */
const UNLIKELY = 0.03;
const GRID = { from: -1.2, to: 1.2, step: 0.01 } as const;

/** Ripe ages between which a finding is made, s. Common practice, no source. */
export function touchSpan(found: TouchFind, t: SheetTimes): readonly [fromS: number, toS: number] {
  const firm = Math.max(t.recoatClosesS, t.handleS);
  const hard = Math.max(firm, t.hardS);
  switch (found) {
    case 'strings':
      return [0, t.leatheryS];
    case 'tacky':
      return [t.leatheryS, t.recoatClosesS];
    case 'leathery':
      return [t.recoatClosesS, firm];
    case 'no mark':
      return [firm, Infinity];
    case 'nail mark':
      return [firm, hard];
    case 'hard':
      return [hard, Infinity];
  }
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
function chance({ found, ripeS, on = 'coat' }: Touch, times: SheetTimes, x: number): number {
  const [from, to] = touchSpan(found, times);
  const below = (edge: number) =>
    edge === Infinity ? 1 : edge <= 0 ? 0 : normal((Math.log(edge / ripeS) - x) / SHARPNESS[on]);
  return (
    FINGER.errs / TOUCH_FINDS.length + (1 - FINGER.errs) * Math.max(0, below(to) - below(from))
  );
}

/**
 * How fast a coat ripens, by what a finger found.
 * @param touches in any order, ripe ages > 0 @param times of the sheet
 * @param learned what earlier batches told of the resin; null: nothing
 * @returns the learned pace, or the sheet's own, with its spread where nothing was touched
 * @throws RangeError on a ripe age that is not above zero
 * Source: Bayes on the logarithm of the pace, by a grid; findings are intervals with soft edges.
 */
export function paceOf(
  touches: readonly Touch[],
  times: SheetTimes,
  learned: Pick<Learned, 'factor' | 'sigma'> | null = null,
): Pace {
  assert(
    touches.every((t) => t.ripeS > 0),
    'paceOf',
    touches,
  );
  if (touches.length === 0)
    return {
      factor: learned?.factor ?? 1,
      sigma: learned?.sigma ?? SHEET_TIME_SIGMA,
      unlikely: false,
    };
  const centre = Math.log(learned?.factor ?? 1);
  // What the shop knows is sharper than the sheet; one batch in five may be something else all the same.
  const priors = PRIOR.map((p, i) => (i === 0 && learned ? { ...p, sigma: learned.sigma } : p));
  const [sum, mean, square] = [0, 0, 0];
  let total = { sum, mean, square };
  const expected = touches.map(() => 0);
  let prior = 0;
  for (let x: number = GRID.from; x <= GRID.to; x += GRID.step) {
    const p = priors.reduce(
      (s, { weight, sigma }) => s + (weight / sigma) * Math.exp(-0.5 * ((x - centre) / sigma) ** 2),
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
