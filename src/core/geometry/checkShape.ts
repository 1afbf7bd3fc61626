import { fail, ok, type Issue, type Result } from '../result';
import { bareIssues, outlineIssues } from './outline';
import { maxRadiusM, POLYGON_SIDES, SIZE_LIMITS_M, type Shape } from './shape';
import { shapePath } from './shapePath';

function sizeIssue(name: string, value: number): Issue[] {
  if (value >= SIZE_LIMITS_M.min && value <= SIZE_LIMITS_M.max) return [];
  return [{ code: 'out-of-range', path: [name], value, allowed: SIZE_LIMITS_M }];
}

function shapeIssues(shape: Shape): Issue[] {
  switch (shape.kind) {
    case 'rectangle':
    case 'ellipse':
      return [...sizeIssue('widthM', shape.widthM), ...sizeIssue('heightM', shape.heightM)];
    case 'roundedRectangle': {
      const max = maxRadiusM(shape.widthM, shape.heightM);
      const radius: Issue[] =
        shape.radiusM >= 0 && shape.radiusM <= max
          ? []
          : [
              {
                code: 'does-not-fit',
                path: ['radiusM'],
                value: shape.radiusM,
                allowed: { min: 0, max },
              },
            ];
      return [
        ...sizeIssue('widthM', shape.widthM),
        ...sizeIssue('heightM', shape.heightM),
        ...radius,
      ];
    }
    case 'disc':
      return sizeIssue('diameterM', shape.diameterM);
    case 'regularPolygon': {
      const { sides } = shape;
      const fits =
        Number.isInteger(sides) && sides >= POLYGON_SIDES.min && sides <= POLYGON_SIDES.max;
      const count: Issue[] = fits
        ? []
        : [{ code: 'out-of-range', path: ['sides'], value: sides, allowed: POLYGON_SIDES }];
      return [...sizeIssue('sizeM', shape.sizeM), ...count];
    }
    case 'outline':
      return outlineIssues(shape.outer, shape.keepBare, SIZE_LIMITS_M);
  }
}

/**
 * Checks that a shape can lie on a bench.
 * @returns the shape itself, or every fault with the name of the dimension:
 *   `out-of-range` (1 mm to 10 m; 3 to 60 sides), `does-not-fit` (corner radius, bare part outside) or
 *   `not-allowed` (an outline that crosses itself, at the place in `value`).
 */
export function checkShape(shape: Shape): Result<Shape> {
  const own = shapeIssues(shape);
  const bare = shape.kind === 'outline' ? [] : (shape.keepBare ?? []);
  const issues = own.length > 0 || bare.length === 0 ? own : bareIssues(shapePath(shape), bare);
  return issues.length > 0 ? fail(...issues) : ok(shape);
}
