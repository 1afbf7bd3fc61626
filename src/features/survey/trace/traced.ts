import type { Point } from '@/core/geometry';
import type { Traced } from '@/core/trace';
import type { Format } from '@/features/common/useFormat';
import type { Id, Measured } from '@/records';
import { fitEdges, sideCount, type AreaDraft, type SurveyDraft } from '../draft';
import { cutHere, withPlaces } from '../places';

/**
 * Puts a traced outline on an area, and cuts it along the boundaries that the photo showed.
 * @param index of an area that is no place of another
 * @param known what is kept of the photo
 */
export function tracedDraft(
  draft: SurveyDraft,
  index: number,
  { outline, cuts }: Pick<Traced, 'outline' | 'cuts'>,
  known: Measured,
  format: Format,
  makeId: () => Id<'area'>,
): SurveyDraft {
  const put = (area: AreaDraft): AreaDraft => {
    const next: AreaDraft = {
      ...area,
      ...{ shape: 'outline', outline, keepBare: [], measured: known },
    };
    return { ...next, edges: fitEdges(next.edges, sideCount(next)) };
  };
  const outlined = withPlaces(
    { ...draft, areas: draft.areas.map((a, i) => (i === index ? put(a) : a)) },
    format,
  );
  return cuts.reduce((now, line) => {
    const [dx, dy] = now.areas[index]?.at ?? [0, 0];
    const points = line.points.map(([x, y]): Point => [x + dx, y + dy]);
    const made = cutHere(now, index, { points, closed: line.closed }, format, makeId);
    return made.ok ? made.draft : now;
  }, outlined);
}
