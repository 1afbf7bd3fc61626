'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import type { ReadingsCsv } from '@/core/exchange/readingsCsv';
import { useAct, useNow } from '@/data/hooks';
import { addReadings } from '@/data/repos/room';
import { clockText, spanText } from '@/features/common/clockText';
import type { RoomSource } from '@/records';
import { Button } from '@/ui/Button';
import { FieldRow } from '@/ui/FieldRow';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';

/** Longer files hold years of readings. */
const MOST_BYTES = 20_000_000;

interface Chosen {
  readonly name: string;
  readonly text: string;
}

/** The parser is fetched with the first file. */
async function readFile({ text }: Chosen, dayFirst: boolean): Promise<ReadingsCsv> {
  const { readReadingsCsv } = await import('@/core/exchange/readingsCsv');
  const offsetMinAt = (ms: number) => -new Date(ms).getTimezoneOffset();
  return readReadingsCsv(text, { nowMs: Date.now(), offsetMinAt, dayFirst });
}

function Found({ read, nowMs }: { read: ReadingsCsv; nowMs: number }) {
  const { readings, bad, columns, gaps } = read;
  const [first, last] = [readings[0], readings.at(-1)];
  return (
    <Box fontSize="sm">
      <Box fontWeight="600">
        {first && last
          ? `${readings.length} readings, ${clockText(first.atMs, nowMs)} to ${clockText(last.atMs, nowMs)}`
          : columns.time === null && columns.date === null
            ? 'No column of times was found: its head should say time or date.'
            : columns.temperature === null
              ? 'No column of temperatures was found: its head should say temperature.'
              : 'No row could be read.'}
      </Box>
      {readings.length > 0 && (
        <Box color="ink2">
          Temperature from “{columns.temperature}”
          {columns.humidity ? `, humidity from “${columns.humidity}”` : ', no humidity'}
          {columns.surface && `, surface from “${columns.surface}”`}.
        </Box>
      )}
      {gaps.map((g) => (
        <Box key={g.fromMs} color="ink2">
          Nothing for {spanText(g.toMs - g.fromMs)} from {clockText(g.fromMs, nowMs)}.
        </Box>
      ))}
      {bad.length > 0 && (
        <Box mt="2">
          <Box color="oxide" fontWeight="600">
            ! {bad.length === 1 ? 'One row is left out' : `${bad.length} rows are left out`}:
          </Box>
          <Box
            as="ul"
            listStyleType="none"
            maxH="160px"
            overflowY="auto"
            tabIndex={0}
            aria-label="Rows left out"
          >
            {bad.slice(0, 200).map((row) => (
              <Box as="li" key={row.line}>
                line {row.line}: {row.fault}{' '}
                <Box as="span" color="ink2">
                  ({row.text.slice(0, 60)})
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** Readings out of a file: what was understood is shown first, and only then written. */
export function CsvPanel() {
  const act = useAct();
  const now = useNow(60_000);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [dayFirst, setDayFirst] = useState(true);
  const [read, setRead] = useState<ReadingsCsv | null>(null);
  const [said, setSaid] = useState('');
  const look = async (file: Chosen, first: boolean) => {
    setSaid('');
    setChosen(file);
    setDayFirst(first);
    setRead(await readFile(file, first));
  };
  const pick = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES) return setSaid('This file is over 20 MB: cut it into years.');
    await look({ name: file.name.slice(0, 120), text: await file.text() }, dayFirst);
  };
  const add = async () => {
    if (!chosen || !read) return;
    const source: RoomSource = { how: 'file', by: chosen.name, coatId: null, out: false };
    const readings = read.readings.map((r) => ({ ...r, source }));
    const outcome = await act('add these readings', (db, c) => addReadings(db, c, readings));
    if (!outcome.ok) return;
    const added = readings.length - outcome.value;
    const twice = outcome.value > 0 ? `, ${outcome.value} were there already` : '';
    setSaid(`✓ ${added} readings are in the record${twice}.`);
    setChosen(null);
    setRead(null);
  };
  return (
    <Panel as="section" data-noprint aria-label="Readings out of a file">
      <Heading as="h2" fontSize="lg" mb="2">
        From a file
      </Heading>
      <FieldRow
        label="CSV of a logger"
        hint="A column of times and one of temperatures, in any order"
      >
        {(control) => (
          <input
            {...control}
            type="file"
            accept=".csv,.txt,.tsv,text/csv"
            onChange={(e) => {
              void pick(e.currentTarget.files?.[0]);
              e.currentTarget.value = '';
            }}
          />
        )}
      </FieldRow>
      <Flex direction="column" gap="3" mt="3">
        {read && <Found read={read} nowMs={now} />}
        {read?.ambiguous && chosen && (
          <SelectField
            label="3/4/2026 is"
            options={[
              ['day', 'the third of April'],
              ['month', 'the fourth of March'],
            ]}
            value={dayFirst ? 'day' : 'month'}
            onChange={(e) => void look(chosen, e.currentTarget.value === 'day')}
          />
        )}
        {read && (
          <Flex gap="3">
            <Button variant="ink" disabled={read.readings.length === 0} onClick={() => void add()}>
              Put {read.readings.length} readings into the record
            </Button>
            <Button
              onClick={() => {
                setChosen(null);
                setRead(null);
              }}
            >
              Leave it
            </Button>
          </Flex>
        )}
        <Box role="status" color={said.startsWith('✓') ? 'verdigris' : 'oxide'} fontWeight="600">
          {said}
        </Box>
      </Flex>
    </Panel>
  );
}
