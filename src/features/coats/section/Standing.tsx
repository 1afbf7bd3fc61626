import { LAYER_HATCH } from '@/features/common/materials';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { SvgText } from '@/ui/SvgText';
import type { SectionBead } from './cutView';
import { SECTION } from './filmPath';
import { wallPath, type FaceLayout } from './layout';

/** Relief on the substrate and walls at ends that have one. */
export function Standing({
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
export function BeadShape({ bead, layout }: { bead: SectionBead; layout: FaceLayout }) {
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
export function Layers({
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
            stroke={band.tallPx < 18 ? 'var(--bm-colors-ink)' : 'none'}
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
