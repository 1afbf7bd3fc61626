import polygonClipping from 'polygon-clipping';
import type { Point } from './point';
import { ringArea, selfCrossings } from './ring';

/** Polygons of rings, as the package for polygon booleans takes and gives them. */
export type Multi = [number, number][][][];

/** Steps to which points are moved when the boolean of the exact ones fails, m; the last is 10 µm. */
const HEALING_M = [1e-9, 1e-7, 1e-6, 1e-5];

export const polygonOf = (ring: readonly Point[]): Multi => [[ring.map(([x, y]) => [x, y])]];

const snapped = (multi: Multi, step: number): Multi =>
  multi.map((polygon) =>
    polygon.map((ring) =>
      ring.map(([x, y]): [number, number] => [
        Math.round(x / step) * step,
        Math.round(y / step) * step,
      ]),
    ),
  );

/** Places at which a ring may cross itself: a slip of the hand. With dozens the package can run for minutes. */
const MOST_CROSSINGS = 3;

const isTangled = (multi: Multi): boolean =>
  multi.some((polygon) =>
    polygon.some((ring) => {
      const crossings = selfCrossings(ring, MOST_CROSSINGS + 1);
      return crossings === null || crossings.length > MOST_CROSSINGS;
    }),
  );

type Operation = 'union' | 'intersection' | 'difference';

/**
 * A polygon boolean of several regions. The package throws on some outlines that touch or cross themselves in
 * rounding; such points are moved by up to 10 µm, which no bench can see.
 * @returns the region, or null where even that does not help, or a ring crosses itself over and over
 * Source: polygon-clipping from npm (Martinez, Rueda & Feito 2009); healing by rounding, from memory.
 */
export function clip(operation: Operation, first: Multi, ...rest: readonly Multi[]): Multi | null {
  if ([first, ...rest].some(isTangled)) return null;
  for (const step of [0, ...HEALING_M])
    try {
      const [subject, ...others] =
        step === 0 ? [first, ...rest] : [first, ...rest].map((m) => snapped(m, step));
      if (subject) return polygonClipping[operation](subject, ...others);
    } catch {
      // Told by null when no step helps.
    }
  return null;
}

/** Area of a region, m²: outer rings count, holes (run the other way) are taken off. */
export const multiArea = (multi: Multi): number =>
  multi
    .flat()
    .reduce((sum, ring) => sum + ringArea(ring.slice(0, -1).map(([x, y]): Point => [x, y])), 0);
