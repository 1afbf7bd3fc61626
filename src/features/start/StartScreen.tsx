'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { SUPPORTS, type Support } from '@/core/piece';
import { useAct, useNow } from '@/data/hooks';
import { saveResin } from '@/data/repos/bench';
import { planCoat } from '@/data/repos/coats';
import { together } from '@/data/write';
import { addPiece } from '@/data/repos/survey';
import type { LabelDraft } from '@/features/common/sheet/label';
import { useFormat } from '@/features/common/useFormat';
import { newId } from '@/records';
import { Button } from '@/ui/Button';
import { go } from '@/ui/go';
import { PageHeading } from '@/ui/PageHeading';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { FirstVolumePanel } from './FirstVolumePanel';
import {
  firstDraft,
  firstVolume,
  readFirst,
  type FirstDraft,
  type FirstField,
  type FirstRead,
  type ResinChoice,
} from './firstCoat';

const RESINS: readonly (readonly [ResinChoice, string])[] = [
  ['coating', 'I have no sheet at hand: an everyday coating resin, 1 : 1'],
  ['slow', 'I have no sheet at hand: a slow resin, 2 : 1'],
  ['label', 'Mine: I read four things from its label'],
];

/** A step of the way, with its number. */
function Step({ n, title, children }: { n: number; title: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} borderTopWidth="1px" borderColor="line" pt="3" pb="4">
      <Heading as="h2" fontSize="lg" mb="2">
        <Box as="span" color="amberDeep" me="2">
          {n}
        </Box>
        {title}
      </Heading>
      {children}
    </Box>
  );
}

interface FieldsProps {
  readonly draft: FirstDraft;
  readonly errors: Partial<Record<FirstField, string>>;
  readonly change: (more: Partial<FirstDraft>) => void;
}

/** A message is shown once something was typed there, or all of it was asked for. */
const textField = (
  { draft, errors, change }: FieldsProps,
  field: 'name' | 'width' | 'depth' | 'edge' | 'thickness',
) => ({
  value: draft[field],
  error: errors[field],
  onChange: (e: { target: { value: string } }) => change({ [field]: e.target.value }),
});

function SizeFields(props: FieldsProps) {
  const { draft, change } = props;
  const round = draft.shape === 'round';
  return (
    <Grid templateColumns={{ base: '1fr', md: 'repeat(3, 1fr)' }} gap="3">
      <SelectField
        label="Shape"
        options={[
          ['rectangle', 'rectangle'],
          ['round', 'round'],
        ]}
        value={draft.shape}
        onChange={(e) => change({ shape: e.target.value as FirstDraft['shape'] })}
      />
      <TextField label={round ? 'Across' : 'Width'} {...textField(props, 'width')} />
      {!round && <TextField label="Depth" {...textField(props, 'depth')} />}
      <TextField label="Edge height" {...textField(props, 'edge')} />
      <TextField label="Thickness of the coat" {...textField(props, 'thickness')} />
    </Grid>
  );
}

function ResinFields({ draft, errors, change }: FieldsProps) {
  const field = (key: keyof LabelDraft) => ({
    value: draft.label[key],
    error: errors[key],
    onChange: (e: { target: { value: string } }) =>
      change({ label: { ...draft.label, [key]: e.target.value } }),
  });
  return (
    <>
      <SelectField
        label="Resin"
        options={RESINS}
        value={draft.resin}
        onChange={(e) => change({ resin: e.target.value as ResinChoice })}
      />
      {draft.resin === 'label' && (
        <Grid templateColumns={{ base: '1fr', md: 'repeat(2, 1fr)' }} gap="3" mt="3">
          <TextField label="Name on the label" {...field('name')} />
          <TextField label="Ratio as printed" hint="2 : 1 by volume" {...field('ratio')} />
          <TextField label="It can be worked for" hint="40 min" {...field('working')} />
          <TextField label="Next coat after" hint="24 h" {...field('nextCoat')} />
        </Grid>
      )}
    </>
  );
}

/** Which messages are shown: of fields that were touched, or all once it was tried. */
function shownErrors(
  errors: Partial<Record<FirstField, string>>,
  touched: ReadonlySet<string>,
  tried: boolean,
): Partial<Record<FirstField, string>> {
  return tried
    ? errors
    : Object.fromEntries(Object.entries(errors).filter(([field]) => touched.has(field)));
}

/** From an empty shop to the first volume: what, how large, which resin; the volume stands beside it from the first answer. */
export function StartScreen() {
  const format = useFormat();
  const act = useAct();
  const now = useNow(60_000);
  const [draft, setDraft] = useState(() => firstDraft(format));
  const [touched, setTouched] = useState<ReadonlySet<string>>(new Set());
  const [tried, setTried] = useState(false);
  const read = readFirst(draft, format);
  const change = (more: Partial<FirstDraft>) => {
    setDraft({ ...draft, ...more });
    const label = more.label;
    const fields = label
      ? (Object.keys(label) as (keyof LabelDraft)[]).filter((k) => label[k] !== draft.label[k])
      : Object.keys(more);
    setTouched(new Set([...touched, ...fields]));
  };
  const save = async ({ survey, resin, coat }: FirstRead) => {
    const outcome = await act(
      `lay out ${survey.name}`,
      (db, c) =>
        together(db, async () => {
          const sheet = await saveResin(db, c, { ...resin, id: newId(), learnsFromMs: null });
          const pieceId = await addPiece(db, c, survey);
          const areas = await db.areas.where('pieceId').equals(pieceId).toArray();
          const areaIds = areas.map((a) => a.id);
          await planCoat(db, c, { ...coat, pieceId, resinId: sheet.id, areaIds });
          return pieceId;
        }),
      survey,
    );
    if (outcome.ok) go(`/pieces/${outcome.value}/coats`);
    else void outcome.later.then((id) => go(`/pieces/${id}/coats`));
  };
  const errors = read.ok ? {} : shownErrors(read.errors, touched, tried);
  const fields = { draft, errors, change };
  const volume = read.ok ? firstVolume(read.value, now) : null;
  return (
    <Box maxW="1100px">
      <PageHeading title="First coat" mb="1" />
      <Box color="ink2" mb="4">
        A few answers, and the volume stands beside them. Everything can be put right later.
      </Box>
      <Grid
        templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 380px' }}
        gap="6"
        alignItems="start"
      >
        <form
          noValidate
          onSubmit={(e) => {
            e.preventDefault();
            setTried(true);
            if (read.ok) void save(read.value);
          }}
        >
          <Step n={1} title="What are you coating?">
            <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="3">
              <SelectField
                label="Support"
                options={SUPPORTS.map((s) => [s, s] as const)}
                value={draft.support}
                onChange={(e) => change({ support: e.target.value as Support })}
              />
              <TextField
                label="What you call it"
                hint="May stay empty"
                {...textField(fields, 'name')}
              />
            </Grid>
          </Step>
          <Step n={2} title="How large is it?">
            <SizeFields {...fields} />
          </Step>
          <Step n={3} title="Which resin?">
            <ResinFields {...fields} />
          </Step>
          <Flex gap="3" mt="2">
            <Button type="submit" variant="ink" minH="52px" fontSize="lg">
              Put it on the bench
            </Button>
          </Flex>
        </form>
        <Panel as="section" aria-label="First volume" p="5">
          <FirstVolumePanel
            volume={volume}
            support={draft.support}
            starter={draft.resin !== 'label'}
          />
        </Panel>
      </Grid>
    </Box>
  );
}
