'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { DEFECT_GUIDE } from '@/core/inspect';
import { DEFECT_KINDS, type DefectKind } from '@/core/piece';
import { useAct } from '@/data/hooks';
import { noteDefect } from '@/data/repos/findings';
import { useFormat } from '@/features/common/useFormat';
import { asId, type Area, type Defect } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { FieldRow } from '@/ui/FieldRow';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextAreaField, TextField } from '@/ui/TextField';
import { EMPTY_LOOK, readLook, SPREADS, type LookDraft, type LookErrors } from './readLook';
import { usePickedPhoto } from './usePickedPhoto';

/** How much of it there is: one tap, and sizes only where they are known. */
function HowMuch({
  look,
  errors,
  onChange,
}: {
  look: LookDraft;
  errors: LookErrors;
  onChange: (look: LookDraft) => void;
}) {
  const { typed } = useFormat();
  const field = (name: 'count' | 'size' | 'depth', label: string) => (
    <Box flex="1 1 90px">
      <TextField
        label={label}
        value={look[name]}
        error={errors[name]}
        onChange={(e) => onChange({ ...look, [name]: e.target.value })}
      />
    </Box>
  );
  return (
    <Box>
      <Box fontSize="sm" fontWeight="600" mb="1">
        How much of it
      </Box>
      <Flex gap="2" wrap="wrap" mb="2">
        {SPREADS.map((spread) => (
          <Button
            key={spread}
            size="sm"
            variant={look.spread === spread ? 'ink' : 'outline'}
            aria-pressed={look.spread === spread}
            onClick={() => onChange({ ...look, spread: look.spread === spread ? null : spread })}
          >
            {spread}
          </Button>
        ))}
      </Flex>
      {look.spread !== 'all over' && (
        <Flex gap="2" wrap="wrap">
          {look.spread === 'several spots' && field('count', 'How many')}
          {field('size', `Width of one, ${typed('length')}`)}
          {field('depth', `Depth, ${typed('length')}`)}
        </Flex>
      )}
    </Box>
  );
}

interface Props {
  readonly view: PieceView;
  readonly at: Defect['at'];
  readonly area: Area | undefined;
  readonly onNoted: (id: Defect['id'] | null) => void;
}

/** Notes what was found, where it is and how much of it, with its usual cause and repair beside it. */
export function DefectForm({ view, at, area, onNoted }: Props) {
  const act = useAct();
  const format = useFormat();
  const poured = view.coats.filter((c) => c.clock);
  const [kind, setKind] = useState<DefectKind>('bubbles');
  const [coatId, setCoatId] = useState(poured.at(-1)?.coat.id ?? '');
  const [note, setNote] = useState('');
  const [look, setLook] = useState(EMPTY_LOOK);
  const [errors, setErrors] = useState<LookErrors>({});
  const picker = useRef<HTMLInputElement>(null);
  const { photo, trouble, pick, settled, forget } = usePickedPhoto();
  const guide = DEFECT_GUIDE[kind];
  const save = async () => {
    const read = readLook(look, format);
    setErrors(read.ok ? {} : read.errors);
    if (!read.ok) return;
    const told = {
      pieceId: view.piece.id,
      coatId: coatId === '' ? null : asId<'coat'>(coatId),
      ...{ kind, note: note.trim(), at, look: read.value },
    };
    // The photo that was chosen for this defect goes with it, however long it takes to read.
    const picture = await settled();
    if (picture === 'unreadable') return;
    const outcome = await act(
      `note ${guide.label}`,
      (db, c) => noteDefect(db, c, { ...told, photo: picture }),
      { ...told, photo: picture?.name ?? null },
    );
    const clear = (id: Defect['id'] | null) => {
      setNote('');
      setLook(EMPTY_LOOK);
      forget();
      if (picker.current) picker.current.value = '';
      onNoted(id);
    };
    if (outcome.ok) clear(outcome.value);
    else void outcome.later.then(() => clear(null));
  };
  return (
    <Panel>
      <Heading as="h2" fontSize="lg" mb="3">
        Found something
      </Heading>
      <Box display="flex" flexDirection="column" gap="3">
        <SelectField
          label="What it is"
          value={kind}
          onChange={(e) => setKind(e.target.value as DefectKind)}
          options={DEFECT_KINDS.map((k) => [k, DEFECT_GUIDE[k].label])}
        />
        <Box bg="paper" px="3" py="2" fontSize="sm">
          <Box>
            <strong>Usual cause:</strong> {guide.cause}.
          </Box>
          <Box>
            <strong>Usual repair:</strong> {guide.repair}.
          </Box>
          <Box fontSize="xs" color="ink2">
            Common practice, no source.
          </Box>
        </Box>
        <Box fontSize="sm">
          {at && area
            ? `Its place is marked on ${area.name}.`
            : 'Tap its place on the plan, where it has one.'}
        </Box>
        <HowMuch look={look} errors={errors} onChange={setLook} />
        <SelectField
          label="On which coat"
          value={coatId}
          onChange={(e) => setCoatId(e.target.value)}
          options={[
            ...poured.map((c): [string, string] => [c.coat.id, c.coat.name]),
            ['', 'the piece itself'],
          ]}
        />
        <TextAreaField
          label="Note"
          hint="What else is to be seen"
          value={note}
          onChange={(e) => setNote(e.target.value)}
        />
        <FieldRow label="Photo" hint="Scaled; place and device data are left out" error={trouble}>
          {(control) => (
            <input
              {...control}
              ref={picker}
              type="file"
              accept="image/*"
              onChange={(e) => pick(e.target.files?.[0])}
            />
          )}
        </FieldRow>
        <Button variant="ink" onClick={() => void save()}>
          {photo === 'reading' ? 'Note it, once the photo is read' : 'Note it in the log'}
        </Button>
      </Box>
    </Panel>
  );
}
