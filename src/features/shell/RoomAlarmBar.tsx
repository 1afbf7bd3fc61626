'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useShop } from '@/data/hooks';
import { roomAlarms } from '@/shop/roomAlarms';
import { alarmGroups } from '../common/alarmWords';
import { useFormat } from '../common/useFormat';

/** What the room does to a coat that cures, on every page; the first of them in full. */
export function RoomAlarmBar({ now }: { now: number }) {
  const shop = useShop();
  const format = useFormat();
  const groups = alarmGroups(roomAlarms(shop, now), now, format);
  const [first] = groups;
  if (!first) return null;
  const { title, detail } = first;
  return (
    <Flex
      role="alert"
      gap="3"
      px="5"
      py="2"
      bg="oxide"
      color="card"
      align="baseline"
      wrap="wrap"
      fontSize="sm"
    >
      <Box fontWeight="600">! {title}</Box>
      <Box flex="1" minW="260px">
        {detail}
      </Box>
      <Box asChild textDecoration="underline" fontWeight="600">
        <Link href="/room">{groups.length > 1 ? `All ${groups.length} alarms` : 'The room'}</Link>
      </Box>
    </Flex>
  );
}
