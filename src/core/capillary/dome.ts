import { converged, rootBetween, type Side } from '../numeric';
import { assert } from '../result';
import { logBesselI } from './bessel';
import { isEdgeAngle } from './puddle';

/** A dome at rest. Volume for a disc, m³; for a strip the section for each metre, m². */
export interface Dome {
  readonly centreM: number;
  readonly meanM: number;
  readonly amount: number;
}

type Kind = 'disc' | 'strip';
type State = readonly [x: number, z: number];

/** Slope up to which the linear solution holds; its error goes with the square. */
const START = 1e-4;
/** Steps of the integration, with as many again at half the size: errors stay under 1e-6. */
const STEPS = 60;

const logSinh = (x: number): number => x + Math.log1p(-Math.exp(-2 * x)) - Math.LN2;

/** Where the linear solution reaches the slope START: distance and drop, in capillary lengths. */
function linearStart(kind: Kind, logC: number): State {
  // Slope: 2 C I1(x) for a disc, C sinh x for a strip.
  const logSlope = (x: number) =>
    kind === 'disc' ? Math.LN2 + logC + logBesselI(1, x) : logC + logSinh(x);
  const target = Math.log(START);
  let [low, high] = [1e-12, 1];
  while (logSlope(high) < target) high *= 2;
  for (let i = 0; i < 100 && high - low > 1e-14 * high; i += 1) {
    const middle = (low + high) / 2;
    if (logSlope(middle) < target) low = middle;
    else high = middle;
  }
  const x = (low + high) / 2;
  // Drop = slope · (I0 − 1)/I1, and slope · (cosh − 1)/sinh = slope · tanh(x/2).
  const c = Math.exp(logC);
  const drop =
    kind === 'strip'
      ? START * Math.tanh(x / 2)
      : x < 1e-3
        ? (START * x) / 2
        : 2 * (Math.exp(logC + logBesselI(0, x)) - c);
  return [x, drop];
}

/**
 * Runge–Kutta 4 in equal steps of the logarithm of the surface's angle, from START to the edge: distance and
 * drop then change smoothly, however flat the dome is in the middle.
 */
function integrate(kind: Kind, logC: number, angle: number, steps: number): State {
  const disc = kind === 'disc';
  const apex = (disc ? 2 : 1) * Math.exp(logC);
  let [x, z] = linearStart(kind, logC);
  const ratio = Math.exp(Math.log(angle / START) / steps);
  const half = Math.sqrt(ratio);
  const h = Math.log(ratio);
  let phi = START;
  let [sin, cos] = [Math.sin(phi), Math.cos(phi)];
  for (let i = 0; i < steps; i += 1) {
    const mid = phi * half;
    const end = phi * ratio;
    const [sinMid, cosMid, sinEnd, cosEnd] = [
      Math.sin(mid),
      Math.cos(mid),
      Math.sin(end),
      Math.cos(end),
    ];
    // Angle over curvature: the length of surface for each step of the logarithm.
    const l1 = phi / (apex + z - (disc ? sin / x : 0));
    const [x2, z2] = [x + (h / 2) * l1 * cos, z + (h / 2) * l1 * sin];
    const l2 = mid / (apex + z2 - (disc ? sinMid / x2 : 0));
    const [x3, z3] = [x + (h / 2) * l2 * cosMid, z + (h / 2) * l2 * sinMid];
    const l3 = mid / (apex + z3 - (disc ? sinMid / x3 : 0));
    const [x4, z4] = [x + h * l3 * cosMid, z + h * l3 * sinMid];
    const l4 = end / (apex + z4 - (disc ? sinEnd / x4 : 0));
    x += (h / 6) * (l1 * cos + 2 * (l2 + l3) * cosMid + l4 * cosEnd);
    z += (h / 6) * (l1 * sin + 2 * (l2 + l3) * sinMid + l4 * sinEnd);
    [phi, sin, cos] = [end, sinEnd, cosEnd];
  }
  return [x, z];
}

/** The profile's distance and height at the edge with Richardson's correction, in capillary lengths. */
function profile(kind: Kind, logC: number, angle: number, steps: number): State {
  const coarse = integrate(kind, logC, angle, steps);
  const fine = integrate(kind, logC, angle, 2 * steps);
  return [fine[0] + (fine[0] - coarse[0]) / 15, fine[1] + (fine[1] - coarse[1]) / 15];
}

/** Miss of the edge over its distance that counts as none. */
const EDGE_TOLERANCE = 1e-9;

/**
 * The apex curvature that puts the edge at `x`, and the height there, in capillary lengths.
 * @throws RangeError when it is not found
 */
function apexFor(
  kind: Kind,
  x: number,
  angle: number,
  steps: number,
): { logC: number; height: number } {
  let height = NaN;
  const miss = (logC: number): Side => {
    const [reach, z] = profile(kind, logC, angle, steps);
    height = z;
    return { x: logC, y: reach - x };
  };
  // Small: x C = θ of a cap; wide: C falls with e^−x.
  const low = miss(Math.log(Math.min(angle, 1)) - x - 6);
  const high = miss(Math.log(angle / x) + 4);
  const found = rootBetween((logC) => miss(logC).y, low, high, { tolerance: EDGE_TOLERANCE * x });
  const logC = converged(found, `dome on a ${kind}`);
  return { logC, height };
}

/**
 * Dome on a disc, exact.
 * @param diameterM > 0 @param angleRad angle at the rim, 0…π/2 @param lengthM capillary length, m @param steps of the integration
 * @returns centre height and mean, m, and volume, m³
 * @throws RangeError outside those intervals, or when the solver does not converge
 * Source: Young–Laplace with gravity, integrated over the surface's angle; volume from the balance of
 *   forces, V = π a² (2 c lc² + H) − 2 π a lc² sin θ.
 */
export function domeDisc(
  diameterM: number,
  angleRad: number,
  lengthM: number,
  steps = STEPS,
): Dome {
  assert(diameterM > 0 && isEdgeAngle(angleRad) && lengthM > 0, 'domeDisc', {
    diameterM,
    angleRad,
    lengthM,
  });
  const a = diameterM / 2 / lengthM;
  const { logC, height } = apexFor('disc', a, angleRad, steps);
  const volume =
    Math.PI * a * a * (2 * Math.exp(logC) + height) - 2 * Math.PI * a * Math.sin(angleRad);
  return {
    centreM: height * lengthM,
    meanM: (volume / (Math.PI * a * a)) * lengthM,
    amount: volume * lengthM ** 3,
  };
}

/**
 * Dome on a long strip, exact.
 * @param widthM > 0 @param angleRad angle at both edges, 0…π/2 @param lengthM capillary length, m @param steps of the integration
 * @returns centre height and mean, m, and section, m²
 * @throws RangeError outside those intervals, or when the solver does not converge
 * Source: as `domeDisc`, one curvature; section = w (c lc² + H) − 2 lc² sin θ.
 */
export function domeStrip(widthM: number, angleRad: number, lengthM: number, steps = STEPS): Dome {
  assert(widthM > 0 && isEdgeAngle(angleRad) && lengthM > 0, 'domeStrip', {
    widthM,
    angleRad,
    lengthM,
  });
  const w = widthM / lengthM;
  const { logC, height } = apexFor('strip', w / 2, angleRad, steps);
  const section = w * (Math.exp(logC) + height) - 2 * Math.sin(angleRad);
  return {
    centreM: height * lengthM,
    meanM: (section / w) * lengthM,
    amount: section * lengthM ** 2,
  };
}
