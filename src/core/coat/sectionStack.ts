import { assert } from '../result';

export interface Lamina {
  readonly id: string;
  /** Heights above the substrate, m. */
  readonly bottomM: number;
  readonly topM: number;
}

export interface SectionStack {
  readonly laminae: readonly Lamina[];
  readonly heightM: number;
  /** How many times heights are drawn larger than widths. */
  readonly exaggeration: number;
}

/** Round numbers a draughtsman would state for exaggerated heights. */
const ROUND = [
  1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 120, 150, 200, 300, 500,
] as const;

/**
 * Scale of the films on a substrate for a section drawing, all at one true relation.
 * @param laminae films as `buildUp` gives them, m
 * @param widthM width of the cut, m, > 0
 * @param leastM height that fits in any case, m: relief may stand above the coats
 * @param room heights the drawing has for the coats, as a share of its width, > 0
 * @returns laminae and the largest round exaggeration that fits the room
 * @throws RangeError when width or room are not above zero
 * Source: drawing practice; the exaggeration is stated on the drawing.
 */
export function sectionStack(
  laminae: readonly Lamina[],
  widthM: number,
  room: number,
  leastM = 0,
): SectionStack {
  assert(widthM > 0 && room > 0, 'sectionStack', { widthM, room });
  const heightM = Math.max(0, ...laminae.map((l) => l.topM));
  const tall = Math.max(heightM, leastM);
  const fits = tall > 0 ? (room * widthM) / tall : 1;
  const exaggeration = [...ROUND].reverse().find((n) => n <= fits) ?? 1;
  return { laminae, heightM, exaggeration };
}
