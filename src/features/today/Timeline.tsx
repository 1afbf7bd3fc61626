'use client';
import { hourMinute, hourTick, shortMinute } from '@/features/common/hours';
import { Box, Flex } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import { Link } from '@/ui/Link';
import type { Band, Lane } from './model';
import type { TimeScale } from './timeScale';
import { SvgText } from '@/ui/SvgText';

const AXIS = 64;

/** Left edge, right edge and text of a band in its lane, %: what stands beside the coat is narrow. */
const PLACE = {
  coat: { x: 5, width: 70 },
  beside: { x: 79, width: 17 },
} as const;

/** What ends below the page has no line there, only an arrow and its time. */
const endsBeyond = (band: Band, scale: TimeScale): boolean => band.toMs > scale.endMs;

function BandBox({ band, scale }: { band: Band; scale: TimeScale }) {
  const [top, bottom] = [Math.max(scale.y(band.fromMs), 0), scale.y(band.toMs)];
  const { x, width } = band.beside ? PLACE.beside : PLACE.coat;
  return (
    <g>
      <rect
        x={`${x}%`}
        width={`${width}%`}
        y={top}
        height={Math.max(1, bottom - top)}
        fill={band.fill}
        stroke={band.beside ? 'var(--bm-colors-slate)' : 'var(--bm-colors-amber-deep)'}
        strokeWidth="0.6"
      />
      {band.endWords && !endsBeyond(band, scale) && (
        <line
          x1={`${x}%`}
          x2={`${x + width}%`}
          y1={bottom}
          y2={bottom}
          stroke="var(--bm-colors-oxide)"
          strokeWidth="3"
        />
      )}
    </g>
  );
}

function BandWords({ band, scale, nowY }: { band: Band; scale: TimeScale; nowY: number }) {
  const top = scale.y(band.fromMs);
  const height = scale.y(band.toMs) - top;
  const shownTop = Math.max(top, 0);
  // The line that says now must not run through a label.
  const plain = shownTop + 15;
  const labelY = Math.abs(plain - 5 - nowY) < 11 && nowY + 15 < top + height ? nowY + 15 : plain;
  const { x, width } = band.beside ? PLACE.beside : PLACE.coat;
  const text = band.beside
    ? ({ x: `${x + width}%`, textAnchor: 'end' } as const)
    : { x: `${x + 4}%` };
  const words = {
    weight: 600,
    stroke: 'var(--bm-colors-card)',
    strokeWidth: '4',
    paintOrder: 'stroke',
  } as const;
  return (
    <g>
      {height >= (band.endWords ? 36 : 18) && (
        <SvgText {...text} {...words} y={labelY} size={13} fill="var(--bm-colors-ink)">
          {band.label}
        </SvgText>
      )}
      {band.endWords && height >= 18 && (
        <SvgText {...text} {...words} y={top + height - 6} size={12} fill="var(--bm-colors-oxide)">
          {endsBeyond(band, scale) ? `↓ ${band.endWords}` : band.endWords}
        </SvgText>
      )}
    </g>
  );
}

interface Props {
  readonly lanes: readonly Lane[];
  readonly scale: TimeScale;
  readonly nowMs: number;
}

function Axis({ scale, nowMs }: { scale: TimeScale; nowMs: number }) {
  const nowY = scale.y(nowMs);
  return (
    <svg width={AXIS} height={scale.heightPx} aria-hidden>
      {scale.ticks
        .filter((t) => Math.abs(scale.y(t) - nowY) > 16 && scale.y(t) < scale.heightPx - 6)
        .map((t) => (
          <SvgText
            key={t}
            x={AXIS - 10}
            y={scale.y(t) + 4}
            textAnchor="end"
            size={13}
            fill="var(--bm-colors-ink2)"
            family="mono"
          >
            {formatDate(t, hourTick())}
          </SvgText>
        ))}
      <path d={`M4 ${nowY - 12} h50 l8 12 l-8 12 h-50 z`} fill="var(--bm-colors-ink)" />
      <SvgText x="9" y={nowY + 5} size={13} weight={600} fill="var(--bm-colors-card)" family="mono">
        {formatDate(nowMs, shortMinute())}
      </SvgText>
    </svg>
  );
}

/** Time down the page, a lane a piece; a line says now; closed hours are hatched and shorter. */
export function Timeline({ lanes, scale, nowMs }: Props) {
  const nowY = scale.y(nowMs);
  return (
    <Box
      bg="card"
      borderWidth="1px"
      borderColor="line"
      overflowX="auto"
      tabIndex={0}
      role="group"
      aria-label="Clock of the bench"
    >
      <Flex
        ps={`${AXIS}px`}
        borderBottomWidth="1px"
        borderColor="line"
        minW={`${AXIS + lanes.length * 130}px`}
      >
        {lanes.map((lane) => (
          <Box
            key={lane.key}
            asChild
            flex="1"
            minW="130px"
            px="3"
            py="2"
            fontFamily="heading"
            fontWeight="600"
            lineHeight="1.15"
            _hover={{ bg: 'amberWash' }}
          >
            <Link href={lane.href}>{lane.title}</Link>
          </Box>
        ))}
      </Flex>
      <Flex position="relative" minW={`${AXIS + lanes.length * 130}px`} my="2">
        <Axis scale={scale} nowMs={nowMs} />
        {lanes.map((lane) => (
          <Box key={lane.key} flex="1" minW="130px" borderLeftWidth="1px" borderColor="line">
            <svg
              width="100%"
              height={scale.heightPx}
              role="img"
              aria-label={`${lane.title}: ${lane.bands.map((b) => `${b.label} from ${formatDate(b.fromMs, `EEE ${hourMinute()}`)}`).join(', ')}`}
            >
              {scale.stretches
                .filter((s) => s.closed)
                .map((s) => (
                  <rect
                    key={s.fromMs}
                    x="0"
                    width="100%"
                    y={s.topPx}
                    height={(s.toMs - s.fromMs) * s.pxPerMs}
                    fill="url(#state-closed)"
                  />
                ))}
              {scale.ticks.map((t) => (
                <line
                  key={t}
                  x1="0"
                  x2="100%"
                  y1={scale.y(t)}
                  y2={scale.y(t)}
                  stroke="var(--bm-colors-line)"
                  strokeWidth="0.8"
                />
              ))}
              {lane.bands.map((band) => (
                <BandBox key={band.key} band={band} scale={scale} />
              ))}
              {/* Over all of them: words may be longer than their band is wide. */}
              {lane.bands.map((band) => (
                <BandWords key={band.key} band={band} scale={scale} nowY={nowY} />
              ))}
              <line
                x1="0"
                x2="100%"
                y1={nowY}
                y2={nowY}
                stroke="var(--bm-colors-ink)"
                strokeWidth="2"
              />
            </svg>
          </Box>
        ))}
      </Flex>
    </Box>
  );
}
