import { assert } from '../result';

export interface SectionCoat {
  readonly id: string;
  readonly thicknessM: number;
  /** Share of the face that it covers; all when left out. */
  readonly coverage?: number;
}

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

/** Coats on a smaller share of the face raise nothing that lies above. Judgement, no source. */
export const RAISES_FROM = 0.5;

/** Round numbers a draughtsman would state for exaggerated heights. */
const ROUND = [
  1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 120, 150, 200, 300, 500,
] as const;

/**
 * Stacks coats on a substrate for a section drawing, all at one true relative scale.
 * @param coats from the substrate up, thickness m > 0
 * @param widthM width of the cut, m, > 0
 * @param leastM height that fits in any case, m: relief may stand above the coats
 * @param room heights the drawing has for the coats, as a share of its width, > 0
 * @returns laminae and the largest round exaggeration that fits the room
 * @throws RangeError when width or room are not above zero
 * Source: drawing practice; the exaggeration is stated on the drawing.
 */
export function sectionStack(
  coats: readonly SectionCoat[],
  widthM: number,
  room: number,
  leastM = 0,
): SectionStack {
  assert(widthM > 0 && room > 0, 'sectionStack', { widthM, room });
  let levelM = 0;
  const laminae = coats.map(({ id, thicknessM, coverage = 1 }): Lamina => {
    const bottomM = levelM;
    const topM = bottomM + thicknessM;
    if (coverage >= RAISES_FROM) levelM = topM;
    return { id, bottomM, topM };
  });
  const heightM = Math.max(0, ...laminae.map((l) => l.topM));
  const tall = Math.max(heightM, leastM);
  const fits = tall > 0 ? (room * widthM) / tall : 1;
  const exaggeration = [...ROUND].reverse().find((n) => n <= fits) ?? 1;
  return { laminae, heightM, exaggeration };
}
