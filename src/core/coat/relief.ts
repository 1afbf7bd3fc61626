import { assert } from '../result';

/** Something that stands up from an area, as the survey tells it. */
export interface ReliefHeights {
  readonly greatestM: number;
  /** Mean height where it stands, m. */
  readonly meanM: number;
  /** Share of the area that it covers, 0…1. */
  readonly share: number;
  /** Height of what it stands on, m; 0 when left out: the ground. */
  readonly standsOnM?: number;
  /** Height up to which it lies buried in what was laid over it, m; 0 when left out. */
  readonly aboveM?: number;
}

/** Exponent of the share that stands above a height: (1 − z/g)^p has the mean g/(p + 1). */
const exponent = ({ greatestM, meanM }: ReliefHeights): number => greatestM / meanM - 1;
const stands = (r: ReliefHeights): boolean => r.greatestM > 0 && r.meanM > 0 && r.share > 0;
/** A level above what a relief stands on; what lies buried counts for nothing. */
const over = (r: ReliefHeights, levelM: number): number =>
  Math.max(0, Math.max(levelM, r.aboveM ?? 0) - (r.standsOnM ?? 0));

/**
 * Share of an area on which relief stands above a level.
 * @param relief heights m, 0 <= mean <= greatest, shares of the area @param levelM above the ground, m, >= 0
 * @returns 0…1; several reliefs lie beside each other
 * @throws RangeError on a level below the ground
 * Source: the simplest distribution that has the surveyed greatest and mean height, share · (1 − z/g)^p with
 *   p = g/mean − 1. Judgement, no source.
 */
export function shareProud(relief: readonly ReliefHeights[], levelM: number): number {
  assert(levelM >= 0, 'shareProud', levelM);
  const sum = relief.filter(stands).reduce((s, r) => {
    const z = over(r, levelM);
    return s + (z < r.greatestM ? r.share * (1 - z / r.greatestM) ** exponent(r) : 0);
  }, 0);
  return Math.min(1, sum);
}

/**
 * Room that relief takes between two levels, for each unit of area.
 * @param relief as in `shareProud` @param fromM lower level, m, >= 0 @param toM upper level, m, >= lower
 * @returns m (m³ for each m²)
 * @throws RangeError on levels out of order
 * Source: the integral of `shareProud`; over all heights it is share × mean height.
 */
export function reliefRoom(relief: readonly ReliefHeights[], fromM: number, toM: number): number {
  assert(fromM >= 0 && toM >= fromM, 'reliefRoom', { fromM, toM });
  const above = (r: ReliefHeights, level: number) => {
    const z = over(r, level);
    return z < r.greatestM ? r.share * r.meanM * (1 - z / r.greatestM) ** (exponent(r) + 1) : 0;
  };
  /** What a relief takes below what it stands on is no longer its own. */
  const room = (r: ReliefHeights) => {
    const least = r.standsOnM ?? 0;
    return toM <= least ? 0 : above(r, Math.max(least, fromM)) - above(r, toM);
  };
  return relief.filter(stands).reduce((sum, r) => sum + room(r), 0);
}

/** Greatest height of the relief, m; 0 without any. */
export const tallestRelief = (relief: readonly ReliefHeights[]): number =>
  Math.max(0, ...relief.filter(stands).map((r) => (r.standsOnM ?? 0) + r.greatestM));

/**
 * Heights of the ground at places spread evenly over an area, relief included, as a section would meet them.
 * @param relief as in `shareProud` @param count of places, >= 1
 * @returns m, in an order that mixes high and low; 0 where nothing stands
 * Source: quantiles of `shareProud`, placed by the golden ratio.
 */
export function reliefHeights(relief: readonly ReliefHeights[], count: number): number[] {
  assert(count >= 1, 'reliefHeights', count);
  const GOLDEN = (Math.sqrt(5) - 1) / 2;
  return Array.from({ length: count }, (_, i) => {
    let place = ((i + 0.5) * GOLDEN) % 1;
    for (const r of relief.filter(stands)) {
      if (place < r.share) {
        const p = exponent(r);
        const height = p === 0 ? r.greatestM : r.greatestM * (1 - (1 - place / r.share) ** (1 / p));
        return (r.standsOnM ?? 0) + height;
      }
      place -= r.share;
    }
    return 0;
  });
}
