'use client';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { grits, nearestGrit } from '@/core/prep';
import { useAct } from '@/data/hooks';
import type { Area, Id } from '@/records';
import { addTask, type NewTask } from '@/data/repos/prep';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

const GRITS = grits('P').map((g): [string, string] => {
  const cami = nearestGrit('P', g, 'CAMI');
  return [String(g), cami === null ? `P${g}` : `P${g} · CAMI ${cami}`];
});

interface CheckProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onToggle: () => void;
}

function Check({ label, checked, onToggle }: CheckProps) {
  return (
    <chakra.label display="flex" alignItems="center" gap="2" minH="38px" fontSize="sm">
      <chakra.input
        type="checkbox"
        checked={checked}
        onChange={onToggle}
        width="20px"
        height="20px"
        accentColor="ink"
      />
      {label}
    </chakra.label>
  );
}

interface GritsProps {
  readonly from: string;
  readonly to: string;
  readonly error: string | undefined;
  readonly onFrom: (grit: string) => void;
  readonly onTo: (grit: string) => void;
}

function Grits({ from, to, error, onFrom, onTo }: GritsProps) {
  return (
    <Grid templateColumns="1fr 1fr" gap="3">
      <SelectField
        label="From grit"
        value={from}
        options={GRITS}
        onChange={(e) => onFrom(e.target.value)}
      />
      <SelectField
        label="To grit"
        value={to}
        options={GRITS}
        error={error}
        onChange={(e) => onTo(e.target.value)}
      />
    </Grid>
  );
}

interface Props {
  readonly pieceId: Id<'piece'>;
  readonly areas: readonly Area[];
  readonly onAdded: () => void;
}

/** A step of the user's own: a note, or sanding with its grits. */
export function OwnStep({ pieceId, areas, onAdded }: Props) {
  const act = useAct();
  const [kind, setKind] = useState<'note' | 'sand'>('note');
  const [title, setTitle] = useState('');
  const [needed, setNeeded] = useState(true);
  const [areaIds, setAreaIds] = useState<readonly string[]>(areas.slice(0, 1).map((a) => a.id));
  const [from, setFrom] = useState('120');
  const [to, setTo] = useState('240');
  const [tried, setTried] = useState(false);
  const errors = {
    title:
      title.trim() === ''
        ? 'What is to be done?'
        : title.length > 80
          ? 'At most 80 characters.'
          : undefined,
    areas: kind === 'sand' && areaIds.length === 0 ? 'Where to sand: choose an area.' : undefined,
    to:
      kind === 'sand' && Number(to) < Number(from)
        ? 'Must not be coarser than the first grit.'
        : undefined,
  };
  const add = async () => {
    setTried(true);
    if (errors.title || errors.areas || errors.to) return;
    const base = { title: title.trim(), needed, areaIds: [...areaIds] };
    const told: NewTask =
      kind === 'note'
        ? { kind, ...base }
        : { kind, ...base, fromGrit: Number(from), toGrit: Number(to) };
    const done = await act('add the step', (db, c) => addTask(db, c, pieceId, told), told);
    if (!done.ok) return;
    setTitle('');
    setTried(false);
    onAdded();
  };
  const toggle = (id: string) =>
    setAreaIds(areaIds.includes(id) ? areaIds.filter((a) => a !== id) : [...areaIds, id]);
  return (
    <Panel as="section" aria-label="Add a step">
      <Heading as="h2" fontSize="lg" mb="2">
        Add a step of your own
      </Heading>
      <Flex direction="column" gap="3">
        <Grid templateColumns="2fr 1fr" gap="3">
          <TextField
            label="What is to be done"
            value={title}
            error={tried ? errors.title : undefined}
            onChange={(e) => setTitle(e.target.value)}
          />
          <SelectField
            label="Kind"
            value={kind}
            options={[
              ['note', 'a step'],
              ['sand', 'sanding'],
            ]}
            onChange={(e) => setKind(e.target.value === 'sand' ? 'sand' : 'note')}
          />
        </Grid>
        {kind === 'sand' && (
          <Grits
            from={from}
            to={to}
            error={tried ? errors.to : undefined}
            onFrom={setFrom}
            onTo={setTo}
          />
        )}
        <Flex role="group" aria-label="Areas of the step" gap="4" wrap="wrap">
          {areas.map((a) => (
            <Check
              key={a.id}
              label={a.name}
              checked={areaIds.includes(a.id)}
              onToggle={() => toggle(a.id)}
            />
          ))}
        </Flex>
        {tried && errors.areas && (
          <Box role="alert" fontSize="sm" color="oxide" fontWeight="600">
            {errors.areas}
          </Box>
        )}
        <Check
          label="Needed: holds the coat back"
          checked={needed}
          onToggle={() => setNeeded(!needed)}
        />
        <Button alignSelf="flex-start" onClick={() => void add()}>
          Add the step
        </Button>
      </Flex>
    </Panel>
  );
}
