import { massRatioBA, type ResinSheet } from '@/core/resin';
import { SvgText } from '@/ui/SvgText';

const HEIGHT = 96;
/** Width of the wider bottle, and the least of the other, in units of the drawing. */
const WIDE = 46;
const LEAST = 14;

/** B for one of A as it is poured, by volume. */
const byVolume = (sheet: ResinSheet): number =>
  massRatioBA(sheet) * (sheet.densityAKgM3 / sheet.densityBKgM3);

/** A bottle whose left edge is at `x`: shoulders, neck, cap, and what is in it. */
function Bottle({ x, width, part }: { x: number; width: number; part: 'A' | 'B' }) {
  const neck = Math.min(12, width * 0.6);
  const mid = x + width / 2;
  const d = `M${x} ${HEIGHT} V40 C${x} 30 ${mid - neck / 2} 30 ${mid - neck / 2} 22 V16 H${mid + neck / 2} V22 C${mid + neck / 2} 30 ${x + width} 30 ${x + width} 40 V${HEIGHT} Z`;
  return (
    <g>
      <path
        d={d}
        fill={part === 'A' ? 'var(--bm-colors-amber-pale)' : 'var(--bm-colors-verdigris-pale)'}
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.5"
        strokeLinejoin="round"
      />
      <rect
        x={mid - neck / 2 - 2}
        y="7"
        width={neck + 4}
        height="9"
        fill="var(--bm-colors-card)"
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.5"
      />
      <SvgText x={mid} y={HEIGHT - 22} size={15} weight={600} family="heading" textAnchor="middle">
        {part}
      </SvgText>
    </g>
  );
}

/** The two bottles of a resin, as wide beside each other as what is taken of each. */
export function BottlePair({ sheet }: { sheet: ResinSheet }) {
  const ratio = byVolume(sheet);
  const a = ratio > 1 ? Math.max(LEAST, WIDE / ratio) : WIDE;
  const b = ratio > 1 ? WIDE : Math.max(LEAST, WIDE * ratio);
  const width = a + b + 8;
  return (
    <svg
      viewBox={`-2 0 ${width + 4} ${HEIGHT + 4}`}
      height={HEIGHT}
      width={width + 4}
      aria-hidden
      style={{ flexShrink: 0 }}
    >
      <Bottle x={0} width={a} part="A" />
      <Bottle x={a + 8} width={b} part="B" />
      <path d={`M-2 ${HEIGHT + 1} H${width + 2}`} stroke="var(--bm-colors-ink)" strokeWidth="1.5" />
    </svg>
  );
}
