'use client';
import { Box, Grid } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { useShop } from '@/data/hooks';
import { useFormat } from '@/features/common/useFormat';
import { WordMark } from '@/features/common/WordMark';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import {
  TIME_FIELDS,
  warmthOptions,
  type SheetDraft,
  type SheetField,
} from '@/features/common/sheet/model';

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="fieldset" mb="5">
      <Box asChild fontFamily="heading" fontWeight="600" fontSize="lg" mb="2">
        <legend>{title}</legend>
      </Box>
      <Grid templateColumns="repeat(auto-fill, minmax(150px, 1fr))" gap="3">
        {children}
      </Grid>
    </Box>
  );
}

/** Times of the sheet, and how it cures where the sheet says nothing. */
function Times({ form }: { form: UseFormReturn<SheetDraft> }) {
  const format = useFormat();
  const { register, formState } = form;
  const bind = (field: SheetField) => ({
    ...register(field),
    error: formState.errors[field]?.message,
  });
  return (
    <>
      <Group title="Times of the sheet">
        <TextField label="Stated at" {...bind('reference')} />
        <TextField label="Working time is for" {...bind('workingMass')} />
        <TextField
          label="Of another mass"
          hint={`${format.typed('mass') === 'oz' ? '18 oz' : '500 g'}; empty: the sheet says one`}
          {...bind('alsoMass')}
        />
        <TextField label="that is worked for" {...bind('alsoWorking')} />
        {TIME_FIELDS.map(([key, words]) => (
          <TextField key={key} label={words.label} hint={words.hint} {...bind(key)} />
        ))}
      </Group>
      <Box as="details" mb="5">
        <Box as="summary" cursor="pointer" fontFamily="heading" fontWeight="600" minH="24px">
          How it cures
        </Box>
        <Group title="Where the sheet says nothing it is taken as usual">
          <SelectField
            label="Cure speeds up with warmth"
            options={warmthOptions(form.formState.defaultValues?.energy ?? '', format)}
            {...register('energy')}
            error={formState.errors.energy?.message}
          />
        </Group>
        <Box fontSize="sm" color="ink2">
          How it thickens follows from its working time and its fresh viscosity: the same curve of
          cure for every resin, gone through at its own pace. A film stays thin about twice as long
          as the cup.
        </Box>
      </Box>
    </>
  );
}

/** All that a data sheet says, in groups. */
export function SheetFields({ form }: { form: UseFormReturn<SheetDraft> }) {
  const { settings } = useShop();
  const format = useFormat();
  const { register, formState } = form;
  const bind = (field: SheetField) => ({
    ...register(field),
    error: formState.errors[field]?.message,
  });
  return (
    <>
      <Group title="Ratio and weight">
        <SelectField
          label="Ratio is by"
          options={[
            ['volume', 'volume'],
            ['mass', 'weight'],
          ]}
          {...register('by')}
        />
        <TextField label="Parts A" {...bind('a')} />
        <TextField label="Parts B" {...bind('b')} />
        <TextField
          label="Density of A"
          hint="g/ml; empty: 1.10 is taken, and said"
          {...bind('densityA')}
        />
        <TextField label="Density of B" hint="empty: 1.00" {...bind('densityB')} />
        <TextField
          label="Price of the mix"
          hint={`${settings.currency}, A and B together; empty when not known`}
          {...bind('price')}
        />
        <SelectField
          label="Price is for"
          options={[
            ['kg', 'a kilogram'],
            ['l', 'a litre'],
          ]}
          {...register('per')}
        />
      </Group>
      <Group title="Flow and limits">
        <TextField
          label="Fresh viscosity"
          mark={<WordMark word="viscosity" />}
          {...bind('viscosity')}
        />
        <TextField label="Thinnest lift" mark={<WordMark word="lift" />} {...bind('thinnest')} />
        <TextField label="Thickest lift" {...bind('thickest')} />
        <TextField label="Shortest stir" hint="Less wants a hold at the bench" {...bind('stir')} />
      </Group>
      <Group title="What its maker declares">
        <TextField
          label="Bears in service"
          hint={`Highest temperature, ${format.either('90 °C', '195 °F')}; empty: not said`}
          {...bind('service')}
        />
        <TextField label="For food, declared by" hint="Empty: nobody does" {...bind('foodBy')} />
        <TextField label="and for" hint="Dry food, all food …" {...bind('foodFor')} />
        <SelectField
          label="In daylight it"
          options={[
            ['not said', 'is not said'],
            ['stable', 'keeps its colour'],
            ['yellows', 'yellows'],
          ]}
          {...register('light')}
        />
        <TextField
          label="Colour it bears"
          hint="Share of the mix, 6 %; empty: not said"
          {...bind('colour')}
        />
        <TextField
          label="Cures in a room from"
          hint={`${format.either('15 °C', '60 °F')}; empty: as usual`}
          {...bind('coldest')}
        />
        <TextField label="up to" hint={format.either('30 °C', '86 °F')} {...bind('warmest')} />
      </Group>
      <Times form={form} />
    </>
  );
}
