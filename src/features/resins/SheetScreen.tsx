'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { useAct, useShop } from '@/data/hooks';
import { newId, type Resin } from '@/records';
import { saveResin } from '@/data/repos/bench';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextAreaField, TextField } from '@/ui/TextField';
import {
  draftOfResin,
  readSheet,
  TIME_FIELDS,
  TYPICAL,
  warmthOptions,
  type SheetDraft,
  type SheetField,
} from './model';
import { CupPanel } from './CupPanel';
import { LearnedPanel } from './LearnedPanel';
import { LabelForm } from './LabelForm';
import { RatioTruth } from './RatioTruth';

const WindowsChart = dynamic(() => import('./WindowsChart').then((m) => m.WindowsChart), {
  ssr: false,
});

function Group({ title, children }: { title: string; children: React.ReactNode }) {
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

function Fields({ form }: { form: UseFormReturn<SheetDraft> }) {
  const { settings } = useShop();
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
          hint="g/ml; volume and weight differ by it"
          {...bind('densityA')}
        />
        <TextField label="Density of B" {...bind('densityB')} />
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
        <TextField label="Fresh viscosity" {...bind('viscosity')} />
        <TextField label="Thinnest lift" {...bind('thinnest')} />
        <TextField label="Thickest lift" {...bind('thickest')} />
        <TextField label="Shortest stir" hint="Less wants a hold at the bench" {...bind('stir')} />
      </Group>
      <Group title="What its maker declares">
        <TextField
          label="Bears in service"
          hint="Highest temperature, 90 °C; empty: not said"
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
          hint="15 °C; empty: as usual"
          {...bind('coldest')}
        />
        <TextField label="up to" hint="30 °C" {...bind('warmest')} />
      </Group>
      <Group title="Times of the sheet">
        <TextField label="Stated at" {...bind('reference')} />
        <TextField label="Working time is for" {...bind('workingMass')} />
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
            options={warmthOptions(form.formState.defaultValues?.energy ?? '')}
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

function SheetForm({ resin }: { resin: Resin | null }) {
  const act = useAct();
  const router = useRouter();
  const format = useFormat();
  const [saved, setSaved] = useState(false);
  const [id] = useState(() => resin?.id ?? newId<'resin'>());
  const initial = resin ? draftOfResin(resin, format) : TYPICAL;
  // The sheet when typing began, as it was stored and as this form reads it: what others change since is theirs.
  const [begun, setBegun] = useState({ stored: resin, draft: initial });
  const form = useForm<SheetDraft>({
    defaultValues: initial,
    mode: 'onTouched',
    resolver: resolverOf((draft) => readSheet(draft, format)),
  });
  const { register, handleSubmit, control, formState } = form;
  const watched = useWatch({ control }) as SheetDraft;
  const read = readSheet({ ...initial, ...watched }, format);
  const sheet = read.ok ? read.value.sheet : null;
  const save = handleSubmit(async () => {
    const final = readSheet(form.getValues(), format);
    if (!final.ok) return;
    const row = { ...final.value, id, learnsFromMs: resin?.learnsFromMs ?? null };
    const was = readSheet(begun.draft, format);
    const base = begun.stored ?? row;
    const read = was.ok ? { ...was.value, id, learnsFromMs: base.learnsFromMs } : base;
    const outcome = await act(
      `save ${row.name}`,
      (db, c, prefer) => saveResin(db, c, row, { base, read, prefer }),
      row,
    );
    const done = (stored: Resin) => {
      form.reset(form.getValues());
      setBegun({ stored, draft: form.getValues() });
      setSaved(true);
      if (!resin) router.replace(`/resins/${row.id}`);
    };
    if (outcome.ok) done(outcome.value);
    else void outcome.later.then(done);
  });
  // Another tab saved the sheet: fields that are not being typed in follow, the others stay.
  useEffect(() => {
    if (resin) form.reset(draftOfResin(resin, format), { keepDirtyValues: true });
    // The words of the fields follow the row alone; a new form or format brings a new key.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [resin]);
  return (
    <form onSubmit={(e) => void save(e)} noValidate onChange={() => setSaved(false)}>
      {!resin && (
        <LabelForm
          onFill={(told) => {
            for (const [key, value] of Object.entries(told))
              form.setValue(key as SheetField, value, { shouldDirty: true, shouldValidate: true });
          }}
        />
      )}
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 420px' }}
        gap="4"
        alignItems="start"
      >
        <Panel>
          <Grid templateColumns="1fr 1fr" gap="4" mb="5">
            <TextField label="Name" error={formState.errors.name?.message} {...register('name')} />
            <TextAreaField label="Note" minH="38px" rows={2} {...register('note')} />
          </Grid>
          <Fields form={form} />
          <Flex justify="flex-end" gap="4" align="center">
            <Box role="status" color="verdigris" fontWeight="600">
              {saved && '✓ Saved'}
            </Box>
            <Button type="submit" variant="ink" disabled={formState.isSubmitting}>
              Save the sheet
            </Button>
          </Flex>
        </Panel>
        <Flex direction="column" gap="4">
          {sheet && <RatioTruth sheet={sheet} />}
          {resin && <LearnedPanel resin={resin} />}
          {sheet && <CupPanel sheet={sheet} />}
          <Panel>
            <Heading as="h2" fontSize="lg">
              Times against the room
            </Heading>
            {sheet ? (
              <WindowsChart sheet={sheet} />
            ) : (
              <Box color="ink2">Appears when the sheet is complete.</Box>
            )}
          </Panel>
        </Flex>
      </Grid>
    </form>
  );
}

/** One resin's data sheet; `new` for a fresh one. */
export function SheetScreen({ resinId }: { resinId: string }) {
  const { resins, settings } = useShop();
  const resin = resins.find((r) => r.id === resinId) ?? null;
  const isNew = resinId === 'new';
  return (
    <Box maxW="1240px">
      <Flex justify="space-between" align="baseline" mb="4">
        <Heading as="h1" fontSize="3xl">
          {resin?.name ?? (isNew ? 'New data sheet' : 'No such resin')}
        </Heading>
        <Link href="/resins">All resins</Link>
      </Flex>
      {(resin || isNew) && <SheetForm key={`${resinId}-${settings.units}`} resin={resin} />}
    </Box>
  );
}
