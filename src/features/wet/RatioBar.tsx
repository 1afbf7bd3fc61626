'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Figure } from '@/ui/Figure';
import type { Meter } from './meter';
import type { RatioGauge } from './model';

/** With its sign, but none on what shows as nothing. */
const percent = (share: number): string => {
  const tenths = Math.round(share * 1000);
  return `${tenths > 0 ? '+' : tenths < 0 ? '−' : ''}${Math.abs(tenths / 10).toFixed(1)} %`;
};

/** A cup is chosen with so much room over what is planned, share. Judgement, no source. */
const CUP_ROOM = 0.15;

/** The ratio if the pouring stopped now, and what restores it. */
export function RatioBar({
  gauge,
  meter,
  brief = false,
  plannedKg,
}: {
  gauge: RatioGauge;
  /** How much B is missing stands beside it already. */
  brief?: boolean;
  meter: { readonly A: Meter; readonly B: Meter };
  /** What the cup was chosen for, kg, and what it holds. */
  plannedKg: { readonly planned: number; readonly inCup: number };
}) {
  const { check, at, tolerance } = gauge;
  const right = check.verdict === 'right';
  const over = (plannedKg.inCup + check.addAKg + check.addBKg) / plannedKg.planned - 1;
  const cure =
    check.verdict === 'too much B'
      ? `Add ${meter.A.show(check.addAKg).text} of A to restore the ratio, stir twice as long.`
      : `Add ${meter.B.show(check.addBKg).text} of B.`;
  return (
    <Box my="2" role="status">
      <Box fontWeight="600" fontFamily="heading">
        Ratio, if you stopped now:{' '}
        <Figure color={right ? 'verdigris' : 'oxide'}>
          {right ? '✓ ' : '▲ '}
          {percent(check.errorShare)} B
        </Figure>
      </Box>
      <Box position="relative" height="34px" bg="line" my="1" aria-hidden>
        <Box
          position="absolute"
          top="0"
          bottom="0"
          left={`${tolerance.from * 100}%`}
          width={`${(tolerance.to - tolerance.from) * 100}%`}
          bg="verdigrisPale"
          borderInlineWidth="2px"
          borderColor="verdigris"
        />
        <Box
          position="absolute"
          top="-4px"
          bottom="-4px"
          left={`calc(${at * 100}% - 2px)`}
          width="4px"
          bg={right ? 'ink' : 'oxide'}
        />
      </Box>
      <Flex justify="space-between" fontSize="sm" color="ink2" aria-hidden>
        <span>too little B</span>
        <span>right, ± 2 %</span>
        <span>too much B</span>
      </Flex>
      {!right && !(brief && check.verdict === 'too little B') && (
        <Box fontWeight="600" color="oxide">
          {cure}
          {over > CUP_ROOM && (
            <>
              {' '}
              The cup then holds {Math.round(over * 100)} % more than planned: room in it? It heats
              sooner.
            </>
          )}
        </Box>
      )}
    </Box>
  );
}
