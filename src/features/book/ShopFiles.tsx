'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import { useRef, useState } from 'react';
import { shopDb } from '@/data/db';
import type { readShopFile as ReadShopFile } from '@/data/exchange/shopFile';
import { useAct, useShop } from '@/data/hooks';
import { noteBackup } from '@/data/repos/bench';
import type { RowFault } from '@/records/validate';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Panel } from '@/ui/Panel';
import { saveFile } from '@/ui/saveFile';

const stamp = () => formatDate(Date.now(), 'yyyy-MM-dd-HHmm');

function Faults({ faults }: { faults: readonly RowFault[] }) {
  return (
    <Box role="alert" mt="3" borderLeftWidth="5px" borderColor="oxide" ps="3">
      <Box fontWeight="600" color="oxide">
        Not imported: {faults.length} {faults.length === 1 ? 'fault' : 'faults'}. Nothing was
        changed.
      </Box>
      <Box
        as="ul"
        listStyleType="none"
        fontSize="sm"
        maxH="260px"
        overflowY="auto"
        tabIndex={0}
        aria-label="Faults of the file"
      >
        {faults.slice(0, 100).map((f, i) => (
          <Box as="li" key={i} py="1">
            {f.path && (
              <Box
                as="code"
                fontFamily="mono"
                fontSize="xs"
                display="block"
                overflowWrap="anywhere"
              >
                {f.path}
              </Box>
            )}
            {f.message}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

type Checked = Extract<Awaited<ReturnType<typeof ReadShopFile>>, { readonly ok: true }>;

/** The shop as files: the log as CSV, everything as JSON, and back. */
export function ShopFiles() {
  const act = useAct();
  const shop = useShop();
  const picker = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<readonly RowFault[]>([]);
  const [done, setDone] = useState('');
  const [busy, setBusy] = useState('');
  const [asked, setAsked] = useState<Checked | null>(null);
  const empty = shop.pieces.length === 0 && shop.resins.length === 0;

  /** Runs something with a file; what goes wrong is told here and changes nothing. */
  const tell = async (what: string, work: () => Promise<void>) => {
    setFaults([]);
    setDone('');
    try {
      await work();
    } catch (error) {
      const message = error instanceof Error ? error.message : String(error);
      setFaults([{ path: '', message: `${what}: ${message}` }]);
    }
    setBusy('');
  };
  const exportLog = () =>
    tell('The log could not be exported', async () => {
      const { logCsv } = await import('@/data/exchange/logCsv');
      const entries = await shopDb().log.orderBy('seq').toArray();
      const csv = logCsv(entries, shop.pieces, shop.coats);
      saveFile(`bilamina-log-${stamp()}.csv`, 'text/csv;charset=utf-8', csv);
    });
  const exportAll = () =>
    tell('The shop could not be exported', async () => {
      const { exportShop } = await import('@/data/exchange/shopFile');
      const file = await exportShop(shopDb(), Date.now());
      saveFile(`bilamina-shop-${stamp()}.json`, 'application/json', JSON.stringify(file));
      await act('note the backup', noteBackup);
    });
  const putInPlace = async ({ tables }: Checked) => {
    setAsked(null);
    const outcome = await act('import the shop', async (db) => {
      const { replaceShop } = await import('@/data/exchange/shopFile');
      return replaceShop(db, tables);
    });
    if (outcome.ok) setDone(`Imported ${outcome.value} rows.`);
  };
  const pick = (file: File | undefined) =>
    tell('The file could not be read', async () => {
      if (!file) return;
      if (file.size > 300_000_000)
        return setFaults([{ path: '', message: 'This file is over 300 MB.' }]);
      setBusy('Reading and trying the file …');
      const text = await file.text();
      if (picker.current) picker.current.value = '';
      const { checkShopFile } = await import('@/data/exchange/shopFile');
      const { tryShop } = await import('../everyView/tryShop');
      const read = await checkShopFile(text, tryShop, Date.now());
      if (!read.ok) return setFaults(read.faults);
      if (empty) await putInPlace(read);
      else setAsked(read);
    });
  return (
    <Panel as="section" aria-label="Files">
      <Heading as="h2" fontSize="lg" mb="3">
        Files
      </Heading>
      <Flex direction="column" gap="2">
        <Button onClick={() => void exportLog()}>Export the log (CSV)</Button>
        <Button onClick={() => void exportAll()}>Export the whole shop (JSON)</Button>
        <Button onClick={() => picker.current?.click()}>Import a shop …</Button>
        <input
          ref={picker}
          type="file"
          accept=".json,application/json"
          hidden
          aria-label="Shop file"
          onChange={(e) => void pick(e.target.files?.[0])}
        />
      </Flex>
      <Box fontSize="sm" color="ink2" mt="3">
        Everything stays in this browser until you export it. Keep an export somewhere else.
      </Box>
      <Box role="status" fontWeight="600" color="verdigris" mt="2">
        {busy || done}
      </Box>
      {faults.length > 0 && <Faults faults={faults} />}
      <ConfirmDialog
        open={asked !== null}
        title="Replace this shop?"
        confirm="Replace everything"
        onConfirm={() => asked !== null && void putInPlace(asked)}
        onCancel={() => setAsked(null)}
      >
        The file is sound. Importing it replaces all pieces, coats, resins and the log that are here
        now. Export them first if you want to keep them.
      </ConfirmDialog>
    </Panel>
  );
}
