'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { SCHOOL_FIELDS } from '@/features/common/schools';
import { reserveOptions } from '@/features/common/reserves';
import type { PrepSchools } from '@/core/prep';
import { useFormat, type Format } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { BlankSelect, BlankText, Sentence } from './Blank';
import type { SettingsDraft } from './model';
import { useSettingsForm } from './useSettingsForm';

/** What stands before and after the blank of each school. */
const SCHOOL_WORDS: Readonly<Record<keyof PrepSchools, readonly [before: string, after: string]>> =
  {
    mask: ['What must stay bare is masked with', '.'],
    tooth: ['Between coats we sand', '.'],
    recoat: ['The next coat goes on', '.'],
    seal: ['Porous ground is closed with', 'before the first coat.'],
    spray: ['Over art we spray', '.'],
    gritScale: ['Paper is named by', '.'],
  };
const UNITS = [
  ['metric', 'mm, ml and °C'],
  ['us', 'inch, fl oz and °F'],
] as const;
const SCALES = [
  ['g', 'grams'],
  ['oz', 'ounces'],
] as const;
const rules = ({ either }: Format) =>
  [
    ['five', `5 fl oz for 12 × 12 in (${either('1.6 mm', '63 mil')})`],
    ['six', `6 fl oz for 12 × 12 in (${either('1.9 mm', '75 mil')})`],
  ] as const;

/** How the shop works, as sentences to complete. */
export function SettingsForm() {
  const { register, save, formState, saved, touched } = useSettingsForm();
  const format = useFormat();
  const error = (field: keyof SettingsDraft) => formState.errors[field]?.message;
  const text = (field: keyof SettingsDraft) => ({ error: error(field), ...register(field) });
  return (
    <form onSubmit={(e) => void save(e)} noValidate onChange={touched}>
      <Heading as="h2" fontSize="lg">
        The shop
      </Heading>
      <Sentence hint="Any unit may be typed anywhere: 12 in, 30 cm.">
        Sizes are shown in <BlankSelect label="Units" options={UNITS} {...register('units')} />.
      </Sentence>
      <Sentence>
        The scale shows{' '}
        <BlankSelect label="The scale shows" options={SCALES} {...register('scaleUnit')} /> in steps
        of <BlankText label="Smallest step of the scale" ch={8} {...text('scaleDigit')} />.
      </Sentence>
      <Sentence>
        The shop opens at <BlankText label="The shop opens" ch={6} {...text('opens')} /> and closes
        at <BlankText label="The shop closes" ch={6} {...text('closes')} />.
      </Sentence>
      <Sentence hint="Written beside each entry of the log.">
        Here works <BlankText label="Who works here" ch={18} {...text('person')} />.
      </Sentence>
      <Sentence>
        Costs are in <BlankText label="Currency" ch={5} {...text('currency')} />; cups, sticks and
        gloves of a batch cost{' '}
        <BlankText label="Consumables of a batch" ch={7} {...text('consumables')} />.
      </Sentence>
      <Heading as="h2" fontSize="lg" mt="5">
        Where the trade disagrees
      </Heading>
      <Sentence hint="How much over the sum is mixed.">
        We mix{' '}
        <BlankSelect label="Reserve, school" options={reserveOptions} {...register('reserve')} />.
      </Sentence>
      <Sentence>
        Beside the ledger stands the rule of{' '}
        <BlankSelect
          label="Rule of thumb to compare with"
          options={rules(format)}
          {...register('rule')}
        />
        .
      </Sentence>
      {SCHOOL_FIELDS.map(({ name, label, hint, options }) => {
        const [before, after] = SCHOOL_WORDS[name];
        return (
          <Sentence key={name} hint={`${hint}.`}>
            {before} <BlankSelect label={label} options={options} {...register(`prep.${name}`)} />
            {after === '.' ? '' : ' '}
            {after}
          </Sentence>
        );
      })}
      <Flex gap="4" align="center" mt="5">
        <Button type="submit" variant="ink">
          Save the settings
        </Button>
        <Box role="status" color="verdigris" fontWeight="600">
          {saved && '✓ Saved'}
        </Box>
      </Flex>
    </form>
  );
}
