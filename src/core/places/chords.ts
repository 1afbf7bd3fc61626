import { insideRing, type Point } from '../geometry';
import { extent } from '../numeric';
import { crossings } from './crossings';
import { loopRing, samePoint, type Loop, type Region, type Stretch } from './region';
import { splitStretch } from './splitStretch';

/** A line that is to cut: straight pieces from point to point, m; a closed one ends where it begins. */
export interface CutLine {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** Ends of a line that reach the boundary within this still cut, m: a hand stops short of an edge. */
export const REACH_M = 3e-3;
/** Two meetings so close together are one, m. */
const SAME_M = 1e-9;

/** A region with nodes where a line meets it, and the parts of the line that lie inside. */
export interface Crossed {
  /** Each loop, parted at its nodes: one list of stretches from node to node; whole where nothing meets it. */
  readonly loops: readonly { readonly loop: Loop; readonly nodes: readonly Point[] }[];
  /** Parts of the line inside, from node to node; one that is closed and meets nothing is a ring by itself. */
  readonly chords: readonly (readonly Point[])[];
  readonly ring: readonly Point[] | null;
  /** Stretches that were parted, and into what. */
  readonly splits: readonly { readonly whole: Stretch; readonly parts: readonly Stretch[] }[];
}

interface Meeting {
  readonly at: Point;
  /** Along the line: piece and share of it. */
  readonly place: number;
}

/** A line with its ends drawn on by what a hand stops short. */
function reaching({ points, closed }: CutLine): readonly Point[] {
  if (closed) return [...points, ...points.slice(0, 1)];
  const on = (end: Point | undefined, before: Point | undefined): Point[] => {
    if (!end || !before) return [];
    const length = Math.hypot(end[0] - before[0], end[1] - before[1]);
    if (length === 0) return [];
    const k = REACH_M / length;
    return [[end[0] + (end[0] - before[0]) * k, end[1] + (end[1] - before[1]) * k]];
  };
  return [...on(points[0], points[1]), ...points, ...on(points.at(-1), points.at(-2))];
}

/** Whether a point lies in a region, by rings that stand for its loops. */
export function regionTest({ outer, holes }: Region): (p: Point) => boolean {
  const ring = loopRing(outer);
  const bare = holes.map(loopRing);
  return (p) => insideRing(p, ring) && !bare.some((hole) => insideRing(p, hole));
}

/** Longest straight piece of a line, its middle: the surest point to ask whether it lies inside. */
function middleOf(points: readonly Point[]): Point {
  let [best, at]: [number, Point] = [-1, points[0] ?? [0, 0]];
  for (let i = 1; i < points.length; i += 1) {
    const [a, b] = [points[i - 1] as Point, points[i] as Point];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (length > best) [best, at] = [length, [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]];
  }
  return at;
}

function meetLoop(
  loop: Loop,
  line: readonly Point[],
  met: Meeting[],
  splits: Crossed['splits'][number][],
) {
  const nodes: Point[] = [];
  const [left, right] = extent(line.map((p) => p[0]));
  const [low, high] = extent(line.map((p) => p[1]));
  const apart = (a: number, b: number, least: number, most: number) =>
    (a < least && b < least) || (a > most && b > most);
  const parted: Stretch[] = [];
  for (const stretch of loop)
    if (isBeside(stretch)) parted.push(stretch);
    else parted.push(...metBy(stretch));
  return { loop: parted, nodes };

  // Outlines of 10,000 straight pieces are met: most lie beside the line.
  function isBeside({ from, segment: { kind, to } }: Stretch): boolean {
    return (
      kind === 'line' && (apart(from[0], to[0], left, right) || apart(from[1], to[1], low, high))
    );
  }
  function metBy(stretch: Stretch): readonly Stretch[] {
    const hits = line.slice(1).flatMap((b, i) => {
      const a = line[i] as Point;
      return crossings(stretch, a, b).map(({ t, u }) => ({
        t,
        place: i + Math.min(1, Math.max(0, u)),
      }));
    });
    if (hits.length === 0) return [stretch];
    hits.sort((p, q) => p.t - q.t);
    const inner = [...new Set(hits.map((h) => h.t).filter((t) => t > 0 && t < 1))];
    const parts = splitStretch(stretch, inner);
    if (parts.length > 1) splits.push({ whole: stretch, parts });
    const ends: readonly Point[] = [...parts.map((p) => p.from), stretch.segment.to];
    for (const { t, place } of hits) {
      const k =
        t === 0 ? 0 : t === 1 ? ends.length - 1 : Math.min(ends.length - 2, inner.indexOf(t) + 1);
      const at = ends[k] as Point;
      met.push({ at, place });
      nodes.push(at);
    }
    return parts;
  }
}

/** Where a line meets a region, and what of it lies inside. */
export function crossRegion(region: Region, cut: CutLine): Crossed {
  const line = reaching(cut);
  const met: Meeting[] = [];
  const splits: Crossed['splits'][number][] = [];
  const loops = [region.outer, ...region.holes].map((loop) => meetLoop(loop, line, met, splits));
  met.sort((a, b) => a.place - b.place);
  const nodes = met.filter((m, i) => {
    const before = met[i - 1];
    return (
      !before ||
      !(
        samePoint(m.at, before.at) ||
        Math.hypot(m.at[0] - before.at[0], m.at[1] - before.at[1]) < SAME_M
      )
    );
  });
  const isInside = regionTest(region);
  if (nodes.length === 0) {
    const ring = cut.closed && isInside(middleOf(line)) ? cut.points : null;
    return { loops, chords: [], ring, splits };
  }
  const between = (a: Meeting, b: Meeting): Point[] => [
    a.at,
    ...line.filter((_, i) => i > a.place + 1e-12 && i < b.place - 1e-12),
    b.at,
  ];
  const chords = nodes.slice(1).map((b, i) => between(nodes[i] as Meeting, b));
  const [first, last] = [nodes[0], nodes.at(-1)];
  // A closed line goes on from its last meeting over its begin to its first.
  if (cut.closed && first && last)
    chords.push([
      last.at,
      ...line.slice(0, -1).filter((_, i) => i > last.place + 1e-12),
      ...line.filter((_, i) => i < first.place - 1e-12),
      first.at,
    ]);
  return { loops, chords: chords.filter((c) => isInside(middleOf(c))), ring: null, splits };
}
