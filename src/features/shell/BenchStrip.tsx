'use client';
import { Box, Flex } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import { useNow, useShop } from '@/data/hooks';
import { roomAir } from '@/shop/room';
import { Figure } from '@/ui/Figure';
import { later } from '@/ui/later';
import { useFormat } from '../common/useFormat';
import { NothingRuns } from './NothingRuns';
import { roomWords } from './roomWords';

/** Comes after the first screen: it draws nothing while the room is fair, or nothing lies in it. */
const RoomAlarmBar = dynamic(() => import('./RoomAlarmBar').then((m) => m.RoomAlarmBar), {
  ssr: false,
});

/** Come with the first piece. */
const Clocks = later(() => import('./StripClocks').then((m) => m.StripClocks));
const Troubles = later(() => import('./StripClocks').then((m) => m.StripTroubles));

/** One clock for each wet batch and curing coat, on every page. */
export function BenchStrip() {
  const shop = useShop();
  const now = useNow();
  const { show } = useFormat();
  const bare = shop.pieces.length === 0;
  return (
    <>
      <Flex
        as="section"
        aria-label="Bench strip"
        data-strip
        bg="card"
        borderBottomWidth="1.5px"
        borderColor="ink"
        minH="58px"
        position="sticky"
        top="0"
        zIndex="strip"
      >
        {bare ? <NothingRuns /> : <Clocks.Part />}
        <Flex
          align="center"
          px={{ base: '2', md: '4' }}
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
      {!bare && <RoomAlarmBar now={now} />}
      {!bare && <Troubles.Part />}
    </>
  );
}
