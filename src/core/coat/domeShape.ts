import {
  capillaryLength,
  domeDisc,
  domeMean,
  puddleHeight,
  SURFACE_TENSION,
  type DomeOutline,
} from '../capillary';
import { measureShape, shapeSides, type Point, type Shape } from '../geometry';
import { converged, rootBetween, type Side } from '../numeric';
import { mixDensity, type ResinSheet } from '../resin';
import { assert } from '../result';

/** An outline as domes see it. */
export interface DomeShape extends DomeOutline {
  /** Diameter where it is a plain disc, m: then domes are exact. */
  readonly discM: number | null;
  /** Shortest stretch that ends in a sharp corner, m; Infinity for a smooth outline. */
  readonly shortestM: number;
}

/** Sides shorter than this, in capillary lengths, feel both their corners: the closed form is not for them. */
export const CLOSED_FORM_SIDE = 8;

/** Turn between two stretches from which on a corner counts as sharp, rad. Judgement, no source. */
const SHARP_RAD = 0.2;

const turn = (a: Point, b: Point, c: Point): number => {
  const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
  return Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
};

/**
 * What an outline comes to for a dome: area without bare parts, length of all rims, sharp corners.
 * @param shape lengths in m @returns m², m, rad
 * Source: corners from the directions in which drawn stretches meet.
 */
export function domeShape(shape: Shape): DomeShape {
  const { areaM2, perimeterM, sideLengthsM } = measureShape(shape);
  const sides = shapeSides(shape);
  const turns = sides.map((side, i) => {
    const next = sides[(i + 1) % sides.length] ?? side;
    const [a, b, c] = [side.at(-2), side.at(-1), next[1]];
    return a && b && c ? turn(a, b, c) : 0;
  });
  const sharp = turns.map((turned) => Math.abs(turned) > SHARP_RAD);
  const cornersRad = turns
    .filter((_, i) => sharp[i])
    .map((turned) => Math.min(6, Math.max(0.1, Math.PI - turned)));
  const shortestM = Math.min(
    ...sideLengthsM.map((length, i) => (sharp[i] || sharp.at(i - 1) ? length : Infinity)),
  );
  const holes = shape.keepBare?.length ?? 0;
  const discM = shape.kind === 'disc' && holes === 0 ? shape.diameterM : null;
  return { areaM2, perimeterM, cornersRad, holes, discM, shortestM };
}

const shapes = new WeakMap<Shape, DomeShape>();

/** `domeShape`, remembered with the shape, which never changes. */
export function domeShapeOf(shape: Shape): DomeShape {
  const known = shapes.get(shape) ?? domeShape(shape);
  shapes.set(shape, known);
  return known;
}

/** Capillary length of a sheet’s mix, m. */
export const mixLength = (sheet: ResinSheet): number =>
  capillaryLength(SURFACE_TENSION, mixDensity(sheet));

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
 * Source: `domeDisc` and `domeMean`; away from curved rims the middle is as high as a puddle.
 */
export function domeOn(shape: DomeShape, angleRad: number, lengthM: number): DomeOn {
  if (shape.discM === null) {
    const meanM = domeMean(shape, angleRad, lengthM);
    const centreM = Math.max(meanM, puddleHeight(angleRad, lengthM));
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
