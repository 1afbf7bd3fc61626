import {
  RAISES_FROM,
  reliefHeights,
  sectionStack,
  tallestRelief,
  type ReliefHeights,
  type Lamina,
} from '@/core/coat';
import type { Cut } from '@/core/geometry';
import type { CoatState } from '@/core/resin';
import { isWall, type EdgeKind } from '@/core/piece';

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

/** A film of the section with the share of the area that it covers; all when left out. */
export type SectionFilm = Lamina & { readonly coverage?: number };

export interface SectionLamina extends SectionFilm {
  readonly name: string;
  readonly state: CoatState;
}

export interface DrawnLamina {
  readonly id: string;
  readonly topPx: number;
  readonly bottomPx: number;
  /** Height of its surface above the ground, m. */
  readonly topM: number;
  /** Where its name stands. */
  readonly labelX: number;
  readonly path: string;
}

export interface SectionLayout {
  readonly laminae: readonly DrawnLamina[];
  readonly exaggeration: number;
  readonly pxPerM: number;
  readonly filmPxPerM: number;
  readonly left: EdgeKind;
  readonly right: EdgeKind;
  /** Relief that stands on the substrate; empty without any. */
  readonly reliefPath: string;
  readonly x0: number;
  readonly x1: number;
}

/** Capillary length of mixed epoxy, m, for drawing only. */
const RIM_LENGTH_M = 1.9e-3;
/** Places at which the section meets relief. */
const PLACES = 56;

function reliefPath(relief: readonly ReliefHeights[], filmPxPerM: number): string {
  const step = CUT_PX / PLACES;
  return reliefHeights(relief, PLACES)
    .map((heightM, i) => {
      if (heightM <= 0) return '';
      const x = SECTION.left + i * step;
      const y = (heightM * filmPxPerM).toFixed(1);
      return `M${x.toFixed(1)} ${SECTION.base} l${(step * 0.28).toFixed(1)} -${y} h${(step * 0.44).toFixed(1)} l${(step * 0.28).toFixed(1)} ${y} Z`;
    })
    .join('');
}

/** Width of the film drawn down an open edge, px: its own scale is that of the heights, at least a line. */
const edgePx = (index: number): number => 4 + index * 3.5;

/** Surface of a film from a rim inwards, over its thickness: it ends in a dome about a capillary length wide. */
const ROUND = [0, 0.1, 0.25, 0.5, 0.8, 1.2, 1.8, 2.6, 4].map((x) => [x, 1 - Math.exp(-x)] as const);
const ROUND_FULL = 1 - Math.exp(-4);

interface End {
  readonly kind: EdgeKind;
  /** Where the rim is, and which way is inwards. */
  readonly x: number;
  readonly inwards: 1 | -1;
}

/** The surface near one end, from the rim inwards. */
function endPoints(end: End, top: number, bottom: number, lengthPx: number): string[] {
  if (end.kind !== 'doming') return [`${end.x} ${top}`];
  return ROUND.map(
    ([x, y]) =>
      `${(end.x + end.inwards * x * lengthPx).toFixed(1)} ${(bottom - ((bottom - top) * y) / ROUND_FULL).toFixed(1)}`,
  );
}

function laminaPath(
  top: number,
  bottom: number,
  index: number,
  left: EdgeKind,
  right: EdgeKind,
  lengthPx: number,
): string {
  const [x0, x1] = [SECTION.left, SECTION.left + CUT_PX];
  const foot = SECTION.base + SECTION.depth - 16;
  const over = edgePx(index);
  const inner = index === 0 ? 0 : edgePx(index - 1);
  const r = Math.min(18, Math.max(3, SECTION.base - top));
  const ends = (end: End) => endPoints(end, top, bottom, lengthPx);
  const leftSide =
    left === 'open'
      ? `M${x0 - inner} ${bottom} L${x0 - inner} ${foot} L${x0 - over} ${foot} L${x0 - over} ${top + r} Q${x0 - over} ${top} ${x0 - over + r} ${top}`
      : `M${x0} ${bottom} ${ends({ kind: left, x: x0, inwards: 1 })
          .map((p) => `L${p}`)
          .join(' ')}`;
  const rightSide =
    right === 'open'
      ? `L${x1 + over - r} ${top} Q${x1 + over} ${top} ${x1 + over} ${top + r} L${x1 + over} ${foot} L${x1 + inner} ${foot} L${x1 + inner} ${bottom}`
      : `${ends({ kind: right, x: x1, inwards: -1 })
          .reverse()
          .map((p) => `L${p}`)
          .join(' ')} L${x1} ${bottom}`;
  return `${leftSide} ${rightSide} Z`;
}

/** Right end of a coat on a part of the face, px. */
const partEnd = (coverage: number): number =>
  SECTION.left + CUT_PX / 2 + Math.max(10, (coverage * CUT_PX) / 2);

/** A coat on a part of the face: a mound in the middle, as wide as its share. */
function partPath(top: number, bottom: number, coverage: number): string {
  const b = partEnd(coverage);
  const a = 2 * SECTION.left + CUT_PX - b;
  const r = Math.min(8, (b - a) / 4);
  return `M${a} ${bottom} Q${a} ${top} ${a + r} ${top} L${b - r} ${top} Q${b} ${top} ${b} ${bottom} Z`;
}

/** A wall at an end that has one, a little taller than the coats; null at any other end. */
export const wallPath = (kind: EdgeKind, side: 'left' | 'right', topPx: number): string | null =>
  isWall(kind)
    ? `M${side === 'left' ? SECTION.left - 5 : SECTION.left + CUT_PX} ${topPx - 12} h5 V${SECTION.base + 26} h-5 Z`
    : null;

/**
 * Places every lamina of a section on the drawing.
 * @param films as `buildUp` gives them @param cut the cut and its two sides
 * @param frozen exaggeration to keep while a surface is dragged
 */
export function layoutSection(
  films: readonly SectionFilm[],
  cut: Cut,
  edgeKinds: readonly EdgeKind[],
  frozen: number | null = null,
  relief: readonly ReliefHeights[] = [],
): SectionLayout {
  const stack = sectionStack(films, cut.widthM, ROOM_PX / CUT_PX, tallestRelief(relief));
  const exaggeration = frozen ?? stack.exaggeration;
  const pxPerM = CUT_PX / cut.widthM;
  const filmPxPerM = pxPerM * exaggeration;
  const left = edgeKinds[cut.leftSide] ?? 'open';
  const right = edgeKinds[cut.rightSide] ?? 'open';
  // A rim is a capillary length of resin, some 2 mm, drawn no narrower than can be seen.
  const lengthPx = Math.min(CUT_PX / 8, Math.max(5, RIM_LENGTH_M * pxPerM));
  const laminae = stack.laminae.map((lamina, i): DrawnLamina => {
    const topPx = SECTION.base - lamina.topM * filmPxPerM;
    const bottomPx = SECTION.base - lamina.bottomM * filmPxPerM;
    const coverage = films[i]?.coverage ?? 1;
    const part = coverage < RAISES_FROM;
    return {
      ...{ id: lamina.id, topPx, bottomPx, topM: lamina.topM },
      labelX: part ? partEnd(coverage) + 8 : SECTION.left + 14,
      path: part
        ? partPath(topPx, bottomPx, coverage)
        : laminaPath(topPx, bottomPx, i, left, right, lengthPx),
    };
  });
  return {
    ...{ laminae, exaggeration, pxPerM, filmPxPerM, left, right },
    reliefPath: reliefPath(relief, filmPxPerM),
    x0: SECTION.left,
    x1: SECTION.left + CUT_PX,
  };
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
