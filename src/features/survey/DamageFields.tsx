'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { DAMAGE_KINDS } from '@/core/piece';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { damageSizes } from './damageSizes';
import type { DamageDraft } from './draft';
import { useSurvey } from './SurveyContext';

const SIZE_LABEL = { length: 'Length', width: 'Width', depth: 'Depth' } as const;

function DamageZone({ at }: { at: number }) {
  const { area, index, editArea, errors, rest } = useSurvey();
  const damage = area.damage[at];
  if (!damage) return null;
  const key = `areas.${index}.damage.${at}.`;
  const change = (next: Partial<DamageDraft>, tag?: string) =>
    editArea({ damage: area.damage.map((d, i) => (i === at ? { ...d, ...next } : d)) }, tag);
  return (
    <Box
      role="group"
      aria-label={`Damage ${at + 1}`}
      borderTopWidth="1px"
      borderColor="line"
      pt="2"
    >
      <Grid templateColumns="1fr 1fr" gap="2">
        <SelectField
          label="What is wrong"
          value={damage.kind}
          options={DAMAGE_KINDS.map((k) => [k, k])}
          onChange={(e) => change({ kind: e.target.value as DamageDraft['kind'] })}
        />
        {damageSizes(damage.kind).map((size) => (
          <TextField
            key={size}
            label={SIZE_LABEL[size]}
            value={damage[size]}
            error={errors[key + size]}
            onChange={(e) => change({ [size]: e.target.value }, key + size)}
            onBlur={rest}
          />
        ))}
      </Grid>
      <Button
        size="sm"
        variant="quiet"
        aria-label={`Remove damage ${at + 1}`}
        onClick={() => editArea({ damage: area.damage.filter((_, i) => i !== at) })}
      >
        Remove
      </Button>
    </Box>
  );
}

/** What has to be mended on the chosen area before it is sealed and coated. */
export function DamageFields() {
  const { area, editArea, format } = useSurvey();
  const add = () =>
    editArea({
      damage: [
        ...area.damage,
        {
          kind: 'dent',
          length: format.either('20 mm', '3/4 in'),
          width: format.either('10 mm', '3/8 in'),
          depth: format.either('1 mm', '40 mil'),
        },
      ],
    });
  return (
    <Flex direction="column" gap="3">
      <Box fontFamily="heading" fontWeight="600" mt="1">
        Damage
      </Box>
      {area.damage.length === 0 && (
        <Box fontSize="sm" color="ink2">
          Nothing to mend here: no tear, gap at a rim, dent or loose relief.
        </Box>
      )}
      {area.damage.map((_, i) => (
        <DamageZone key={i} at={i} />
      ))}
      {area.damage.length < 12 && (
        <Button size="sm" alignSelf="start" onClick={add}>
          Add damage
        </Button>
      )}
    </Flex>
  );
}
