'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { grits, nearestGrit, READY_STEPS, type ReadyStep } from '@/core/prep';
import { useAct } from '@/data/hooks';
import { addTask } from '@/data/repos/ownSteps';
import { useFormat } from '@/features/common/useFormat';
import type { PieceView } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { EMPTY_STEP, readOwn, type OwnDraft } from './ownDraft';
import { OwnLists } from './OwnLists';

const GRITS = grits('P').map((g): [string, string] => {
  const cami = nearestGrit('P', g, 'CAMI');
  return [String(g), cami === null ? `P${g}` : `P${g} · CAMI ${cami}`];
});

interface FieldProps {
  readonly draft: OwnDraft;
  readonly errors: Partial<Record<keyof OwnDraft, string>>;
  readonly onEdit: (change: Partial<OwnDraft>) => void;
}

function Grits({ draft, errors, onEdit }: FieldProps) {
  return (
    <Grid templateColumns="1fr 1fr" gap="3">
      <SelectField
        label="From grit"
        value={draft.from}
        options={GRITS}
        onChange={(e) => onEdit({ from: e.target.value })}
      />
      <SelectField
        label="To grit"
        value={draft.to}
        options={GRITS}
        error={errors.to}
        onChange={(e) => onEdit({ to: e.target.value })}
      />
    </Grid>
  );
}

/** Steps that are ready to be taken: a tap fills the form, and nothing is added by it. */
function Ready({ onTake }: { onTake: (step: ReadyStep) => void }) {
  return (
    <Flex role="group" aria-label="Ready steps" gap="2" wrap="wrap">
      {READY_STEPS.map((step) => (
        <Button key={step.title} size="sm" onClick={() => onTake(step)}>
          {step.title}
        </Button>
      ))}
    </Flex>
  );
}

/** What kind of step it is, how long it dries, and when its turn comes. */
function KindAndPlace({ view, draft, errors, onEdit }: FieldProps & { view: PieceView }) {
  const waiting = view.coats.filter((c) => c.coat.pouredMs === null);
  const first = view.areas.slice(0, 1).map((a) => a.id);
  return (
    <>
      <Grid templateColumns="1fr 1fr" gap="3">
        <SelectField
          label="Kind"
          value={draft.kind}
          options={[
            ['note', 'a step'],
            ['sand', 'sanding'],
          ]}
          onChange={(e) => {
            const sand = e.target.value === 'sand';
            // Sanding goes somewhere: on the first area unless another was chosen.
            onEdit({
              kind: sand ? 'sand' : 'note',
              ...(sand && draft.areaIds.length === 0 && { areaIds: first }),
            });
          }}
        />
        {draft.kind === 'note' && (
          <TextField
            label="Dries for, if it does"
            value={draft.label}
            error={errors.label}
            onChange={(e) => onEdit({ label: e.target.value })}
          />
        )}
      </Grid>
      <SelectField
        label="When"
        value={draft.at}
        options={[
          ['next', 'before what comes next'],
          ...waiting.map(({ coat }): [string, string] => [coat.id, `before ${coat.name}`]),
          ['last', 'after the last coat'],
        ]}
        onChange={(e) => onEdit({ at: e.target.value })}
      />
    </>
  );
}

/** A step of the user's own: a note, or sanding with its grits; before a coat, or after the last. */
export function OwnStep({ view }: { view: PieceView }) {
  const { piece, areas } = view;
  const act = useAct();
  const format = useFormat();
  const [draft, setDraft] = useState<OwnDraft>(EMPTY_STEP);
  const [tried, setTried] = useState(false);
  const edit = (change: Partial<OwnDraft>) => setDraft((d) => ({ ...d, ...change }));
  const read = readOwn(draft, format);
  const errors = tried && !read.ok ? read.errors : {};
  const add = async () => {
    setTried(true);
    if (!read.ok) return;
    const told = read.value;
    const done = await act('add the step', (db, c) => addTask(db, c, piece.id, told), told);
    if (!done.ok) return;
    // The next one likely goes to the same place.
    setDraft({ ...EMPTY_STEP, at: draft.at });
    setTried(false);
  };
  const toggle = (id: string) =>
    edit({
      areaIds: draft.areaIds.includes(id)
        ? draft.areaIds.filter((a) => a !== id)
        : [...draft.areaIds, id],
    });
  return (
    <Panel as="section" aria-label="Add a step" data-noprint>
      <Heading as="h2" fontSize="lg" mb="2">
        Add a step of your own
      </Heading>
      <Flex direction="column" gap="3">
        <Ready
          onTake={({ title, at, labelS, needed }) =>
            edit({
              ...{ kind: 'note', title, at, needed },
              label: labelS > 0 ? `${labelS / 3600} h` : '',
            })
          }
        />
        <TextField
          label="What is to be done"
          value={draft.title}
          error={errors.title}
          onChange={(e) => edit({ title: e.target.value })}
        />
        <KindAndPlace view={view} draft={draft} errors={errors} onEdit={edit} />
        {draft.kind === 'sand' && <Grits draft={draft} errors={errors} onEdit={edit} />}
        <Flex role="group" aria-label="Areas of the step" gap="4" wrap="wrap">
          {areas.map((a) => (
            <Tick
              key={a.id}
              fontSize="sm"
              checked={draft.areaIds.includes(a.id)}
              onTick={() => toggle(a.id)}
            >
              {a.name}
            </Tick>
          ))}
        </Flex>
        {errors.areaIds && (
          <Box role="alert" fontSize="sm" color="oxide" fontWeight="600">
            {errors.areaIds}
          </Box>
        )}
        <Tick fontSize="sm" checked={draft.needed} onTick={() => edit({ needed: !draft.needed })}>
          {draft.at === 'last'
            ? 'Needed: the piece stays until then'
            : 'Needed: holds the coat back'}
        </Tick>
        <Button alignSelf="flex-start" onClick={() => void add()}>
          Add the step
        </Button>
        <OwnLists view={view} />
      </Flex>
    </Panel>
  );
}
