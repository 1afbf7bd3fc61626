import { domeField, type DomeField, type FieldSide } from '../capillary';
import {
  checkShape,
  flattenPath,
  measureShape,
  shapeBox,
  shapeSides,
  type Point,
  type Shape,
} from '../geometry';
import { fail, ok, type Result } from '../result';
import { BELLY_MEAN_SHARE } from './rimLines';

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
  readonly shares: readonly number[];
  /** Room of each cell, in cells; 0 outside. The sum of room × share × cell² is the area. */
  readonly rooms: readonly number[];
  /** Mean of the film over its height far from the rim. */
  readonly mean: number;
}

export const CELL_LIMITS = { min: 200, max: 200_000 } as const;
/** Cells of the box round an outline, those outside it included. */
const MOST_BOX_CELLS = 1e6;

/** Finest grid worth its time: a cell of this share of the capillary length is good to 0.02 %. */
const FINEST = 0.4;

/**
 * Solves the shape of a film on any outline.
 * @param input lengths in m; `cells` 200 to 200,000
 * @returns shares of the mean on a grid; the faults of the shape, `out-of-range`, `does-not-fit` when walls and
 *   sides differ in number or the outline is too thin for its size, or `not-converged`
 * Source: `domeField`; parts kept bare are taped, so they are walls.
 */
export function filmField({ shape, walls, lengthM, cells }: FieldInput): Result<FilmField> {
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
  const ends: FieldSide[] = sides.map((points, i) => ({ points, wall: walls[i] ?? false }));
  const bare = (shape.keepBare ?? []).map((path): FieldSide => ({
    points: closed(flattenPath(path, cellM / 4)),
    wall: true,
  }));
  const field = domeField([...ends, ...bare], lengthM, cellM);
  if (field.outcome !== 'converged')
    return fail({ code: 'not-converged', path: ['shape'], value: field.outcome });
  return ok(normalised(field, areaM2));
}

const closed = (points: readonly Point[]): Point[] => {
  const [first] = points;
  return first ? [...points, first] : [];
};

/** Scales rooms to the area of the outline, and shares to a mean of one. */
function normalised(field: DomeField, areaM2: number): FilmField {
  const { columns, rows, cellM, originM, shares, rooms, volume } = field;
  let [held, room] = [0, 0];
  for (let i = 0; i < shares.length; i += 1) {
    held += (rooms[i] ?? 0) * (shares[i] ?? 0);
    room += rooms[i] ?? 0;
  }
  const area = areaM2 / cellM ** 2;
  const scaled = (values: Float64Array, by: number) => Array.from(values, (v) => v * by);
  return {
    ...{ columns, rows, cellM, originM },
    mean: Math.min(1, volume / area),
    shares: scaled(shares, room / held),
    rooms: scaled(rooms, area / room),
  };
}

/** What lies over the even film of a map. */
export interface FilmOver {
  /** Mean film, m. */
  readonly thicknessM: number;
  /** Half of the difference that a tilt makes, m, and the direction in which it gets thicker. */
  readonly wedgeM: number;
  readonly downhill: Point;
  /** How far the middle of a canvas hangs, m. */
  readonly bellyM: number;
}

export interface FilmMap {
  /** Film on each cell, m; 0 outside. */
  readonly filmM: readonly number[];
  readonly greatestM: number;
  readonly volumeM3: number;
}

/** Weighted mean over the cells of a field. */
function meanOf({ rooms }: FilmField, value: (i: number) => number): number {
  let [sum, room] = [0, 0];
  for (let i = 0; i < rooms.length; i += 1) {
    const r = rooms[i] ?? 0;
    if (r === 0) continue;
    sum += r * value(i);
    room += r;
  }
  return sum / room;
}

/**
 * The thickness of a coat on each cell of a field.
 * @param field from `filmField` @param over lengths in m, >= 0
 * @returns m, and their integral, m³
 * Source: the film of the field, a plane wedge that adds its half difference, and the sag of an even load scaled to
 *   its mean; what each adds is the same as on the ledger.
 */
export function filmMap(field: FilmField, over: FilmOver): FilmMap {
  const { columns, cellM, originM, shares, rooms } = field;
  const at = (i: number): Point => [
    originM[0] + (i % columns) * cellM,
    originM[1] + Math.floor(i / columns) * cellM,
  ];
  const along = (i: number) => {
    const [x, y] = at(i);
    return x * over.downhill[0] + y * over.downhill[1];
  };
  const middle = meanOf(field, along);
  let reach = 0;
  for (let i = 0; i < rooms.length; i += 1)
    if ((rooms[i] ?? 0) > 0) reach = Math.max(reach, Math.abs(along(i) - middle));
  const [halfX, halfY] = [(columns * cellM) / 2, (shares.length / columns / 2) * cellM];
  const [midX, midY] = [originM[0] - cellM / 2 + halfX, originM[1] - cellM / 2 + halfY];
  const sag = (i: number) => {
    const [x, y] = at(i);
    return Math.max(0, 1 - ((x - midX) / halfX) ** 2) * Math.max(0, 1 - ((y - midY) / halfY) ** 2);
  };
  const sagMean = meanOf(field, sag);
  let [greatestM, volumeM3] = [0, 0];
  const filmM = shares.map((share, i) => {
    const room = rooms[i] ?? 0;
    if (room === 0) return 0;
    const wedge = reach > 0 ? over.wedgeM * (1 + (along(i) - middle) / reach) : over.wedgeM;
    const film =
      over.thicknessM * share + wedge + (over.bellyM * BELLY_MEAN_SHARE * sag(i)) / sagMean;
    greatestM = Math.max(greatestM, film);
    volumeM3 += room * film * cellM ** 2;
    return film;
  });
  return { filmM, greatestM, volumeM3 };
}
