'use client';
import { SvgText } from '@/ui/SvgText';
import { useSurvey } from '../SurveyContext';
import { DragPoint } from './DragPoint';
import { usePlan } from './planView';

/** Hardware marks and props, to be dragged to their places. */
export function MarkPoints({ active }: { active: boolean }) {
  const { draft, edit, rest } = useSurvey();
  const { onScreen, size } = usePlan();
  if (!active) return null;
  return (
    <>
      {draft.marks.map((mark, i) => {
        const [x, y] = onScreen(mark.at);
        return (
          <g key={`mark ${i}`}>
            <SvgText
              x={x + (x > size.width * 0.7 ? -12 : 12)}
              y={y - 10}
              size={12}
              textAnchor={x > size.width * 0.7 ? 'end' : 'start'}
              halo="var(--bm-colors-card)"
            >
              {mark.name}
            </SvgText>
            <DragPoint
              at={mark.at}
              look="mark"
              label={`${mark.name || `Mark ${i + 1}`}; arrow keys move it`}
              onMove={(at) =>
                edit(
                  (d) => ({ ...d, marks: d.marks.map((m, k) => (k === i ? { ...m, at } : m)) }),
                  `mark place ${i}`,
                )
              }
              onEnd={rest}
            />
          </g>
        );
      })}
      {draft.level.props.map((prop, i) => {
        const [x, y] = onScreen(prop);
        return (
          <g key={`prop ${i}`}>
            <SvgText x={x + 12} y={y + 4} size={12} halo="var(--bm-colors-card)">
              Prop {i + 1}
            </SvgText>
            <DragPoint
              at={prop}
              look="prop"
              label={`Prop ${i + 1}; arrow keys move it`}
              onMove={(at) =>
                edit(
                  (d) => ({
                    ...d,
                    level: { ...d.level, props: d.level.props.map((p, k) => (k === i ? at : p)) },
                  }),
                  `prop place ${i}`,
                )
              }
              onEnd={rest}
            />
          </g>
        );
      })}
    </>
  );
}
