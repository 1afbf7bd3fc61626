'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import { useRef, useState } from 'react';
import { shopDb } from '@/data/db';
import { useAct, useShop } from '@/data/hooks';
import { wholeLog } from '@/data/log';
import { noteBackup } from '@/data/repos/bench';
import { BackUp } from '@/features/common/files/BackUp';
import { shopJob } from '@/features/common/files/shopJob';
import { useFileWork } from '@/features/common/files/useFileWork';
import { WetLost } from '@/features/common/WetLost';
import { WorkState } from '@/features/common/files/WorkState';
import { shopClient } from '@/workers/shopClient';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Panel } from '@/ui/Panel';
import { saveFile } from '@/ui/saveFile';
import { SelectField } from '@/ui/SelectField';
import { FileFaults } from './FileFaults';
import type { CsvTable } from './csvTables';
import { HandOverPart } from './HandOverPart';
import { MergeDialog } from './MergeDialog';
import { useFileIntake } from './useFileIntake';

const CSV_TYPE = 'text/csv;charset=utf-8';
const TABLE_WORDS: Readonly<Record<CsvTable, string>> = {
  pieces: 'Pieces',
  coats: 'Coats',
  ledger: 'Lines of the ledger',
  readings: 'Readings of the room',
};

const stamp = () => formatDate(Date.now(), 'yyyy-MM-dd-HHmm');

/** What leaves the shop as files. */
function Exports() {
  const act = useAct();
  const shop = useShop();
  const work = useFileWork();
  const exportLog = () =>
    work.run('Exporting the log', async () => {
      const { logCsv } = await import('@/data/exchange/logCsv');
      const entries = await wholeLog(shopDb());
      const csv = logCsv(entries, shop.pieces, shop.coats);
      saveFile(`bilamina-log-${stamp()}.csv`, CSV_TYPE, csv);
    });
  const exportAll = () =>
    work.run('Exporting the shop', async (options) => {
      const file = await shopJob('exportShop', { nowMs: Date.now() }, options);
      saveFile(`bilamina-shop-${stamp()}.json`, 'application/json', file);
      await act('note the backup', noteBackup);
    });
  const [table, setTable] = useState<CsvTable>('pieces');
  const exportTable = () =>
    work.run('Exporting the table', async () => {
      const { csvTable } = await import('./csvTables');
      const csv = csvTable(table, shop, Date.now());
      saveFile(`bilamina-${table}-${stamp()}.csv`, CSV_TYPE, csv);
    });
  const exportCalendar = () =>
    work.run('Making the calendar', async () => {
      const [{ calendarText }, { shopDates }] = await Promise.all([
        import('./calendarFile'),
        import('@/shop/calendar'),
      ]);
      const nowMs = Date.now();
      const text = calendarText(shopDates(shop, nowMs), nowMs);
      saveFile(`bilamina-dates-${stamp()}.ics`, 'text/calendar;charset=utf-8', text);
    });
  return (
    <>
      <BackUp />
      <Button onClick={() => void exportAll()}>Export the whole shop (JSON)</Button>
      <Button onClick={() => void exportCalendar()}>Dates for a calendar (ICS)</Button>
      <Button onClick={() => void exportLog()}>Export the log (CSV)</Button>
      <Flex gap="2" align="flex-end">
        <Box flex="1">
          <SelectField
            label="Table"
            options={(Object.keys(TABLE_WORDS) as CsvTable[]).map(
              (name) => [name, TABLE_WORDS[name]] as const,
            )}
            value={table}
            onChange={(e) => setTable(e.target.value as CsvTable)}
          />
        </Box>
        <Button onClick={() => void exportTable()}>CSV</Button>
      </Flex>
      <WorkState {...work} />
    </>
  );
}

/** What comes in: a bundle is laid into this shop, a shop file takes its place. */
function Imports() {
  const picker = useRef<HTMLInputElement>(null);
  const intake = useFileIntake();
  const { asked, done, faults, work } = intake;
  return (
    <>
      <Button
        onClick={() => {
          // It is ready by the time that a file is chosen.
          shopClient().wake();
          picker.current?.click();
        }}
      >
        Import a shop …
      </Button>
      <input
        ref={picker}
        type="file"
        accept=".zip,.json,application/zip,application/json"
        hidden
        aria-label="Shop file"
        onChange={(e) => {
          const file = e.target.files?.[0];
          // The same file may be chosen again.
          if (file) intake.read(file);
          e.target.value = '';
        }}
      />
      <WorkState {...work} />
      {done && (
        <Box role="status" fontWeight="600" color="verdigris">
          {done}
        </Box>
      )}
      {faults.length > 0 && <FileFaults faults={faults} />}
      {asked?.is === 'bundle' && (
        <MergeDialog bundle={asked} onTake={intake.take} onCancel={intake.leave} />
      )}
      <ConfirmDialog
        open={asked?.is === 'shop'}
        title="Replace this shop?"
        confirm="Replace everything"
        onConfirm={intake.replace}
        onCancel={intake.leave}
      >
        The file is sound. Importing it replaces all pieces, coats, resins and the log that are here
        now. Export them first if you want to keep them. A bundle (ZIP) is laid into this shop
        instead.
        <WetLost />
      </ConfirmDialog>
    </>
  );
}

/** The shop as files, and back. */
export function ShopFiles() {
  return (
    <Panel as="section" data-noprint aria-label="Files">
      <Heading as="h2" fontSize="lg" mb="3">
        Files
      </Heading>
      <Flex direction="column" gap="2" align="stretch">
        <Exports />
        <Imports />
        <HandOverPart />
      </Flex>
      <Box fontSize="sm" color="ink2" mt="3">
        Everything stays in this browser until you save it. A backup is a bundle: another machine
        takes it in and lays it to what it has.
      </Box>
    </Panel>
  );
}
