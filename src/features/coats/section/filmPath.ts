import type { EdgeKind } from '@/core/piece';

/** Drawing size in its own units. */
export const SECTION = {
  width: 690,
  height: 400,
  left: 40,
  right: 166,
  base: 300,
  depth: 58,
} as const;
export const CUT_PX = SECTION.width - SECTION.left - SECTION.right;

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
  if (end.kind !== 'doming' && end.kind !== 'line') return [`${end.x} ${top}`];
  return ROUND.map(
    ([x, y]) =>
      `${(end.x + end.inwards * x * lengthPx).toFixed(1)} ${(bottom - ((bottom - top) * y) / ROUND_FULL).toFixed(1)}`,
  );
}

/** A film where it lies at one height: between two places of the cut, px. */
export interface FilmStep {
  readonly x0: number;
  readonly x1: number;
  readonly top: number;
  readonly bottom: number;
}

/** The outline of one film over places that lie beside each other; it runs down the ends that are open edges. */
export function laminaPath(
  steps: readonly FilmStep[],
  index: number,
  left: EdgeKind,
  right: EdgeKind,
  lengthPx: number,
): string {
  const [first, last] = [steps[0], steps.at(-1)];
  if (!first || !last) return '';
  const [x0, x1] = [first.x0, last.x1];
  const foot = SECTION.base + SECTION.depth - 16;
  const over = edgePx(index);
  const inner = index === 0 ? 0 : edgePx(index - 1);
  const round = (top: number) => Math.min(18, Math.max(3, SECTION.base - top));
  const reach = Math.min(lengthPx, (first.x1 - first.x0) / 3, (last.x1 - last.x0) / 3);
  const ends = (end: End, { top, bottom }: FilmStep) =>
    endPoints(end, top, bottom, reach / 4 > 5 ? lengthPx : reach);
  const l = round(first.top);
  const r = round(last.top);
  const leftSide =
    left === 'open'
      ? `M${x0 - inner} ${first.bottom} L${x0 - inner} ${foot} L${x0 - over} ${foot} L${x0 - over} ${first.top + l} Q${x0 - over} ${first.top} ${x0 - over + l} ${first.top}`
      : `M${x0} ${first.bottom} ${ends({ kind: left, x: x0, inwards: 1 }, first)
          .map((p) => `L${p}`)
          .join(' ')}`;
  const tops = steps
    .slice(0, -1)
    .map((step, i) => `L${step.x1} ${step.top} L${step.x1} ${steps[i + 1]?.top ?? step.top}`)
    .join(' ');
  const rightSide =
    right === 'open'
      ? `L${x1 + over - r} ${last.top} Q${x1 + over} ${last.top} ${x1 + over} ${last.top + r} L${x1 + over} ${foot} L${x1 + inner} ${foot} L${x1 + inner} ${last.bottom}`
      : `${ends({ kind: right, x: x1, inwards: -1 }, last)
          .reverse()
          .map((p) => `L${p}`)
          .join(' ')} L${x1} ${last.bottom}`;
  const bottoms = [...steps]
    .reverse()
    .slice(0, -1)
    .map(
      (step, i) =>
        `L${step.x0} ${step.bottom} L${step.x0} ${[...steps].reverse()[i + 1]?.bottom ?? step.bottom}`,
    )
    .join(' ');
  return `${leftSide} ${tops} ${rightSide} ${bottoms} Z`;
}

/** Right end of a coat on a part of the face, px. */
export const partEnd = (coverage: number): number =>
  SECTION.left + CUT_PX / 2 + Math.max(10, (coverage * CUT_PX) / 2);

/** A coat on a part of the face: a mound in the middle, as wide as its share. */
export function partPath(top: number, bottom: number, coverage: number): string {
  const b = partEnd(coverage);
  const a = 2 * SECTION.left + CUT_PX - b;
  const r = Math.min(8, (b - a) / 4);
  return `M${a} ${bottom} Q${a} ${top} ${a + r} ${top} L${b - r} ${top} Q${b} ${top} ${b} ${bottom} Z`;
}
