'use client';
import { Box, Flex } from '@chakra-ui/react';
import type { PlacedTask, Removal } from '@/core/prep';
import { clockText, spanText } from '@/features/common/clockText';
import { Explained } from '@/features/common/Explained';
import { explainDry } from './amounts';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';

/** A drying layer: how far it is, when it is dry, and within which band. */
export function DryClock({ placed, nowMs }: { placed: PlacedTask; nowMs: number }) {
  const { show } = useFormat();
  const { dry, record } = placed;
  const laidMs = record?.doneMs;
  if (!dry || laidMs === null || laidMs === undefined) return null;
  const endMs = Number.isFinite(dry.latestMs) ? dry.latestMs : laidMs + 1;
  const at = (ms: number) =>
    `${Math.min(100, Math.max(0, ((ms - laidMs) / (endMs - laidMs)) * 100)).toFixed(1)}%`;
  const left = dry.dryMs - nowMs;
  return (
    <Box>
      <Flex align="baseline" gap="3" wrap="wrap">
        <Explained explanation={explainDry(placed)} quantity="duration">
          <Figure fontSize="2xl" fontWeight="600">
            {left > 0 ? spanText(left) : 'dry'}
          </Figure>
        </Explained>
        <Box>
          {left > 0
            ? `left, dry ${clockText(dry.dryMs, nowMs)}`
            : `since ${clockText(dry.dryMs, nowMs)}`}
        </Box>
      </Flex>
      <svg width="100%" height="22" aria-hidden>
        <rect
          width="100%"
          height="14"
          y="4"
          fill="var(--bm-colors-card)"
          stroke="var(--bm-colors-ink3)"
        />
        <rect width={at(nowMs)} height="14" y="4" fill="url(#drying)" />
        <rect
          x={at(dry.earliestMs)}
          width={`${100 - parseFloat(at(dry.earliestMs))}%`}
          height="14"
          y="4"
          fill="url(#state-closed)"
        />
        <line
          x1={at(dry.dryMs)}
          x2={at(dry.dryMs)}
          y1="0"
          y2="22"
          stroke="var(--bm-colors-ink)"
          strokeWidth="2.5"
        />
      </svg>
      <Box fontSize="sm" color="ink2">
        Laid {clockText(laidMs, nowMs)}. Between {clockText(dry.earliestMs, nowMs)} and{' '}
        {clockText(dry.latestMs, nowMs)}; the room dries at{' '}
        <Figure>{show(dry.rate, 'number', 2).text}</Figure> of the label’s pace.
      </Box>
    </Box>
  );
}

/** When a mask comes off: its best span and its limit. */
export function RemovalClock({ removal, nowMs }: { removal: Removal; nowMs: number }) {
  const { bestFromMs, bestToMs, limitMs } = removal;
  const over = nowMs > limitMs;
  return (
    <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap="4" fontSize="sm">
      <dt>Best</dt>
      <dd>
        from <Figure>{clockText(bestFromMs, nowMs)}</Figure>
        {Number.isFinite(bestToMs) && (
          <>
            {' '}
            to <Figure>{clockText(bestToMs, nowMs)}</Figure>
          </>
        )}
      </dd>
      {Number.isFinite(limitMs) && (
        <>
          <dt>Limit</dt>
          <Box as="dd" color={over ? 'oxide' : undefined} fontWeight={over ? '600' : undefined}>
            <Figure>{clockText(limitMs, nowMs)}</Figure>
            {over
              ? `, over by ${spanText(nowMs - limitMs)}`
              : `, ${spanText(limitMs - nowMs)} left`}
          </Box>
        </>
      )}
    </Box>
  );
}
