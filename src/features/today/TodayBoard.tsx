'use client';
import { hourMinute } from '@/features/common/hours';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { format as formatDate, startOfDay } from 'date-fns';
import { useNow, useShop } from '@/data/hooks';
import dynamic from 'next/dynamic';
import { PageHeading } from '@/ui/PageHeading';
import { clockText } from '@/features/common/clockText';
import { atInstant } from '@/shop/instant';
import { backupReminder } from '@/features/common/keeping';
import { useFormat } from '@/features/common/useFormat';
import { RowTroubles } from '@/features/common/trouble';
import { lanes, nextOf } from './model';
import { NextList } from './NextList';
import { Timeline } from './Timeline';
import { timeScale } from './timeScale';

// Comes after the first screen: it is not what one looks for first.
const BackUp = dynamic(() => import('@/features/common/files/BackUp').then((m) => m.BackUp), {
  ssr: false,
});
const Rounds = dynamic(() => import('./Rounds').then((m) => m.Rounds), { ssr: false });

function openWords(nowMs: number, opensMin: number, closesMin: number): string {
  const opens = startOfDay(nowMs).getTime() + opensMin * 60_000;
  const closes = startOfDay(nowMs).getTime() + closesMin * 60_000;
  if (nowMs < opens) return `opens ${clockText(opens, nowMs)}`;
  return nowMs < closes ? `open until ${clockText(closes, nowMs)}` : 'closed for today';
}

/** Time runs down the page; what to do next stands beside it. */
export function TodayBoard() {
  const shop = useShop();
  const now = useNow();
  const format = useFormat();
  const { opensMin, closesMin } = shop.settings;
  const scale = timeScale(now, opensMin, closesMin);
  const shown = lanes(shop, now, scale.startMs, scale.endMs);
  const next = nextOf(shop, now, format);
  // What cannot be read at all is named above, by the clocks.
  const above = atInstant(shop, now).troubles.map((t) => t.row.id);
  const unnamed = next.troubles.filter((t) => !above.includes(t.row.id));
  const reminder = backupReminder(shop, now);
  return (
    <>
      <RowTroubles troubles={unnamed} />
      <Flex align="baseline" gap="4" mb="3">
        <PageHeading title="Today">{formatDate(now, `EEEE, ${hourMinute()}`)}</PageHeading>
        <Box color="ink2">{openWords(now, opensMin, closesMin)}</Box>
      </Flex>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 350px' }}
        gap="5"
        alignItems="start"
      >
        {shown.length > 0 ? (
          <Timeline lanes={shown} scale={scale} nowMs={now} />
        ) : (
          <Box bg="card" borderWidth="1px" borderColor="line" p="6" color="ink2">
            Nothing is curing. A lane appears here with the first pour.
          </Box>
        )}
        <Box>
          <NextList toDos={next.toDos} nowMs={now} />
          <Rounds pieces={atInstant(shop, now).pieces} />
          {reminder && (
            <Box bg="card" borderWidth="1px" borderColor="line" mt="3" px="4" py="3" fontSize="sm">
              <Box mb="2">
                <strong>▲ {reminder}</strong> Only a file brings the shop back.
              </Box>
              <BackUp />
            </Box>
          )}
        </Box>
      </Grid>
    </>
  );
}
