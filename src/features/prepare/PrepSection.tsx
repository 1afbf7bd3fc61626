'use client';
import { buildUp, sectionStack } from '@/core/coat';
import { shapeBox } from '@/core/geometry';
import type { PlacedTask, PrepFacts } from '@/core/prep';
import type { CoatView, PieceView } from '@/shop/coatView';
import { SUPPORT_HATCH } from '@/features/common/materials';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { SvgText } from '@/ui/SvgText';

const W = 236;
const X0 = 34;
const X1 = W - 14;
const BASE = 128;
const DEPTH = 40;
const ROOM = 76;
const SIDE_RULES = ['mask', 'unmask', 'edge ground'];

interface Props {
  readonly view: PieceView;
  readonly facts: PrepFacts;
  readonly lit: PlacedTask | null;
}

interface LaminaProps {
  readonly view: CoatView;
  readonly top: number;
  readonly bottom: number;
}

function Lamina({ view, top, bottom }: LaminaProps) {
  const planned = !view.clock;
  const words = planned
    ? `next: ${view.coat.name}`
    : `${view.coat.name}, ${STATE_WORDS[view.state]}`;
  return (
    <g>
      <rect
        x={X0}
        width={X1 - X0}
        y={top}
        height={Math.max(1.5, bottom - top)}
        fill={planned ? 'none' : STATE_FILL[view.state]}
        stroke="var(--bm-colors-amber-deep)"
        strokeDasharray={planned ? '5 4' : undefined}
      />
      {bottom - top >= 16 && (
        <SvgText
          x={X0 + 8}
          y={(top + bottom) / 2 + 4.5}
          size={13}
          fill="var(--bm-colors-ink)"
          halo="var(--bm-colors-card)"
        >
          {words}
        </SvgText>
      )}
    </g>
  );
}

/** Tape or glue at both ends of the cut, while it stands. */
function MaskEnds({ surface }: { surface: number }) {
  return (
    <g>
      {[X0 - 8, X1 + 1].map((x) => (
        <rect
          key={x}
          x={x}
          y={surface - 5}
          width="7"
          height={BASE + DEPTH - surface + 5}
          fill="url(#hatch-plastic)"
          stroke="var(--bm-colors-slate)"
        />
      ))}
    </g>
  );
}

/** The piece cut through: where the chosen task works, on which layer, and under which coat. */
export function PrepSection({ view, facts, lit }: Props) {
  // The section goes through a place where the chosen task works.
  const area = view.areas.find((a) => lit?.task.areaIds.includes(a.id)) ?? view.areas[0];
  if (!area) return null;
  const coats = view.coats.filter((c) => c.clock || c === view.upcoming);
  const lies = buildUp(
    view.areas,
    coats.map((c) => c.coat),
    view.layers,
  ).get(area.id);
  const stack = sectionStack(
    (lies?.films ?? []).map(({ coat, bottomM, topM }) => ({ id: coat.id, bottomM, topM })),
    shapeBox(area.shape).widthM,
    0.2,
  );
  const pxPerM = stack.heightM > 0 ? Math.min(ROOM / stack.heightM, ROOM / 1e-3) : 0;
  const y = (heightM: number) => BASE - heightM * pxPerM;
  const viewOf = (id: string) => coats.find((c) => c.coat.id === id);
  const lying = stack.laminae.filter((l) => viewOf(l.id)?.clock);
  const surface = y(lying.at(-1)?.topM ?? 0);
  const masked = facts.masks.some((m) => m.takenOffMs === null);
  const ends = lit !== null && lit.task.edges.length > 0;
  const onlyEnds = ends && SIDE_RULES.includes(lit.task.rule);
  const words = lying.length === 0 ? 'No coat lies on it.' : `Coats on it: ${lying.length}.`;
  return (
    <svg
      viewBox={`0 0 ${W} ${BASE + DEPTH + 26}`}
      width="100%"
      role="img"
      aria-label={`Section. ${words}${masked ? ' A mask is on.' : ''}`}
    >
      <SvgText x="0" y="14" size={14} weight={600} family="heading" fill="var(--bm-colors-ink)">
        Section
      </SvgText>
      <SvgText x="58" y="14" size={13} fill="var(--bm-colors-ink2)">
        {`film × ${stack.exaggeration}`}
      </SvgText>
      {stack.laminae.map((lamina) => {
        const coat = viewOf(lamina.id);
        return coat ? (
          <Lamina key={lamina.id} view={coat} top={y(lamina.topM)} bottom={y(lamina.bottomM)} />
        ) : null;
      })}
      <rect
        x={X0}
        y={BASE}
        width={X1 - X0}
        height={DEPTH}
        fill={SUPPORT_HATCH[view.piece.support]}
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.2"
      />
      {masked && <MaskEnds surface={surface} />}
      {lit && !onlyEnds && (
        <path d={`M${X0} ${surface} H${X1}`} stroke="var(--bm-colors-verdigris)" strokeWidth="6" />
      )}
      {ends && (
        <path
          d={`M${X0} ${surface} V${BASE + DEPTH} M${X1} ${surface} V${BASE + DEPTH}`}
          stroke="var(--bm-colors-verdigris)"
          strokeWidth="6"
        />
      )}
      {lit && <path d={`M4 ${surface - 7} l14 7 l-14 7 z`} fill="var(--bm-colors-verdigris)" />}
      <SvgText x={X0} y={BASE + DEPTH + 18} size={13} fill="var(--bm-colors-ink2)">
        {masked ? `${view.piece.support} · mask on` : view.piece.support}
      </SvgText>
    </svg>
  );
}
