'use client';
import { useState } from 'react';
import { CENTRE_CUT, cutShape, type CutLine } from '@/core/geometry';
import { INCH_M } from '@/core/units';
import type { Support } from '@/core/piece';
import { type Area, edgeHeightOf, edgeKindsOf } from '@/records';
import { SUPPORT_HATCH } from '@/features/common/materials';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { useFormat, type Format } from '@/features/common/useFormat';
import { Dimensions } from './Dimensions';
import { Handle } from './Handle';
import {
  layoutSection,
  scaleBarM,
  SECTION,
  wallPath,
  type SectionLamina,
  type SectionLayout,
} from './layout';
import { SvgText } from '@/ui/SvgText';

interface Props {
  readonly area: Area;
  readonly support: Support;
  readonly laminae: readonly SectionLamina[];
  /** Where the section is cut on the plan; through the centre when left out. */
  readonly line?: CutLine;
  /** The lamina whose surface can be dragged. */
  readonly editable?: {
    /** Film that is poured, m: more of it than stays may run off. */
    readonly pouredM: number;
    readonly id: string;
    readonly minM: number;
    readonly maxM: number;
    readonly onChange: (thicknessM: number) => void;
    readonly onCommit: () => void;
  };
}

function Substrate({
  layout,
  area,
  support,
}: {
  layout: SectionLayout;
  area: Area;
  support: Support;
}) {
  const { show } = useFormat();
  const { x0, x1 } = layout;
  const { base, depth } = SECTION;
  const teeth = Array.from({ length: 24 }, (_, i) => {
    const x = x1 - ((x1 - x0) * (i + 1)) / 24;
    return `L${x.toFixed(1)} ${base + depth + (i % 2 === 0 ? 6 : 0)}`;
  }).join(' ');
  return (
    <g>
      <path
        d={`M${x0} ${base} H${x1} V${base + depth} ${teeth} Z`}
        fill={SUPPORT_HATCH[support]}
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.5"
      />
      <SvgText x={x1 + 34} y={base + 34} size={14} fill="var(--bm-colors-ink)">
        {support}
      </SvgText>
      <SvgText x={x1 + 34} y={base + 52} size={13} fill="var(--bm-colors-ink2)" family="mono">
        {area.kind === 'recess'
          ? `recess, ${show(area.depthM, 'film').text}`
          : `${show(edgeHeightOf(area), 'length').text} edge`}
      </SvgText>
    </g>
  );
}

function ScaleBar({ layout, widthM }: { layout: SectionLayout; widthM: number }) {
  const { show, units } = useFormat();
  const barM = scaleBarM(widthM, units === 'us' ? INCH_M : 1e-3);
  const length = barM * layout.pxPerM;
  const y = SECTION.height - 14;
  return (
    <g stroke="var(--bm-colors-ink)" strokeWidth="1.2">
      <path
        d={`M${layout.x0} ${y - 5} v10 M${layout.x0} ${y} h${length} M${layout.x0 + length} ${y - 5} v10`}
        fill="none"
      />
      <SvgText
        x={layout.x0 + length + 8}
        y={y + 5}
        size={13}
        stroke="none"
        fill="var(--bm-colors-ink)"
        family="mono"
      >
        {show(barM, 'length').text}
      </SvgText>
    </g>
  );
}

/** Relief on the substrate and walls at ends that have one. */
function Standing({ layout, taped }: { layout: SectionLayout; taped: boolean }) {
  const topPx = Math.min(SECTION.base - 24, ...layout.laminae.map((l) => l.topPx));
  const walls = [wallPath(layout.left, 'left', topPx), wallPath(layout.right, 'right', topPx)];
  return (
    <g>
      {layout.reliefPath && (
        <path
          d={layout.reliefPath}
          fill="var(--bm-colors-ink3)"
          fillOpacity="0.55"
          stroke="var(--bm-colors-ink)"
          strokeWidth="0.8"
        />
      )}
      {walls.map(
        (d, i) =>
          d && (
            <path
              key={i}
              d={d}
              fill={taped ? 'var(--bm-colors-verdigris)' : 'var(--bm-colors-amber-pale)'}
              stroke="var(--bm-colors-ink)"
            />
          ),
      )}
    </g>
  );
}

