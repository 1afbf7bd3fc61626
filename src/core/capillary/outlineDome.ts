import { assert } from '../result';
import { logBesselI } from './bessel';
import { isEdgeAngle, puddleHeight } from './puddle';

/** What a dome's outline comes to. */
export interface DomeOutline {
  readonly areaM2: number;
  readonly perimeterM: number;
  /** Inner angles of its corners, rad; none for a smooth outline. Between them it may be straight or curved. */
  readonly cornersRad: readonly number[];
  /** Smooth holes. */
  readonly holes: number;
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

/** Mean of the linear dome over its height far from the rim. */
function maskMean(outline: DomeOutline, lengthM: number): number {
  const { areaM2, perimeterM, cornersRad, holes, mask } = outline;
  if (mask !== undefined) return mask;
  // What the corners do not turn, the smooth stretches do: a half for each radian.
  const turned = cornersRad.reduce((sum, b) => sum + Math.PI - b, 0);
  const corners =
    cornersRad.reduce((sum, b) => sum + cornerTerm(b), 0) +
    (2 * Math.PI - turned) / 2 -
    holes * Math.PI;
  return 1 - (lengthM * perimeterM) / areaM2 + (lengthM ** 2 * corners) / areaM2;
}

/**
 * Mean thickness of the dome that an outline carries at an angle of its rim.
 * @param outline area, perimeter, corners; every side longer than about eight capillary lengths
 * @param angleRad 0…π/2 @param lengthM capillary length, m
 * @returns m; within 0.3 % from 100 mm up, 1.1 % at 30 mm
 * @throws RangeError outside those intervals
 * Source: H0/g (1 − (1 − m) cos(θ/2)), g = I1/I0 on a smooth rim and 1 on straight sides, with m from heat-content asymptotics; checked against exact domes.
 */
export function domeMean(outline: DomeOutline, angleRad: number, lengthM: number): number {
  assert(isEdgeAngle(angleRad) && outline.areaM2 > 0 && outline.perimeterM > 0, 'domeMean', {
    outline,
    angleRad,
  });
  const m = maskMean(outline, lengthM);
  const { areaM2, perimeterM, cornersRad } = outline;
  // A curved rim holds a little more: slope of the linear dome at the rim of a disc of the same area over rim.
  const x = (2 * areaM2) / perimeterM / lengthM;
  const rim = cornersRad.length > 0 ? 1 : Math.exp(logBesselI(1, x) - logBesselI(0, x));
  return (puddleHeight(angleRad, lengthM) / rim) * (1 - (1 - m) * Math.cos(angleRad / 2));
}
