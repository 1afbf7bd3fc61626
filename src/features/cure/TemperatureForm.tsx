'use client';
import { Box, Heading } from '@chakra-ui/react';
import { useForm } from 'react-hook-form';
import { useAct } from '@/data/hooks';
import { noteRoom } from '@/data/repos/room';
import { clockText } from '@/features/common/clockText';
import type { CoatView } from '@/shop/coatView';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { readTemperature, type TemperatureDraft } from './model';

/** The room as it was and is: a new reading moves every clock of the shop. */
export function TemperatureForm({ view, nowMs }: { view: CoatView; nowMs: number }) {
  const act = useAct();
  const format = useFormat();
  const { coat } = view;
  const pouredMs = coat.pouredMs ?? nowMs;
  const read = (draft: TemperatureDraft) => readTemperature(draft, pouredMs, nowMs, format);
  const { register, handleSubmit, getValues, formState, reset } = useForm<TemperatureDraft>({
    defaultValues: { temperature: '', ago: '0 min' },
    resolver: resolverOf(read),
  });
  const save = handleSubmit(async () => {
    const result = read(getValues());
    if (!result.ok) return;
    const outcome = await act(
      'note the room temperature',
      (db, c) => noteRoom(db, c, { ...result.value, humidity: null }),
      result.value,
    );
    if (outcome.ok) reset();
  });
  return (
    <Panel>
      <Heading as="h2" fontSize="lg" mb="2">
        Room round {coat.name}
      </Heading>
      <Box as="ul" listStyleType="none" mb="3" fontSize="sm">
        {coat.history.map((step) => (
          <Box
            as="li"
            key={step.fromMs}
            display="flex"
            justifyContent="space-between"
            borderTopWidth="1px"
            borderColor="line"
            py="1"
          >
            <span>from {clockText(step.fromMs, nowMs)}</span>
            <Figure fontWeight="600">{format.show(step.temperatureK, 'temperature').text}</Figure>
          </Box>
        ))}
      </Box>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Box display="flex" flexDirection="column" gap="3">
          <TextField
            label="Room temperature"
            hint={`For example 18 °C or 64 F`}
            error={formState.errors.temperature?.message}
            {...register('temperature')}
          />
          <TextField
            label="How long ago"
            hint="0 min means from now on"
            error={formState.errors.ago?.message}
            {...register('ago')}
          />
          <Button type="submit" variant="ink">
            Note it, move every clock
          </Button>
        </Box>
      </form>
    </Panel>
  );
}
