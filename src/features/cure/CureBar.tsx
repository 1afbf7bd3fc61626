import type { CoatClock } from '@/core/resin';
import { clockText } from '@/features/common/clockText';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';

const WIDTH = 780;
const PAD = 8;

/** The states of a coat along the clock; hours are compressed so that the first day gets half the bar. */
export function CureBar({ clock, nowMs }: { clock: CoatClock; nowMs: number }) {
  const start = clock.spans[0]?.fromMs ?? nowMs;
  const last = clock.spans.at(-1)?.fromMs ?? nowMs;
  const whole = (last - start) * 1.12;
  const x = (at: number) =>
    PAD + Math.sqrt(Math.min(1, Math.max(0, (at - start) / whole))) * (WIDTH - 2 * PAD);
  const now = x(nowMs);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 92`}
      width="100%"
      role="img"
      aria-label={`Now ${STATE_WORDS[clock.state]}`}
    >
      {clock.spans.map((span, i) => {
        const from = x(span.fromMs);
        const to = span.toMs === null ? WIDTH - PAD : x(span.toMs);
        const above = i % 2 === 0;
        return (
          <g key={span.state}>
            <rect
              x={from}
              y="26"
              width={Math.max(0, to - from)}
              height="34"
              fill={STATE_FILL[span.state]}
              stroke="var(--bm-colors-amber-deep)"
              strokeWidth="0.8"
            />
            <text x={from + 3} y={above ? 19 : 76} fontSize="13" fill="var(--bm-colors-ink)">
              {STATE_WORDS[span.state]}
              <tspan fontFamily="var(--bm-fonts-mono)" fontSize="12" fill="var(--bm-colors-ink2)">
                {` ${clockText(span.fromMs, nowMs)}`}
              </tspan>
            </text>
          </g>
        );
      })}
      <path d={`M${now} 22 V66`} stroke="var(--bm-colors-ink)" strokeWidth="2.5" />
      <path d={`M${now - 6} 66 h12 l-6 -7 z`} fill="var(--bm-colors-ink)" />
      <text
        x={Math.min(now, WIDTH - 40)}
        y="90"
        fontSize="13"
        fontWeight="600"
        textAnchor="middle"
        fill="var(--bm-colors-ink)"
      >
        now
      </text>
    </svg>
  );
}
