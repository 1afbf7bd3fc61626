import {
  checkShape,
  corners,
  POLYGON_SIDES,
  shapePath,
  SIZE_LIMITS_M,
  type Point,
  type Shape,
} from '@/core/geometry';
import { FieldReader } from '@/features/common/fieldReader';
import type { Format } from '@/features/common/useFormat';
import { fitEdges, sideCount, type AreaDraft } from './draft';

/** The shape of an area; faults go to `prefix` + field. */
export function readShape(
  area: AreaDraft,
  reader: FieldReader<string>,
  prefix: string,
): Shape | null {
  const size = (field: 'width' | 'height') =>
    reader.quantity(prefix + field, area[field], 'length', SIZE_LIMITS_M);
  const { keepBare } = area;
  const bare = keepBare.length > 0 ? { keepBare } : {};
  switch (area.shape) {
    case 'rectangle':
    case 'ellipse':
      return { kind: area.shape, widthM: size('width'), heightM: size('height'), ...bare };
    case 'roundedRectangle':
      return {
        kind: area.shape,
        widthM: size('width'),
        heightM: size('height'),
        radiusM: reader.quantity(`${prefix}radius`, area.radius, 'length'),
        ...bare,
      };
    case 'disc':
      return { kind: area.shape, diameterM: size('width'), ...bare };
    case 'regularPolygon':
      return {
        kind: area.shape,
        sides: reader.whole(`${prefix}sides`, area.sides, POLYGON_SIDES.min, POLYGON_SIDES.max),
        sizeM: size('width'),
        across: area.across,
        ...bare,
      };
    case 'outline':
      if (!area.outline)
        reader.errors[`${prefix}outline`] =
          'Draw the outline, trace a photo or choose a drawing file.';
      return area.outline && { kind: 'outline', outer: area.outline, keepBare };
  }
}

/** The shape as far as it is known now: what can be drawn, sound or not. */
export function shapeNow(area: AreaDraft, format: Format): Shape | null {
  const reader = new FieldReader<string>(format);
  const shape = readShape(area, reader, '');
  if (!reader.sound || !shape) return null;
  return shape.kind === 'outline' || checkShape({ ...shape, keepBare: [] }).ok ? shape : null;
}

/** The shape made free: its corners and curves can then be moved one by one. */
export function freeOutline(area: AreaDraft, format: Format): AreaDraft {
  const shape = shapeNow(area, format);
  if (!shape || area.shape === 'outline') return area;
  const outline = shapePath(shape);
  const next: AreaDraft = { ...area, shape: 'outline', outline, measured: { by: 'rule' } };
  return { ...next, edges: fitEdges(area.edges, sideCount(next)) };
}

/** Box of the drawn areas in plan coordinates, m. */
export function planPoints(area: AreaDraft, format: Format): Point[] {
  const shape = shapeNow(area, format);
  const path = shape ? shapePath(shape) : area.outline;
  const all = path ? corners(path) : [];
  return all.map(([x, y]): Point => [x + area.at[0], y + area.at[1]]);
}
