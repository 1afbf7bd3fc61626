import { domeFieldSteps, FIELD_TOLERANCE, type DomeField, type FieldSide } from '../capillary';
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

/** Finest grid worth its time: a cell of this share of the capillary length is good to 0.02 %. */
const FINEST = 0.4;

/**
 * Solves the shape of a film on any outline, step by step: yields the share that is done, 0–1.
 * @param input lengths in m; `cells` 200 to 200,000
 * @returns shares of the mean on a grid; the faults of the shape, `out-of-range`, `does-not-fit` when walls and
 *   sides differ in number or the outline is too thin for its size, or `not-converged`
 * Source: `domeField`; parts kept bare are taped, so they are walls.
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
  const cellM = Math.min(
    Math.max(Math.sqrt(areaM2 / cells), FINEST * lengthM),
    Math.sqrt(areaM2) / 8,
  );
  // The grid covers the box of the outline: a thin strip askew would fill it with cells that hold nothing.
  const box = (widthM / cellM) * (heightM / cellM);
  if (!(box <= MOST_BOX_CELLS))
    return fail({
      code: 'does-not-fit',
      path: ['shape'],
      value: Math.round(box),
      allowed: { max: MOST_BOX_CELLS },
    });
  const ends: FieldSide[] = sides.map((points, i) => ({ points, wall: itemAt(walls, i) }));
  const bare = (shape.keepBare ?? []).map((path): FieldSide => ({
    points: closed(flattenPath(path, cellM / 4)),
    wall: true,
  }));
  const field = yield* shared(domeFieldSteps([...ends, ...bare], lengthM, cellM));
  if (field.outcome !== 'converged')
    return fail({ code: 'not-converged', path: ['shape'], value: field.outcome });
  return ok(normalised(field, areaM2));
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

/** Scales rooms to the area of the outline, and shares to a mean of one. */
function normalised(field: DomeField, areaM2: number): FilmField {
  const { columns, rows, cellM, originM, shares, rooms, volume } = field;
  let [held, room] = [0, 0];
  for (let i = 0; i < shares.length; i += 1) {
    held += (rooms[i] as number) * (shares[i] as number);
    room += rooms[i] as number;
  }
  const area = areaM2 / cellM ** 2;
  const scaled = (values: Float64Array, by: number) => values.map((v) => v * by);
  return {
    ...{ columns, rows, cellM, originM },
    mean: Math.min(1, volume / area),
    shares: scaled(shares, room / held),
    rooms: scaled(rooms, area / room),
  };
}
