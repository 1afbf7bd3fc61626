import { leastSquares, type Fitted } from '../../numeric';
import { assert } from '../../result';
import { cupRun } from './cup';
import { filmRun, type FilmMark } from './film';
import type { Kinetics } from './kinetics';

/** One number of a sheet, or of the bench. */
export type CurePoint = {
  readonly temperatureK: number;
  readonly timeS: number;
  /** One standard deviation of its logarithm; left out: 12 %, 30 % for the full cure. Judgement, no source. */
  readonly sigma?: number;
} & (
  | { readonly kind: 'cup'; readonly massKg: number }
  | { readonly kind: 'film'; readonly thicknessM: number; readonly mark: FilmMark }
);

/** What is known of a resin before its sheet is read: value and standard deviation. From memory; E typical. */
const PRIOR = {
  lnRate: { mean: Math.log(1.1e-4), sd: 3 },
  lnStart: { mean: Math.log(0.3), sd: 0.7 },
  order: { mean: 1.9, sd: 0.3 },
  glass: { mean: 0.9, sd: 0.03 },
  energyJMol: { mean: 55e3, sd: 5e3 },
} as const;
const NAMES = ['lnRate', 'lnStart', 'order', 'glass', 'energyJMol'] as const;
/** Heat of reaction, J/kg. A sheet’s times do not determine it. Typical, from memory. */
const HEAT_J_KG = 350e3;
const SIGMA = 0.12;
const SIGMA_FULL = 0.3;
/** A mark that is never reached counts as this, s. */
const NEVER_S = 1e8;

export interface Calibration {
  readonly kinetics: Kinetics;
  /** Spread that is left of each unknown against what was known before the sheet, 0…1: 1 is nothing learned. */
  readonly left: Readonly<Record<(typeof NAMES)[number], number>>;
  /** What the model says of each point against what was told, as a ratio. */
  readonly ratios: readonly number[];
  readonly fitted: Fitted;
}

const kineticsOf = (values: readonly number[], viscosityPaS: number): Kinetics => {
  const [lnRate = NaN, lnStart = NaN, order = NaN, glass = NaN, energyJMol = NaN] = values;
  const [rate, start] = [Math.exp(lnRate), Math.exp(lnStart)];
  return { rate, start, order, glass, energyJMol, heatJKg: HEAT_J_KG, viscosityPaS };
};

/** Times that a model gives for points; films of one kind are run once. */
function timesOf(kinetics: Kinetics, points: readonly CurePoint[]): number[] {
  const films = new Map<string, ReturnType<typeof filmRun>>();
  return points.map((point) => {
    if (point.kind === 'cup')
      return cupRun(kinetics, point.massKg, point.temperatureK).workingS ?? NEVER_S;
    const key = `${point.thicknessM} ${point.temperatureK}`;
    const film = films.get(key) ?? filmRun(kinetics, point.thicknessM, point.temperatureK);
    films.set(key, film);
    return Math.min(NEVER_S, film.marks[point.mark]);
  });
}

/**
 * Finds the kinetics that fit what a sheet says.
 * @param points at least one number @param viscosityPaS of the fresh mix at 22 °C
 * @returns the kinetics, how well each unknown is determined, and how the points fit
 * @throws RangeError without a point, or on a time that is not above zero
 * Source: maximum a posteriori on ln time with priors (Levenberg–Marquardt); spread from the curvature there.
 */
export function calibrate(points: readonly CurePoint[], viscosityPaS: number): Calibration {
  assert(points.length > 0 && points.every((p) => p.timeS > 0), 'calibrate', points);
  const priors = NAMES.map((name) => PRIOR[name]);
  const sigmaOf = (p: CurePoint) =>
    p.sigma ?? (p.kind === 'film' && p.mark === 'full' ? SIGMA_FULL : SIGMA);
  const residuals = (values: readonly number[]): number[] => {
    const times = timesOf(kineticsOf(values, viscosityPaS), points);
    return [
      ...points.map((p, i) => Math.log((times[i] ?? NaN) / p.timeS) / sigmaOf(p)),
      ...priors.map(({ mean, sd }, i) => ((values[i] ?? NaN) - mean) / sd),
    ];
  };
  const fitted = leastSquares(residuals, startOf(points, viscosityPaS), [0.3, 0.3, 0.1, 0.01, 2e3]);
  const kinetics = kineticsOf(fitted.values, viscosityPaS);
  const times = timesOf(kinetics, points);
  return {
    kinetics,
    left: Object.fromEntries(
      NAMES.map((name, i) => [name, (fitted.sigmas[i] ?? NaN) / PRIOR[name].sd]),
    ) as Calibration['left'],
    ratios: points.map((p, i) => (times[i] ?? NaN) / p.timeS),
    fitted,
  };
}

/** The usual resin, as fast as the first point asks: times go with 1/rate. */
function startOf(points: readonly CurePoint[], viscosityPaS: number): number[] {
  const usual = NAMES.map((name) => PRIOR[name].mean as number);
  const [first] = points;
  if (!first) return usual;
  const [timeS = NaN] = timesOf(kineticsOf(usual, viscosityPaS), [first]);
  return usual.map((v, i) => (i === 0 ? v + Math.log(timeS / first.timeS) : v));
}

/**
 * How sure a prediction is.
 * @param of a time that the model gives, s @returns the time and one standard deviation of its logarithm
 * Source: first-order propagation of the covariance of the fit.
 */
export function predict(
  { fitted, kinetics: { viscosityPaS } }: Calibration,
  of: (kinetics: Kinetics) => number,
): { readonly timeS: number; readonly sigma: number } {
  const timeS = of(kineticsOf(fitted.values, viscosityPaS));
  const slopes = fitted.values.map((_, j) => {
    const step = 0.05 * (fitted.sigmas[j] ?? NaN);
    const nudged = fitted.values.map((v, i) => (i === j ? v + step : v));
    return step > 0 ? Math.log(of(kineticsOf(nudged, viscosityPaS)) / timeS) / step : 0;
  });
  const variance = slopes.reduce(
    (sum, a, i) =>
      sum + slopes.reduce((s, b, j) => s + a * b * (fitted.covariance[i]?.[j] ?? NaN), 0),
    0,
  );
  return { timeS, sigma: Math.sqrt(variance) };
}
