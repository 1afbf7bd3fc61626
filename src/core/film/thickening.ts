import { assert } from '../result';

/** How a mixed resin thickens, as its sheet tells it. */
export interface Thickening {
  /** Viscosity when part B meets part A, Pa s. */
  readonly viscosityPaS: number;
  /** Working time of 100 g in one cup, s: until the mix, as it lies on a piece, is 8 times as thick as fresh. */
  readonly workingS: number;
}

/**
 * Thickness against fresh at which rested resin clings to an edge, from and to, and at which a drawn line stays.
 * Judgement on common practice: 7–10 min in the cup thickens a common resin for edges, near the end lines stay.
 */
export const CLINGS = { from: 1.15, to: 1.35 } as const;
export const LINES_STAY = 5;

/** A film is 8 times as thick after so many working times of its cup: the cup heats itself, the film does not. */
const OPEN_PER_WORKING = 1.9404;

/**
 * A film of a usual resin on its board: age over the age at which it is 8 times as thick at room temperature (it is a
 * little warmer, so 6.9 as it lies), viscosity over fresh, and what it has flowed till then, ∫ fresh / η over that age.
 * Source: Kamal & Sourour 1973 with Castro & Macosko 1982 (formulas and parameters from memory), film of 1.6 mm at
 * 22 °C, run by `core/resin/model`; the test runs it anew. One curve serves all resins: a sheet’s few times hardly
 * determine another (spread of its start 0.7 left), and all laws of thin films see it through its integral alone.
 */
const CURVE: readonly (readonly [age: number, times: number, flowed: number])[] = [
  [0, 1, 0],
  [0.1, 1.0833, 0.0968],
  [0.2, 1.2275, 0.1838],
  [0.3, 1.4312, 0.2595],
  [0.4, 1.7066, 0.3237],
  [0.5, 2.0738, 0.377],
  [0.6, 2.5628, 0.4206],
  [0.7, 3.2153, 0.4555],
  [0.8, 4.0922, 0.4832],
  [0.9, 5.2806, 0.5048],
  [1, 6.9058, 0.5214],
  [1.2, 12.288, 0.5435],
  [1.5, 32.162, 0.5593],
  [2, 213.53, 0.5665],
  [3, 65978, 0.5675],
];
/** Age in a cup of 100 g over its working time, and the age that a film needs for as much cure. Source: as {@link CURVE}. */
const IN_CUP: readonly (readonly [rest: number, age: number])[] = [
  [0, 0],
  [0.1, 0.0531],
  [0.2, 0.1104],
  [0.3, 0.1728],
  [0.4, 0.2423],
  [0.5, 0.3195],
  [0.6, 0.4083],
  [0.7, 0.5111],
  [0.8, 0.6348],
  [0.9, 0.7903],
  [1, 1],
];
/** Past its working time a cup runs away: so much of a film’s age for each working time more. Source: as {@link CURVE}. */
const RUNS_AWAY = 4;
const FLOWS_IN_ALL = 0.5675;

/** Age of a film that is as cured as a mix that stood in its cup, both over their own times. */
function filmAge(rest: number): number {
  if (rest >= 1) return 1 + RUNS_AWAY * (rest - 1);
  const i = IN_CUP.findIndex(([at]) => at > rest);
  const [a, b] = [IN_CUP[i - 1], IN_CUP[i]];
  if (!a || !b) return rest;
  return a[1] + ((rest - a[0]) / (b[0] - a[0])) * (b[1] - a[1]);
}

/** Viscosity over fresh, and what has flowed, at an age; the logarithm of the viscosity is straight between the marks. */
function onCurve(age: number): { readonly times: number; readonly flowed: number } {
  const i = CURVE.findIndex(([at]) => at > age);
  const [a, b] = [CURVE[i - 1], CURVE[i]];
  if (!a || !b) return { times: CURVE.at(-1)?.[1] ?? NaN, flowed: FLOWS_IN_ALL };
  const [span, t] = [b[0] - a[0], (age - a[0]) / (b[0] - a[0])];
  const times = a[1] * (b[1] / a[1]) ** t;
  // Cubic Hermite: what flows a moment is one over the viscosity.
  const [t2, t3] = [t * t, t * t * t];
  const flowed =
    (2 * t3 - 3 * t2 + 1) * a[2] +
    ((t3 - 2 * t2 + t) * span) / a[1] +
    (-2 * t3 + 3 * t2) * b[2] +
    ((t3 - t2) * span) / b[1];
  return { times, flowed };
}

function checked(law: Thickening, restS: number, name: string): number {
  const { viscosityPaS, workingS } = law;
  assert(viscosityPaS > 0 && workingS > 0 && restS >= 0, name, { law, restS });
  return filmAge(restS / workingS);
}

/**
 * Fluidity integral tau = ∫ dt / eta from the pour to the end. All thin-film laws depend on time through it alone while
 * viscosity is uniform in the film.
 * @param law of the mix @param restS how long the mix stood in its cup before, s, >= 0
 * @returns tau, 1/Pa, > 0
 * @throws RangeError on values outside those intervals
 * Source: the cure of a usual resin, see the curve above; within 6 % of a run of the model from 16 to 28 °C and from 20 g
 *   to 500 g in the cup, 15 % at 10 °C, through the first half of the working time; films go as its root.
 */
export function fluidityLeft(law: Thickening, restS = 0): number {
  const age = checked(law, restS, 'fluidityLeft');
  const left = Math.max(1e-6, FLOWS_IN_ALL - onCurve(age).flowed);
  return (left * OPEN_PER_WORKING * law.workingS) / law.viscosityPaS;
}

/**
 * Viscosity of a mix that stood in its cup, as it flows on the piece, Pa s.
 * @throws RangeError as {@link fluidityLeft}
 * Source: as {@link fluidityLeft}.
 */
export const viscosityAfter = (law: Thickening, restS: number): number =>
  law.viscosityPaS * onCurve(checked(law, restS, 'viscosityAfter')).times;
