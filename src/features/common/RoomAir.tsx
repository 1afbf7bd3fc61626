'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useForm } from 'react-hook-form';
import { DEW_MARGIN_K, dewExplanation, dewMargin, METER_K } from '@/core/prep';
import { editText } from '@/core/units';
import { useAct, useNow, useShop } from '@/data/hooks';
import { noteRoom } from '@/data/repos/room';
import { resolverOf } from './formErrors';
import { Explained } from './Explained';
import { useFormat } from './useFormat';
import { airAt } from '@/shop/prepFacts';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { readAir, type AirDraft } from './readAir';

/** How far the surface stands above the dew point of the air that was noted last. */
function Margin() {
  const shop = useShop();
  const now = useNow();
  const { show, degrees } = useFormat();
  const air = airAt(shop.room, now);
  const margin = air ? dewMargin({ air }) : null;
  if (!air || !margin)
    return (
      <Box fontSize="sm" color="ink2" mt="2">
        Nobody noted the air yet: note it before the pour, so that the dew point is known.
      </Box>
    );
  const { marginK, read } = margin;
  const word =
    marginK < DEW_MARGIN_K
      ? '! too damp to coat'
      : marginK < DEW_MARGIN_K + METER_K
        ? '! near it'
        : 'clear of it';
  return (
    <Box fontSize="sm" mt="2">
      {read ? 'Surface' : 'Surface, taken as warm as the air,'} <strong>{degrees(marginK)}</strong>{' '}
      above the dew point{' '}
      <Explained explanation={dewExplanation(air, margin)} quantity="temperature">
        {show(margin.dewK, 'temperature').text}
      </Explained>
      : <strong>{word}</strong>.
    </Box>
  );
}

/** The air of the room: every layer that dries and every coat that cures follows it from now on. */
export function RoomAir() {
  const { room } = useShop();
  const act = useAct();
  const format = useFormat();
  const read = (draft: AirDraft) => readAir(draft, format);
  const { register, handleSubmit, getValues, formState } = useForm<AirDraft>({
    values: {
      temperature: room.last ? editText(room.last.temperatureK, format.typed('temperature')) : '',
      humidity: room.last?.humidity ? editText(room.last.humidity, '%') : '',
      surface: '',
    },
    resolver: resolverOf(read),
  });
  const save = handleSubmit(async () => {
    const result = read(getValues());
    if (result.ok)
      await act(
        'note the room’s air',
        (db, c) => noteRoom(db, c, { fromMs: c.nowMs, ...result.value }),
        result.value,
      );
  });
  return (
    <Panel as="section" aria-label="Air of the room">
      <Heading as="h2" fontSize="lg" mb="2">
        Air of the room
      </Heading>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Flex gap="3" align="flex-start">
          <TextField
            label="Temperature"
            error={formState.errors.temperature?.message}
            {...register('temperature')}
          />
          <TextField
            label="Surface"
            error={formState.errors.surface?.message}
            {...register('surface')}
          />
          <TextField
            label="Humidity"
            error={formState.errors.humidity?.message}
            {...register('humidity')}
          />
          <Button type="submit" mt="26px" flexShrink={0}>
            Note it
          </Button>
        </Flex>
      </form>
      <Margin />
    </Panel>
  );
}
