import { domeFieldSteps, FIELD_TOLERANCE, maskMean, type FieldSide } from '../capillary';
import { domeShapeOf } from './domeShape';
import { coarsened, layeredField, type Grid } from './fieldGrid';
import {
  checkShape,
  flattenPath,
  measureShape,
  shapeBox,
  shapeSides,
  type Point,
  type Shape,
} from '../geometry';
import { itemAt, drain } from '../numeric';
import { fail, ok, type Result } from '../result';

export interface FieldInput {
  readonly shape: Shape;
  /** One for each side of the shape: a wall holds the film up, at any other rim it ends. */
  readonly walls: readonly boolean[];
  /** Capillary length of the mix, m. */
  readonly lengthM: number;
  /** About how many cells the grid may have. */
  readonly cells: number;
}

/** How a film lies on a face: its thickness over its mean, on a grid. */
export interface FilmField {
  readonly columns: number;
  readonly rows: number;
  readonly cellM: number;
  readonly originM: Point;
  /** Thickness over the mean, row by row from the bottom; 0 outside. */
  readonly shares: Float64Array;
  /** Room of each cell, in cells; 0 outside. The sum of room × share × cell² is the area. */
  readonly rooms: Float64Array;
  /** Mean of the film over its height far from the rim. */
  readonly mean: number;
}

export const CELL_LIMITS = { min: 200, max: 200_000 } as const;
/** Cells of the box round an outline, those outside it included. */
const MOST_BOX_CELLS = 1e6;

/** Cell over the capillary length up to which the grid sees a rim: good to 0.06 %. */
const RIM_CELL = 0.5;
/** Finest grid worth its time, cell over the capillary length: the peak of a small disc is good to 0.1 %. */
const FINEST = 0.05;
/** Cells of a grid that is solved; a larger face has its rims laid on by the law of a straight one. */
const MOST_SOLVED = 150_000;

/**
 * Solves the shape of a film on any outline, step by step: yields the share that is done, 0–1.
 * @param input lengths in m; `cells` 200 to 200,000
 * @returns shares of the mean on a grid; the faults of the shape, `out-of-range`, `does-not-fit` when walls and
 *   sides differ in number or the outline is too thin for its size, or `not-converged`
 * Source: `domeField`; on large faces `layeredField`, and the mean in closed form; parts kept bare are rims, where the film ends.
 */
export function* filmFieldSteps({
  shape,
  walls,
  lengthM,
  cells,
}: FieldInput): Generator<number, Result<FilmField>, void> {
  const checked = checkShape(shape);
  if (!checked.ok)
    return fail(...checked.issues.map((issue) => ({ ...issue, path: ['shape', ...issue.path] })));
  const sides = shapeSides(shape);
  if (walls.length !== sides.length)
    return fail({ code: 'does-not-fit', path: ['walls'], value: walls.length });
  const { min, max } = CELL_LIMITS;
  if (!(cells >= min && cells <= max))
    return fail({ code: 'out-of-range', path: ['cells'], value: cells, allowed: { min, max } });
  if (!(lengthM > 1e-5 && lengthM < 0.1))
    return fail({
      code: 'out-of-range',
      path: ['lengthM'],
      value: lengthM,
      allowed: { min: 1e-5, max: 0.1 },
    });
  const { areaM2 } = measureShape(shape);
  const { widthM, heightM } = shapeBox(shape);
  const shownM = Math.sqrt(areaM2 / cells);
  const cellM = Math.min(Math.max(shownM, FINEST * lengthM), Math.sqrt(areaM2) / 8);
  // The grid covers the box of the outline: a thin strip askew would fill it with cells that hold nothing.
  const boxed = (m: number) => (widthM / m) * (heightM / m);
  if (!(boxed(cellM) <= MOST_BOX_CELLS))
    return fail({
      code: 'does-not-fit',
      path: ['shape'],
      value: Math.round(boxed(cellM)),
      allowed: { max: MOST_BOX_CELLS },
    });
  const ends: FieldSide[] = sides.map((points, i) => ({ points, wall: itemAt(walls, i) }));
  const bare = (shape.keepBare ?? []).map((path): FieldSide => ({
    points: closed(flattenPath(path, Math.min(cellM, lengthM) / 4)),
    wall: false,
  }));
  const outline = [...ends, ...bare];
  // Cells as large as they are shown, cut small enough for the rim.
  const cut = Math.ceil(cellM / (RIM_CELL * lengthM));
  if (boxed(cellM / cut) > MOST_SOLVED) {
    const mean = maskMean(domeShapeOf(shape, walls), lengthM);
    return ok(normalised(layeredField(outline, lengthM, cellM), areaM2, mean));
  }
  const field = yield* shared(domeFieldSteps(outline, lengthM, cellM / cut));
  if (field.outcome !== 'converged')
    return fail({ code: 'not-converged', path: ['shape'], value: field.outcome });
  const mean = Math.min(1, (field.volume * field.cellM ** 2) / areaM2);
  return ok(coarsened(normalised(field, areaM2, mean), cut));
}

/** What is left of the equation falls by the same factor each step: the share done goes by its logarithm. */
function* shared<R>(steps: Generator<number, R, void>): Generator<number, R, void> {
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value;
    yield Math.min(1, Math.max(0, Math.log(next.value) / Math.log(FIELD_TOLERANCE)));
  }
}

/** {@link filmFieldSteps} in one go. */
export const filmField = (input: FieldInput): Result<FilmField> => drain(filmFieldSteps(input));

const closed = (points: readonly Point[]): Point[] => {
  const [first] = points;
  return first ? [...points, first] : [];
};

/**
 * Gives the cells at a rim the room that the trapezoids of the solver leave out beside it, and scales shares to a mean
 * of one, so that rooms come to the area and the middle keeps its height.
 */
function normalised(field: Grid, areaM2: number, mean: number): FilmField {
  const { columns, rows, cellM, originM } = field;
  const area = areaM2 / cellM ** 2;
  let [held, room, rim] = [0, 0, 0];
  const missing = (i: number): number => {
    const own = field.rooms[i] as number;
    const under = 1 - (field.shares[i] as number);
    // Beside a wall the film is level, but for what the solver leaves.
    return own > 0 && own !== 1 && under > 1e-3 ? under : 0;
  };
  for (let i = 0; i < field.shares.length; i += 1) {
    held += (field.rooms[i] as number) * (field.shares[i] as number);
    room += field.rooms[i] as number;
    rim += missing(i);
  }
  const more = rim > 0 ? Math.max(0, area - room) / rim : 0;
  const even = area / (room + more * rim);
  const rooms = field.rooms.map((v, i) => (v + more * missing(i)) * even);
  const shares = field.shares.map((v, i) =>
    v === 0 ? 0 : ((v * (field.rooms[i] as number)) / (rooms[i] as number)) * (area / held),
  );
  return { columns, rows, cellM, originM, mean, shares, rooms };
}
