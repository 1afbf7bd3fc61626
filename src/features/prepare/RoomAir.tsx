'use client';
import { Flex, Heading } from '@chakra-ui/react';
import { useForm } from 'react-hook-form';
import { editText } from '@/core/units';
import { useAct, useShop } from '@/data/hooks';
import { noteRoom } from '@/data/repos/room';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { readAir, type AirDraft } from './model';

/** The air of the room: every layer that dries and every coat that cures follows it from now on. */
export function RoomAir() {
  const { settings } = useShop();
  const act = useAct();
  const format = useFormat();
  const read = (draft: AirDraft) => readAir(draft, format);
  const { register, handleSubmit, getValues, formState } = useForm<AirDraft>({
    values: {
      temperature: editText(settings.roomTemperatureK, format.typed('temperature')),
      humidity: editText(settings.roomHumidity, '%'),
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
            label="Humidity"
            error={formState.errors.humidity?.message}
            {...register('humidity')}
          />
          <Button type="submit" mt="26px" flexShrink={0}>
            Note it
          </Button>
        </Flex>
      </form>
    </Panel>
  );
}
