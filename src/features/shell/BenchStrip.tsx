'use client';
import { Box, Flex } from '@chakra-ui/react';
import equal from 'fast-deep-equal';
import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import { memo } from 'react';
import { useNow, useShop } from '@/data/hooks';
import { roomAir } from '@/shop/room';
import { Figure } from '@/ui/Figure';
import { Outline } from '../common/Outline';
import { STATE_FILL } from '../common/stateWords';
import { useFormat } from '../common/useFormat';
import { RowTroubles } from '../common/trouble';
import { readStrip, roomWords, type StripItem } from './stripModel';

/** Comes after the first screen: it draws nothing while the room is fair. */
const RoomAlarmBar = dynamic(() => import('./RoomAlarmBar').then((m) => m.RoomAlarmBar), {
  ssr: false,
});

const saysTheSame = (a: { item: StripItem }, b: { item: StripItem }): boolean =>
  equal({ ...a.item, atMs: 0 }, { ...b.item, atMs: 0 });

/** Drawn anew when what it says changed. */
const Clock = memo(function Clock({ item }: { item: StripItem }) {
  return (
    <Flex
      asChild
      align="center"
      gap="3"
      px="4"
      flex="0 0 auto"
      minW="300px"
      maxW="440px"
      borderRightWidth="1px"
      borderColor="line"
      _hover={{ bg: 'amberWash' }}
    >
      <Link href={item.href}>
        {item.area && <Outline shape={item.area.shape} size={32} fill={STATE_FILL[item.state]} />}
        <Box minW="0" flex="1">
          <Box fontFamily="heading" fontWeight="600" truncate>
            {item.title}
          </Box>
          <Box fontSize="xs" color="ink2" truncate>
            {item.text}
          </Box>
        </Box>
        {/* What is over is longer, and must leave room for what it is. */}
        <Figure
          fontSize={item.left.startsWith('over') ? 'md' : 'lg'}
          fontWeight="600"
          color={item.urgent ? 'oxide' : 'ink'}
        >
          {item.urgent && <span aria-label="soon">! </span>}
          {item.left}
        </Figure>
      </Link>
    </Flex>
  );
}, saysTheSame);

/** One clock for each wet batch and curing coat, on every page. */
export function BenchStrip() {
  const shop = useShop();
  const now = useNow();
  const { show } = useFormat();
  const { items, troubles } = readStrip(shop, now);
  return (
    <>
      <Flex
        as="section"
        aria-label="Bench strip"
        bg="card"
        borderBottomWidth="1.5px"
        borderColor="ink"
        minH="58px"
        position="sticky"
        top="0"
        zIndex="strip"
      >
        <Flex
          flex="1"
          minW="0"
          overflowX="auto"
          tabIndex={items.length > 3 ? 0 : undefined}
          role="group"
          aria-label="Clocks"
        >
          {items.map((item) => (
            <Clock key={item.key} item={item} />
          ))}
          {items.length === 0 && (
            <Flex align="center" px="5" color="ink2">
              Nothing wet, nothing curing.
            </Flex>
          )}
        </Flex>
        {items.length > 3 && (
          <Flex
            align="center"
            px="3"
            fontSize="sm"
            color="ink2"
            whiteSpace="nowrap"
            flex="0 0 auto"
          >
            {items.length} clocks
          </Flex>
        )}
        <Flex
          align="center"
          px="4"
          gap="2"
          borderLeftWidth="1px"
          borderColor="line"
          flex="0 0 auto"
        >
          <Link href="/room">
            <Figure fontWeight="600">
              {show(roomAir(shop.room).temperatureK, 'temperature').text}
            </Figure>
            <Box fontSize="xs" color="ink2">
              {roomWords(shop.room, now)}
            </Box>
          </Link>
        </Flex>
      </Flex>
      <RoomAlarmBar now={now} />
      <RowTroubles troubles={troubles} />
    </>
  );
}
