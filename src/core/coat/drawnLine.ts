import { domeStrip } from '../capillary';
import type { Point } from '../geometry';
import { film, POUR_SIGMA, sum, type BodyLine } from './lineParts';

/** A path that is drawn with resin: straight pieces, m, the width of its bead, m, and the angle of its sides, rad. */
export interface LinePath {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly widthM: number;
  readonly angleRad: number;
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

/** Width and angle of a hand-drawn bead are known no better than this, share of its section. Judgement, no source. */
const LINE_SIGMA = 0.2;

export const drawn: BodyLine = {
  id: 'line',
  sigmaShare: Math.hypot(LINE_SIGMA, POUR_SIGMA),
  volume: (a) => (a.line ? a.line.lengthM * a.line.sectionM2 : 0),
  explain: (areas) => {
    const beads = areas.flatMap((a) => (a.line ? [a.line] : []));
    return {
      title: 'Drawn line',
      formula: 'length × section of its bead',
      inputs: [
        {
          label: 'length, all pieces',
          value: sum(areas, (a) => a.line?.lengthM ?? 0),
          quantity: 'length',
          source: 'measured',
        },
        film('width', Math.max(...beads.map((b) => b.widthM)), 'chosen'),
        film('height in the middle', Math.max(...beads.map((b) => b.heightM))),
        {
          label: 'section',
          value: Math.max(...beads.map((b) => b.sectionM2)),
          quantity: 'area',
          source: 'computed',
        },
      ],
      source:
        'Young–Laplace over a long strip; a narrow one is a circular segment, (w²/4)(θ − sin θ cos θ)/sin² θ.',
      note: 'A thicker line reaches farther when it is blown: common practice, no source.',
    };
  },
};
