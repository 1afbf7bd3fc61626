import { itemAt, extent } from '../numeric';
import { flattenPath, mapPath, pathArea, pathBox, type Path, type Point } from '../geometry';
import { fail, ok, type Result } from '../result';
import { nearest, opponentRaster, paletteOf } from './colourModel';
import { contourOf } from './contourOf';
import { soundOutline } from './fitOutline';
import { project, type Corners } from './homography';
import type { Reference } from './reference';
import { correctHeight, referenceCorners, viewOf, type Marks, type View } from './marks';
import {
  fromCell,
  rectify,
  shrink,
  toCell,
  visibleBox,
  type Picture,
  type PlaneBox,
  type Raster,
} from './raster';
import { refineCorners, REFINED_SIGMA_PX } from './refineCorners';
import { placeEdges, type PlaceLine, type TracedFace } from './placeEdges';
import { refineEdge } from './refineEdge';
import { segment, type Seeds } from './segment';
import { MARK_SIGMA_PX, measureTraced, MEASURE_DEFAULTS, type TracedMeasure } from './uncertainty';

export interface TraceInput {
  readonly picture: Picture;
  /** Corners of the reference, px, going round from its top left; and what it is. */
  readonly corners: Corners;
  readonly reference: Reference;
  /** Places inside the piece and outside it, px. At least one inside. */
  readonly inside: readonly Point[];
  readonly outside: readonly Point[];
  /** A pick on each part of the face that is to be a place of its own, px. */
  readonly places: readonly Point[];
  /** The reference is the piece itself: its quadrilateral does not count as background. */
  readonly referenceIsPiece: boolean;
  /** Height of the piece's face above the reference, m. */
  readonly heightM: number;
}

export type TraceWarning =
  'reaches the border' | 'reference small' | 'edge unclear' | 'place not found';

export interface Traced {
  /** About the middle of its box, m, y up, anticlockwise. */
  readonly outline: Path;
  /** The edge as found, px of the picture. */
  readonly ringPx: readonly Point[];
  /** Boundaries of the places within it, in the outline's coordinates, and px of the picture. */
  readonly cuts: readonly (PlaceLine & { readonly px: readonly Point[] })[];
  /** The reference's corners as they were used, px, and which of them were moved onto edges seen. */
  readonly corners: Corners;
  readonly refined: readonly boolean[];
  readonly measure: TracedMeasure;
  readonly warnings: readonly TraceWarning[];
  /** The part of the plane round the piece, in the outline's coordinates. */
  readonly box: PlaneBox;
  /** Where the outline's own origin lies on the plane of the reference, m. */
  readonly centre: Point;
  readonly tiltRad: number;
}

/** Pixels along the longer side of the straightened picture, and of the small one that is parted first. */
export const FINE_PX = 1500;
const COARSE_PX = 300;
/** The edge is sought within this many coarse cells of the first contour. */
const REACH_CELLS = 1.8;
/** Share of the raster at its border that counts as background. */
const BORDER = 0.02;
/** Radius of a pick, share of the raster's longer side. */
const PICK = 0.012;
/** A reference under this share of the piece's area is told. Judgement. */
const SMALL_REFERENCE = 0.04;
/** More unsure cells than this for each cell of the contour are told. Judgement. */
const UNCLEAR = 1;
/** An outline may lie this far from the traced points, m, or this many fine cells. */
const FIT_TOLERANCE = { m: 0.25e-3, cells: 1.2 } as const;

/**
 * The reference is not the piece, but the piece may lie on it: of its cells, those count as background
 * whose colour is that of the sheet's rim rather than that of the picks.
 */
function markSheet(raster: Raster, label: Int8Array, reference: Reference): void {
  const corners = referenceCorners(reference).map((p) => toCell(raster, p));
  const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
  const [left, right] = [Math.ceil(extent(xs)[0]) + 1, Math.floor(extent(xs)[1]) - 1];
  const [top, bottom] = [Math.ceil(extent(ys)[0]) + 1, Math.floor(extent(ys)[1]) - 1];
  const cells: number[] = [];
  const rim: number[] = [];
  for (let row = top; row <= bottom; row += 1)
    for (let column = left; column <= right; column += 1) {
      const at = row * raster.width + column;
      if (!raster.known[at] || label[at] !== 0) continue;
      cells.push(at);
      if (Math.min(row - top, bottom - row, column - left, right - column) < 3) rim.push(at);
    }
  const picked: number[] = [];
  label.forEach((value, at) => value === 1 && picked.push(at));
  if (rim.length === 0) return;
  const [sheet, piece] = [paletteOf(raster, rim, 4), paletteOf(raster, picked, 3)];
  const [l, a, b] = raster.channels;
  for (const at of cells) {
    const colour = [itemAt(l, at), itemAt(a, at), itemAt(b, at)];
    if (nearest(sheet, colour) < 0.25 * nearest(piece, colour)) label[at] = -1;
  }
}

