import {
  capillaryLength,
  domeDisc,
  domeMean,
  puddleHeight,
  rimFactor,
  SURFACE_TENSION,
} from '../capillary';
import { converged, rootBetween, type Side } from '../numeric';
import { mixDensity, type ResinSheet } from '../resin';
import { assert } from '../result';
import type { DomeShape } from './domeShape';

/** Capillary length of a sheet’s mix, m. */
export const mixLength = (sheet: ResinSheet): number =>
  capillaryLength(SURFACE_TENSION, mixDensity(sheet));

/** Sides shorter than this, in capillary lengths, feel both their corners: the closed form is not for them. */
export const CLOSED_FORM_SIDE = 8;

export interface DomeOn {
  readonly centreM: number;
  readonly meanM: number;
  readonly volumeM3: number;
}

const known = new Map<string, DomeOn>();

/**
 * The dome that an outline carries at an angle of its rim: exact on a disc, closed form on any other.
 * @param shape of the outline @param angleRad 0…π/2 @param lengthM capillary length, m
 * @returns height in the middle and mean, m, and volume, m³
 * Source: `domeDisc` and `domeMean`; the middle is as high as a puddle with the straightest rim.
 */
export function domeOn(shape: DomeShape, angleRad: number, lengthM: number): DomeOn {
  if (shape.discM === null) {
    const meanM = domeMean(shape, angleRad, lengthM);
    const farM = puddleHeight(angleRad, lengthM) / rimFactor(shape.curvaturePerM, lengthM);
    const centreM = Math.max(meanM, farM);
    return { centreM, meanM, volumeM3: meanM * shape.areaM2 };
  }
  const key = `${shape.discM} ${angleRad} ${lengthM}`;
  const found = known.get(key);
  if (found) return found;
  const { centreM, meanM, amount } = domeDisc(shape.discM, angleRad, lengthM);
  const dome = { centreM, meanM, volumeM3: amount };
  if (known.size > 500) known.clear();
  known.set(key, dome);
  return dome;
}

/** Steps of an exact dome while an angle is looked for: 2 in a million of its mean, at half the price. */
const SEEK_STEPS = 20;

/**
 * Angle at which a dome has a height in its middle, or a mean.
 * @param wantedM m, > 0 @returns rad, or null where even an upright rim does not hold it
 * @throws RangeError when nothing is wanted, or the solver does not converge
 * Source: false position on the dome, which grows smoothly with the angle, from the height of a puddle.
 */
export function angleFor(
  shape: DomeShape,
  which: 'centreM' | 'meanM',
  wantedM: number,
  lengthM: number,
): number | null {
  assert(wantedM > 0, 'angleFor', wantedM);
  const { discM } = shape;
  const at = (angle: number): number =>
    (discM === null ? domeOn(shape, angle, lengthM) : domeDisc(discM, angle, lengthM, SEEK_STEPS))[
      which
    ] - wantedM;
  const upright: Side = { x: Math.PI / 2, y: domeOn(shape, Math.PI / 2, lengthM)[which] - wantedM };
  if (upright.y < 0) return null;
  const tolerance = 1e-6 * wantedM;
  // A puddle of that height is a good first guess: 2 lc sin(θ/2). The root lies a little to one side of it.
  const guess = Math.min(2 * Math.asin(Math.min(0.7, wantedM / (2 * lengthM))), 1.4);
  const near: Side = { x: guess, y: at(guess) };
  if (Math.abs(near.y) <= tolerance) return near.x;
  if (near.y > 0)
    return converged(rootBetween(at, { x: 0, y: -wantedM }, near, { tolerance }), 'angleFor');
  const beyond = Math.min(upright.x, guess * 1.25);
  const over: Side = { x: beyond, y: at(beyond) };
  // The coarser steps of the search may just miss what the upright rim holds.
  if (over.y < 0 && beyond === upright.x) return upright.x;
  const solved =
    over.y >= 0
      ? rootBetween(at, near, over, { tolerance })
      : rootBetween(at, over, upright, { tolerance });
  return converged(solved, 'angleFor');
}
