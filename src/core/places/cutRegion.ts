import { insideRing, ringArea, selfCrossings, type Point } from '../geometry';
import { fail, ok, type Result } from '../result';
import { crossRegion, type CutLine, type Crossed } from './chords';
import {
  loopArea,
  loopRing,
  reversedLoop,
  samePoint,
  type Loop,
  type Region,
  type Stretch,
} from './region';
import { traceLoops, type Chain } from './traceLoops';

/** A part that is smaller is a slip, m²: 0.1 mm². */
const LEAST_M2 = 1e-7;

export interface CutInTwo {
  /** What lies to the left of the line, or inside a closed one; and the rest. */
  readonly made: Region;
  readonly rest: Region;
  readonly splits: Crossed['splits'];
}

const chainOf = (points: readonly Point[], mark: number): Stretch[] =>
  points
    .slice(1)
    .map((to, i) => ({ from: points[i] as Point, segment: { kind: 'line', to }, mark }));

/** A loop as chains from node to node; null where nothing meets it. */
function chainsOf(loop: Loop, nodes: readonly Point[]): Chain[] | null {
  const xs = new Set(nodes.map((n) => n[0]));
  const isNode = (p: Point) => xs.has(p[0]) && nodes.some((n) => samePoint(n, p));
  const begins: number[] = [];
  loop.forEach(({ from }, i) => {
    if (isNode(from)) begins.push(i);
  });
  const [first] = begins;
  if (first === undefined) return null;
  return begins.map((begin, k) => {
    const end = begins[k + 1];
    // The last goes round over the begin of the loop.
    return end === undefined
      ? loop.slice(begin).concat(loop.slice(0, first))
      : loop.slice(begin, end);
  });
}

const refuse = (value: string) => fail({ code: 'does-not-fit', path: ['line'], value });

/** Loops that run anticlockwise are regions; the others are holes in the least of those that hold them. */
export function regionsOf(loops: readonly Loop[]): Region[] {
  const outers = loops.filter((loop) => loopArea(loop) > 0);
  const holes = outers.map((): Loop[] => []);
  for (const hole of loops.filter((loop) => loopArea(loop) <= 0)) {
    // A point a little outside of the hole’s own area may lie on the region’s rim, so most of its points decide.
    const points = loopRing(hole);
    const holders = outers
      .map(loopRing)
      .map((ring, i) => ({ i, ring, inside: points.filter((p) => insideRing(p, ring)).length }))
      .filter(({ inside }) => inside * 2 > points.length)
      .sort((a, b) => Math.abs(ringArea(a.ring)) - Math.abs(ringArea(b.ring)));
    const holder = holders[0] ?? { i: 0 };
    holes[holder.i]?.push(hole);
  }
  return outers.map((outer, i) => ({ outer, holes: holes[i] ?? [] }));
}

/**
 * Cuts a region by a line that goes across it, or by a closed one inside it or over its boundary.
 * @param mark of the stretches that the cut makes
 * @returns two regions that share the cut point for point; `does-not-fit` with the value `crosses itself`, `does not
 *   cut` (it ends inside, or misses it) or `more than two`
 * Source: faces of the planar graph of boundary and line; areas add up because every point is shared.
 */
export function cutRegion(region: Region, line: CutLine, mark: number): Result<CutInTwo> {
  const drawn = line.closed
    ? line.points
    : [...line.points, ...[...line.points].reverse().slice(1, -1)];
  if (line.closed && (selfCrossings(drawn, 1)?.length ?? 1) > 0) return refuse('crosses itself');
  if (!line.closed && crossesItself(line.points)) return refuse('crosses itself');
  const { loops, chords, ring, splits } = crossRegion(region, line);
  if (ring) return byRing(region, ring, mark);
  const untouched: Loop[] = [];
  const chains: Chain[] = [];
  for (const { loop, nodes } of loops) {
    const own = nodes.length > 0 ? chainsOf(loop, nodes) : null;
    if (own) chains.push(...own);
    else untouched.push(loop);
  }
  const boundary = chains.length;
  for (const chord of chords) {
    const chain = chainOf(chord, mark);
    chains.push(chain, reversedLoop(chain));
  }
  const traced = traceLoops(chains);
  const regions = regionsOf([...traced.map((t) => t.loop), ...untouched]).filter(
    (r) => loopArea(r.outer) >= LEAST_M2,
  );
  if (regions.length < 2) return refuse('does not cut');
  if (regions.length > 2) return refuse('more than two');
  // The way of the first chord has what lies to its left on that side; a closed line may be drawn either way.
  const clockwise = line.closed && ringArea(line.points) < 0;
  const left = traced.find((t) => t.of.includes(boundary + (clockwise ? 1 : 0)))?.loop;
  const [a, b] = regions as [Region, Region];
  return ok(
    a.outer === left || a.holes.some((h) => h === left)
      ? { made: a, rest: b, splits }
      : { made: b, rest: a, splits },
  );
}

function crossesItself(points: readonly Point[]): boolean {
  const side = (a: Point, b: Point, c: Point) =>
    (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
  for (let i = 1; i < points.length; i += 1)
    for (let k = i + 2; k < points.length; k += 1) {
      const [a, b, c, d] = [points[i - 1], points[i], points[k - 1], points[k]] as [
        Point,
        Point,
        Point,
        Point,
      ];
      if (side(a, b, c) > 0 !== side(a, b, d) > 0 && side(c, d, a) > 0 !== side(c, d, b) > 0)
        return true;
    }
  return false;
}

/** A closed line inside: what it holds, and the rest with a hole; holes inside the line go with what it holds. */
function byRing(region: Region, ring: readonly Point[], mark: number): Result<CutInTwo> {
  const round = ringArea(ring) < 0 ? [...ring].reverse() : ring;
  const inner = chainOf([...round, ...round.slice(0, 1)], mark);
  if (loopArea(inner) < LEAST_M2) return refuse('does not cut');
  const held = (hole: Loop) => hole[0] !== undefined && insideRing(hole[0].from, round);
  return ok({
    made: { outer: inner, holes: region.holes.filter(held) },
    rest: {
      outer: region.outer,
      holes: [...region.holes.filter((h) => !held(h)), reversedLoop(inner)],
    },
    splits: [],
  });
}
