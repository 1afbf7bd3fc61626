'use client';
import { flattenPath, ringCentroid, shapePath, type Point } from '@/core/geometry';
import { SvgText } from '@/ui/SvgText';
import type { AreaDraft } from '../draft';
import { shapeNow } from '../readShape';
import { useSurvey } from '../SurveyContext';
import { usePlan } from './planView';

/** The names of the places of a face, where each lies: a click chooses it. */
export function PlaceNames({ visible }: { visible: readonly AreaDraft[] }) {
  const { draft, area, format, select } = useSurvey();
  const { onScreen } = usePlan();
  return visible
    .filter((a) => a.partOf !== null)
    .map((place) => {
      const shape = shapeNow(place, format);
      if (!shape) return null;
      const middle: Point = ringCentroid(flattenPath(shapePath(shape), 1e-3));
      const [x, y] = onScreen([middle[0] + place.at[0], middle[1] + place.at[1]]);
      const chosen = place === area;
      return (
        <g
          key={place.id}
          onClick={(e) => {
            e.stopPropagation();
            select(draft.areas.indexOf(place));
          }}
          style={{ cursor: 'pointer' }}
        >
          <SvgText
            x={x}
            y={y}
            size={chosen ? 16 : 13.5}
            weight={600}
            family="heading"
            textAnchor="middle"
            halo="var(--bm-colors-card)"
            aria-hidden
          >
            {place.name}
          </SvgText>
          {place.bare && (
            <SvgText
              x={x}
              y={y + 16}
              size={12}
              textAnchor="middle"
              halo="var(--bm-colors-card)"
              aria-hidden
            >
              stays bare
            </SvgText>
          )}
        </g>
      );
    });
}
