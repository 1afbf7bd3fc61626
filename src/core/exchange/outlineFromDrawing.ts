import { checkShape, mapPath, pathBox, type Outline, type Point } from '../geometry';
import { fail, ok, type Result } from '../result';
import type { FoundShape } from './drawing';

/**
 * Makes a piece's outline of shapes found in a drawing.
 * @param shapes all found shapes @param outer index of the outline @param bare indices of keep-bare parts
 * @param unitM metres in a drawing unit, > 0
 * @returns the outline in m about the middle of its box, or `required` (no closed shape chosen) and the
 *   faults of `checkShape`
 * Source: geometry.
 */
export function outlineFromDrawing(
  shapes: readonly FoundShape[],
  outer: number,
  bare: readonly number[],
  unitM: number,
): Result<Outline> {
  const chosen = shapes[outer];
  if (!chosen?.closed || !(unitM > 0))
    return fail({ code: 'required', path: ['outer'], value: outer });
  const { middle } = pathBox(chosen.path);
  const place = ([x, y]: Point): Point => [(x - middle[0]) * unitM, (y - middle[1]) * unitM];
  const outline: Outline = {
    kind: 'outline',
    outer: mapPath(chosen.path, place),
    keepBare: bare
      .filter((i) => i !== outer)
      .flatMap((i) => (shapes[i]?.closed ? [mapPath(shapes[i].path, place)] : [])),
  };
  const checked = checkShape(outline);
  return checked.ok ? ok(outline) : checked;
}
