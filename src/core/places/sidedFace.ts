import {
  arcPoint,
  arcSegments,
  shapePath,
  sideOfSegments,
  walk,
  type Point,
  type Segment,
  type Shape,
} from '../geometry';
import { loopArea, reversedLoop, type Loop, type Region, type Stretch } from './region';

/** Curves in a quarter of a round: their area is within 1e-11 of a true one. */
const QUARTER_PIECES = 16;
const QUARTER = Math.PI / 2;

/** Curves round a centre, those of the second half of the way perhaps on another side. */
function arc(
  centre: Point,
  [rx, ry]: Point,
  fromRad: number,
  marks: readonly [first: number, second: number],
): Stretch[] {
  const step = QUARTER / QUARTER_PIECES;
  return Array.from({ length: QUARTER_PIECES }, (_, i): Stretch => {
    const at = fromRad + i * step;
    const shape = { centre, rx, ry, turn: 0 };
    const [segment] = arcSegments({ ...shape, from: at, sweep: step });
    const from = arcPoint(shape, at);
    return {
      from,
      segment: segment ?? { kind: 'line', to: from },
      mark: i < QUARTER_PIECES / 2 ? marks[0] : marks[1],
    };
  });
}

const lined = (from: Point, to: Point, mark: number): Stretch[] =>
  Math.hypot(to[0] - from[0], to[1] - from[1]) < 1e-12
    ? []
    : [{ from, segment: { kind: 'line', to }, mark }];

/** A loop whose stretches begin exactly where the ones before end. */
function closed(loop: readonly Stretch[]): Loop {
  return loop.map((stretch, i) => {
    const next = loop[(i + 1) % loop.length] ?? stretch;
    const segment: Segment = { ...stretch.segment, to: next.from };
    return { ...stretch, segment };
  });
}

function rounded(widthM: number, heightM: number, radiusM: number): Loop {
  const [x, y] = [widthM / 2 - radiusM, heightM / 2 - radiusM];
  const r: Point = [radiusM, radiusM];
  const corner = (cx: number, cy: number, side: number) =>
    arc([cx, cy], r, -QUARTER + side * QUARTER, [side, (side + 1) % 4]);
  return closed([
    ...lined([-x, -y - radiusM], [x, -y - radiusM], 0),
    ...corner(x, -y, 0),
    ...lined([x + radiusM, -y], [x + radiusM, y], 1),
    ...corner(x, y, 1),
    ...lined([x, y + radiusM], [-x, y + radiusM], 2),
    ...corner(-x, y, 2),
    ...lined([-x - radiusM, y], [-x - radiusM, -y], 3),
    ...corner(-x, -y, 3),
  ]);
}

function loopOf(shape: Shape): Loop {
  if (shape.kind === 'disc' || shape.kind === 'ellipse') {
    const [rx, ry] =
      shape.kind === 'disc'
        ? [shape.diameterM / 2, shape.diameterM / 2]
        : [shape.widthM / 2, shape.heightM / 2];
    return closed([0, 1, 2, 3].flatMap((k) => arc([0, 0], [rx, ry], k * QUARTER, [0, 0])));
  }
  if (shape.kind === 'roundedRectangle' && shape.radiusM > 0)
    return rounded(shape.widthM, shape.heightM, shape.radiusM);
  const path = shapePath(shape);
  const sideOf = shape.kind === 'outline' ? sideOfSegments(path) : null;
  return [...walk(path)].map(({ from, segment }, i) => ({
    from,
    segment,
    mark: sideOf ? (sideOf[i] ?? 0) : i,
  }));
}

/**
 * A face as one region whose stretches know their side.
 * @param shape lengths in m; its bare parts are not cut out
 * @returns anticlockwise; sides in the order of `shapeSides`
 */
export function sidedFace(shape: Shape): Region {
  const loop = loopOf(shape);
  return { outer: loopArea(loop) < 0 ? reversedLoop(loop) : loop, holes: [] };
}
