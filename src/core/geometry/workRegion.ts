import { clip, multiArea, polygonOf, type Multi } from './clip';
import { flattenPath } from './path';
import { pathBox } from './outline';
import type { Point } from './point';
import type { Shape } from './shape';
import { shapePath } from './shapePath';

export const HALF_PLANE_SIDES = ['above', 'below', 'left', 'right'] as const;
/** One side of a straight line across the plan, m from its origin. */
export interface HalfPlane {
  readonly side: (typeof HALF_PLANE_SIDES)[number];
  readonly atM: number;
}

/** A shape at its place on the plan of the piece. */
export interface Placed {
  readonly shape: Shape;
  readonly at: Point;
}

/** A part of the plan: polygons, each an outer ring and its holes (closed), m. */
export interface Region {
  readonly polygons: readonly (readonly (readonly Point[])[])[];
  readonly areaM2: number;
}

/** Straight pieces stay within this share of a shape's size of its curves. */
const FLATNESS = 2e-4;
/** Farther out than any plan, m. */
const FAR = 100;

const placed = (path: Parameters<typeof flattenPath>[0], [x, y]: Point): Multi => {
  const { widthM, heightM } = pathBox(path);
  const flat = flattenPath(path, Math.max(1e-9, Math.max(widthM, heightM) * FLATNESS));
  return polygonOf(flat.map(([px, py]) => [px + x, py + y]));
};

function halfPlane({ side, atM }: HalfPlane): Multi {
  const [left, right] = [side === 'right' ? atM : -FAR, side === 'left' ? atM : FAR];
  const [low, high] = [side === 'above' ? atM : -FAR, side === 'below' ? atM : FAR];
  return [
    [
      [
        [left, low],
        [right, low],
        [right, high],
        [left, high],
      ],
    ],
  ];
}

/**
 * Where work goes on the plan: shapes less their keep-bare parts and less what is cut out, on one side of
 * a line when only that side is worked on.
 * @param parts shapes at their places, m @param without shapes cut out of them @param only null: all
 * @returns polygons and their area; curves flattened to 2e-4 of a shape's size
 * Source: polygon booleans by the polygon-clipping package, areas by the shoelace formula.
 */
export function workRegion(
  parts: readonly Placed[],
  without: readonly Placed[] = [],
  only: HalfPlane | null = null,
): Region {
  const wanted: Multi[] = parts.map((p) => placed(shapePath(p.shape), p.at));
  const bare: Multi[] = parts.flatMap((p) =>
    (p.shape.keepBare ?? []).map((path) => placed(path, p.at)),
  );
  const holes: Multi[] = without.map((p) => placed(shapePath(p.shape), p.at));
  const [first, ...rest] = wanted;
  if (!first) return { polygons: [], areaM2: 0 };
  // Where a boolean cannot be made the step is left out: too much is worked on, never too little.
  let region = clip('union', first, ...rest) ?? first;
  if (bare.length + holes.length > 0)
    region = clip('difference', region, ...bare, ...holes) ?? region;
  if (only) region = clip('intersection', region, halfPlane(only)) ?? region;
  const polygons = region.map((polygon) => polygon.map((r) => r.map(([x, y]): Point => [x, y])));
  return {
    polygons,
    areaM2: multiArea(region),
  };
}
