'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import dynamic from 'next/dynamic';
import { go } from '@/ui/go';
import { Link } from '@/ui/Link';
import { PageHeading } from '@/ui/PageHeading';
import { useEffect, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useAct, useShop } from '@/data/hooks';
import type { ResinSheet } from '@/core/resin';
import { newId, type Resin } from '@/records';
import { saveResin } from '@/data/repos/bench';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { TextAreaField, TextField } from '@/ui/TextField';
import { FINGER } from '@/ui/touch';
import {
  draftOfResin,
  readSheet,
  type SheetDraft,
  type SheetField,
} from '@/features/common/sheet/model';
import { BottleLabel } from './BottleLabel';
import { typicalDraft } from '@/features/common/sheet/typical';
import { CupPanel } from './CupPanel';
import { LotsPanel } from './LotsPanel';
import { LearnedPanel } from './LearnedPanel';
import { LabelForm } from './LabelForm';
import { RatioTruth } from './RatioTruth';
import { SheetFields } from './SheetFields';
import { SwatchPanel } from './SwatchPanel';

const WindowsChart = dynamic(() => import('./WindowsChart').then((m) => m.WindowsChart), {
  ssr: false,
});

/** How long its marks take in each room; null while the sheet is not complete. */
function RoomTimes({ sheet }: { sheet: ResinSheet | null }) {
  return (
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
  );
}

/** A new sheet moves to its own address when it is saved; that it is saved is still said there. */
function SheetForm({ resin, justSaved }: { resin: Resin | null; justSaved: boolean }) {
  const act = useAct();
  const format = useFormat();
  const [saved, setSaved] = useState(justSaved);
  const [id] = useState(() => resin?.id ?? newId<'resin'>());
  const initial = resin ? draftOfResin(resin, format) : typicalDraft(format);
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
      if (!resin) go(`/resins/${row.id}?saved`, 'replace');
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
          <SheetFields form={form} />
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
          {(!resin || formState.isDirty) && <RoomTimes sheet={sheet} />}
        </Flex>
      </Grid>
    </form>
  );
}

/** One resin's data sheet; `new` for a fresh one. */
export function SheetScreen({
  resinId,
  justSaved = false,
}: {
  resinId: string;
  justSaved?: boolean;
}) {
  const { resins, settings } = useShop();
  const resin = resins.find((r) => r.id === resinId) ?? null;
  const isNew = resinId === 'new';
  return (
    <Box maxW="1240px">
      <Flex justify="space-between" align="baseline" mb="4">
        <PageHeading title={resin?.name ?? (isNew ? 'New data sheet' : 'No such resin')} />
        <Box asChild display="inline-flex" alignItems="center" minH="24px" css={FINGER}>
          <Link href="/resins">All resins</Link>
        </Box>
      </Flex>
      {resin && (
        <Grid
          templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1.3fr)' }}
          gap="4"
          mb="4"
        >
          <BottleLabel resin={resin} named={false} />
          <RoomTimes sheet={resin.sheet} />
        </Grid>
      )}
      {resin && <LotsPanel resin={resin} />}
      {resin && <SwatchPanel resin={resin} />}
      {(resin || isNew) && (
        <SheetForm key={`${resinId}-${settings.units}`} resin={resin} justSaved={justSaved} />
      )}
    </Box>
  );
}
