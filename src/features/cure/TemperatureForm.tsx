'use client';
import { Box, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useForm } from 'react-hook-form';
import { useAct, useShop } from '@/data/hooks';
import { noteRoom } from '@/data/repos/room';
import { clockText } from '@/features/common/clockText';
import type { CoatView } from '@/shop/coatView';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { FINGER_LINES } from '@/ui/touch';
import { readTemperature, roomSince, type TemperatureDraft } from './model';

/** The room as it was and is: a new reading moves every clock of the shop. */
export function TemperatureForm({ view, nowMs }: { view: CoatView; nowMs: number }) {
  const act = useAct();
  const { room } = useShop();
  const format = useFormat();
  const { coat } = view;
  const pouredMs = coat.pouredMs ?? nowMs;
  const read = (draft: TemperatureDraft) => readTemperature(draft, pouredMs, nowMs, format);
  const { register, handleSubmit, getValues, formState, reset } = useForm<TemperatureDraft>({
    defaultValues: { temperature: '', ago: '0 min', of: 'room' },
    resolver: resolverOf(read),
  });
  const save = handleSubmit(async () => {
    const result = read(getValues());
    if (!result.ok) return;
    const { apart, ...reading } = result.value;
    const outcome = await act(
      'note the room temperature',
      (db, c) => noteRoom(db, c, { ...reading, humidity: null, coatId: apart ? coat.id : null }),
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
        {roomSince(view, room, nowMs).map((row) => (
          <Box
            as="li"
            key={row.words}
            display="flex"
            justifyContent="space-between"
            borderTopWidth="1px"
            borderColor="line"
            py="1"
          >
            <span>
              {row.words}
              {row.atMs !== null && ` ${clockText(row.atMs, nowMs)}`}
            </span>
            <Figure fontWeight="600">{format.show(row.temperatureK, 'temperature').text}</Figure>
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
          <SelectField
            label="Read where"
            options={[
              ['room', 'in the room: every clock follows'],
              ['apart', 'beside this coat only: it stands apart'],
            ]}
            {...register('of')}
          />
          <Button type="submit" variant="ink">
            Note it, move every clock
          </Button>
        </Box>
      </form>
      <Box fontSize="sm" mt="3" css={FINGER_LINES}>
        <Link href="/room">The whole record of the room</Link>
      </Box>
    </Panel>
  );
}
