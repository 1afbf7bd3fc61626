'use client';
import { extent } from '@/core/numeric';
import { flattenPath, shapeBox, shapeSides, type HalfPlane, type Point } from '@/core/geometry';
import { sandRegion, type PlacedTask, type PrepArea, type PrepFacts } from '@/core/prep';
import { keepLetters } from '@/ui/keepLetters';
import { SvgText } from '@/ui/SvgText';
import type { Station } from './stations';

const WIDTH = 400;
const MAX_HEIGHT = 250;
const PAD = 16;

interface View {
  readonly at: (p: Point, area?: PrepArea) => string;
  readonly xy: (p: Point, area?: PrepArea) => readonly [number, number];
  readonly height: number;
}

function viewOf(areas: readonly PrepArea[]): View {
  const points = areas.flatMap((a) =>
    shapeSides(a.shape)
      .flat()
      .map(([x, y]): Point => [x + a.at[0], y + a.at[1]]),
  );
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [left, right] = extent(xs);
  const [low, high] = extent(ys);
  const scale = Math.min(
    (WIDTH - 2 * PAD) / (right - left || 1),
    (MAX_HEIGHT - 2 * PAD) / (high - low || 1),
  );
  const height = (high - low) * scale + 2 * PAD;
  const inset = (WIDTH - (right - left) * scale) / 2;
  const xy = ([x, y]: Point, area?: PrepArea) =>
    [
      inset + (x + (area?.at[0] ?? 0) - left) * scale,
      PAD + (high - y - (area?.at[1] ?? 0)) * scale,
    ] as const;
  const at = (p: Point, area?: PrepArea) =>
    xy(p, area)
      .map((v) => v.toFixed(1))
      .join(',');
  return { at, xy, height };
}

interface Props {
  readonly facts: PrepFacts;
  readonly lit: PlacedTask | null;
  /** The line that is being chosen, before it is saved. */
  readonly limit: HalfPlane | null;
  readonly stations: readonly Station[];
  readonly onChoose: (key: string) => void;
}

/** Rings as one path, holes left out by the even-odd rule. */
const ringsD = (rings: readonly (readonly Point[])[], view: View): string =>
  rings.map((ring) => `M${ring.map((p) => view.at(p)).join(' L')} Z`).join(' ');

function Lit({ facts, lit, limit, view }: Pick<Props, 'facts' | 'lit' | 'limit'> & { view: View }) {
  if (!lit) return null;
  const { polygons } = sandRegion(facts, lit.task.areaIds, limit);
  return (
    <path
      d={polygons.map((rings) => ringsD(rings, view)).join(' ')}
      fill="url(#lit-area)"
      fillRule="evenodd"
      stroke="var(--bm-colors-verdigris)"
      strokeWidth="1.5"
    />
  );
}

function Area({ area, view }: { area: PrepArea; view: View }) {
  const sides = shapeSides(area.shape);
  const { widthM, heightM } = shapeBox(area.shape);
  const bare = (area.shape.keepBare ?? []).map((b) =>
    flattenPath(b, Math.max(widthM, heightM) / 500),
  );
  const back = area.kind === 'back';
  const line = (side: readonly Point[]) => side.map((p) => view.at(p, area)).join(' ');
  return (
    <g>
      <polygon
        points={line(sides.flat())}
        fill={back ? 'none' : 'var(--bm-colors-amber-wash)'}
        stroke="var(--bm-colors-ink)"
        strokeWidth={back ? 1 : 1.5}
        strokeDasharray={back ? '7 4' : undefined}
      />
      {bare.map((ring, i) => (
        <polygon
          key={i}
          points={line(ring)}
          fill="url(#keep-bare)"
          stroke="var(--bm-colors-oxide)"
          strokeDasharray="4 2"
        />
      ))}
    </g>
  );
}

function EdgesOf({ area, lit, view }: { area: PrepArea; lit: PlacedTask | null; view: View }) {
  return (
    <g>
      {shapeSides(area.shape).map((side, i) =>
        lit?.task.edges.some((e) => e.areaId === area.id && e.edge === i) ? (
          <polyline
            key={i}
            points={side.map((p) => view.at(p, area)).join(' ')}
            fill="none"
            stroke="var(--bm-colors-verdigris)"
            strokeWidth="7"
            strokeLinejoin="round"
          />
        ) : null,
      )}
    </g>
  );
}

/** The piece's own plan, with the chosen task's areas and edges lit and the open tasks as stations on it. */
export function PrepPlan({ facts, lit, limit, stations, onChoose }: Props) {
  const shown = facts.areas.filter((a) => a.kind !== 'back' || lit?.task.areaIds.includes(a.id));
  if (shown.length === 0) return null;
  const view = viewOf(shown);
  const names = facts.areas.filter((a) => lit?.task.areaIds.includes(a.id)).map((a) => a.name);
  const at = stations.map((s) => ({ ...s, xy: view.xy(s.at) }));
  const cut = limit && lineOf(limit, view);
  return (
    <svg
      ref={keepLetters}
      viewBox={`0 0 ${WIDTH} ${view.height}`}
      width="100%"
      role="img"
      aria-label={
        lit
          ? `Plan. Lit: ${names.join(', ')}${lit.task.edges.length > 0 ? `, ${lit.task.edges.length} edges` : ''}`
          : 'Plan of the piece'
      }
    >
      {shown.map((area) => (
        <Area key={area.id} area={area} view={view} />
      ))}
      <Lit facts={facts} lit={lit} limit={limit} view={view} />
      {shown.map((area) => (
        <EdgesOf key={area.id} area={area} lit={lit} view={view} />
      ))}
      {cut && (
        <path d={cut} stroke="var(--bm-colors-oxide)" strokeWidth="2" strokeDasharray="10 4" />
      )}
      <polyline
        points={at.map((s) => s.xy.join(',')).join(' ')}
        fill="none"
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.2"
        strokeDasharray="2 4"
      />
      {at.map((s) => (
        <g key={s.key} aria-hidden onClick={() => onChoose(s.key)} style={{ cursor: 'pointer' }}>
          <circle
            cx={s.xy[0]}
            cy={s.xy[1]}
            r="11"
            style={{ r: 'calc(11px * var(--bm-letters, 1))' }}
            fill={s.key === lit?.task.key ? 'var(--bm-colors-ink)' : 'var(--bm-colors-card)'}
            stroke="var(--bm-colors-ink)"
            strokeWidth="1.5"
          />
          <SvgText
            x={s.xy[0]}
            y={s.xy[1]}
            dominantBaseline="central"
            size={13}
            weight={600}
            textAnchor="middle"
            family="mono"
            fill={s.key === lit?.task.key ? 'var(--bm-colors-card)' : 'var(--bm-colors-ink)'}
          >
            {s.number}
          </SvgText>
        </g>
      ))}
    </svg>
  );
}

function lineOf({ side, atM }: HalfPlane, view: View): string {
  const [x, y] = view.xy([atM, atM]);
  return side === 'left' || side === 'right'
    ? `M${x.toFixed(1)} 0 V${view.height}`
    : `M0 ${y.toFixed(1)} H${WIDTH}`;
}
