import { itemAt } from '../numeric';
import { ringArea, type Point } from '../geometry';
import { ASSUMED_FOCAL_SIGMA } from './camera';
import type { Corners } from './homography';
import { correctHeight, toPlanePoints, viewOf, type Marks } from './marks';

/** One part of the uncertainty of an area, one standard deviation, m². */
export interface AreaPart {
  readonly what: 'marks' | 'reference' | 'edge' | 'height' | 'lens';
  readonly sigmaM2: number;
}

export interface TracedMeasure {
  readonly areaM2: number;
  readonly perimeterM: number;
  readonly areaSigmaM2: number;
  readonly perimeterSigmaM: number;
  readonly parts: readonly AreaPart[];
}

/** Marking error of each coordinate of a corner, one standard deviation, px: off by up to 1 px, evenly. */
export const MARK_SIGMA_PX = 1 / Math.sqrt(3);
/** Where the edge is taken to be against where it is, px. Judgement; holds on the drawn test pictures. */
export const EDGE_SIGMA_PX = 0.35;
/** What a lens bends, share of the area. Judgement, no source; phones correct most of it themselves. */
export const LENS_SIGMA = 0.003;

const perimeter = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length] ?? p;
    return sum + Math.hypot(q[0] - p[0], q[1] - p[1]);
  }, 0);

/** Area and perimeter of a ring in px under some marks; null when they do not hold. */
function measure(ringPx: readonly Point[], marks: Marks, heightM: number): [number, number] | null {
  const view = viewOf(marks);
  if (!view.ok) return null;
  const ring = correctHeight(toPlanePoints(view.value, ringPx), view.value.pose, heightM);
  return [Math.abs(ringArea(ring)), perimeter(ring)];
}

export interface MeasureOptions {
  /** Height of the face above the reference, m, and its uncertainty. */
  readonly heightM: number;
  readonly heightSigmaM: number;
  /** Error of each corner's coordinates, one standard deviation, px; one number for each corner. */
  readonly markSigmaPx: readonly number[];
}

export const MEASURE_DEFAULTS: MeasureOptions = {
  heightM: 0,
  heightSigmaM: 0.5e-3,
  markSigmaPx: [MARK_SIGMA_PX, MARK_SIGMA_PX, MARK_SIGMA_PX, MARK_SIGMA_PX],
};

/**
 * Area and perimeter of an outline marked in a picture, with what they may be off by.
 * @param ringPx outline in px (y down), >= 3 points @param marks four corners of the reference, its size
 * @param options height of the face over the reference (m), marking error (px)
 * @returns measure with one standard deviation and its parts, or null when the marks do not hold
 * Source: first-order propagation of error (JCGM 100:2008, eq. 10): each corner coordinate, both sides of
 *   the reference, the edge's place all round, height and lens, taken as independent.
 */
export function measureTraced(
  ringPx: readonly Point[],
  marks: Marks,
  options: MeasureOptions = MEASURE_DEFAULTS,
): TracedMeasure | null {
  const { heightM, heightSigmaM, markSigmaPx } = options;
  const base = measure(ringPx, marks, heightM);
  const view = viewOf(marks);
  if (!base || !view.ok) return null;
  const [areaM2, perimeterM] = base;
  const shift = (changed: Marks, height = heightM): [number, number] => {
    const [a, p] = measure(ringPx, changed, height) ?? [Infinity, Infinity];
    return [a - areaM2, p - perimeterM];
  };
  const nudge = 0.25;
  const byCorner = marks.corners.flatMap((corner, i) =>
    [0, 1].map((axis) => {
      const moved: Point =
        axis === 0 ? [corner[0] + nudge, corner[1]] : [corner[0], corner[1] + nudge];
      const corners = marks.corners.map((c, k) => (k === i ? moved : c)) as unknown as Corners;
      return shift({ ...marks, corners }).map(
        (d) => (d / nudge) * (markSigmaPx[i] ?? MARK_SIGMA_PX),
      );
    }),
  );
  const { reference } = marks;
  const bySize = (['widthM', 'heightM'] as const).map((side) =>
    shift({ ...marks, reference: { ...reference, [side]: reference[side] + reference.sigmaM } }),
  );
  const { pose } = view.value;
  const rise =
    heightSigmaM + (pose.focalFrom === 'assumed' ? Math.abs(heightM) * ASSUMED_FOCAL_SIGMA : 0);
  const byHeight = shift(marks, heightM + rise);
  const [, plain] = measure(ringPx, marks, 0) ?? [0, perimeterM];
  const stepM = plain / Math.max(1, perimeter(ringPx));
  const rss = (values: readonly (readonly number[])[], k: number) =>
    Math.hypot(...values.map((v) => itemAt(v, k)));
  const edge = EDGE_SIGMA_PX * stepM;
  const parts: AreaPart[] = [
    { what: 'marks', sigmaM2: rss(byCorner, 0) },
    { what: 'reference', sigmaM2: rss(bySize, 0) },
    { what: 'edge', sigmaM2: edge * perimeterM },
    { what: 'height', sigmaM2: Math.abs(byHeight[0]) },
    { what: 'lens', sigmaM2: LENS_SIGMA * areaM2 },
  ];
  return {
    areaM2,
    perimeterM,
    areaSigmaM2: Math.hypot(...parts.map((p) => p.sigmaM2)),
    perimeterSigmaM: Math.hypot(
      rss(byCorner, 1),
      rss(bySize, 1),
      2 * Math.PI * edge,
      byHeight[1],
      (LENS_SIGMA / 2) * perimeterM,
    ),
    parts,
  };
}
