'use client';
import { useState } from 'react';
import { CENTRE_CUT, type CutLine } from '@/core/geometry';
import type { Support } from '@/core/piece';
import type { Area } from '@/records';
import type { FaceCutView, SectionBead } from './cutView';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { useFormat, type Format } from '@/features/common/useFormat';
import { Dimensions } from './Dimensions';
import { SECTION } from './filmPath';
import { Handle } from './Handle';
import { ScaleBar, Substrate } from './Ground';
import { bothSides, OtherSide, tallPx } from './OtherSide';
import { BeadShape, Layers, Standing } from './Standing';
import type { FaceLayout, SectionLamina, SectionLayout } from './layout';
import { keepLetters } from '@/ui/keepLetters';
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
      ref={keepLetters}
      viewBox={`0 0 ${SECTION.width} ${SECTION.height + hangsPx}`}
      width="100%"
      data-drawing="section"
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
