import { insideRing, nearestOnSegment, ringArea, thinRing, type Point } from '../geometry';
import { itemAt } from '../numeric';
import { contourOf } from './contourOf';
import { fromCell, toCell, type Raster } from './raster';
import { colourAt, refineEdge } from './refineEdge';
import { segment } from './segment';

/** A boundary of colour within a face: a line that runs from edge to edge and a little over, or a closed one. */
export interface PlaceLine {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

/** A face as it was traced: small and fine raster, and its edge as plane points. */
export interface TracedFace {
  readonly coarse: Raster;
  readonly fine: Raster;
  readonly edge: readonly Point[];
  readonly reachCells: number;
}

/** Nearer to the edge of the face than this, coarse cells, a boundary of colour is the edge itself. Judgement. */
const AT_EDGE_CELLS = 2.5;
/** A shorter stretch than this, coarse cells, is no boundary. Judgement. */
const LEAST_CELLS = 6;
/** A line is led on straight over the edge by at most this, coarse cells; else it turns to the nearest edge. */
const LED_ON_CELLS = 9;
/** Colours are told apart this far to each side of a line, fine cells, and by this many grey levels. Judgement. */
const BESIDE_CELLS = 5;
const LEAST_CONTRAST = 10;
/** A line may lie this far from its traced points, m, or this many fine cells: it is straight from point to point. */
const FIT = { m: 0.1e-3, cells: 0.25 } as const;
/** Radius of a pick, coarse cells. */
const PICK_CELLS = 3;

const far = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(ax - bx, ay - by);

/** The point of a ring that is nearest. */
function nearestOn(ring: readonly Point[], p: Point): Point {
  let [best, least]: [Point, number] = [itemAt(ring, 0), Infinity];
  ring.forEach((a, i) => {
    const at = nearestOnSegment(p, a, ring[(i + 1) % ring.length] ?? a);
    const d = far(at, p);
    if (d < least) [best, least] = [at, d];
  });
  return best;
}

/** The small raster with only the cells that lie well within the face. */
function within(coarse: Raster, edge: readonly Point[]): Raster {
  const ring = edge.map((p) => toCell(coarse, p));
  const { width, height } = coarse;
  const inside = coarse.known.map((known, i) =>
    known && insideRing([i % width, Math.floor(i / width)], ring) ? 1 : 0,
  );
  const known = inside.map((on, i) => {
    const column = i % width;
    const open = column > 0 && column < width - 1 && i >= width && i < width * (height - 1);
    return on && open && inside[i - 1] && inside[i + 1] && inside[i - width] && inside[i + width]
      ? 1
      : 0;
  });
  return { ...coarse, known };
}

function dab(label: Int8Array, { width, known }: Raster, [x, y]: Point, value: 1 | -1): void {
  for (let row = Math.ceil(y - PICK_CELLS); row <= y + PICK_CELLS; row += 1)
    for (let column = Math.ceil(x - PICK_CELLS); column <= x + PICK_CELLS; column += 1) {
      const at = row * width + column;
      if (known[at] && Math.hypot(column - x, row - y) <= PICK_CELLS) label[at] = value;
    }
}

/** Leads the end of a line over the edge: straight on where that comes out soon, else the nearest way. */
function ledOver(edge: readonly Point[], end: Point, before: Point, cellM: number): Point {
  const length = far(end, before) || 1;
  const step: Point = [(end[0] - before[0]) / length, (end[1] - before[1]) / length];
  for (let k = 1; k <= LED_ON_CELLS; k += 1) {
    const p: Point = [end[0] + step[0] * k * cellM, end[1] + step[1] * k * cellM];
    if (!insideRing(p, edge)) return [p[0] + step[0] * cellM, p[1] + step[1] * cellM];
  }
  const out = nearestOn(edge, end);
  const d = far(out, end) || 1;
  const over = (cellM / d) * 1.5;
  return [out[0] + (out[0] - end[0]) * over, out[1] + (out[1] - end[1]) * over];
}

/** How far the mean colours to the two sides of a line lie apart, grey levels. */
function contrast(fine: Raster, line: readonly Point[]): number {
  const sum = [0, 0, 0];
  let count = 0;
  for (let i = 1; i + 1 < line.length; i += 1) {
    const [a, at, b] = [-1, 0, 1].map((k) => toCell(fine, itemAt(line, i + k))) as [
      Point,
      Point,
      Point,
    ];
    const length = far(a, b) || 1;
    const [nx, ny] = [(b[1] - a[1]) / length, (a[0] - b[0]) / length];
    const side = (d: number) => colourAt(fine, [at[0] + nx * d, at[1] + ny * d]);
    const [one, other] = [side(BESIDE_CELLS), side(-BESIDE_CELLS)];
    if (!one || !other) continue;
    count += 1;
    one.forEach((v, c) => (sum[c] = itemAt(sum, c) + v - itemAt(other, c)));
  }
  return count > 0 ? Math.hypot(...sum) / count : 0;
}

/** The stretches of a ring that are not the edge of the face, in its order; null: all of it. */
function stretchesOf(ring: readonly Point[], edge: readonly Point[], nearM: number) {
  const own = ring.map((p) => far(nearestOn(edge, p), p) > nearM);
  const start = own.indexOf(false);
  if (start < 0) return null;
  const runs: Point[][] = [[]];
  for (let k = 0; k < ring.length; k += 1) {
    const i = (start + k) % ring.length;
    if (own[i]) runs.at(-1)?.push(itemAt(ring, i));
    else if (runs.at(-1)?.length) runs.push([]);
  }
  return runs.filter((run) => run.length > 0);
}

/**
 * Boundaries of a place within a face whose colour differs from the rest, by the steps that find the face itself.
 * @param pick a plane point of the place @param rest plane points that do not belong to it, one at least
 * @returns lines with the place to their left, or closed ones round it; none where nothing parts it from the rest
 * Source: as `segment`, `contourOf` and `refineEdge`; judgement where a line meets the edge.
 */
export function placeEdges(face: TracedFace, pick: Point, rest: readonly Point[]): PlaceLine[] {
  const { fine, edge, reachCells } = face;
  const coarse = within(face.coarse, edge);
  const label = new Int8Array(coarse.known.length);
  for (const p of rest) dab(label, coarse, toCell(coarse, p), -1);
  dab(label, coarse, toCell(coarse, pick), 1);
  if (!label.includes(1) || !label.includes(-1)) return [];
  const parted = segment(coarse, { label });
  const rough = parted && contourOf(coarse, parted.inside, toCell(coarse, pick));
  if (!rough || rough.length < 8) return [];
  const start = rough.map((p) => toCell(fine, fromCell(coarse, p)));
  const found = refineEdge(fine, start, parted.piece, parted.rest, reachCells).map((p) =>
    fromCell(fine, p),
  );
  const ring = ringArea(found) < 0 ? found.reverse() : found;
  const cellM = coarse.stepM;
  const toleranceM = Math.max(FIT.m, FIT.cells * fine.stepM);
  const runs = stretchesOf(ring, edge, AT_EDGE_CELLS * cellM);
  if (!runs)
    return contrast(fine, ring) < LEAST_CONTRAST
      ? []
      : [{ points: thinRing(ring, toleranceM), closed: true }];
  const lengthM = (run: readonly Point[]) =>
    run.slice(1).reduce((s, p, i) => s + far(p, itemAt(run, i)), 0);
  return runs
    .filter((run) => lengthM(run) >= LEAST_CELLS * cellM && contrast(fine, run) >= LEAST_CONTRAST)
    .map((run) => {
      const back = Math.min(run.length - 1, Math.ceil((4 * cellM) / (2 * fine.stepM)));
      const [first, last] = [itemAt(run, 0), itemAt(run, run.length - 1)];
      const head = ledOver(edge, first, itemAt(run, back), cellM);
      const tail = ledOver(edge, last, itemAt(run, run.length - 1 - back), cellM);
      return { points: thinLine([head, ...run, tail], toleranceM), closed: false };
    });
}

/** A line with fewer points, as a ring to its end and back; its ends stay. */
function thinLine(line: readonly Point[], toleranceM: number): Point[] {
  const kept = thinRing([...line, ...line.slice(1, -1).reverse()], toleranceM);
  const last = itemAt(line, line.length - 1);
  const end = kept.findIndex((p) => p === last);
  return end < 0 ? [itemAt(line, 0), last] : kept.slice(0, end + 1);
}
