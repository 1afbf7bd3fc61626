import { assert } from '../result';
import { besselKRatio, logBesselI } from './bessel';
import { isEdgeAngle, puddleHeight } from './puddle';

/** What an outline comes to for a film that ends at its rims; walls, which hold it up, are not rims. */
export interface DomeOutline {
  readonly areaM2: number;
  /** Length of all rims, holes among them, m. */
  readonly rimM: number;
  /** Inner angles of the corners between two rims, rad. */
  readonly cornersRad: readonly number[];
  /** Inner angles between a rim and a wall, rad. */
  readonly wallCornersRad: readonly number[];
  /** What the smooth rims turn in all, rad, + where convex: 2π all round, −2π for a round hole. */
  readonly bendRad: number;
  /** Curvature of the straightest stretch of rim, 1/m, + where convex: it lets go first. */
  readonly curvaturePerM: number;
  /** Mean of the linear dome over its height far from the rim, where it was solved on a grid; else the closed form. */
  readonly mask?: number;
}

const known = new Map<number, number>();

/**
 * What a corner gives back of the rim's loss, in squares of the capillary length.
 * @param angleRad inner angle of the corner, 0…2π
 * @throws RangeError outside that interval
 * Source: heat content of a wedge, ∫ 4 sinh((π−β)x) / (sinh(πx) cosh(βx)) dx; van den Berg & Srisatkunarajah
 *   1990 (from memory).
 */
export function cornerTerm(angleRad: number): number {
  assert(angleRad > 0.05 && angleRad < 2 * Math.PI, 'cornerTerm', angleRad);
  const found = known.get(angleRad);
  if (found !== undefined) return found;
  const gap = Math.PI - angleRad;
  const at = (x: number) => {
    if (x === 0) return (4 * gap) / Math.PI;
    // Each hyperbolic function over its own e^x, so that nothing overflows.
    const sinhGap = (Math.sign(gap) * -Math.expm1(-2 * Math.abs(gap) * x)) / 2;
    const sinhPi = -Math.expm1(-2 * Math.PI * x) / 2;
    const coshAngle = (1 + Math.exp(-2 * angleRad * x)) / 2;
    return (
      ((4 * sinhGap) / (sinhPi * coshAngle)) * Math.exp((Math.abs(gap) - Math.PI - angleRad) * x)
    );
  };
  const end = 40 / (2 * Math.min(angleRad, Math.PI));
  const n = 4000;
  let sum = at(0) + at(end);
  for (let i = 1; i < n; i += 1) sum += at((end * i) / n) * (i % 2 === 1 ? 4 : 2);
  const term = (sum * end) / n / 3;
  known.set(angleRad, term);
  return term;
}

/** A rim that goes on as a wall, as far as `cornerTerm` takes it, rad. */
const FULL_TURN = 2 * Math.PI - 1e-6;
/** A corner between rim and wall is half of the one that its mirror image makes with it. */
const wallCorner = (angleRad: number): number => cornerTerm(Math.min(2 * angleRad, FULL_TURN)) / 2;

/**
 * Mean of the linear dome over its height far from the rim.
 * @param lengthM capillary length, m @returns 0…1
 * Source: heat content of the outline; where the rims lie too close for it, as between two rims that far apart.
 */
export function maskMean(outline: DomeOutline, lengthM: number): number {
  const { areaM2, rimM, cornersRad, wallCornersRad, bendRad, mask } = outline;
  if (mask !== undefined) return mask;
  const corners =
    cornersRad.reduce((sum, b) => sum + cornerTerm(b), 0) +
    wallCornersRad.reduce((sum, b) => sum + wallCorner(b), 0) +
    bendRad / 2;
  const wide = 1 - (lengthM * rimM) / areaM2 + (lengthM ** 2 * corners) / areaM2;
  const x = areaM2 / rimM / lengthM;
  return wide > 0.5 || rimM === 0 ? wide : Math.max(wide, 1 - Math.tanh(x) / x);
}

const rimFactors = new Map<string, number>();

/**
 * Slope of the linear dome at a rim over that at a straight one: a convex rim holds more, a concave one less.
 * @param curvaturePerM 1/m, + where convex @param lengthM capillary length, m
 * Source: dome inside a disc, I1/I0, and outside one, K1/K0, of that curvature.
 */
export function rimFactor(curvaturePerM: number, lengthM: number): number {
  const x = 1 / (Math.abs(curvaturePerM) * lengthM);
  if (!(x < 1e4)) return 1;
  const key = `${curvaturePerM} ${lengthM}`;
  const found =
    rimFactors.get(key) ??
    (curvaturePerM > 0 ? Math.exp(logBesselI(1, x) - logBesselI(0, x)) : besselKRatio(x));
  if (rimFactors.size > 500) rimFactors.clear();
  rimFactors.set(key, found);
  return found;
}

/**
 * Mean thickness of the film that an outline carries when its straightest rim stands at an angle.
 * @param outline area, rims, corners; every side longer than about eight capillary lengths
 * @param angleRad 0…π/2 @param lengthM capillary length, m
 * @returns m; within 0.3 % from 100 mm up, 1.1 % at 30 mm
 * @throws RangeError outside those intervals
 * Source: H0/g (1 − (1 − m) cos(θ/2)), with g of the straightest rim and m from heat-content asymptotics; checked
 *   against exact domes and a non-linear solve.
 */
export function domeMean(outline: DomeOutline, angleRad: number, lengthM: number): number {
  assert(isEdgeAngle(angleRad) && outline.areaM2 > 0 && outline.rimM > 0, 'domeMean', {
    outline,
    angleRad,
  });
  const m = maskMean(outline, lengthM);
  const farM = puddleHeight(angleRad, lengthM) / rimFactor(outline.curvaturePerM, lengthM);
  return farM * (1 - (1 - m) * Math.cos(angleRad / 2));
}