function seedsOf(raster: Raster, input: TraceInput, plane: (p: Point) => Point): Seeds {
  const { width, height, known } = raster;
  const label = new Int8Array(width * height);
  const border = Math.max(1, Math.round(BORDER * Math.max(width, height)));
  const open = (column: number, row: number) =>
    column >= 0 && row >= 0 && column < width && row < height && known[row * width + column] === 1;
  for (let row = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1) {
      const deep =
        open(column - border, row) &&
        open(column + border, row) &&
        open(column, row - border) &&
        open(column, row + border);
      if (open(column, row) && !deep) label[row * width + column] = -1;
    }
  const radius = Math.max(1.5, PICK * Math.max(width, height));
  const dab = (place: Point, value: 1 | -1) => {
    const [x, y] = toCell(raster, plane(place));
    for (let row = Math.ceil(y - radius); row <= y + radius; row += 1)
      for (let column = Math.ceil(x - radius); column <= x + radius; column += 1)
        if (open(column, row) && Math.hypot(column - x, row - y) <= radius)
          label[row * width + column] = value;
  };
  for (const place of input.outside) dab(place, -1);
  for (const place of [...input.inside, ...input.places]) dab(place, 1);
  if (!input.referenceIsPiece) markSheet(raster, label, input.reference);
  return { label };
}

/** Whether a ring comes to where the picture ends. */
function reachesBorder(raster: Raster, ring: readonly Point[]): boolean {
  const margin = BORDER * Math.max(raster.width, raster.height) + 2;
  return ring.some(([x, y]) => {
    const at = Math.round(y) * raster.width + Math.round(x);
    const far =
      x < margin || y < margin || x > raster.width - 1 - margin || y > raster.height - 1 - margin;
    return far || !raster.known[at];
  });
}

/** Unsure cells for each cell of the contour: about one where the edge is sharp. */
function unclearness({ known }: Raster, inside: Float64Array, ring: readonly Point[]): number {
  const unsure = inside.reduce((sum, u, i) => sum + (known[i] && u > 0.3 && u < 0.7 ? 1 : 0), 0);
  return unsure / ring.length;
}

const middleOf = (points: readonly Point[]): Point => [
  points.reduce((s, p) => s + p[0], 0) / points.length,
  points.reduce((s, p) => s + p[1], 0) / points.length,
];

/** Boundaries of each place that was picked, in the order of the picks. */
function cutsOf(face: TracedFace, picks: readonly Point[], inside: readonly Point[]) {
  return picks.map((pick, i) =>
    placeEdges(face, pick, [...inside, ...picks.filter((_, k) => k !== i)]),
  );
}

/** A line on the plane of the reference in the outline's coordinates, and as the picture shows it. */
const placed = (line: PlaceLine, view: View, heightM: number, [cx, cy]: Point) => ({
  closed: line.closed,
  points: correctHeight(line.points, view.pose, heightM).map(([x, y]): Point => [x - cx, y - cy]),
  px: line.points.map((p) => project(view.toPicture, p)),
});

/** A little more than the piece. */
function boxRound(widthM: number, heightM: number): PlaneBox {
  const margin = 0.15 * Math.max(widthM, heightM);
  const [right, high] = [widthM / 2 + margin, heightM / 2 + margin];
  return { left: -right, right, low: -high, high };
}

/**
 * Traces the outline of a piece in a picture. A generator, so that whoever runs it can show progress and
 * stop between the steps: it yields the share done, and returns the result.
 * @param finePx pixels along the longer side of the straightened picture
 * @param input picture, the marked corners of something of known size, places picked inside the piece
 * @returns outline and measure, or one issue: those of `viewOf`; `required` at `inside` (no pick in the
 *   picture); `does-not-fit` at `inside` (nothing was found round the pick)
 * Source: the steps name theirs; tolerances chosen on drawn test pictures (see trace.bench.ts).
 */
