'use client';
import { hourMinute } from '@/features/common/hours';
import { Box } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import {
  Area,
  Bar,
  BarChart,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
  type YAxisTickContentProps,
} from 'recharts';
import { fromSI } from '@/core/units';
import type { ChartPoint, CoatRow } from './model';

const TICK = { fontSize: 12, fill: 'var(--bm-colors-ink2)' };
const SIZE = { width: 760, height: 260 };
const HOUR = 3_600_000;
/** The left axis is as wide in both charts, so that their hours stand above one another. */
const AXIS_PX = 150;

interface Props {
  readonly points: readonly ChartPoint[];
  readonly coats: readonly CoatRow[];
  readonly nowMs: number;
  readonly fromMs: number;
  readonly toMs: number;
  readonly symbol: '°C' | '°F';
}

/** Whole hours or days of the wall clock: a change to summer time moves none of them. */
function ticksOf(fromMs: number, toMs: number): number[] {
  const spanH = (toMs - fromMs) / HOUR;
  const step = spanH <= 60 ? 6 : spanH <= 150 ? 12 : 24 * Math.ceil(spanH / 24 / 10);
  const at = new Date(fromMs);
  at.setHours(0, 0, 0, 0);
  const ticks: number[] = [];
  while (at.getTime() <= toMs) {
    if (at.getTime() >= fromMs) ticks.push(at.getTime());
    at.setHours(at.getHours() + step);
  }
  return ticks;
}

const tickText = (ms: number): string => {
  const date = new Date(ms);
  return date.getHours() === 0 ? formatDate(date, 'EEE d') : formatDate(date, hourMinute());
};

function TemperatureChart({ points, nowMs, fromMs, toMs, symbol }: Omit<Props, 'coats'>) {
  const shown = (k: number | null) => (k === null ? null : Number(fromSI(k, symbol).toFixed(2)));
  const data = points.map((p) => ({
    atMs: p.atMs,
    air: shown(p.readK),
    dew: shown(p.dewK),
    ahead: shown(p.aheadK),
    band: p.bandK?.map(shown) ?? null,
    humidity: p.humidity === null ? null : Math.round(p.humidity * 100),
  }));
  const axis = { type: 'number' as const, domain: [fromMs, toMs], dataKey: 'atMs' };
  return (
    <Box height="260px" role="img" aria-label="Chart: air and dew point, read and forecast">
      <ResponsiveContainer width="100%" height="100%" initialDimension={SIZE}>
        <ComposedChart
          data={data}
          margin={{ top: 8, right: 16, bottom: 4, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--bm-colors-line)" />
          <XAxis {...axis} ticks={ticksOf(fromMs, toMs)} tickFormatter={tickText} tick={TICK} />
          <YAxis
            width={AXIS_PX}
            tick={TICK}
            domain={['dataMin - 1', 'dataMax + 1']}
            tickFormatter={(v: number) => `${Math.round(v)} ${symbol}`}
          />
          <Area
            dataKey="band"
            stroke="none"
            fill="var(--bm-colors-amber)"
            fillOpacity={0.18}
            isAnimationActive={false}
          />
          <Line
            dataKey="air"
            type="stepAfter"
            stroke="var(--bm-colors-ink)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="ahead"
            stroke="var(--bm-colors-amber-deep)"
            strokeWidth={2}
            strokeDasharray="6 4"
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="dew"
            type="stepAfter"
            stroke="var(--bm-colors-verdigris)"
            strokeWidth={1.5}
            strokeDasharray="2 3"
            dot={false}
            isAnimationActive={false}
          />
          <ReferenceLine
            x={nowMs}
            stroke="var(--bm-colors-oxide)"
            strokeWidth={1.5}
            label={{
              value: 'now',
              position: 'insideTopLeft',
              fontSize: 12,
              fill: 'var(--bm-colors-oxide)',
            }}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </Box>
  );
}

/** On one line: the package breaks names that stand side by side into each other. */
function NameTick({ x, y, payload }: YAxisTickContentProps) {
  return (
    <text x={x} y={y} dy={4} textAnchor="end" style={{ fontSize: 12 }} fill="var(--bm-colors-ink2)">
      {String(payload.value)}
    </text>
  );
}

const short = (name: string): string => (name.length > 25 ? `${name.slice(0, 24)}…` : name);

function CoatsChart({
  coats,
  nowMs,
  fromMs,
  toMs,
}: Pick<Props, 'coats' | 'nowMs' | 'fromMs' | 'toMs'>) {
  if (coats.length === 0) return null;
  const data = coats.map((c) => ({ ...c, name: short(c.name) }));
  return (
    <Box
      height={`${coats.length * 26 + 8}px`}
      role="img"
      aria-label={`Chart: coats that were wet or open: ${coats.map((c) => c.name).join('; ')}`}
    >
      <ResponsiveContainer
        width="100%"
        height="100%"
        initialDimension={{ width: 760, height: 100 }}
      >
        <BarChart
          data={data}
          layout="vertical"
          barGap={-14}
          barSize={14}
          margin={{ top: 2, right: 16, bottom: 2, left: 0 }}
          accessibilityLayer={false}
        >
          <XAxis type="number" domain={[fromMs, toMs]} hide allowDataOverflow />
          <YAxis type="category" dataKey="name" width={AXIS_PX} tick={NameTick} interval={0} />
          <Bar
            dataKey="wet"
            fill="var(--bm-colors-amber-soft)"
            stroke="var(--bm-colors-amber-deep)"
            isAnimationActive={false}
          />
          <Bar
            dataKey="recoat"
            fill="var(--bm-colors-verdigris-pale)"
            stroke="var(--bm-colors-verdigris)"
            strokeDasharray="4 2"
            isAnimationActive={false}
          />
          <ReferenceLine x={nowMs} stroke="var(--bm-colors-oxide)" strokeWidth={1.5} />
        </BarChart>
      </ResponsiveContainer>
    </Box>
  );
}

/** Air and dew point over time with the forecast, and below it the coats that were wet or open. */
export function RoomChart(props: Props) {
  return (
    <>
      <TemperatureChart {...props} />
      <CoatsChart {...props} />
    </>
  );
}
