'use client';
import { Box } from '@chakra-ui/react';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { CupOutlook } from '@/core/resin/model';

const TICK = { fontSize: 12, fill: 'var(--bm-colors-ink2)' };
const word = (value: string) => ({
  ...{ value, position: 'insideTop' as const, fontSize: 12, fill: 'var(--bm-colors-ink)' },
});

/** How thick a batch has become against fresh, as it lies on the board, through its time in the cup. */
export function CupChart({ outlook }: { outlook: CupOutlook }) {
  const { curve, edges, linesFromS, workingS } = outlook;
  const data = curve.map(({ s, times }) => ({ min: s / 60, times }));
  const stop = workingS / 60;
  return (
    <Box height="200px" role="img" aria-label="Chart: thickness against fresh, minute by minute">
      <ResponsiveContainer
        width="100%"
        height="100%"
        initialDimension={{ width: 380, height: 200 }}
      >
        <LineChart
          data={data}
          margin={{ top: 8, right: 12, bottom: 18, left: 4 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--bm-colors-line)" />
          {edges && (
            <ReferenceArea
              x1={edges.fromS / 60}
              x2={edges.toS / 60}
              fill="var(--bm-colors-verdigris-pale)"
              fillOpacity={0.7}
              label={word('edges')}
            />
          )}
          {linesFromS !== null && (
            <ReferenceArea
              x1={linesFromS / 60}
              x2={stop}
              fill="var(--bm-colors-amber-soft)"
              fillOpacity={0.6}
              label={{ ...word('lines'), position: 'insideBottom' }}
            />
          )}
          <XAxis
            dataKey="min"
            type="number"
            domain={[0, Math.ceil((stop * 1.1) / 5) * 5]}
            tick={TICK}
            label={{ ...word('minutes after the mix'), position: 'insideBottom', offset: -10 }}
          />
          <YAxis
            domain={[1, 10]}
            allowDataOverflow
            tick={TICK}
            width={46}
            label={{ ...word('times as thick'), angle: -90, position: 'insideLeft', dy: 40 }}
          />
          <ReferenceLine
            x={stop}
            stroke="var(--bm-colors-oxide)"
            strokeWidth={2}
            label={{ ...word('stop'), position: 'insideTopLeft', fill: 'var(--bm-colors-oxide)' }}
          />
          <Line
            dataKey="times"
            stroke="var(--bm-colors-ink)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}
