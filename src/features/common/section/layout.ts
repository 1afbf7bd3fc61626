import { sectionStack, type SectionCoat } from '@/core/coat';
import type { Cut } from '@/core/geometry';
import type { EdgeKind } from '@/data/records/types';

/** Drawing size in its own units. */
export const SECTION = {
  width: 690,
  height: 400,
  left: 40,
  right: 166,
  base: 300,
  depth: 58,
} as const;
const CUT_PX = SECTION.width - SECTION.left - SECTION.right;
/** Height for the coats, leaving air above to drag into. */
const ROOM_PX = 205;

export interface DrawnLamina {
  readonly id: string;
  readonly topPx: number;
  readonly bottomPx: number;
  readonly path: string;
}

export interface SectionLayout {
  readonly laminae: readonly DrawnLamina[];
  readonly exaggeration: number;
  readonly pxPerM: number;
  readonly filmPxPerM: number;
  readonly x0: number;
  readonly x1: number;
}

/** Width of the film drawn down an open edge, px: its own scale is that of the heights, at least a line. */
const edgePx = (index: number): number => 4 + index * 3.5;

function laminaPath(
  top: number,
  bottom: number,
  index: number,
  left: EdgeKind,
  right: EdgeKind,
): string {
  const [x0, x1] = [SECTION.left, SECTION.left + CUT_PX];
  const foot = SECTION.base + SECTION.depth - 16;
  const over = edgePx(index);
  const inner = index === 0 ? 0 : edgePx(index - 1);
  const r = Math.min(18, Math.max(3, SECTION.base - top));
  const leftSide =
    left === 'open'
      ? `M${x0 - inner} ${bottom} L${x0 - inner} ${foot} L${x0 - over} ${foot} L${x0 - over} ${top + r} Q${x0 - over} ${top} ${x0 - over + r} ${top}`
      : `M${x0} ${bottom} L${x0} ${top}`;
  const rightSide =
    right === 'open'
      ? `L${x1 + over - r} ${top} Q${x1 + over} ${top} ${x1 + over} ${top + r} L${x1 + over} ${foot} L${x1 + inner} ${foot} L${x1 + inner} ${bottom}`
      : `L${x1} ${top} L${x1} ${bottom}`;
  return `${leftSide} ${rightSide} Z`;
}

/**
 * Places every lamina of a section on the drawing.
 * @param coats from the substrate up @param cut the cut and its two sides
 * @param frozen exaggeration to keep while a surface is dragged
 */
export function layoutSection(
  coats: readonly SectionCoat[],
  cut: Cut,
  edgeKinds: readonly EdgeKind[],
  frozen: number | null = null,
): SectionLayout {
  const stack = sectionStack(coats, cut.widthM, ROOM_PX / CUT_PX);
  const exaggeration = frozen ?? stack.exaggeration;
  const pxPerM = CUT_PX / cut.widthM;
  const filmPxPerM = pxPerM * exaggeration;
  const left = edgeKinds[cut.leftSide] ?? 'open';
  const right = edgeKinds[cut.rightSide] ?? 'open';
  const laminae = stack.laminae.map((lamina, i): DrawnLamina => {
    const topPx = SECTION.base - lamina.topM * filmPxPerM;
    const bottomPx = SECTION.base - lamina.bottomM * filmPxPerM;
    return { id: lamina.id, topPx, bottomPx, path: laminaPath(topPx, bottomPx, i, left, right) };
  });
  return { laminae, exaggeration, pxPerM, filmPxPerM, x0: SECTION.left, x1: SECTION.left + CUT_PX };
}

/** A length for the scale bar, m, about a fifth of the cut and round in the unit it is shown in. */
export function scaleBarM(widthM: number, unitM = 1e-3): number {
  const wanted = widthM / 5 / unitM;
  const power = 10 ** Math.floor(Math.log10(wanted));
  return unitM * ([5, 2, 1].map((n) => n * power).find((n) => n <= wanted) ?? power);
}

/** Heights of the thickness figures, px: at the middle of each lamina, pushed up where laminae are thin. */
export function labelHeights(laminae: readonly DrawnLamina[]): number[] {
  const LINE_PX = 19;
  return laminae.reduce<number[]>((placed, lamina) => {
    const lowest = (placed[placed.length - 1] ?? SECTION.base + 6 + LINE_PX) - LINE_PX;
    return [...placed, Math.min((lamina.topPx + lamina.bottomPx) / 2 + 5, lowest)];
  }, []);
}
