import { insideRing, nearestOnSegment, shapeSides, type Point } from '../geometry';
import { beneath, type BuildArea, type BuildCoat } from './buildUp';
import type { Ground } from './ground';
import type { BuildLayer } from './layer';
import { measureArea } from './planArea';

/** A line of resin that stands on a face. */
export interface RaisedLine {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly widthM: number;
  /** Surface that it stands on, and its own height, m. */
  readonly standsOnM: number;
  readonly heightM: number;
}

/** A hand draws a line beside a boundary by up to this, m, besides half its width. Judgement, no source. */
const BESIDE_M = 1e-3;
/** A bead of resin is about two thirds as high in the mean as in the middle: that of a parabola. */
const MEAN_SHARE = 2 / 3;

const offSegment = (p: Point, a: Point, b: Point): number => {
  const [x, y] = nearestOnSegment(p, a, b);
  return Math.hypot(x - p[0], y - p[1]);
};

/** Whether a line runs along the whole of a stretch, given by its points. */
export function runsAlong(
  drawn: Pick<RaisedLine, 'points' | 'closed' | 'widthM'>,
  stretch: readonly Point[],
): boolean {
  const line = ringOf(drawn);
  const reach = drawn.widthM / 2 + BESIDE_M;
  const near = (p: Point) =>
    line.some((b, i) => i > 0 && offSegment(p, line[i - 1] ?? b, b) <= reach);
  const between = stretch.slice(1).map((b, i): Point => {
    const a = stretch[i] ?? b;
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  });
  return stretch.length > 1 && [...stretch, ...between].every(near);
}

/** Places along each piece of a line at which it is asked whether it lies on a ground. */
const PROBES = 16;

const ringOf = (line: { readonly points: readonly Point[]; readonly closed: boolean }) =>
  line.closed ? [...line.points, ...line.points.slice(0, 1)] : line.points;

/** Places along a line that lie within a ring, each with the length that it stands for, m. */
function placesWithin(line: Parameters<typeof ringOf>[0], ring: readonly Point[]) {
  const points = ringOf(line);
  return points.slice(1).flatMap((b, i) => {
    const a = points[i] ?? b;
    const lengthM = Math.hypot(b[0] - a[0], b[1] - a[1]) / PROBES;
    return Array.from({ length: PROBES }, (_, k) => {
      const t = (k + 0.5) / PROBES;
      return { at: [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])] as Point, lengthM };
    }).filter(({ at }) => insideRing(at, ring));
  });
}

/** Raised lines that were drawn below a coat. */
export function raisedBelow({
  coat,
  coats,
  areas,
  layers,
}: {
  readonly coat: Pick<BuildCoat, 'order'>;
  readonly coats: readonly BuildCoat[];
  readonly areas: readonly BuildArea[];
  readonly layers?: readonly BuildLayer[];
}): RaisedLine[] {
  return coats.flatMap((c) => {
    if (c.line?.as !== 'raised line' || c.order >= coat.order) return [];
    const { points, closed, widthM } = c.line;
    const [on = ''] = c.areaIds;
    const standsOnM = beneath(c, areas, coats, layers).get(on)?.surfaceM ?? 0;
    return [{ points, closed, widthM, standsOnM, heightM: c.thicknessM }];
  });
}

/**
 * A ground with what raised lines of resin make of it: a wall where one runs along its boundary, a line to be buried
 * where it runs along a cut within, and what stands up in the film where it lies elsewhere.
 * @param lines in the coordinates of the ground's shape
 * Source: geometry.
 */
export function withRaised(ground: Ground, lines: readonly RaisedLine[]): Ground {
  if (lines.length === 0) return ground;
  const sides = shapeSides(ground.shape);
  const ring = sides.flatMap((side) => side.slice(1));
  const top = ({ standsOnM, heightM }: RaisedLine) => standsOnM + heightM;
  const walls = new Set<RaisedLine>();
  const raise = (kept: number | null | undefined, line: RaisedLine) => {
    walls.add(line);
    return Math.max(kept ?? 0, top(line));
  };
  const edges = ground.edges.map((edge, i) => {
    const line = lines.find((l) => top(l) > ground.belowM && runsAlong(l, sides[i] ?? []));
    const held = edge.kind === 'line' || edge.kind === 'open' || edge.kind === 'doming';
    if (!line || !(held || edge.kind === 'raised line')) return edge;
    return { ...edge, kind: 'raised line' as const, wallM: raise(edge.wallM, line) };
  });
  const inner = ground.inner.map((cut) => {
    // A cut reaches over the edge of its face: what lies within counts.
    const own = placesWithin(cut, ring).map((p) => p.at);
    const line = lines.find((l) => runsAlong(l, own));
    return line
      ? { ...cut, kind: 'raised line' as const, wallM: Math.max(cut.wallM ?? 0, top(line)) }
      : cut;
  });
  const { areaM2 } = measureArea(ground);
  const within = lines
    .filter((l) => !walls.has(l) && top(l) > ground.belowM)
    .map((l) => ({ ...l, lengthM: placesWithin(l, ring).reduce((sum, p) => sum + p.lengthM, 0) }))
    .filter((l) => l.lengthM > 0);
  const standing = within.map((line) => ({
    greatestM: line.heightM,
    meanM: line.heightM * MEAN_SHARE,
    share: Math.min(1, (line.lengthM * line.widthM) / areaM2),
    standsOnM: line.standsOnM,
    aboveM: ground.belowM,
  }));
  return { ...ground, edges, inner, standing: [...ground.standing, ...standing] };
}
