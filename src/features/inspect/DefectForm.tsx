'use client';
import { asId } from '@/records';
import { Box, Heading } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { useAct } from '@/data/hooks';
import { DEFECT_KINDS, type DefectKind } from '@/core/piece';
import { noteDefect } from '@/data/repos/bench';
import type { PieceView } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { FieldRow } from '@/ui/FieldRow';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextAreaField } from '@/ui/TextField';
import { DEFECT_GUIDE } from '@/core/inspect';
import { usePickedPhoto } from './usePickedPhoto';

/** Notes what was found, with its usual cause and repair beside it. */
export function DefectForm({ view }: { view: PieceView }) {
  const act = useAct();
  const poured = view.coats.filter((c) => c.clock);
  const [kind, setKind] = useState<DefectKind>('bubbles');
  const [coatId, setCoatId] = useState(poured.at(-1)?.coat.id ?? '');
  const [note, setNote] = useState('');
  const picker = useRef<HTMLInputElement>(null);
  const { photo, trouble, pick, settled, forget } = usePickedPhoto();
  const guide = DEFECT_GUIDE[kind];
  const save = async () => {
    const told = {
      pieceId: view.piece.id,
      coatId: coatId === '' ? null : asId<'coat'>(coatId),
      kind,
      note: note.trim(),
    };
    // The photo that was chosen for this defect goes with it, however long it takes to read.
    const picture = await settled();
    if (picture === 'unreadable') return;
    const outcome = await act(
      `note ${guide.label}`,
      (db, c) => noteDefect(db, c, { ...told, photo: picture }),
      { ...told, photo: picture?.name ?? null },
    );
    const clear = () => {
      setNote('');
      forget();
      if (picker.current) picker.current.value = '';
    };
    if (outcome.ok) clear();
    else void outcome.later.then(clear);
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
          hint="Where it is, how large"
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
