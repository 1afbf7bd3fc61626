import { insideRing, shapeSides } from '@/core/geometry';
import type { Area } from '@/records';

/** The areas of a piece as work meets them, and the faces that are cut. */
export interface Places {
  /** What coats, layers, sanding and masks act on: places, and areas that are not cut. */
  readonly areas: readonly Area[];
  /** Faces that are cut into places. */
  readonly wholes: readonly Area[];
  /** What is drawn of the piece: every outline once, cut or not. */
  readonly drawn: readonly Area[];
}

const known = new WeakMap<readonly Area[], Places>();

/** Recesses that know which of several faces or places they lie in, by their middle. */
function located(areas: readonly Area[]): readonly Area[] {
  const faces = areas.filter((a) => a.kind === 'face');
  if (faces.length < 2) return areas;
  const rings = faces.map(({ id, shape, at }) => ({
    ...{ id, at },
    ring: shapeSides(shape).flatMap((side) => side.slice(1)),
  }));
  return areas.map((area) => {
    if (area.kind !== 'recess') return area;
    const [x, y] = area.at;
    const face = rings.find(({ ring, at }) => insideRing([x - at[0], y - at[1]], ring));
    return { ...area, liesIn: face?.id ?? null };
  });
}

/** Rows of one piece sorted into what is worked on and what is cut; the same rows give the same lists. */
export function placesIn(rows: readonly Area[]): Places {
  const before = known.get(rows) ?? {
    areas: located(rows.filter((a) => a.cuts.length === 0)),
    wholes: rows.filter((a) => a.cuts.length > 0),
    drawn: rows.filter((a) => a.partOf === null),
  };
  known.set(rows, before);
  return before;
}
