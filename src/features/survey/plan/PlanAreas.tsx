'use client';
import { shapePath, shapeSides, type Point } from '@/core/geometry';
import { EDGE_STROKE } from '@/features/common/Outline';
import { SvgText } from '@/ui/SvgText';
import { HAND_LINE } from '@/ui/touch';
import { fitEdges, sideCount, type AreaDraft } from '../draft';
import { shapeNow } from '../readShape';
import { useSurvey } from '../SurveyContext';
import { edgeName } from '../words';
import { pathD } from './pathD';
import { usePlan, type Chosen } from './planView';

interface EdgesProps {
  readonly area: AreaDraft;
  readonly sides: readonly (readonly Point[])[];
  readonly place: (p: Point) => Point;
}

/** The edges of the chosen area, each to be clicked. */
function Edges({ area, sides, place }: EdgesProps) {
  const { edge, selectEdge, format } = useSurvey();
  const edges = fitEdges(area.edges, sideCount(area));
  return sides.map((side, i) => {
    const kind = edges[i]?.kind ?? 'open';
    const stroke = EDGE_STROKE[kind];
    const points = side.map(place);
    const drawn = points.map((p) => p.join(',')).join(' ');
    const length = side.reduce((sum, p, k) => {
      const q = side[k + 1];
      return q ? sum + Math.hypot(q[0] - p[0], q[1] - p[1]) : sum;
    }, 0);
    const middle = points[Math.floor((points.length - 1) / 2)] ?? [0, 0];
    const next = points[Math.ceil((points.length - 1) / 2)] ?? middle;
    return (
      <g
        key={i}
        role="button"
        tabIndex={0}
        aria-pressed={edge === i}
        aria-label={`${edgeName(area, i, sides.length)}, ${kind}, ${format.show(length, 'length').text}`}
        onClick={() => selectEdge(edge === i ? null : i)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          selectEdge(edge === i ? null : i);
        }}
        style={{ cursor: 'pointer' }}
        className="plan-edge"
      >
        <polyline {...HAND_LINE} points={drawn} />
        {edge === i && (
          <polyline
            points={drawn}
            fill="none"
            stroke="var(--bm-colors-amber)"
            strokeWidth="11"
            opacity="0.55"
          />
        )}
        <polyline
          points={drawn}
          fill="none"
          stroke={stroke.colour}
          strokeWidth={stroke.width}
          strokeDasharray={stroke.dash}
        />
        {sides.length > 1 && sides.length <= 24 && (
          <SvgText
            x={(middle[0] + next[0]) / 2}
            y={(middle[1] + next[1]) / 2 + 4}
            size={12}
            weight={600}
            textAnchor="middle"
            halo="var(--bm-colors-card)"
            aria-hidden
          >
            {i + 1}
          </SvgText>
        )}
      </g>
    );
  });
}

interface AreaProps {
  readonly area: AreaDraft;
  readonly selected: boolean;
  readonly chosen: Chosen | null;
  readonly underlay: boolean;
  readonly onChooseBare: (index: number) => void;
}

/** One area: its ground, what stays bare, and its edges when it is the chosen one. */
export function PlanArea({ area, selected, chosen, underlay, onChooseBare }: AreaProps) {
  const { format } = useSurvey();
  const { onScreen } = usePlan();
  const shape = shapeNow(area, format);
  const place = ([x, y]: Point): Point => onScreen([x + area.at[0], y + area.at[1]]);
  const path = shape ? shapePath(shape) : area.outline;
  if (!path) return null;
  const recess = area.kind === 'recess';
  // Holes of a place are other places, not bare parts of its own.
  const bareParts = area.partOf === null ? area.keepBare : [];
  return (
    <g opacity={selected ? 1 : 0.75}>
      <path
        d={pathD(path, place)}
        fill={
          area.cuts.length > 0
            ? 'none'
            : area.bare
              ? 'url(#keep-bare)'
              : recess
                ? 'url(#hatch-plastic)'
                : 'var(--bm-colors-amber-wash)'
        }
        fillOpacity={underlay ? 0.35 : 1}
        stroke={selected ? 'none' : 'var(--bm-colors-ink)'}
        strokeWidth="1.5"
        strokeDasharray={recess ? '3 2' : undefined}
      />
      {bareParts.map((bare, i) => (
        <path
          key={i}
          d={pathD(bare, place)}
          fill="url(#keep-bare)"
          fillOpacity={underlay ? 0.5 : 1}
          stroke="var(--bm-colors-oxide)"
          strokeWidth={chosen?.part === i ? 3 : 1.4}
          strokeDasharray="5 3"
          {...(selected && {
            role: 'button',
            tabIndex: 0,
            'aria-label': `Bare part ${i + 1}`,
            'aria-pressed': chosen?.part === i,
            onClick: () => onChooseBare(i),
            onKeyDown: (e: { key: string; preventDefault: () => void }) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              onChooseBare(i);
            },
            style: { cursor: 'pointer' },
            className: 'plan-edge',
          })}
        />
      ))}
      {selected && shape && <Edges area={area} sides={shapeSides(shape)} place={place} />}
    </g>
  );
}

/** Lines of the grid, and heavier ones each ten. */
export function Grid() {
  const { view, size, gridM } = usePlan();
  const lines = (from: number, to: number) => {
    const first = Math.ceil(from / gridM);
    const count = Math.min(400, Math.floor(to / gridM) - first + 1);
    return Array.from({ length: Math.max(0, count) }, (_, i) => first + i);
  };
  const half = [size.width / 2 / view.scale, size.height / 2 / view.scale] as const;
  const x = (n: number) => size.width / 2 + (n * gridM - view.middle[0]) * view.scale;
  const y = (n: number) => size.height / 2 - (n * gridM - view.middle[1]) * view.scale;
  const d = (heavy: boolean) =>
    [
      ...lines(view.middle[0] - half[0], view.middle[0] + half[0])
        .filter((n) => (n % 10 === 0) === heavy)
        .map((n) => `M${x(n).toFixed(1)} 0 V${size.height}`),
      ...lines(view.middle[1] - half[1], view.middle[1] + half[1])
        .filter((n) => (n % 10 === 0) === heavy)
        .map((n) => `M0 ${y(n).toFixed(1)} H${size.width}`),
    ].join('');
  return (
    <g aria-hidden stroke="var(--bm-colors-line)">
      <path d={d(false)} strokeWidth="0.4" />
      <path d={d(true)} strokeWidth="1" />
    </g>
  );
}
