'use client';
import { Box } from '@chakra-ui/react';
import { flowMarks, type Flow } from '@/core/wet';
import { clockText } from '@/features/common/clockText';
import { SvgText } from '@/ui/SvgText';

/** How the mix flows, in the words of the bench. */
export const FLOW_WORDS: Readonly<Record<Flow, string>> = {
  fresh: 'Flows like fresh: it levels',
  clings: 'Clings: edges keep their film',
  thickens: 'Thickens: finish, push it no more',
  'lines stay': 'Thick: lines stay, nothing levels',
  over: 'Over: what is in the cup is not poured',
};
const SHORT: Readonly<Record<Flow, string>> = {
  fresh: 'flood',
  clings: 'edges',
  thickens: 'finish',
  'lines stay': 'lines',
  over: 'stop',
};
const FILL: Readonly<Record<Flow, string>> = {
  fresh: 'var(--bm-colors-amber)',
  clings: 'url(#state-recoat)',
  thickens: 'var(--bm-colors-amber-wash)',
  'lines stay': 'url(#state-sand)',
  over: 'var(--bm-colors-oxide-wash)',
};
const [WIDTH, TOP, HEIGHT] = [640, 36, 40];

/** The working time as a level that falls from the left: what can be done with it, and when each begins. */
export function WorkingLevel({
  mixedMs,
  endsMs,
  nowMs,
}: {
  mixedMs: number;
  endsMs: number;
  nowMs: number;
}) {
  const workingS = (endsMs - mixedMs) / 1000;
  const marks = flowMarks(workingS);
  const x = (s: number) => Math.min(1, s / workingS) * (WIDTH - 4) + 2;
  const now = x(Math.max(0, (nowMs - mixedMs) / 1000));
  const words = marks.map(
    (m) => `${SHORT[m.flow]} from ${clockText(mixedMs + m.fromS * 1000, nowMs)}`,
  );
  return (
    <Box maxW="640px" mx="auto">
      <svg viewBox={`0 0 ${WIDTH} 106`} width="100%" role="img" aria-label={words.join(', ')}>
        {marks.slice(0, -1).map((mark, i) => {
          const [from, to] = [x(mark.fromS), x(marks[i + 1]?.fromS ?? workingS)];
          return (
            <g key={mark.flow}>
              <rect
                x={from}
                y={TOP}
                width={to - from}
                height={HEIGHT}
                fill={FILL[mark.flow]}
                stroke="var(--bm-colors-amber-deep)"
              />
              <SvgText
                x={i < marks.length - 2 ? from + 5 : WIDTH - 2}
                y={TOP - 9}
                size={24}
                weight={600}
                textAnchor={i < marks.length - 2 ? 'start' : 'end'}
              >
                {SHORT[mark.flow]}
              </SvgText>
              {i > 0 && x(workingS) - from > 190 && (
                <SvgText x={from + 5} y={TOP + HEIGHT + 26} size={22} family="mono">
                  {clockText(mixedMs + mark.fromS * 1000, nowMs)}
                </SvgText>
              )}
            </g>
          );
        })}
        <SvgText x={WIDTH - 2} y={TOP + HEIGHT + 26} size={22} textAnchor="end" family="mono">
          stop {clockText(endsMs, nowMs)}
        </SvgText>
        <rect
          x={2}
          y={TOP}
          width={Math.max(0, now - 2)}
          height={HEIGHT}
          fill="var(--bm-colors-card)"
          opacity="0.72"
        />
        <path
          d={`M${now} ${TOP - 4} V${TOP + HEIGHT + 4}`}
          stroke="var(--bm-colors-ink)"
          strokeWidth="5"
        />
      </svg>
    </Box>
  );
}
