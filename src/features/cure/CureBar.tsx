import type { CoatClock } from '@/core/resin';
import type { Coat } from '@/records';
import { clockText } from '@/features/common/clockText';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { keepLetters } from '@/ui/keepLetters';
import { SvgText } from '@/ui/SvgText';

const WIDTH = 780;
const TOP = 24;
const HEIGHT = 34;

/** Where `nowMs` stands on a bar that draws every state equally wide. */
export function placeOnBar(spans: CoatClock['spans'], nowMs: number): number {
  const index = Math.max(
    0,
    spans.findLastIndex((s) => s.fromMs <= nowMs),
  );
  const span = spans[index];
  if (!span || spans.length === 0) return 0;
  const share =
    span.toMs === null ? 0.5 : (nowMs - span.fromMs) / Math.max(1, span.toMs - span.fromMs);
  return (index + Math.min(1, Math.max(0, share))) / spans.length;
}

/** The states of a coat in order with the clock time at which each begins; all drawn equally wide. */
export function CureBar({
  clock,
  touches,
  nowMs,
}: {
  clock: CoatClock;
  touches: Coat['touches'];
  nowMs: number;
}) {
  const { spans } = clock;
  const step = (WIDTH - 4) / spans.length;
  const now = Math.min(WIDTH - 9, Math.max(9, 2 + placeOnBar(spans, nowMs) * (WIDTH - 4)));
  return (
    <svg
      ref={keepLetters}
      viewBox={`0 0 ${WIDTH} 92`}
      width="100%"
      role="img"
      aria-label={`Now ${STATE_WORDS[clock.state]}. ${spans.map((s) => `${STATE_WORDS[s.state]} from ${clockText(s.fromMs, nowMs)}`).join(', ')}`}
    >
      {spans.map((span, i) => {
        const x = 2 + i * step;
        const here = span.state === clock.state;
        return (
          <g key={span.state}>
            <rect
              x={x}
              y={TOP}
              width={step}
              height={HEIGHT}
              fill={STATE_FILL[span.state]}
              stroke="var(--bm-colors-amber-deep)"
              strokeWidth={here ? 2 : 0.8}
            />
            <SvgText x={x + 2} y={TOP - 8} size={13} weight={here ? 600 : 400}>
              {STATE_WORDS[span.state]}
            </SvgText>
            <SvgText
              x={x + 2}
              y={TOP + HEIGHT + 16}
              size={12}
              family="mono"
              fill="var(--bm-colors-ink2)"
            >
              {clockText(span.fromMs, nowMs)}
            </SvgText>
          </g>
        );
      })}
      {touches.map(({ atMs }) => {
        const x = 2 + placeOnBar(spans, atMs) * (WIDTH - 4);
        return (
          <path
            key={atMs}
            d={`M${x} ${TOP + HEIGHT} v-14 a4 4 0 1 1 0.01 0`}
            fill="var(--bm-colors-card)"
            stroke="var(--bm-colors-ink)"
            strokeWidth="1.5"
          />
        );
      })}
      <path d={`M${now} ${TOP} V${TOP + HEIGHT}`} stroke="var(--bm-colors-ink)" strokeWidth="3" />
      <path d={`M${now - 7} ${TOP + HEIGHT + 1} h14 l-7 -9 z`} fill="var(--bm-colors-ink)" />
      <SvgText
        x={Math.min(WIDTH - 16, Math.max(16, now))}
        y={TOP + HEIGHT + 32}
        size={13}
        weight={600}
        textAnchor="middle"
      >
        now
      </SvgText>
    </svg>
  );
}
