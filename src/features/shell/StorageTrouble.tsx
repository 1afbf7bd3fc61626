'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { readNewerDb } from '@/data/db';
import { Panel } from '@/ui/Panel';
import { saveFile } from '@/ui/saveFile';
import { Button } from '@/ui/Button';

/** The shop could not be opened: says why, and still lets its data out. */
export function StorageTrouble({ error }: { error: Error }) {
  const [trouble, setTrouble] = useState('');
  const newer = error.name === 'NewerShopError';
  const exportAll = async () => {
    try {
      const { version, tables } = await readNewerDb();
      saveFile('bilamina-rescue.json', 'application/json', JSON.stringify({ version, tables }));
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <Box p="10" maxW="720px">
      <Panel p="6">
        <Box as="h1" fontFamily="heading" fontSize="2xl" fontWeight="600" mb="2">
          {newer ? 'This shop was written by a newer Bilamina' : 'The shop could not be opened'}
        </Box>
        <Box mb="4">
          {newer
            ? 'To be safe it is not opened for writing here. Update this copy; until then you can save everything to a file.'
            : `The browser’s storage answered: ${error.message}. Private windows and full disks do this. Nothing was changed.`}
        </Box>
        <Button variant="ink" onClick={() => void exportAll()}>
          Save everything to a file
        </Button>
        {trouble && (
          <Box role="alert" color="oxide" mt="3">
            {trouble}
          </Box>
        )}
      </Panel>
    </Box>
  );
}
