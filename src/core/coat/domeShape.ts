import type { DomeOutline } from '../capillary';
import {
  insideRing,
  leastCurvature,
  measureShape,
  ringArea,
  shapeSides,
  sideTurns,
  flattenPath,
  type Point,
  type Shape,
  type TurnPiece,
} from '../geometry';

/** An outline as films see it. */
export interface DomeShape extends DomeOutline {
  /** Diameter where it is a plain disc with a rim all round, m: then domes are exact. */
  readonly discM: number | null;
  /** Shortest stretch of rim that ends in a sharp corner, m; Infinity for a smooth outline. */
  readonly shortestM: number;
}

/** A rim is as straight as its straightest stretch of this length, m: about four capillary lengths. */
const STRETCH_M = 8e-3;
/** Drawn holes stay so close to their curves, m. */
const FLAT_M = 0.05e-3;

/** Pieces of rim in a row. */
interface Run {
  readonly pieces: readonly TurnPiece[];
  readonly closed: boolean;
  /** Turn between its last piece and the wall after it, and between the wall before and its first, rad. */
  readonly wallTurns: readonly number[];
}

/** Splits pieces all round into runs of those that are rims. */
function runsOf(pieces: readonly TurnPiece[], isRim: readonly boolean[]): Run[] {
  if (isRim.every(Boolean)) return [{ pieces, closed: true, wallTurns: [] }];
  const n = pieces.length;
  const starts = pieces.flatMap((_, i) => (isRim[i] && !isRim.at(i - 1) ? [i] : []));
  return starts.map((start) => {
    let count = 1;
    while (isRim[(start + count) % n]) count += 1;
    const run = Array.from({ length: count }, (_, k) => pieces[(start + k) % n]).filter(
      (p) => p !== undefined,
    );
    const wallTurns = [run.at(-1)?.cornerRad ?? 0, pieces.at(start - 1)?.cornerRad ?? 0];
    return { pieces: run, closed: false, wallTurns };
  });
}

/** A hole turns the other way: the film lies outside of it. */
const outside = (p: TurnPiece): TurnPiece => ({
  ...p,
  bendRad: -p.bendRad,
  cornerRad: -p.cornerRad,
});

/** For each straight piece of stretches whether its middle lies where `keep` says. */
const middlesOf = (
  sides: readonly (readonly Point[])[],
  keep: (middle: Point) => boolean,
): boolean[] =>
  sides.flatMap((points) =>
    points.slice(1).flatMap((to, i) => {
      const from = points[i];
      if (!from || Math.hypot(to[0] - from[0], to[1] - from[1]) < 1e-12) return [];
      return [keep([(from[0] + to[0]) / 2, (from[1] + to[1]) / 2])];
    }),
  );

/** A line of points with more of them, so that a part of it can be left out, m; a slip of metres makes no more than so many. */
const STEP_M = 1e-3;
const MOST_STEPS = 20_000;
function refined(points: readonly Point[]): Point[] {
  const lengths = points.slice(1).map(([x, y], i) => {
    const from = points[i] ?? [x, y];
    return Math.hypot(x - from[0], y - from[1]);
  });
  const stepM = Math.max(STEP_M, lengths.reduce((sum, m) => sum + m, 0) / MOST_STEPS);
  return [
    ...points.slice(0, 1),
    ...points.slice(1).flatMap((to, i) => {
      const from = points[i] ?? to;
      const count = Math.max(1, Math.ceil((lengths[i] ?? 0) / stepM));
      return Array.from({ length: count }, (_, k): Point => {
        const share = (k + 1) / count;
        return [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];
      });
    }),
  ];
}

/** Runs of rim round the parts that stay bare, as far as they lie inside the outline. */
function holeRuns(ring: readonly Point[], bare: readonly (readonly Point[])[]): Run[] {
  return bare.flatMap((closed) => {
    const pieces = (sideTurns([closed])[0] ?? []).map(outside);
    const isRim = middlesOf([closed], (m) => insideRing(m, ring));
    return runsOf(pieces, isRim);
  });
}