/** Name and state of each lamina that is tall enough, over what stands in it. */
function Names({ layout, laminae }: { layout: SectionLayout; laminae: readonly SectionLamina[] }) {
  return layout.laminae.map((lamina, i) => {
    const { state, name } = laminae[i] ?? { state: 'planned' as const, name: '' };
    if (lamina.bottomPx - lamina.topPx < 20) return null;
    const over = layout.reliefPath !== '' || state === 'leathery' || state === 'recoat open';
    return (
      <SvgText
        key={lamina.id}
        x={lamina.labelX}
        y={(lamina.topPx + lamina.bottomPx) / 2 + 5}
        size={14}
        weight={600}
        fill={state === 'wet' && !over ? 'var(--bm-colors-ink)' : 'var(--bm-colors-amber-deep)'}
        paintOrder="stroke"
        stroke={over ? 'var(--bm-colors-card)' : 'none'}
        strokeWidth="4"
      >
        {`${name} · ${STATE_WORDS[state]}`}
      </SvgText>
    );
  });
}

/** What the drawing is: exaggeration, cut, and what stands in it. */
function Caption({ layout, line }: { layout: SectionLayout; line: CutLine }) {
  const { show } = useFormat();
  const where =
    line.atM === 0
      ? 'cut through the centre'
      : `cut ${show(Math.abs(line.atM), 'length').text} ${
          line.along === 'x'
            ? line.atM > 0
              ? 'behind'
              : 'before'
            : line.atM > 0
              ? 'right of'
              : 'left of'
        } the centre`;
  return (
    <>
      <SvgText x="0" y="18" size={16} weight={600} family="heading" fill="var(--bm-colors-ink)">
        Section A–A
      </SvgText>
      <SvgText x="96" y="18" size={14} fill="var(--bm-colors-ink2)">
        {`film heights × ${layout.exaggeration} · substrate cut off below · ${where}`}
      </SvgText>
    </>
  );
}

/** What is said of a lamina when it is pointed at. */
function laminaWords(lamina: SectionLamina, topM: number, show: Format['show']): string {
  const film = (m: number) => show(m, 'film').text;
  return `${lamina.name}, ${STATE_WORDS[lamina.state]}: ${film(topM - lamina.bottomM)}, its surface ${film(topM)} over the ground`;
}

/** The piece cut through: substrate hatched, each coat at its true relative thickness, the newest on top. */
export function SectionDrawing({ area, support, laminae, line = CENTRE_CUT, editable }: Props) {
  const { show } = useFormat();
  const [frozen, setFrozen] = useState<number | null>(null);
  const cut = cutShape(area.shape, line);
  const layout = layoutSection(laminae, cut, edgeKindsOf(area), frozen, area.relief);
  const dragged = laminae.find((l) => l.id === editable?.id);
  const drawn = layout.laminae.find((l) => l.id === editable?.id);
  const told = laminae.map((l) => `${l.name}: ${STATE_WORDS[l.state]}`).join('; ');
  return (
    <svg
      viewBox={`0 0 ${SECTION.width} ${SECTION.height}`}
      width="100%"
      role="group"
      aria-label={`Section, heights enlarged ${layout.exaggeration} times. ${told || 'No coat yet.'}`}
    >
      <Caption layout={layout} line={line} />
      {layout.laminae.map((lamina, i) => {
        const told = laminae[i];
        if (!told) return null;
        const planned = told.state === 'planned';
        return (
          <path
            key={lamina.id}
            d={lamina.path}
            fill={planned ? 'var(--bm-colors-amber-wash)' : STATE_FILL[told.state]}
            stroke={planned ? 'var(--bm-colors-amber)' : 'var(--bm-colors-amber-deep)'}
            strokeWidth={planned ? 2 : 1}
            strokeDasharray={planned ? '6 4' : undefined}
          >
            <title>{laminaWords(told, lamina.topM, show)}</title>
          </path>
        );
      })}
      <Standing layout={layout} taped={area.kind !== 'recess'} />
      <Names layout={layout} laminae={laminae} />
      <Substrate layout={layout} area={area} support={support} />
      <Dimensions layout={layout} laminae={laminae} editableId={editable?.id} />
      <ScaleBar layout={layout} widthM={cut.widthM} />
      {editable && dragged && drawn && (
        <Handle
          name={dragged.name}
          thicknessM={editable.pouredM}
          minM={editable.minM}
          maxM={editable.maxM}
          x={(layout.x0 + layout.x1) / 2}
          y={drawn.topPx}
          filmPxPerM={layout.filmPxPerM}
          onStart={() => setFrozen(layout.exaggeration)}
          onChange={editable.onChange}
          onCommit={() => {
            setFrozen(null);
            editable.onCommit();
          }}
        />
      )}
    </svg>
  );
}
