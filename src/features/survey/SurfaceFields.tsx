'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import {
  OLD_RESINS,
  OLD_STATES,
  POROSITIES,
  RELIEF_KINDS,
  SURFACES,
  usualGround,
} from '@/core/piece';
import { Button } from '@/ui/Button';
import { WordMark } from '@/features/common/WordMark';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { DamageFields } from './DamageFields';
import type { AreaDraft, ReliefDraft } from './draft';
import { useSurvey } from './SurveyContext';
import { POROSITY_WORDS } from './words';

function ReliefZone({ at }: { at: number }) {
  const { area, index, editArea, errors, rest } = useSurvey();
  const zone = area.relief[at];
  if (!zone) return null;
  const key = `areas.${index}.relief.${at}.`;
  const change = (next: Partial<ReliefDraft>, tag?: string) =>
    editArea({ relief: area.relief.map((r, i) => (i === at ? { ...r, ...next } : r)) }, tag);
  const text = (field: 'greatest' | 'mean' | 'share') => ({
    value: zone[field],
    error: errors[key + field],
    onChange: (e: { target: { value: string } }) =>
      change({ [field]: e.target.value }, key + field),
    onBlur: rest,
  });
  return (
    <Box
      role="group"
      aria-label={`Relief ${at + 1}`}
      borderTopWidth="1px"
      borderColor="line"
      pt="2"
    >
      <Grid templateColumns="1fr 1fr" gap="2">
        <SelectField
          label="What stands up"
          value={zone.kind}
          options={RELIEF_KINDS.map((k) => [k, k])}
          onChange={(e) => change({ kind: e.target.value as ReliefDraft['kind'] })}
        />
        <TextField label="Covers" hint="Share of this area" {...text('share')} />
        <TextField label="Greatest height" {...text('greatest')} />
        <TextField label="Mean height" {...text('mean')} />
      </Grid>
      <Button
        size="sm"
        variant="quiet"
        aria-label={`Remove relief ${at + 1}`}
        onClick={() => editArea({ relief: area.relief.filter((_, i) => i !== at) })}
      >
        Remove
      </Button>
    </Box>
  );
}

/** What the state of old resin asks before a coat. Common practice, no source. */
const OLD_HINT: Readonly<Record<(typeof OLD_STATES)[number], string>> = {
  hard: 'Hard resin is sanded for tooth before the next coat.',
  sticky: 'Never coat over sticky resin: what is soft comes off first.',
  greasy: 'Washed and wiped before it is sanded, or grease is rubbed in.',
  chalky: 'Washed and sanded until it no longer comes off on a finger.',
};

/** What old resin is, how it is to a finger, and whether it was sanded. */
function OldResinFields() {
  const { area, editArea } = useSurvey();
  const { surface } = area;
  const setSurface = (change: Partial<AreaDraft['surface']>) =>
    editArea({ surface: { ...surface, ...change } });
  return (
    <>
      <Grid templateColumns="1fr 1fr" gap="3">
        <SelectField
          label="It is"
          value={surface.resin.kind}
          options={OLD_RESINS.map((k) => [k, k])}
          onChange={(e) =>
            setSurface({
              resin: { ...surface.resin, kind: e.target.value as (typeof OLD_RESINS)[number] },
            })
          }
        />
        <SelectField
          label="To a finger it is"
          value={surface.resin.state}
          options={OLD_STATES.map((s) => [s, s])}
          onChange={(e) =>
            setSurface({
              resin: { ...surface.resin, state: e.target.value as (typeof OLD_STATES)[number] },
            })
          }
        />
      </Grid>
      <Box fontSize="sm" color="ink2">
        {OLD_HINT[surface.resin.state]}
        {surface.resin.kind === 'polyester' &&
          ' Epoxy holds on sanded polyester; polyester does not hold on epoxy.'}
        {surface.resin.kind === 'UV resin' &&
          ' A tacky skin on UV resin is wiped off with alcohol, then sanded.'}
      </Box>
      <Tick checked={surface.sanded} onTick={(sanded) => setSurface({ sanded })}>
        Sanded all over
      </Tick>
    </>
  );
}

/** What lies on the chosen area now, how it drinks, and what stands up from it. */
export function SurfaceFields() {
  const { area, draft, index, editArea, errors, rest } = useSurvey();
  const { surface } = area;
  if (area.cuts.length > 0)
    return (
      <Box fontSize="sm" color="ink2">
        {area.name} is cut into places: choose one above to tell what lies on it.
      </Box>
    );
  const setSurface = (change: Partial<AreaDraft['surface']>, tag?: string) =>
    editArea({ surface: { ...surface, ...change } }, tag);
  const add = () =>
    editArea({
      relief: [
        ...area.relief,
        { kind: 'fine glitter', greatest: '0.5 mm', mean: '0.2 mm', share: '50 %' },
      ],
    });
  return (
    <Flex direction="column" gap="3">
      <SelectField
        label="Porosity"
        mark={<WordMark word="porous" />}
        value={area.porosity}
        options={POROSITIES.map((p) => [p, POROSITY_WORDS[p]])}
        onChange={(e) => editArea({ porosity: e.target.value as AreaDraft['porosity'] })}
      />
      {area.porosity === 'porous' && usualGround(draft.support).porosity === 'porous' && (
        <Box fontSize="sm" color="ink2" mt="-2">
          Taken for {draft.support}: it drinks until you say that it is sealed.
        </Box>
      )}
      <Grid templateColumns="1fr 1fr" gap="3">
        <SelectField
          label="Surface now"
          value={surface.kind}
          options={SURFACES.map((s) => [s, s])}
          onChange={(e) => setSurface({ kind: e.target.value as AreaDraft['surface']['kind'] })}
        />
        {surface.kind === 'old resin' && (
          <TextField
            label="Its age, days"
            inputMode="numeric"
            value={surface.age}
            error={errors[`areas.${index}.age`]}
            onChange={(e) => setSurface({ age: e.target.value }, `area ${index} age`)}
            onBlur={rest}
          />
        )}
      </Grid>
      {surface.kind === 'old resin' && <OldResinFields />}
      <Box fontFamily="heading" fontWeight="600" mt="1">
        Relief
      </Box>
      {area.relief.length === 0 && (
        <Box fontSize="sm" color="ink2">
          Nothing stands up from this area. Add glitter, stones, paste or leaf: the coat must end
          above its highest point.
        </Box>
      )}
      {area.relief.map((_, i) => (
        <ReliefZone key={i} at={i} />
      ))}
      {area.relief.length < 8 && (
        <Button size="sm" alignSelf="start" onClick={add}>
          Add relief
        </Button>
      )}
      <DamageFields />
    </Flex>
  );
}
