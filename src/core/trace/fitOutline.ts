import fitCurve from 'fit-curve';
import type { Path, Point, Segment } from '../geometry';
import { itemAt, extent } from '../numeric';
import { checkShape, ringArea, thinRing, untangle } from '../geometry';

/** A turn sharper than this between two stretches is a corner, rad. Judgement, no source. */
const CORNER = (32 * Math.PI) / 180;

const at = (ring: readonly Point[], i: number): Point =>
  itemAt(ring, ((i % ring.length) + ring.length) % ring.length);

/** Indices of the corners: where the directions `reach` points before and after differ most. */
function cornersOf(ring: readonly Point[], reach: number): number[] {
  const turns = ring.map((p, i) => {
    const [a, b] = [at(ring, i - reach), at(ring, i + reach)];
    const turn = Math.atan2(b[1] - p[1], b[0] - p[0]) - Math.atan2(p[1] - a[1], p[0] - a[0]);
    return Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn)));
  });
  return turns.flatMap((turn, i) => {
    if (turn < CORNER) return [];
    for (let k = -reach; k <= reach; k += 1) {
      const other = itemAt(turns, (i + k + ring.length) % ring.length);
      if (other > turn || (other === turn && k < 0)) return [];
    }
    return [i];
  });
}

/** Least-squares line through points: a point on it and its direction. */
function lineThrough(points: readonly Point[]): { readonly p: Point; readonly d: Point } {
  const n = points.length;
  const mx = points.reduce((s, p) => s + p[0], 0) / n;
  const my = points.reduce((s, p) => s + p[1], 0) / n;
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of points) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { p: [mx, my], d: [Math.cos(angle), Math.sin(angle)] };
}

interface Stretch {
  readonly points: readonly Point[];
  /** The line it lies on, when it is straight. */
  readonly line: ReturnType<typeof lineThrough> | null;
}

function stretchOf(points: readonly Point[], toleranceM: number): Stretch {
  // The ends are rounded off by the tracing; the middle tells whether it is straight.
  const trim = Math.floor(points.length * 0.12);
  const middle = points.slice(trim, points.length - trim);
  if (middle.length < 4) return { points, line: null };
  const line = lineThrough(middle);
  const [, off] = extent(
    middle.map(([x, y]) => Math.abs((x - line.p[0]) * line.d[1] - (y - line.p[1]) * line.d[0])),
  );
  return { points, line: off <= toleranceM ? line : null };
}

/** Where two straight stretches meet, if that is near the corner that was seen. */
function meeting(a: Stretch, b: Stretch, seen: Point, within: number): Point {
  if (!a.line || !b.line) return seen;
  const { p, d } = a.line;
  const { p: q, d: e } = b.line;
  const cross = d[0] * e[1] - d[1] * e[0];
  if (Math.abs(cross) < 0.2) return seen;
  const t = ((q[0] - p[0]) * e[1] - (q[1] - p[1]) * e[0]) / cross;
  const found: Point = [p[0] + d[0] * t, p[1] + d[1] * t];
  return Math.hypot(found[0] - seen[0], found[1] - seen[1]) <= within ? found : seen;
}

function segmentsOf(stretch: Stretch, from: Point, to: Point, toleranceM: number): Segment[] {
  if (stretch.line) return [{ kind: 'line', to }];
  const points = [from, ...stretch.points.slice(1, -1), to].map((p) => [...p]);
  const curves = fitCurve(points, toleranceM ** 2);
  return curves.map((curve, i): Segment => {
    const point = (k: number): Point => [itemAt(itemAt(curve, k), 0), itemAt(itemAt(curve, k), 1)];
    return {
      kind: 'cubic',
      c1: point(1),
      c2: point(2),
      to: i === curves.length - 1 ? to : point(3),
    };
  });
}

/** A path whose own edge crosses itself nowhere. */
const isSound = (outer: Path): boolean => checkShape({ kind: 'outline', outer, keepBare: [] }).ok;

/**
 * A traced ring as an outline that does not cross itself: curves where they fit, else straight from point to point
 * without the loops that a notch makes where two colours meet at the edge.
 * @param ring closed ring, m, densely and evenly spaced @param toleranceM as in `fitOutline`
 * @returns outline, run anticlockwise; the last try as it is when each of them crosses itself
 */
export function soundOutline(ring: readonly Point[], toleranceM: number): Path {
  const curved = fitOutline(ring, toleranceM);
  if (isSound(curved)) return curved;
  const round = ringArea(ring) < 0 ? [...ring].reverse() : ring;
  const straight = (tolerance: number): Path => {
    const points = thinRing(round, tolerance);
    const start = itemAt(points, 0);
    return {
      start,
      segments: [...points.slice(1), start].map((to): Segment => ({ kind: 'line', to })),
    };
  };
  const tries = [1, 2, 4].flatMap((times) => {
    const path = straight(times * toleranceM);
    return [path, untangle(path)].flatMap((p) => (p ? [p] : []));
  });
  return tries.find(isSound) ?? itemAt(tries, tries.length - 1);
}

/**
 * A traced ring as few straight and curved stretches, fit for editing by hand.
 * @param ring closed ring, m, densely and evenly spaced @param toleranceM farthest that the outline may
 *   lie from the ring, m, > 0
 * @returns outline, run anticlockwise
 * Source: corners by turning angle; straight stretches by least squares, met at their intersections;
 *   curves by Schneider 1990 (fit-curve).
 */
export function fitOutline(ring: readonly Point[], toleranceM: number): Path {
  const points = ringArea(ring) < 0 ? [...ring].reverse() : ring;
  const reach = Math.max(3, Math.round(points.length / 60));
  const found = cornersOf(points, reach);
  const quarter = points.length / 4;
  // Without a corner it may be cut anywhere.
  const [first = 0] = found;
  const cuts =
    found.length >= 2
      ? found
      : [0, 1, 2, 3]
          .map((k) => Math.round(first + k * quarter) % points.length)
          .sort((a, b) => a - b);
  const stretches = cuts.map((cut, i) => {
    const next = cuts[(i + 1) % cuts.length] ?? cut;
    const count = next > cut ? next - cut : next - cut + points.length;
    return stretchOf(
      Array.from({ length: count + 1 }, (_, k) => at(points, cut + k)),
      toleranceM,
    );
  });
  const step = Math.hypot(at(points, 1)[0] - at(points, 0)[0], at(points, 1)[1] - at(points, 0)[1]);
  const corners = stretches.map((s, i) => {
    const before = stretches[(i + stretches.length - 1) % stretches.length] ?? s;
    return meeting(before, s, itemAt(s.points, 0), Math.max(8 * step, 4 * toleranceM));
  });
  const start = itemAt(corners, 0);
  return {
    start,
    segments: stretches.flatMap((s, i) =>
      segmentsOf(s, corners[i] ?? start, corners[(i + 1) % corners.length] ?? start, toleranceM),
    ),
  };
}