/**
 * What an outline comes to for a film: area without bare parts, rims and their corners. Stretches with a wall hold
 * the film up and are left out; parts that stay bare are rims, where they lie inside.
 * @param shape lengths in m @param walls for each stretch whether a wall stands there @returns m², m, rad, 1/m
 * Source: turning of the drawn outline, clockwise or not.
 */
export function domeShape(shape: Shape, walls: readonly boolean[] = []): DomeShape {
  const { areaM2, sideLengthsM } = measureShape(shape);
  const drawnSides = shapeSides(shape);
  const ring = drawnSides.flatMap((side) => side.slice(1));
  const holes = (shape.keepBare ?? [])
    .map((path) => flattenPath(path, FLAT_M))
    .filter((hole) => Math.abs(ringArea(hole)) > 0)
    .map((hole) => [...hole, ...hole.slice(0, 1)]);
  const cuts = holes.some((hole) => hole.some((p) => !insideRing(p, ring)));
  const sides = cuts ? drawnSides.map(refined) : drawnSides;
  const bare = cuts ? holes.map(refined) : holes;
  const bySide = sideTurns(sides, shape.kind === 'regularPolygon' ? 0 : undefined);
  // Holes well inside take nothing of the outline.
  const free = middlesOf(sides, (m) => !cuts || !holes.some((hole) => insideRing(m, hole)));
  const isRim = bySide.flatMap((pieces, i) => pieces.map(() => walls[i] !== true));
  const outer = runsOf(
    // A wall’s own corners are read off the piece before it, so all pieces stay.
    bySide.flat(),
    isRim.map((rim, i) => rim && free[i] !== false),
  );
  const runs = [...outer, ...holeRuns(ring, bare)].filter((run) => run.pieces.length > 0);
  const within = ({ pieces, closed }: Run) => (closed ? pieces : pieces.slice(0, -1));
  const cornersRad = runs.flatMap((run) =>
    within(run).flatMap(({ cornerRad }) => (cornerRad === 0 ? [] : [innerAngle(cornerRad)])),
  );
  // Stretches are measured exactly where nothing is cut out of them.
  const whole = free.every(Boolean);
  const drawn = (run: Run) => run.pieces.reduce((sum, p) => sum + p.lengthM, 0);
  const outerM = whole
    ? sideLengthsM.reduce((sum, m, i) => sum + (walls[i] === true ? 0 : m), 0)
    : outer.reduce((sum, run) => sum + drawn(run), 0);
  const rimM = outerM + runs.slice(outer.length).reduce((sum, run) => sum + drawn(run), 0);
  const sharp = bySide.map((pieces) => (pieces.at(-1)?.cornerRad ?? 0) !== 0);
  const shortestM = Math.min(
    ...sideLengthsM.map((length, i) =>
      walls[i] !== true && (sharp[i] || sharp.at(i - 1)) ? length : Infinity,
    ),
  );
  return {
    areaM2,
    rimM,
    cornersRad,
    wallCornersRad: runs.flatMap((run) => run.wallTurns.map(innerAngle)),
    bendRad: runs.reduce((sum, run) => sum + run.pieces.reduce((s, p) => s + p.bendRad, 0), 0),
    curvaturePerM: Math.min(
      ...runs.map((run) => leastCurvature(run.pieces, run.closed, STRETCH_M)),
    ),
    discM: shape.kind === 'disc' && bare.length === 0 && walls[0] !== true ? shape.diameterM : null,
    shortestM,
  };
}

/** Inner angle of a corner, as far as the closed form goes, rad. */
const innerAngle = (cornerRad: number): number => Math.min(6, Math.max(0.1, Math.PI - cornerRad));

const shapes = new WeakMap<Shape, Map<string, DomeShape>>();

/** {@link domeShape}, remembered with the shape, which never changes. */
export function domeShapeOf(shape: Shape, walls: readonly boolean[] = []): DomeShape {
  const here = shapes.get(shape) ?? new Map<string, DomeShape>();
  shapes.set(shape, here);
  const key = walls.map((w) => (w ? 'w' : '-')).join('');
  const known = here.get(key) ?? domeShape(shape, walls);
  here.set(key, known);
  return known;
}
