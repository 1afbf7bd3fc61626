import {
  centrePath,
  checkShape,
  mapPath,
  pathBox,
  type Outline,
  type Path,
  type Point,
} from '../geometry';
import { fail, ok, type Result } from '../result';
import type { FoundShape } from './drawing';

export interface DrawnOutline {
  readonly outline: Outline;
  /** Each about its own middle, and where that lies on the plan. */
  readonly recesses: readonly { readonly path: Path; readonly at: Point }[];
  /** Other faces of the set, likewise. */
  readonly faces: readonly { readonly path: Path; readonly at: Point }[];
  /** Farthest that thinning moved an outline, m; 0 when nothing was thinned. */
  readonly movedM: number;
}

/** What the shapes of a drawing are, by their indices. */
export interface ShapeRoles {
  readonly outer: number;
  /** Parts that stay bare, recesses, and other faces of the set. */
  readonly bare?: readonly number[];
  readonly recess?: readonly number[];
  readonly also?: readonly number[];
}

const plain = (outer: Path): Outline => ({ kind: 'outline', outer, keepBare: [] });

/**
 * Makes a piece's outline of shapes found in a drawing.
 * @param shapes all found shapes @param roles what each is, by its index @param unitM metres in a drawing unit, > 0
 * @returns the outline in m about the middle of its box, or `required` (no closed shape chosen) and the
 *   faults of `checkShape`
 * Source: geometry; thinning by Douglas & Peucker 1973.
 */
export function outlineFromDrawing(
  shapes: readonly FoundShape[],
  { outer, bare = [], recess = [], also = [] }: ShapeRoles,
  unitM: number,
): Result<DrawnOutline> {
  const chosen = shapes[outer];
  if (!chosen?.closed || !(unitM > 0))
    return fail({ code: 'required', path: ['outer'], value: outer });
  const { middle } = pathBox(chosen.path);
  const place = ([x, y]: Point): Point => [(x - middle[0]) * unitM, (y - middle[1]) * unitM];
  let movedM = 0;
  const placed = ({ path, moved }: FoundShape): Path => {
    movedM = Math.max(movedM, moved * unitM);
    return mapPath(path, place);
  };
  const pick = (indices: readonly number[]) =>
    indices
      .filter((i) => i !== outer)
      .flatMap((i) => (shapes[i]?.closed ? [placed(shapes[i])] : []));
  const outline: Outline = { kind: 'outline', outer: placed(chosen), keepBare: pick(bare) };
  const apart = (indices: readonly number[]) =>
    pick(indices).map((path) => {
      const { path: own, shift } = centrePath(path);
      return { path: own, at: [-shift[0], -shift[1]] as Point };
    });
  const [recesses, faces] = [apart(recess), apart(also)];
  for (const shape of [outline, ...faces.map((f): Outline => plain(f.path))]) {
    const checked = checkShape(shape);
    if (!checked.ok) return checked;
  }
  return ok({ outline, recesses, faces, movedM });
}
