'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import { useRef, useState } from 'react';
import { shopDb } from '@/data/db';
import { useAct, useShop } from '@/data/hooks';
import type { RowFault } from '@/data/records/validate';
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

/** The shop as files: the log as CSV, everything as JSON, and back. */
export function ShopFiles() {
  const act = useAct();
  const shop = useShop();
  const picker = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<readonly RowFault[]>([]);
  const [done, setDone] = useState('');
  const [asked, setAsked] = useState<string | null>(null);
  const empty = shop.pieces.length === 0 && shop.resins.length === 0;

  const exportLog = async () => {
    const { logCsv } = await import('@/data/exchange/logCsv');
    const entries = await shopDb().log.toArray();
    saveFile(
      `bilamina-log-${stamp()}.csv`,
      'text/csv;charset=utf-8',
      logCsv(entries, shop.pieces, shop.coats),
    );
  };
  const exportAll = async () => {
    const { exportShop } = await import('@/data/exchange/shopFile');
    const file = await exportShop(shopDb(), Date.now());
    saveFile(`bilamina-shop-${stamp()}.json`, 'application/json', JSON.stringify(file));
  };
  const importAll = async (text: string) => {
    setAsked(null);
    const outcome = await act('import the shop', async (db) => {
      const { importShop } = await import('@/data/exchange/shopFile');
      return importShop(db, text);
    });
    if (!outcome.ok) return;
    if (outcome.value.ok) setDone(`Imported ${outcome.value.rows} rows.`);
    else setFaults(outcome.value.faults);
  };
  const pick = async (file: File | undefined) => {
    setFaults([]);
    setDone('');
    if (!file) return;
    if (file.size > 300_000_000)
      return setFaults([{ path: '', message: 'This file is over 300 MB.' }]);
    const text = await file.text();
    if (picker.current) picker.current.value = '';
    const { readShopFile } = await import('@/data/exchange/shopFile');
    const read = await readShopFile(text);
    if (!read.ok) return setFaults(read.faults);
    if (empty) await importAll(text);
    else setAsked(text);
  };
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
        {done}
      </Box>
      {faults.length > 0 && <Faults faults={faults} />}
      <ConfirmDialog
        open={asked !== null}
        title="Replace this shop?"
        confirm="Replace everything"
        onConfirm={() => asked !== null && void importAll(asked)}
        onCancel={() => setAsked(null)}
      >
        The file is sound. Importing it replaces all pieces, coats, resins and the log that are here
        now. Export them first if you want to keep them.
      </ConfirmDialog>
    </Panel>
  );
}
