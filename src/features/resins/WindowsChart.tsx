'use client';
import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { ResinSheet, WindowsAtTemperature } from '@/core/resin';
import { roomAir } from '@/shop/room';
import { fromSI } from '@/core/units';
import { useShop } from '@/data/hooks';
import { computeClient } from '@/workers/client';

const RANGE_K = { from: 285.15, to: 303.15, count: 37 } as const;
const CURVES = [
  { key: 'noFlow', name: 'no flow', dash: '', colour: 'var(--bm-colors-amber)' },
  { key: 'recoatOpens', name: 'recoat opens', dash: '7 3', colour: 'var(--bm-colors-verdigris)' },
  { key: 'recoatCloses', name: 'recoat shuts', dash: '2 3', colour: 'var(--bm-colors-oxide)' },
  { key: 'hard', name: 'hard', dash: '10 3 2 3', colour: 'var(--bm-colors-ink)' },
] as const;

function useWindows(sheet: ResinSheet): { rows: readonly WindowsAtTemperature[]; trouble: string } {
  const [state, setState] = useState<{ rows: readonly WindowsAtTemperature[]; trouble: string }>({
    rows: [],
    trouble: '',
  });
  const input = JSON.stringify(sheet);
  useEffect(() => {
    const stop = new AbortController();
    const { from: fromK, to: toK, count } = RANGE_K;
    computeClient()
      .run(
        'windowsByTemperature',
        { sheet: JSON.parse(input) as ResinSheet, fromK, toK, count },
        { signal: stop.signal },
      )
      .then((rows) => setState({ rows, trouble: '' }))
      .catch((e: unknown) => {
        if (!stop.signal.aborted)
          setState({ rows: [], trouble: e instanceof Error ? e.message : String(e) });
      });
    return () => stop.abort();
  }, [input]);
  return state;
}

/** How long the marks of a sheet take at each room temperature, worked out in the worker. */
export function WindowsChart({ sheet }: { sheet: ResinSheet }) {
  const { settings, room } = useShop();
  const symbol = settings.units === 'us' ? '°F' : '°C';
  const { rows, trouble } = useWindows(sheet);
  const data = rows.map((r) => ({
    temperature: fromSI(r.temperatureK, symbol),
    noFlow: r.noFlowS / 3600,
    recoatOpens: r.recoatOpensS / 3600,
    recoatCloses: r.recoatClosesS / 3600,
    hard: r.hardS / 3600,
  }));
  if (trouble) return <Box role="alert">{trouble}</Box>;
  const tick = { fontSize: 12, fill: 'var(--bm-colors-ink2)' };
  return (
    <Box>
      <Box
        height="260px"
        role="img"
        aria-label="Chart: hours to each mark against room temperature"
      >
        <ResponsiveContainer
          width="100%"
          height="100%"
          initialDimension={{ width: 380, height: 260 }}
        >
          <LineChart
            data={data}
            margin={{ top: 12, right: 12, bottom: 18, left: 4 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--bm-colors-line)" />
            <XAxis
              dataKey="temperature"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickCount={7}
              tickFormatter={(v: number) => v.toFixed(0)}
              tick={tick}
              label={{
                value: `room, ${symbol}`,
                position: 'insideBottom',
                offset: -10,
                fontSize: 12,
                fill: 'var(--bm-colors-ink2)',
              }}
            />
            <YAxis
              tick={tick}
              width={46}
              label={{
                value: 'hours',
                angle: -90,
                position: 'insideLeft',
                fontSize: 12,
                fill: 'var(--bm-colors-ink2)',
              }}
            />
            <ReferenceLine
              x={fromSI(roomAir(room).temperatureK, symbol)}
              stroke="var(--bm-colors-ink)"
              strokeWidth={1.5}
              label={{
                value: room.last ? 'room now' : 'room, usual',
                fontSize: 12,
                position: 'insideTopRight',
                fill: 'var(--bm-colors-ink)',
              }}
            />
            {CURVES.map((c) => (
              <Line
                key={c.key}
                dataKey={c.key}
                name={c.name}
                stroke={c.colour}
                strokeDasharray={c.dash}
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
            ))}
          </LineChart>
        </ResponsiveContainer>
      </Box>
      <Box display="flex" gap="4" flexWrap="wrap" fontSize="sm">
        {CURVES.map((c) => (
          <Box key={c.key} display="flex" alignItems="center" gap="2">
            <svg width="30" height="8" aria-hidden>
              <path d="M0 4 H30" stroke={c.colour} strokeWidth="2.5" strokeDasharray={c.dash} />
            </svg>
            {c.name}
          </Box>
        ))}
      </Box>
      <Box fontSize="xs" color="ink2" mt="1">
        Sheet times divided by exp(−E/R · (1/T − 1/Tref)); equivalent age, ASTM C1074 form.
      </Box>
    </Box>
  );
}
