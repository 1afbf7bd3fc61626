import { domeField, maskMean } from '../capillary';
import { flattenPath, shapeSides, type Shape } from '../geometry';
import { CLOSED_FORM_SIDE } from './domeOn';
import { domeShapeOf, type DomeShape } from './domeShape';

/** Cells of the grid on which an odd outline is solved, and more than which it is too large to be odd. */
const CELLS = 1500;
const MOST_CELLS = 40_000;
/** Cell over the capillary length that is good to 0.06 %. */
const CELL_SHARE = 0.5;

const solved = new WeakMap<Shape, Map<string, DomeShape>>();

/**
 * An outline for films, with its linear dome solved on a grid where sides are too short for the closed form:
 * remembered with the shape, so that intention, ledger and checks tell the same.
 * @param walls for each stretch whether a wall stands there @param lengthM capillary length, m
 * Source: `domeField`; parts kept bare are rims.
 */
export function filmShape(shape: Shape, walls: readonly boolean[], lengthM: number): DomeShape {
  const told = domeShapeOf(shape, walls);
  const small = told.areaM2 / (CELL_SHARE * lengthM) ** 2 <= MOST_CELLS;
  const odd = told.shortestM < CLOSED_FORM_SIDE * lengthM || maskMean(told, lengthM) < 0.5;
  if (!small || !odd || told.rimM === 0 || told.discM !== null) return told;
  const here = solved.get(shape) ?? new Map<string, DomeShape>();
  solved.set(shape, here);
  const key = `${walls.join()} ${lengthM}`;
  const known = here.get(key) ?? { ...told, mask: solve(shape, walls, told.areaM2, lengthM) };
  here.set(key, known);
  return known;
}

function solve(shape: Shape, walls: readonly boolean[], areaM2: number, lengthM: number): number {
  const cellM = Math.min(CELL_SHARE * lengthM, Math.sqrt(areaM2 / CELLS));
  const outer = shapeSides(shape).map((points, i) => ({ points, wall: walls[i] === true }));
  const bare = (shape.keepBare ?? []).map((path) => {
    const points = flattenPath(path, cellM / 4);
    return { points: [...points, ...points.slice(0, 1)], wall: false };
  });
  const { volume } = domeField([...outer, ...bare], lengthM, cellM);
  return Math.min(1, (volume * cellM ** 2) / areaM2);
}
