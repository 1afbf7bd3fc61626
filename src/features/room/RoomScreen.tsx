'use client';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { PageHeading } from '@/ui/PageHeading';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useNow, useShop } from '@/data/hooks';
import { alarmGroups } from '@/features/common/alarmWords';
import { clockText } from '@/features/common/clockText';
import { Explained } from '@/features/common/Explained';
import { RoomAir } from '@/features/common/RoomAir';
import { useFormat, type Format } from '@/features/common/useFormat';
import { roomAlarms } from '@/shop/roomAlarms';
import { WordMark } from '@/features/common/WordMark';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { CsvPanel } from './CsvPanel';
import {
  chartPoints,
  coatRows,
  recordRows,
  roomTiles,
  SPANS,
  type RoomTile,
  type SpanId,
} from './model';
import { SensorPanel } from './SensorPanel';

const RoomChart = dynamic(() => import('./RoomChart').then((m) => m.RoomChart), { ssr: false });

/** The word behind a tile. */
const TILE_TERM: Partial<Readonly<Record<RoomTile['id'], string>>> = {
  dew: 'dew point',
  blush: 'blush',
};

const HOUR = 3_600_000;
const SHOWN = 40;
/** The chart is drawn anew this seldom: it shows hours. */
const STEP_MS = 60_000;
const VERDICTS: Readonly<Record<RoomTile['verdict'], { mark: string; color: string }>> = {
  plain: { mark: '', color: 'ink2' },
  fine: { mark: '✓ ', color: 'verdigris' },
  watch: { mark: '! ', color: 'oxide' },
  stop: { mark: '! ', color: 'oxide' },
};

function tileText(tile: RoomTile, { show, degrees }: Format): string {
  const { id, value } = tile;
  if (value === null) return '–';
  if (id === 'surface') return degrees(value);
  if (id === 'drying') return `× ${value.toFixed(2)}`;
  return id === 'humidity' ? show(value, 'share', 0).text : show(value, 'temperature').text;
}

function Tiles({ nowMs }: { nowMs: number }) {
  const { room } = useShop();
  const format = useFormat();
  return (
    <Grid
      templateColumns={{
        base: 'repeat(2, minmax(0, 1fr))',
        md: 'repeat(3, 1fr)',
        lg: 'repeat(6, 1fr)',
      }}
      bg="card"
      borderWidth="1px"
      borderColor="line"
      mb="4"
    >
      {roomTiles(room, nowMs).map((tile) => {
        const term = TILE_TERM[tile.id];
        return (
          <Box key={tile.id} p="3" borderRightWidth="1px" borderColor="line" minW="0">
            <Box fontSize="sm" color="ink2">
              {tile.label}
              {term && <WordMark word={term} />}
            </Box>
            {tile.value !== null && (
              <Figure fontSize="2xl" fontWeight="600" lineHeight="1.2">
                {tile.explanation ? (
                  <Explained
                    explanation={tile.explanation}
                    quantity={tile.id === 'dew' ? 'temperature' : 'number'}
                  >
                    {tileText(tile, format)}
                  </Explained>
                ) : (
                  tileText(tile, format)
                )}
              </Figure>
            )}
            <Box
              fontSize={tile.value === null ? 'md' : 'xs'}
              fontWeight={tile.verdict === 'plain' ? '400' : '600'}
              color={VERDICTS[tile.verdict].color}
            >
              {VERDICTS[tile.verdict].mark}
              {tile.words}
            </Box>
          </Box>
        );
      })}
    </Grid>
  );
}

function Alarms({ nowMs }: { nowMs: number }) {
  const shop = useShop();
  const format = useFormat();
  const groups = alarmGroups(roomAlarms(shop, nowMs), nowMs, format);
  if (groups.length === 0) return null;
  return (
    <Flex direction="column" gap="2" mb="4">
      {groups.map(({ key, title, detail }) => (
        <Caution key={key} title={`${title}.`}>
          {detail}
        </Caution>
      ))}
    </Flex>
  );
}

