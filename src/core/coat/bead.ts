import { domeStrip } from '../capillary';
import type { Point } from '../geometry';

/** What a line is drawn for. */
export const LINE_USES = ['barrier', 'raised line', 'wave'] as const;
export type LineUse = (typeof LINE_USES)[number];
/** Width of a drawn line, m, and the angle of its sides, rad. Judgement, no source. */
export const LINE_LIMITS = {
  widthM: { min: 0.5e-3, max: 0.2 },
  angleRad: { min: (5 * Math.PI) / 180, max: Math.PI / 2 },
} as const;

/** A path that is drawn with resin: straight pieces, m, the width of its bead, m, and the angle of its sides, rad. */
export interface LinePath {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly widthM: number;
  readonly angleRad: number;
  /** What it is drawn for. */
  readonly as?: LineUse;
}

/** The bead of a drawn line. */
export interface Bead {
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
  readonly sectionM2: number;
}

/** Length of a drawn path, m. */
export function pathLength({ points, closed }: Pick<LinePath, 'points' | 'closed'>): number {
  const ring = closed ? [...points, ...points.slice(0, 1)] : points;
  return ring.slice(1).reduce((s, b, i) => {
    const a = ring[i] ?? b;
    return s + Math.hypot(b[0] - a[0], b[1] - a[1]);
  }, 0);
}

/**
 * The bead of a drawn line: a narrow one is a segment of a circle, a wide one gets no higher than a puddle.
 * @param lengthM capillary length of the mix, m
 * @throws RangeError on a width of zero or an angle outside 0…π/2
 * Source: Young–Laplace over a long strip (`domeStrip`).
 */
export function beadOf(line: LinePath, lengthM: number): Bead {
  const { centreM, amount } = domeStrip(line.widthM, line.angleRad, lengthM);
  return { lengthM: pathLength(line), widthM: line.widthM, heightM: centreM, sectionM2: amount };
}
