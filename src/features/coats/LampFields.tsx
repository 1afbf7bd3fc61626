'use client';
import { Box, chakra, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { lampExplanation, lampPlan, PENETRATION_M } from '@/core/resin';
import { FieldReader } from '@/features/common/fieldReader';
import { Explained } from '@/features/common/Explained';
import { spanText } from '@/features/common/clockText';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

/** A raised line of UV resin: in how many layers, and how long each stays under the lamp. */
export function LampFields({ heightM }: { heightM: number }) {
  const format = useFormat();
  const [draft, setDraft] = useState({ depth: format.either('2 mm', '80 mil'), time: '60 s' });
  const [mix, setMix] = useState<keyof typeof PENETRATION_M>('clear');
  const reader = new FieldReader<'depth' | 'time'>(format);
  const curedM = reader.quantity('depth', draft.depth, 'film', { min: 1e-4, max: 0.02 });
  const curedS = reader.quantity('time', draft.time, 'duration', { min: 1, max: 3600 });
  const sheet = { curedM, curedS, penetrationM: PENETRATION_M[mix] };
  const plan = reader.sound && heightM > 0 ? lampPlan(heightM, sheet) : null;
  const text = (field: 'depth' | 'time') => ({
    value: draft[field],
    error: reader.errors[field],
    onChange: (e: { target: { value: string } }) =>
      setDraft((d) => ({ ...d, [field]: e.target.value })),
  });
  return (
    <chakra.details mt="2">
      <chakra.summary cursor="pointer" fontWeight="600" minH="28px">
        With UV resin and a lamp
      </chakra.summary>
      <Grid templateColumns="repeat(auto-fit, minmax(150px, 1fr))" gap="4" my="2">
        <TextField label="Its sheet cures" {...text('depth')} />
        <TextField label="in" {...text('time')} />
        <SelectField
          label="It is"
          value={mix}
          options={[
            ['clear', 'clear'],
            ['opaque', 'opaque with pigment'],
          ]}
          onChange={(e) => setMix(e.target.value as typeof mix)}
        />
      </Grid>
      {plan && (
        <Box role="status">
          <Figure>{format.show(heightM, 'film').text}</Figure> in {plan.layers}{' '}
          {plan.layers === 1 ? 'layer' : 'layers'} of{' '}
          <Figure>{format.show(plan.layerM, 'film').text}</Figure>, each{' '}
          <Explained explanation={lampExplanation(plan, sheet)} quantity="duration">
            <Figure>{spanText(plan.eachS * 1000)}</Figure>
          </Explained>{' '}
          under the same lamp at the same distance. A tacky surface is normal until it is wiped.
        </Box>
      )}
      <Box fontSize="sm" color="ink2">
        How deep the light goes is from memory: try one. Eyes and skin away from the lamp; gloves,
        as for every uncured resin.
      </Box>
    </chakra.details>
  );
}
