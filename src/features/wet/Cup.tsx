import { Box } from '@chakra-ui/react';
import { SvgText } from '@/ui/SvgText';

interface Props {
  /** Shares of the full mix that are in the cup, 0 to 1. */
  readonly a: number;
  readonly b: number;
  readonly aText: string;
  readonly goal: number;
  readonly goalText: string;
}

const TOP = 30;
const FLOOR = 400;
/** A slightly conical cup: left edge at a height. */
const left = (y: number): number => 60 + ((y - TOP) / (FLOOR - TOP)) * 22;

function layer(from: number, to: number): string {
  const y0 = FLOOR - from * 320;
  const y1 = FLOOR - to * 320;
  return `M${left(y0)} ${y0} L${left(y1)} ${y1} L${420 - left(y1)} ${y1} L${420 - left(y0)} ${y0} Z`;
}

/** The cup with both parts in it, and the line to pour to. */
export function Cup({ a, b, aText, goal, goalText }: Props) {
  const line = FLOOR - Math.min(1.08, goal) * 320;
  return (
    <Box maxW="430px" width="100%">
      <svg viewBox="0 0 420 420" width="100%" role="img" aria-label={`Cup: ${aText}. ${goalText}`}>
        {a > 0 && <path d={layer(0, a)} fill="var(--bm-colors-amber-soft)" />}
        {b > 0 && <path d={layer(a, a + b)} fill="var(--bm-colors-slate-pale)" />}
        <path
          d={`M60 ${TOP} L82 ${FLOOR} H338 L360 ${TOP}`}
          fill="none"
          stroke="var(--bm-colors-ink)"
          strokeWidth="3"
        />
        <path
          d={`M36 ${line} H384`}
          stroke="var(--bm-colors-oxide)"
          strokeWidth="3"
          strokeDasharray="9 6"
        />
        <SvgText
          x={420 - left(line - 10) - 10}
          y={line - 10}
          textAnchor="end"
          size={19}
          weight={600}
          fill="var(--bm-colors-oxide)"
          stroke="var(--bm-colors-paper)"
          strokeWidth="5"
          paintOrder="stroke"
        >
          {goalText}
        </SvgText>
        {a > 0.05 && (
          <SvgText
            x="210"
            y={FLOOR - a * 160 + 7}
            textAnchor="middle"
            size={20}
            weight={600}
            fill="var(--bm-colors-ink)"
          >
            {aText}
          </SvgText>
        )}
        {b > 0.05 && (
          <SvgText
            x="210"
            y={FLOOR - (a + b / 2) * 320 + 7}
            textAnchor="middle"
            size={22}
            weight={600}
            fill="var(--bm-colors-ink)"
          >
            B
          </SvgText>
        )}
      </svg>
    </Box>
  );
}