export function* tracePiece(
  input: TraceInput,
  finePx = FINE_PX,
): Generator<number, Result<Traced>> {
  const { picture, heightM } = input;
  const size = { widthPx: picture.widthPx, heightPx: picture.heightPx };
  const asMarked = viewOf({ corners: input.corners, reference: input.reference, size });
  if (!asMarked.ok) return asMarked;
  const found = refineCorners(picture, input.corners);
  const marks: Omit<Marks, 'size'> = { corners: found.corners, reference: input.reference };
  const viewed = viewOf({ ...marks, size });
  if (!viewed.ok) return viewed;
  const view = viewed.value;
  const [pick] = input.inside;
  if (!pick) return fail({ code: 'required', path: ['inside'], value: [] });
  const plane = (p: Point): Point => project(view.toPlane, p);
  const { corners } = marks;
  const box = visibleBox(view.toPlane, picture, middleOf(corners));
  const fine = rectify(picture, view.toPicture, box, finePx);
  yield 0.25;
  const factor = Math.max(1, Math.round(Math.max(fine.width, fine.height) / COARSE_PX));
  const coarse = opponentRaster(shrink(fine, factor));
  const seeds = seedsOf(coarse, input, plane);
  yield 0.35;
  const parted = segment(coarse, seeds);
  if (!parted) return fail({ code: 'does-not-fit', path: ['inside'], value: 'stopped' });
  yield 0.7;
  const rough = contourOf(coarse, parted.inside, toCell(coarse, plane(pick)));
  if (!rough || rough.length < 8)
    return fail({ code: 'does-not-fit', path: ['inside'], value: 'nothing found round the pick' });
  const start = rough.map((p) => toCell(fine, fromCell(coarse, p)));
  const reach = Math.max(2, Math.round(REACH_CELLS * factor));
  const edge = refineEdge(fine, start, parted.piece, parted.rest, reach);
  yield 0.9;
  const seen = edge.map((p) => fromCell(fine, p));
  const face = { coarse, fine, edge: seen, reachCells: reach };
  const places = cutsOf(face, input.places.map(plane), input.inside.map(plane));
  const lifted = correctHeight(seen, view.pose, heightM);
  const fitted = soundOutline(lifted, Math.max(FIT_TOLERANCE.m, FIT_TOLERANCE.cells * fine.stepM));
  const { middle: centre, widthM, heightM: tall } = pathBox(fitted);
  const outline = mapPath(fitted, ([x, y]) => [x - centre[0], y - centre[1]]);
  // The measure is that of the outline which is kept, back in the picture.
  const scale = 1 / (1 - heightM / view.pose.heightM);
  const [fx, fy] = view.pose.foot;
  const ringPx = flattenPath(fitted, Math.max(widthM, tall) * 2e-4).map(([x, y]) =>
    project(view.toPicture, [fx + (x - fx) * scale, fy + (y - fy) * scale]),
  );
  const measure = measureTraced(
    ringPx,
    { ...marks, size },
    {
      ...MEASURE_DEFAULTS,
      heightM,
      markSigmaPx: found.refined.map((moved) => (moved ? REFINED_SIGMA_PX : MARK_SIGMA_PX)),
    },
  );
  if (!measure) return fail({ code: 'does-not-fit', path: ['inside'], value: 'not measurable' });
  const share = (input.reference.widthM * input.reference.heightM) / Math.abs(pathArea(fitted));
  return ok({
    outline,
    ringPx,
    cuts: places.flat().map((line) => placed(line, view, heightM, centre)),
    corners: found.corners,
    refined: found.refined,
    measure,
    warnings: [
      ...(reachesBorder(coarse, rough) ? (['reaches the border'] as const) : []),
      ...(share < SMALL_REFERENCE ? (['reference small'] as const) : []),
      ...(unclearness(coarse, parted.inside, rough) > UNCLEAR ? (['edge unclear'] as const) : []),
      ...(places.some((lines) => lines.length === 0) ? (['place not found'] as const) : []),
    ],
    box: boxRound(widthM, tall),
    centre,
    tiltRad: view.pose.tiltRad,
  });
}

/** Runs a trace to its end, without a pause. */
export function runTrace(input: TraceInput, finePx = FINE_PX): Result<Traced> {
  const steps = tracePiece(input, finePx);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
