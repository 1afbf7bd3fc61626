import { placeOf } from '@/core/coat';
import type { Area } from '@/records';

type Surveyed = Omit<Area, 'id' | 'pieceId'> & { readonly id: Area['id'] | null };

/**
 * Areas of a survey whose places have the outlines and edges that their faces are cut into.
 * @throws RangeError where a cut cannot be made: `partition` is asked before
 */
export const placedAreas = <A extends Surveyed>(areas: readonly A[]): readonly A[] =>
  areas.map((area) => {
    const whole = areas.find((a) => a.id !== null && a.id === area.partOf);
    if (!whole || whole.id === null || area.id === null) return area;
    const place = placeOf({ ...whole, id: whole.id }, area.id);
    if (!place) return area;
    const edges = place.edges.map((e) => ({ ...e, wallM: e.wallM ?? null }));
    const { kind, at, measured } = whole;
    return { ...area, ...{ kind, at, measured, edges, shape: place.shape } };
  });
