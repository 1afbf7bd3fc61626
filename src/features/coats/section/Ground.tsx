import { type Area, edgeHeightOf } from '@/records';
import type { Support } from '@/core/piece';
import { INCH_M } from '@/core/units';
import { SUPPORT_HATCH } from '@/features/common/materials';
import { useFormat } from '@/features/common/useFormat';
import { SvgText } from '@/ui/SvgText';
import { SECTION } from './filmPath';
import { scaleBarM } from './labels';
import type { SectionLayout } from './layout';

/** The support, hatched, cut off below. */
export function Substrate({
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

/** A round length to read widths by. */
export function ScaleBar({ layout, widthM }: { layout: SectionLayout; widthM: number }) {
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
