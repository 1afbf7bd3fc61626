'use client';
import { useState } from 'react';
import { CENTRE_CUT, type CutLine } from '@/core/geometry';
import { INCH_M } from '@/core/units';
import type { Support } from '@/core/piece';
import { type Area, edgeHeightOf } from '@/records';
import { LAYER_HATCH, SUPPORT_HATCH } from '@/features/common/materials';
import type { FaceCutView, SectionBead } from '../stretches';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { useFormat, type Format } from '@/features/common/useFormat';
import { Dimensions } from './Dimensions';
import { SECTION } from './filmPath';
import { Handle } from './Handle';
import { scaleBarM } from './labels';
import {
  layoutFace,
  wallPath,
  type FaceLayout,
  type SectionLamina,
  type SectionLayout,
} from './layout';
import { SvgText } from '@/ui/SvgText';

interface Props {
  readonly area: Area;
  readonly support: Support;
  /** What the cut meets from left to right. */
  readonly cut: FaceCutView;
  readonly laminae: readonly SectionLamina[];
  /** Names of layers, by their id. */
  readonly layerNames?: ReadonlyMap<string, string>;
  /** Laminae whose thickness is told beside the section: those on the place that is shown. */
  readonly told?: readonly string[];
  /** Films that are poured when the dams have come off. */
  readonly freed?: ReadonlySet<string>;
  /** What hangs below: the other side of the piece, cut along the same line. */
  readonly beneath?: FaceCutView | null;
  /** Which side is seen up. */
  readonly side?: 'face' | 'back';
  /** Drawn lines that the cut meets. */
  readonly beads?: readonly SectionBead[];
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
function Standing({
  layout,
  freed,
  taped,
}: {
  layout: FaceLayout;
  freed: ReadonlySet<string> | undefined;
  taped: boolean;
}) {
  const inside = layout.laminae.filter((l) => !freed?.has(l.id));
  const topPx = Math.min(SECTION.base - 24, ...inside.map((l) => l.topPx));
  const walls = [wallPath(layout.left, 'left', topPx), wallPath(layout.right, 'right', topPx)];
  return (
    <g>
      {layout.reliefPaths.map(({ d, kind }, i) => (
        <path
          key={i}
          d={d}
          fill={kind ? LAYER_HATCH[kind] : 'var(--bm-colors-ink3)'}
          fillOpacity={kind ? 1 : 0.55}
          stroke="var(--bm-colors-ink)"
          strokeWidth="0.8"
        />
      ))}
      {layout.inner.map(({ x, topPx }, i) => (
        <path
          key={i}
          d={`M${x - 3.5} ${SECTION.base} Q${x - 3} ${topPx} ${x} ${topPx} Q${x + 3} ${topPx} ${x + 3.5} ${SECTION.base} Z`}
          fill="var(--bm-colors-verdigris)"
          stroke="var(--bm-colors-ink)"
        />
      ))}
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

/** A drawn line, cut across: a bead on what lies below it. */
function BeadShape({ bead, layout }: { bead: SectionBead; layout: FaceLayout }) {
  const x = layout.x0 + bead.atM * layout.pxPerM;
  const half = Math.max(4, (bead.widthM * layout.pxPerM) / 2);
  const foot = SECTION.base - bead.bottomM * layout.filmPxPerM;
  const top = foot - bead.heightM * layout.filmPxPerM;
  return (
    <path
      d={`M${x - half} ${foot} C${x - half * 0.7} ${top} ${x + half * 0.7} ${top} ${x + half} ${foot} Z`}
      fill={bead.state === 'planned' ? 'var(--bm-colors-amber-pale)' : STATE_FILL[bead.state]}
      stroke="var(--bm-colors-amber-deep)"
      strokeWidth="1.5"
      strokeDasharray={bead.state === 'planned' ? '4 3' : undefined}
    >
      <title>{`${bead.name}, ${STATE_WORDS[bead.state]}`}</title>
    </path>
  );
}

/** Layers that are not resin, each by its own hatch; and where a place stays bare. */
function Layers({
  layout,
  names,
}: {
  layout: FaceLayout;
  names: ReadonlyMap<string, string> | undefined;
}) {
  return (
    <g>
      {layout.bands.map((band, i) => (
        <g key={i}>
          <path
            d={band.path}
            fill={LAYER_HATCH[band.kind]}
            stroke="var(--bm-colors-ink)"
            strokeWidth="0.8"
          >
            <title>{`${names?.get(band.id) ?? band.kind}: ${band.kind}`}</title>
          </path>
          {band.tallPx >= 18 && (
            <SvgText
              x={band.middle[0]}
              y={band.middle[1] + 5}
              size={13}
              weight={600}
              textAnchor="middle"
              halo="var(--bm-colors-card)"
            >
              {names?.get(band.id) ?? band.kind}
            </SvgText>
          )}
        </g>
      ))}
      {layout.bare.map(({ x0, x1, name }) => (
        <SvgText
          key={name}
          x={(x0 + x1) / 2}
          y={SECTION.base - 10}
          size={13}
          textAnchor="middle"
          fill="var(--bm-colors-ink2)"
        >
          {x1 - x0 > 60 ? `${name}, bare` : 'bare'}
        </SvgText>
      ))}
    </g>
  );
}

/** Name and state of each lamina that is tall enough, over what stands in it. */
function Names({ layout, laminae }: { layout: FaceLayout; laminae: readonly SectionLamina[] }) {
  return layout.laminae.map((lamina, i) => {
    const { state, name } = laminae[i] ?? { state: 'planned' as const, name: '' };
    if (lamina.bottomPx - lamina.topPx < 20) return null;
    const over = layout.reliefPaths.length > 0 || state === 'leathery' || state === 'recoat open';
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
function Caption({
  layout,
  line,
  side,
}: {
  layout: SectionLayout;
  line: CutLine;
  side: 'face' | 'back';
}) {
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
        {`${side === 'back' ? 'back up · ' : ''}film heights × ${layout.exaggeration} · substrate cut off below · ${where}`}
      </SvgText>
    </>
  );
}

/** The films of the other side hang below the substrate, seen from the side that is up. */
function OtherSide({ layout, states }: { layout: FaceLayout; states: readonly SectionLamina[] }) {
  const flip = 2 * SECTION.base + SECTION.depth + 6;
  return (
    <g transform={`translate(0 ${flip}) scale(1 -1)`} opacity="0.85">
      {layout.laminae.map((lamina) => {
        const state = states.find((l) => l.id === lamina.id)?.state ?? 'planned';
        return (
          <path
            key={lamina.id}
            d={lamina.path}
            fill={state === 'planned' ? 'var(--bm-colors-amber-wash)' : STATE_FILL[state]}
            stroke="var(--bm-colors-amber-deep)"
            strokeDasharray={state === 'planned' ? '6 4' : undefined}
          >
            <title>{states.find((l) => l.id === lamina.id)?.name ?? ''}</title>
          </path>
        );
      })}
    </g>
  );
}

/** Room for what hangs below, px. */
const HANGS_PX = 90;
const tallPx = ({ laminae }: FaceLayout): number =>
  SECTION.base - Math.min(SECTION.base, ...laminae.map((l) => l.topPx));

/** Both sides of the piece at one scale: that of the side that is up, unless the other would not fit below. */
function bothSides(
  cut: FaceCutView,
  beneath: FaceCutView | null,
  frozen: number | null,
  freed: ReadonlySet<string> | undefined,
): { readonly layout: FaceLayout; readonly other: FaceLayout | null } {
  const at = (scale: number | null) =>
    layoutFace(cut.stretches, cut.widthM, cut.ends, cut.walls, scale, freed);
  const layout = at(frozen);
  if (!beneath?.stretches.some((s) => s.films.length > 0)) return { layout, other: null };
  const hung = (scale: number) =>
    layoutFace(beneath.stretches, cut.widthM, beneath.ends, beneath.walls, scale);
  const share = HANGS_PX / Math.max(1, tallPx(hung(layout.exaggeration)));
  const scale =
    share < 1 && frozen === null
      ? Math.max(1, Math.floor(layout.exaggeration * share))
      : layout.exaggeration;
  return { layout: at(scale), other: hung(scale) };
}

/** What is said of a lamina when it is pointed at. */
function laminaWords(lamina: SectionLamina, topM: number, show: Format['show']): string {
  const film = (m: number) => show(m, 'film').text;
  return `${lamina.name}, ${STATE_WORDS[lamina.state]}: ${film(topM - lamina.bottomM)}, its surface ${film(topM)} over the ground`;
}

/** The piece cut through: substrate hatched, each coat at its true relative thickness, the newest on top. */
export function SectionDrawing({
  area,
  support,
  cut,
  laminae: all,
  layerNames,
  told: toldIds,
  freed,
  beads = [],
  beneath = null,
  side = 'face',
  line = CENTRE_CUT,
  editable,
}: Props) {
  const { show } = useFormat();
  const [frozen, setFrozen] = useState<number | null>(null);
  const { layout, other } = bothSides(cut, beneath, frozen, freed);
  const hangsPx = other ? tallPx(other) : 0;
  // As they are drawn: a film that the cut misses is not there.
  const laminae = layout.laminae.flatMap((d) => all.find((l) => l.id === d.id) ?? []);
  const beside = (id: string) => toldIds === undefined || toldIds.includes(id);
  const dragged = laminae.find((l) => l.id === editable?.id);
  const drawn = layout.laminae.find((l) => l.id === editable?.id);
  const told = laminae.map((l) => `${l.name}: ${STATE_WORDS[l.state]}`).join('; ');
  return (
    <svg
      viewBox={`0 0 ${SECTION.width} ${SECTION.height + hangsPx}`}
      width="100%"
      role="group"
      aria-label={`Section, heights enlarged ${layout.exaggeration} times. ${told || 'No coat yet.'}`}
    >
      <Caption layout={layout} line={line} side={side} />
      {other && <OtherSide layout={other} states={all} />}
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
      <Layers layout={layout} names={layerNames} />
      {beads.map((bead) => (
        <BeadShape key={`${bead.id} ${bead.atM}`} bead={bead} layout={layout} />
      ))}
      <Standing layout={layout} freed={freed} taped={area.kind !== 'recess'} />
      <Names layout={layout} laminae={laminae} />
      <Substrate layout={layout} area={area} support={support} />
      <Dimensions
        layout={{ ...layout, laminae: layout.laminae.filter((l) => beside(l.id)) }}
        laminae={laminae.filter((l) => beside(l.id))}
        editableId={editable?.id}
      />
      <g transform={`translate(0 ${hangsPx})`}>
        <ScaleBar layout={layout} widthM={cut.widthM} />
      </g>
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
