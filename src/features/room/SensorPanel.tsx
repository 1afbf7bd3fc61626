'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, SECOND_MS, useNow, useShop } from '@/data/hooks';
import { chooseSensor } from '@/data/repos/bench';
import { believeSource } from '@/data/repos/room';
import { clockText } from '@/features/common/clockText';
import { SILENT_MS, useSensor } from '@/features/common/sensorState';
import { useFormat } from '@/features/common/useFormat';
import { ROOM_WEATHERS, type RoomSensorChoice, type RoomSourceKind } from '@/records';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { sourcesOf } from './model';

const PACES = [
  ['0.016666666666666666', 'as fast as the clock'],
  ['30', 'half an hour in a second, to try it out'],
] as const;

/** What the sensor says now, or that it says nothing. */
function SensorNow() {
  const sensor = useSensor();
  const now = useNow(SECOND_MS);
  const { show } = useFormat();
  if (!sensor) return <Box role="status">Reaching the sensor …</Box>;
  const { last, reached, name } = sensor;
  const silent = last !== null && now - last.atMs > SILENT_MS;
  if (!reached || silent || !last)
    return (
      <Box role="status" color="oxide" fontWeight="600">
        ! {name}: {last ? `silent since ${clockText(last.atMs, now)}` : 'says nothing yet'}. Clocks
        go on by the forecast.
      </Box>
    );
  const { reading } = last;
  return (
    <Box role="status">
      <Figure fontSize="xl" fontWeight="600">
        {show(reading.temperatureK, 'temperature').text}
      </Figure>
      {reading.humidity !== null && (
        <Figure>
          {' · '}
          {show(reading.humidity, 'share', 0).text}
        </Figure>
      )}
      {reading.surfaceK !== null && (
        <Figure>
          {' · surface '}
          {show(reading.surfaceK, 'temperature').text}
        </Figure>
      )}
      <Box fontSize="sm" color="ink2">
        {name}, {clockText(last.atMs, now)}
      </Box>
    </Box>
  );
}

/** Files and devices whose readings stand in the record; they can be taken out again, and put back. */
function Sources() {
  const { room } = useShop();
  const act = useAct();
  const sources = sourcesOf(room.days);
  if (sources.length === 0) return null;
  return (
    <Box
      as="ul"
      listStyleType="none"
      fontSize="sm"
      mt="3"
      aria-label="Files and devices in the record"
    >
      {sources.map(({ how, by, out, count }) => (
        <Flex
          as="li"
          key={`${how}${by}${out}`}
          gap="2"
          align="center"
          borderTopWidth="1px"
          borderColor="line"
          py="1"
        >
          <Box flex="1" minW="0">
            {by} · {count} readings{out && ', taken out'}
          </Box>
          <Button
            size="sm"
            variant="quiet"
            aria-label={`${out ? 'Believe' : 'Take out'} ${by}`}
            onClick={() =>
              void act(out ? 'believe these readings' : 'take these readings out', (db, c) =>
                believeSource(db, c, { how: how as RoomSourceKind, by }, out),
              )
            }
          >
            {out ? 'believe again' : 'take out'}
          </Button>
        </Flex>
      ))}
    </Box>
  );
}

/** The device that reads the room. Only the simulated one ships. */
export function SensorPanel() {
  const { sensor } = useShop().settings;
  const act = useAct();
  const [weather, setWeather] = useState<RoomSensorChoice['weather']>('quiet');
  const [pace, setPace] = useState<string>(PACES[0][0]);
  const choose = (choice: RoomSensorChoice | null) =>
    act(choice ? 'switch the sensor on' : 'switch the sensor off', (db, c) =>
      chooseSensor(db, c, choice),
    );
  return (
    <Panel as="section" data-noprint aria-label="Sensor of the room">
      <Heading as="h2" fontSize="lg" mb="2">
        Sensor
      </Heading>
      {sensor ? (
        <>
          <SensorNow />
          <Box mt="2" mb="3" fontSize="sm" color="ink2">
            Simulated: an invented workshop. Its readings move the clocks of this shop until they
            are taken out.
          </Box>
          <Button onClick={() => void choose(null)}>Switch it off</Button>
        </>
      ) : (
        <Flex direction="column" gap="3">
          <SelectField
            label="Simulated sensor plays"
            options={ROOM_WEATHERS.map((w) => [w, w === 'quiet' ? 'a quiet day' : w])}
            value={weather}
            onChange={(e) => setWeather(e.currentTarget.value as RoomSensorChoice['weather'])}
          />
          <SelectField
            label="Its time goes by"
            options={PACES}
            value={pace}
            onChange={(e) => setPace(e.currentTarget.value)}
          />
          <Button
            onClick={() =>
              void choose({ kind: 'simulated', weather, hoursPerMinute: Number(pace) })
            }
          >
            Switch the simulated sensor on
          </Button>
        </Flex>
      )}
      <Sources />
    </Panel>
  );
}
