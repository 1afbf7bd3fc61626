import type { CoatClock } from '@/core/resin';
import type { Coat } from '@/records';
import { clockText } from '@/features/common/clockText';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { keepLetters } from '@/ui/keepLetters';
import { SvgText } from '@/ui/SvgText';
import { useWidth } from '@/ui/useWidth';

const WIDTH = 780;
const HEIGHT = 34;
/** Room above the bar for its words: where it is drawn small they stand on two lines. */
const TOP = { wide: 24, tight: 46 } as const;
/** Drawn narrower than this it is small, px. */
const TIGHT_PX = 680;

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
  const [row, width] = useWidth<HTMLDivElement>();
  const tight = width !== null && width < TIGHT_PX;
  const top = tight ? TOP.tight : TOP.wide;
  /** Every second word stands a line further off. */
  const off = (i: number) => (tight && i % 2 === 1 ? 20 : 0);
  const step = (WIDTH - 4) / spans.length;
  const now = Math.min(WIDTH - 9, Math.max(9, 2 + placeOnBar(spans, nowMs) * (WIDTH - 4)));
  return (
    <div ref={row}>
      <svg
        ref={keepLetters}
        viewBox={`0 0 ${WIDTH} ${top + (tight ? 100 : 68)}`}
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
                y={top}
                width={step}
                height={HEIGHT}
                fill={STATE_FILL[span.state]}
                stroke="var(--bm-colors-amber-deep)"
                strokeWidth={here ? 2 : 0.8}
              />
              <SvgText x={x + 2} y={top - 8 - off(i)} size={13} weight={here ? 600 : 400}>
                {STATE_WORDS[span.state]}
              </SvgText>
              <SvgText
                {...(i === spans.length - 1
                  ? { x: x + step - 2, textAnchor: 'end' as const }
                  : { x: x + 2 })}
                y={top + HEIGHT + 16 + off(i)}
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
              d={`M${x} ${top + HEIGHT} v-14 a4 4 0 1 1 0.01 0`}
              fill="var(--bm-colors-card)"
              stroke="var(--bm-colors-ink)"
              strokeWidth="1.5"
            />
          );
        })}
        <path d={`M${now} ${top} V${top + HEIGHT}`} stroke="var(--bm-colors-ink)" strokeWidth="3" />
        <path d={`M${now - 7} ${top + HEIGHT + 1} h14 l-7 -9 z`} fill="var(--bm-colors-ink)" />
        <SvgText
          x={Math.min(WIDTH - 16, Math.max(16, now))}
          y={top + HEIGHT + (tight ? 58 : 32)}
          size={13}
          weight={600}
          textAnchor="middle"
        >
          now
        </SvgText>
      </svg>
    </div>
  );
}
