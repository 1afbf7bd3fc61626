'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { PageHeading } from '@/ui/PageHeading';
import { useEffect, useState } from 'react';
import { useForm, type UseFormRegister } from 'react-hook-form';
import { LOAD_DEMO, useAct, useShop } from '@/data/hooks';
import { benchSettings, saveSettings } from '@/data/repos/bench';
import { reserveOptions } from '@/features/common/reserves';
import { SCHOOL_FIELDS } from '@/features/common/schools';
import { resolverOf } from '@/features/common/formErrors';
import { loadDemo } from '@/features/common/loadDemo';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import type { Settings } from '@/records';
import { AtBench } from './AtBench';
import { Fonts } from './Fonts';
import { Keeping } from './Keeping';
import { Losses } from './Losses';
import { draftOfSettings, readSettings, type SettingsDraft, type SettingsTold } from './model';

/** Schools of preparation: where practitioners disagree, what this shop does. */
function SchoolSelects({ register }: { register: UseFormRegister<SettingsDraft> }) {
  return SCHOOL_FIELDS.map(({ name, label, hint, options }) => (
    <SelectField
      key={name}
      label={label}
      hint={hint}
      options={options}
      {...register(`prep.${name}`)}
    />
  ));
}

/** What costs are counted in. */
function MoneyFields({
  register,
  error,
}: {
  register: UseFormRegister<SettingsDraft>;
  error: (field: keyof SettingsDraft) => string | undefined;
}) {
  return (
    <>
      <TextField
        label="Currency"
        hint="Its sign or letters; costs are shown in it"
        error={error('currency')}
        {...register('currency')}
      />
      <TextField
        label="Consumables of a batch"
        hint="Cups, sticks and gloves, in that currency"
        error={error('consumables')}
        {...register('consumables')}
      />
    </>
  );
}

/**
 * The form of the settings. Fields that another tab changes follow unless they are being typed in; what both
 * changed is asked about when it is saved.
 */
function useSettingsForm() {
  const { settings } = useShop();
  const act = useAct();
  const format = useFormat();
  const [saved, onSaved] = useState(false);
  const read = (draft: SettingsDraft) => readSettings(draft, format);
  const stored = draftOfSettings(settings);
  // The settings when typing began, as stored and as this form reads them: what others change since is theirs.
  const [begun, setBegun] = useState({ row: settings, draft: stored });
  const { register, handleSubmit, getValues, reset, formState } = useForm<SettingsDraft>({
    defaultValues: stored,
    mode: 'onTouched',
    resolver: resolverOf(read),
  });
  const whole = (told: SettingsTold): Settings => ({
    ...told,
    lastBackupMs: settings.lastBackupMs,
    sensor: settings.sensor,
    ...benchSettings(settings),
  });
  const save = handleSubmit(async () => {
    const result = read(getValues());
    if (!result.ok) return;
    const mine = whole(result.value);
    const was = read(begun.draft);
    const based = { base: begun.row, read: was.ok ? whole(was.value) : begun.row };
    const outcome = await act(
      'save the settings',
      (db, c, prefer) => saveSettings(db, c, mine, { ...based, prefer }),
      mine,
    );
    const done = (row: Settings) => {
      reset(getValues());
      setBegun({ row, draft: getValues() });
      onSaved(true);
    };
    if (outcome.ok) done(outcome.value);
    else void outcome.later.then(done);
  });
  // Another tab saved: fields that are not being typed in follow, the others stay as they are.
  useEffect(() => {
    reset(draftOfSettings(settings), { keepDirtyValues: true });
  }, [settings, reset]);
  return { register, save, formState, saved, touched: () => onSaved(false) };
}

function SettingsForm() {
  const { register, save, formState, saved, touched } = useSettingsForm();
  const error = (field: keyof SettingsDraft) => formState.errors[field]?.message;
  return (
    <form onSubmit={(e) => void save(e)} noValidate onChange={touched}>
      <Grid templateColumns="1fr 1fr" gap="4">
        <SelectField
          label="Units"
          options={[
            ['metric', 'Metric: mm, ml, °C'],
            ['us', 'US: inch, fl oz, °F'],
          ]}
          hint="Any unit may be typed anywhere: 12 in, 30 cm"
          {...register('units')}
        />
        <SelectField
          label="The scale shows"
          options={[
            ['g', 'grams'],
            ['oz', 'ounces'],
          ]}
          {...register('scaleUnit')}
        />
        <TextField
          label="Smallest step of the scale"
          error={error('scaleDigit')}
          {...register('scaleDigit')}
        />
        <TextField
          label="The shop opens"
          hint="For example 07:00"
          error={error('opens')}
          {...register('opens')}
        />
        <TextField label="The shop closes" error={error('closes')} {...register('closes')} />
        <TextField
          label="Who works here"
          hint="Written beside each entry of the log"
          error={error('person')}
          {...register('person')}
        />
        <SelectField
          label="Reserve, school"
          hint="How much over the sum is mixed"
          options={reserveOptions}
          {...register('reserve')}
        />
        <SelectField
          label="Rule of thumb to compare with"
          options={[
            ['five', '5 fl oz for 12 × 12 in (1.6 mm)'],
            ['six', '6 fl oz for 12 × 12 in (1.9 mm)'],
          ]}
          {...register('rule')}
        />
        <MoneyFields register={register} error={error} />
        <SchoolSelects register={register} />
      </Grid>
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

function ShopData() {
  const act = useAct();
  const { pieces, resins } = useShop();
  const [asking, setAsking] = useState(false);
  const empty = pieces.length === 0 && resins.length === 0;
  const wipe = async () => {
    setAsking(false);
    await act('empty the shop', async (db) => {
      const { wipeShop } = await import('@/data/exchange/shopFile');
      return wipeShop(db);
    });
  };
  return (
    <Panel as="section" aria-label="Shop">
      <Heading as="h2" fontSize="lg" mb="2">
        The shop in this browser
      </Heading>
      <Box mb="3">
        {empty ? 'It is empty.' : `${pieces.length} pieces, ${resins.length} resins.`} The demo
        shop, Fernhollow Works, loads only into an empty shop and never over your data.
      </Box>
      <Flex gap="3" wrap="wrap">
        <Button disabled={!empty} onClick={() => void act(LOAD_DEMO, loadDemo)}>
          Load the demo shop
        </Button>
        <Button variant="danger" disabled={empty} onClick={() => setAsking(true)}>
          Empty the shop …
        </Button>
      </Flex>
      <ConfirmDialog
        open={asking}
        title="Empty the shop?"
        confirm="Empty it"
        onConfirm={() => void wipe()}
        onCancel={() => setAsking(false)}
      >
        All pieces, coats, resins, photos, settings and the log go from this browser. Export the
        whole shop from the Book first; only such a file brings them back.
      </ConfirmDialog>
    </Panel>
  );
}

export function SettingsScreen() {
  return (
    <Box maxW="1100px">
      <PageHeading title="Settings" mb="4" />
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 340px' }}
        gap="4"
        alignItems="start"
      >
        <Flex direction="column" gap="4">
          <Panel>
            <SettingsForm />
          </Panel>
          <Losses />
        </Flex>
        <Flex direction="column" gap="4">
          <AtBench />
          <ShopData />
          <Keeping />
          <Fonts />
        </Flex>
      </Grid>
    </Box>
  );
}
