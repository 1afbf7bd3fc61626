'use client';
import { useState } from 'react';
import { cutShape } from '@/core/geometry';
import { INCH_M } from '@/core/units';
import type { CoatState } from '@/core/resin';
import { edgeHeightOf, edgeKindsOf, type Area, type Support } from '@/data/records/types';
import { SUPPORT_HATCH } from '../materials';
import { STATE_FILL, STATE_WORDS } from '../stateWords';
import { useFormat } from '../useFormat';
import { Dimensions } from './Dimensions';
import { Handle } from './Handle';
import { layoutSection, scaleBarM, SECTION, type SectionLayout } from './layout';
import { SvgText } from '@/ui/SvgText';

export interface SectionLamina {
  readonly id: string;
  readonly name: string;
  readonly thicknessM: number;
  readonly state: CoatState;
}

interface Props {
  readonly area: Area;
  readonly support: Support;
  readonly laminae: readonly SectionLamina[];
  /** The lamina whose surface can be dragged. */
  readonly editable?: {
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
        {show(edgeHeightOf(area), 'length').text} edge
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

/** The piece cut through: substrate hatched, each coat at its true relative thickness, the newest on top. */
export function SectionDrawing({ area, support, laminae, editable }: Props) {
  const [frozen, setFrozen] = useState<number | null>(null);
  const cut = cutShape(area.shape);
  const layout = layoutSection(laminae, cut, edgeKindsOf(area), frozen);
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
      <SvgText x="0" y="18" size={16} weight={600} family="heading" fill="var(--bm-colors-ink)">
        Section A–A
      </SvgText>
      <SvgText x="96" y="18" size={14} fill="var(--bm-colors-ink2)">
        {`film heights × ${layout.exaggeration} · substrate cut off below · cut through the centre`}
      </SvgText>
      {layout.laminae.map((lamina, i) => {
        const { state, name } = laminae[i] ?? { state: 'planned' as const, name: '' };
        const planned = state === 'planned';
        const tall = lamina.bottomPx - lamina.topPx;
        return (
          <g key={lamina.id}>
            <path
              d={lamina.path}
              fill={planned ? 'var(--bm-colors-amber-wash)' : STATE_FILL[state]}
              stroke={planned ? 'var(--bm-colors-amber)' : 'var(--bm-colors-amber-deep)'}
              strokeWidth={planned ? 2 : 1}
              strokeDasharray={planned ? '6 4' : undefined}
            />
            {tall >= 20 && (
              <SvgText
                x={layout.x0 + 14}
                y={(lamina.topPx + lamina.bottomPx) / 2 + 5}
                size={14}
                weight={600}
                fill={state === 'wet' ? 'var(--bm-colors-ink)' : 'var(--bm-colors-amber-deep)'}
                paintOrder="stroke"
                stroke={
                  state === 'leathery' || state === 'recoat open' ? 'var(--bm-colors-card)' : 'none'
                }
                strokeWidth="4"
              >
                {`${name} · ${STATE_WORDS[state]}`}
              </SvgText>
            )}
          </g>
        );
      })}
      <Substrate layout={layout} area={area} support={support} />
      <Dimensions layout={layout} laminae={laminae} editableId={editable?.id} />
      <ScaleBar layout={layout} widthM={cut.widthM} />
      {editable && dragged && drawn && (
        <Handle
          name={dragged.name}
          thicknessM={dragged.thicknessM}
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
