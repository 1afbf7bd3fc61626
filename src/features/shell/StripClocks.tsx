'use client';
import { Box, Flex } from '@chakra-ui/react';
import equal from 'fast-deep-equal';
import { memo, useState } from 'react';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Link } from '@/ui/Link';
import { useWidth } from '@/ui/useWidth';
import { Outline } from '../common/Outline';
import { STATE_FILL } from '../common/stateWords';
import { RowTroubles } from '../common/trouble';
import { NothingRuns } from './NothingRuns';
import type { StripItem } from './stripModel';
import { useStrip } from './useStrip';

/** Room that one clock asks for, px. */
const CLOCK_PX = 310;

const saysTheSame = (a: { item: StripItem }, b: { item: StripItem }): boolean =>
  equal({ ...a.item, atMs: 0 }, { ...b.item, atMs: 0 });

/** A time at the end is not broken in two. */
const whole = (text: string): string => text.replace(/ ([ap]m)$/, '\u00a0$1');

/** Drawn anew when what it says changed. */
const Clock = memo(function Clock({ item }: { item: StripItem }) {
  return (
    <Flex
      asChild
      align="center"
      wrap={{ base: 'wrap', md: 'nowrap' }}
      columnGap="3"
      px="3"
      py="1"
      flex={`1 1 ${CLOCK_PX}px`}
      minW={`min(100%, ${CLOCK_PX}px)`}
      maxW="420px"
      minH="56px"
      borderRightWidth="1px"
      borderColor="line"
      _hover={{ bg: 'amberWash' }}
    >
      <Link href={item.href}>
        <Box display={{ base: 'none', md: 'block' }}>
          {item.area && <Outline shape={item.area.shape} size={32} fill={STATE_FILL[item.state]} />}
        </Box>
        <Box minW="0" flex={{ base: '1 1 100%', md: '1' }}>
          <Box fontFamily="heading" fontWeight="600" truncate>
            {item.title}
          </Box>
          <Box
            fontSize="xs"
            lineHeight="1.25"
            color="ink2"
            display={{ base: 'none', md: 'block' }}
            // The time stands at its end.
            lineClamp={{ md: 2 }}
          >
            {whole(item.text)}
          </Box>
        </Box>
        {/* What is over is longer, and must leave room for what it is. */}
        <Figure
          fontSize={item.left.startsWith('over') ? 'md' : 'lg'}
          fontWeight="600"
          // On two lines rather than over the name of what it is about.
          maxW={{ base: 'none', md: '124px' }}
          whiteSpace={{ base: 'nowrap', md: 'normal' }}
          lineHeight="1.15"
          textAlign={{ base: 'start', md: 'end' }}
          color={item.urgent ? 'oxide' : 'ink'}
        >
          {item.urgent && <span aria-label="soon">! </span>}
          {whole(item.left)}
        </Figure>
      </Link>
    </Flex>
  );
}, saysTheSame);

/** The clocks, the most urgent first: what has no room waits behind a key. */
export function StripClocks() {
  const { items } = useStrip();
  const [row, width] = useWidth<HTMLDivElement>();
  const [all, setAll] = useState(false);
  const fits = Math.max(1, Math.floor((width ?? 0) / CLOCK_PX));
  const shown = all ? items : items.slice(0, fits);
  return (
    <>
      <Flex ref={row} flex="1" minW="0" wrap="wrap" role="group" aria-label="Clocks">
        {shown.map((item) => (
          <Clock key={item.key} item={item} />
        ))}
        {items.length === 0 && <NothingRuns />}
      </Flex>
      {fits < items.length && (
        <Button
          variant="quiet"
          flex="0 0 auto"
          alignSelf="stretch"
          px="3"
          fontSize="sm"
          aria-expanded={all}
          onClick={() => setAll(!all)}
        >
          {all ? 'Fewer' : `${items.length - fits} more`}
        </Button>
      )}
    </>
  );
}

/** The rows whose clocks cannot be told. */
export const StripTroubles = () => <RowTroubles troubles={useStrip().troubles} />;
