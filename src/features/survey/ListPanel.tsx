'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct } from '@/data/hooks';
import { addPieces } from '@/data/repos/survey';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { FieldRow } from '@/ui/FieldRow';
import { go } from '@/ui/go';
import { Panel } from '@/ui/Panel';
import type { PieceList } from './pieceList';

const MOST_BYTES = 2e6;
const FAULTS_SHOWN = 8;

/** Pieces out of a list: what was understood is shown first, and only then added, all that are sound in one act. */
export function ListPanel() {
  const act = useAct();
  const format = useFormat();
  const [list, setList] = useState<PieceList | null>(null);
  const [trouble, setTrouble] = useState('');
  const pick = async (file: File | undefined) => {
    setList(null);
    setTrouble('');
    if (!file) return;
    if (file.size > MOST_BYTES) return setTrouble('This file is over 2 MB: cut it into parts.');
    const { readPieceList } = await import('./pieceList');
    const read = readPieceList(await file.text(), format);
    if (read.rows.length === 0)
      return setTrouble('No row in it: the first line names the columns, then a line a piece.');
    setList(read);
  };
  const surveys = list?.rows.flatMap((r) => r.survey ?? []) ?? [];
  const wrong = list?.rows.filter((r) => r.survey === null) ?? [];
  const add = async () => {
    const outcome = await act('add pieces of a list', (db, c) => addPieces(db, c, surveys));
    if (outcome.ok) go('/pieces');
  };
  return (
    <Panel as="section" data-noprint aria-label="From a list" mb="4">
      <Heading as="h2" fontSize="lg" mb="2">
        From a list
      </Heading>
      <FieldRow
        label="CSV of pieces"
        hint="Columns: name, count, support, width, depth or diameter, edge, job, due, note"
      >
        {(control) => (
          <input
            {...control}
            type="file"
            accept=".csv,text/csv"
            onChange={(e) => {
              void pick(e.currentTarget.files?.[0]);
              e.currentTarget.value = '';
            }}
          />
        )}
      </FieldRow>
      <Box role="status" mt="2">
        {trouble}
        {list && `${surveys.length} of ${list.rows.length} rows can be added.`}
        {list && list.ignored.length > 0 && ` Not read: ${list.ignored.join(', ')}.`}
      </Box>
      {wrong.length > 0 && (
        <Box as="ul" mt="1" color="oxide" fontSize="sm" aria-label="Rows with faults">
          {wrong.slice(0, FAULTS_SHOWN).map((r) => (
            <li key={r.line}>
              Line {r.line}
              {r.name !== '' && `, ${r.name}`}: {r.faults.join(' ')}
            </li>
          ))}
          {wrong.length > FAULTS_SHOWN && <li>and {wrong.length - FAULTS_SHOWN} more</li>}
        </Box>
      )}
      {surveys.length > 0 && (
        <Flex mt="3" gap="3">
          <Button variant="ink" onClick={() => void add()}>
            Add {surveys.length === 1 ? 'the piece' : `${surveys.length} pieces`}
          </Button>
          <Button onClick={() => setList(null)}>Leave it</Button>
        </Flex>
      )}
    </Panel>
  );
}
