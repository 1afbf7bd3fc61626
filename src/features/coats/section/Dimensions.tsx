import { formatInchFraction, INCH_M } from '@/core/units';
import { useFormat } from '@/features/common/useFormat';
import { labelHeights } from './labels';
import type { SectionLamina, SectionLayout } from './layout';
import { SvgText } from '@/ui/SvgText';

interface Props {
  readonly layout: SectionLayout;
  readonly laminae: readonly SectionLamina[];
  readonly editableId?: string | undefined;
}

/** Thickness of each lamina at the right of the section; figures are spread when laminae are thin. */
export function Dimensions({ layout, laminae, editableId }: Props) {
  const { show, units } = useFormat();
  const x = layout.x1 + 34;
  const heights = labelHeights(layout.laminae);
  return (
    <g fontFamily="var(--bm-fonts-mono)" fontSize="14">
      {layout.laminae.map((drawn, i) => {
        const lamina = laminae[i];
        if (!lamina) return null;
        const middle = (drawn.topPx + drawn.bottomPx) / 2;
        const labelY = heights[i] ?? middle;
        const colour = lamina.id === editableId ? 'var(--bm-colors-oxide)' : 'var(--bm-colors-ink)';
        return (
          <g key={lamina.id} stroke={colour}>
            <path
              d={`M${x - 6} ${drawn.topPx} h12 M${x - 6} ${drawn.bottomPx} h12 M${x} ${drawn.topPx} V${drawn.bottomPx} M${x + 4} ${middle} L${x + 18} ${labelY - 5}`}
              fill="none"
              strokeWidth="1"
            />
            <SvgText
              x={x + 22}
              y={labelY}
              stroke="none"
              fill={colour}
              weight={lamina.id === editableId ? 600 : 400}
            >
              {show(lamina.topM - lamina.bottomM, 'film').text}
              {units === 'us' && lamina.topM - lamina.bottomM >= INCH_M / 32
                ? ` ≈ ${formatInchFraction(lamina.topM - lamina.bottomM, 32).text}`
                : ''}
            </SvgText>
          </g>
        );
      })}
    </g>
  );
}
