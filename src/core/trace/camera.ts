import { itemAt } from '../numeric';
import type { Point } from '../geometry';
import type { Homography } from './homography';

/** Size of a picture, px. */
export interface PictureSize {
  readonly widthPx: number;
  readonly heightPx: number;
}

export interface CameraPose {
  /** Focal length, px, and whether it came from the perspective or was assumed. */
  readonly focalPx: number;
  readonly focalFrom: 'perspective' | 'assumed';
  /** Point of the plane straight below the camera, m, and the camera's height above it, m. */
  readonly foot: Point;
  readonly heightM: number;
  /** Angle between the view axis and the plane's normal, rad. */
  readonly tiltRad: number;
}

/** Focal length over the long side of a hand-held camera, 26 mm on 36 mm. Common practice, no source. */
const ASSUMED_FOCAL = 26 / 36;
/** Share by which an assumed focal length may be off, one standard deviation. Judgement, no source. */
export const ASSUMED_FOCAL_SIGMA = 0.15;
/** Focal lengths that a camera can have, over the long side. Judgement. */
const FOCAL_RANGE = [0.45, 4] as const;

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const norm = (a: Vector): number => Math.sqrt(dot(a, a));
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

/**
 * A view that leans less tells nothing of its lens: half a pixel at a corner turns the focal length by a third.
 * Judgement, from views with that error.
 */
const STRAIGHT_RAD = 0.12;

/** How far a view leans, for a focal length, rad. */
function tiltOf(c1: Vector, c2: Vector, focalPx: number): number {
  const ray = (c: Vector): Vector => [c[0] / focalPx, c[1] / focalPx, c[2]];
  const n = cross(ray(c1), ray(c2));
  return Math.acos(Math.min(1, Math.abs(n[2]) / norm(n)));
}

/** Focal length from the two constraints of one plane, or null where the view is too straight for it. */
function focalOf(c1: Vector, c2: Vector): number | null {
  // r1 · r2 = 0 and |r1| = |r2| with K = diag(f, f, 1); the better conditioned one counts.
  const across = -(c1[0] * c2[0] + c1[1] * c2[1]) / (c1[2] * c2[2]);
  const along = (c2[0] ** 2 + c2[1] ** 2 - c1[0] ** 2 - c1[1] ** 2) / (c1[2] ** 2 - c2[2] ** 2);
  const weight = [Math.abs(c1[2] * c2[2]), Math.abs(c1[2] ** 2 - c2[2] ** 2)] as const;
  const squared = weight[0] > weight[1] ? across : along;
  return squared > 0 && Number.isFinite(squared) ? Math.sqrt(squared) : null;
}

/**
 * Where the camera stood, from the homography of the plane to the picture.
 * @param toPicture plane (m) to picture (px, y down) @param size of the picture; the view axis goes through its middle
 * @returns pose; a focal length that the perspective does not tell, as in a view from nearly straight above, is taken
 *   as 26 mm on 36 mm
 * Source: Zhang 2000, A flexible new technique for camera calibration, §2.3 (from memory): square pixels,
 *   no skew, principal point in the middle.
 */
export function cameraPose(toPicture: Homography, size: PictureSize): CameraPose {
  const long = Math.max(size.widthPx, size.heightPx);
  const [mx, my] = [size.widthPx / 2, size.heightPx / 2];
  const column = (i: 0 | 1 | 2): Vector => {
    const w = itemAt(toPicture, 6 + i);
    return [itemAt(toPicture, i) - mx * w, itemAt(toPicture, 3 + i) - my * w, w];
  };
  const [c1, c2, c3] = [column(0), column(1), column(2)];
  const found = focalOf(c1, c2);
  const assumedPx = ASSUMED_FOCAL * long;
  const known =
    found !== null &&
    found > FOCAL_RANGE[0] * long &&
    found < FOCAL_RANGE[1] * long &&
    tiltOf(c1, c2, assumedPx) >= STRAIGHT_RAD;
  const focalPx = known ? found : assumedPx;
  const ray = (c: Vector): Vector => [c[0] / focalPx, c[1] / focalPx, c[2]];
  const [a, b, t] = [ray(c1), ray(c2), ray(c3)];
  const scale = 2 / (norm(a) + norm(b));
  const unit = (v: Vector): Vector => [v[0] / norm(v), v[1] / norm(v), v[2] / norm(v)];
  const [r1, r2] = [unit(a), unit(b)];
  const r3 = unit(cross(r1, r2));
  const shift: Vector = [t[0] * scale, t[1] * scale, t[2] * scale];
  return {
    focalPx,
    focalFrom: known ? 'perspective' : 'assumed',
    foot: [-dot(r1, shift), -dot(r2, shift)],
    heightM: Math.abs(dot(r3, shift)),
    tiltRad: Math.acos(Math.min(1, Math.abs(r3[2]))),
  };
}