function ChartPanel() {
  const shop = useShop();
  // Never before the newest reading: the chart would not show it.
  const now = Math.max(useNow(STEP_MS), shop.room.last?.atMs ?? 0);
  const [id, setId] = useState<SpanId>('days');
  const span = SPANS.find((s) => s.id === id) ?? SPANS[1];
  const [fromMs, toMs] = [now - span.backH * HOUR, now + span.aheadH * HOUR];
  const { room, settings } = shop;
  return (
    <Panel as="section" aria-label="Air over time">
      <Flex align="center" gap="2" mb="2" wrap="wrap">
        <Heading as="h2" fontSize="lg" flex="1">
          Air over time
        </Heading>
        {SPANS.map((s) => (
          <Button
            key={s.id}
            size="sm"
            variant={s.id === id ? 'ink' : 'outline'}
            aria-pressed={s.id === id}
            onClick={() => setId(s.id)}
          >
            {s.label}
          </Button>
        ))}
      </Flex>
      <RoomChart
        points={chartPoints(room, fromMs, toMs)}
        coats={coatRows(shop, now, fromMs, toMs)}
        symbol={settings.units === 'us' ? '°F' : '°C'}
        {...{ nowMs: now, fromMs, toMs }}
      />
      <Flex gap="4" wrap="wrap" fontSize="xs" color="ink2" mt="2">
        <span>— air as read</span>
        <span>- - forecast, with nine rooms in ten</span>
        <span>··· dew point</span>
        <span>amber bar: wet</span>
        <span>green bar, dashed rim: recoat without sanding</span>
      </Flex>
      <Box fontSize="sm" mt="1">
        {room.forecast.byPattern
          ? 'The forecast is this room’s own day over two weeks; what is off it now fades in half a day. All clock times to come go by it.'
          : 'Too few readings for a forecast: times to come are reckoned with the room as it was read last. Two days of a logger are enough.'}
      </Box>
    </Panel>
  );
}

function RecordTable({ nowMs }: { nowMs: number }) {
  const { room } = useShop();
  const { show } = useFormat();
  const count = room.days.reduce((n, d) => n + d.readMs.length, 0);
  return (
    <Panel as="section" aria-label="Record" mt="4">
      <Heading as="h2" fontSize="lg" mb="2">
        The record: {count} readings
      </Heading>
      <Box maxH="280px" overflowY="auto" tabIndex={0} role="group" aria-label="Newest readings">
        <chakra.table width="100%" fontSize="sm">
          <chakra.caption srOnly>Newest readings of the room</chakra.caption>
          <thead>
            <chakra.tr textAlign="left" color="ink2">
              {['Read', 'Air', 'Humidity', 'Surface', 'By', ''].map((head) => (
                <chakra.th key={head} fontWeight="500" pr="3">
                  {head}
                </chakra.th>
              ))}
            </chakra.tr>
          </thead>
          <tbody>
            {recordRows(room.days, SHOWN).map(({ reading, doubt }, i) => (
              <chakra.tr
                key={i}
                borderTopWidth="1px"
                borderColor="line"
                color={doubt ? 'ink2' : 'ink'}
              >
                <td>{clockText(reading.atMs, nowMs)}</td>
                <td>
                  <Figure>{show(reading.temperatureK, 'temperature').text}</Figure>
                </td>
                <td>
                  <Figure>
                    {reading.humidity === null ? '–' : show(reading.humidity, 'share', 0).text}
                  </Figure>
                </td>
                <td>
                  <Figure>
                    {reading.surfaceK === null ? '–' : show(reading.surfaceK, 'temperature').text}
                  </Figure>
                </td>
                <td>{reading.source.by || '–'}</td>
                <td>
                  {doubt && `! ${doubt}`}
                  {!doubt && reading.source.coatId !== null && 'beside a coat that stands apart'}
                </td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Panel>
  );
}

/** The room: what it is, what it was, how it goes on, and what that does to what cures. */
export function RoomScreen() {
  const now = useNow();
  return (
    <Box maxW="1240px">
      <PageHeading title="Room" mb="4" />
      <Alarms nowMs={now} />
      <Tiles nowMs={now} />
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 340px' }}
        gap="4"
        alignItems="start"
      >
        <Box minW="0">
          <ChartPanel />
          <RecordTable nowMs={now} />
        </Box>
        <Flex direction="column" gap="4">
          <RoomAir />
          <SensorPanel />
          <CsvPanel />
        </Flex>
      </Grid>
    </Box>
  );
}
