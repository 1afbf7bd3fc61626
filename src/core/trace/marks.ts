import { itemAt } from '../numeric';
import type { Point } from '../geometry';
import { fail, ok, type Issue, type Result } from '../result';
import { cameraPose, type CameraPose, type PictureSize } from './camera';
import { homographyOf, isConvex, project, type Corners, type Homography } from './homography';
import type { Reference } from './reference';

/** A picture's marks: the reference's corners in px (y down), going round from its top left. */
export interface Marks {
  readonly corners: Corners;
  readonly reference: Reference;
  readonly size: PictureSize;
}

/** What the marks say: maps both ways and where the camera stood. */
export interface View {
  readonly toPlane: Homography;
  readonly toPicture: Homography;
  readonly pose: CameraPose;
}

/** Shortest side of the reference, px: below it one pixel of marking error is more than 1.5 % of length. */
export const SHORTEST_SIDE_PX = 60;
/** Steepest view. At 55° a pixel across is 1.7 times a pixel along. Judgement, no source. */
export const STEEPEST_RAD = (55 * Math.PI) / 180;

/** Corners of a reference in its own plane, m, y up, in the order of the marks. */
export const referenceCorners = ({ widthM, heightM }: Reference): Corners => [
  [0, heightM],
  [widthM, heightM],
  [widthM, 0],
  [0, 0],
];

const distance = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Sides of the marked quadrilateral in px: top, right, bottom, left. */
export const markedSides = (c: Corners): readonly number[] =>
  c.map((p, i) => distance(p, c[(i + 1) % 4] ?? p));

/** A reference turned so that its long side is the one that looks longer in the picture. */
export function turnToFit(reference: Reference, corners: Corners): Reference {
  const [top = 0, right = 0, bottom = 0, left = 0] = markedSides(corners);
  const wide = top + bottom >= right + left;
  const { widthM, heightM, sigmaM } = reference;
  return wide === widthM >= heightM ? reference : { widthM: heightM, heightM: widthM, sigmaM };
}

/** Corners sorted to go round once from the one nearest the top left; mends marks that were crossed. */
export function sortCorners(corners: Corners): Corners {
  const mx = corners.reduce((s, p) => s + p[0], 0) / 4;
  const my = corners.reduce((s, p) => s + p[1], 0) / 4;
  const round = [...corners].sort(
    (a, b) => Math.atan2(a[1] - my, a[0] - mx) - Math.atan2(b[1] - my, b[0] - mx),
  );
  const start = round.reduce(
    (best, p, i) =>
      p[0] + p[1] < itemAt(itemAt(round, best), 0) + itemAt(itemAt(round, best), 1) ? i : best,
    0,
  );
  const at = (i: number): Point => itemAt(round, (start + i) % 4);
  return [at(0), at(1), at(2), at(3)];
}

/**
 * Reads the marks of a picture.
 * @returns the view, or one issue: `not-allowed` at `corners` (crossed, in a line, or gone round the
 *   wrong way, which would mirror the piece), `does-not-fit` at `corners` (reference too small in the
 *   picture; value and least side in px) or at `tilt` (too oblique; value and most in rad)
 * Source: geometry; limits as named above.
 */
export function viewOf({ corners, reference, size }: Marks): Result<View> {
  const refuse = (issue: Issue) => fail(issue);
  const [a, b, c] = corners;
  const clockwise = (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]) > 0;
  if (!isConvex(corners) || !clockwise)
    return refuse({ code: 'not-allowed', path: ['corners'], value: 'corners crossed' });
  const shortest = Math.min(...markedSides(corners));
  if (!(shortest >= SHORTEST_SIDE_PX))
    return refuse({
      code: 'does-not-fit',
      path: ['corners'],
      value: shortest,
      allowed: { min: SHORTEST_SIDE_PX },
    });
  const plane = referenceCorners(reference);
  const [toPlane, toPicture] = [homographyOf(corners, plane), homographyOf(plane, corners)];
  if (!toPlane.ok) return toPlane;
  if (!toPicture.ok) return toPicture;
  const pose = cameraPose(toPicture.value, size);
  if (!(pose.tiltRad <= STEEPEST_RAD))
    return refuse({
      code: 'does-not-fit',
      path: ['tilt'],
      value: pose.tiltRad,
      allowed: { max: STEEPEST_RAD },
    });
  return ok({ toPlane: toPlane.value, toPicture: toPicture.value, pose });
}

/**
 * Moves plane points that are really higher than the reference to where they are.
 * @param heightM of the piece's face above the reference, m, + up
 * Source: similar triangles: seen from height Z, a point at h appears Z / (Z − h) farther from the
 *   camera's foot.
 */
export function correctHeight(
  points: readonly Point[],
  pose: CameraPose,
  heightM: number,
): Point[] {
  const scale = 1 - heightM / pose.heightM;
  const [fx, fy] = pose.foot;
  return points.map(([x, y]) => [fx + (x - fx) * scale, fy + (y - fy) * scale]);
}

/** Plane points of picture points. */
export const toPlanePoints = (view: View, points: readonly Point[]): Point[] =>
  points.map((p) => project(view.toPlane, p));
