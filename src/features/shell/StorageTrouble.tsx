'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { DB_NAME } from '@/data/db';
import { isRefusal } from '@/data/errors';
import { readOldShop } from '@/data/oldShop';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { saveFile } from '@/ui/saveFile';
import { openingTroubleWords } from './failureWords';

interface Props {
  readonly error: Error;
  readonly onAgain: (withoutCopy: boolean) => void;
}

/** The shop could not be opened: says why, and still lets its data out as a shop file. */
export function StorageTrouble({ error, onAgain }: Props) {
  const [trouble, setTrouble] = useState('');
  const [saved, setSaved] = useState(false);
  const { title, text } = openingTroubleWords(error);
  const noRoom = isRefusal(error, 'no room for a copy');
  const exportAll = async () => {
    setTrouble('');
    try {
      const { fileOf } = await import('@/data/exchange/shopFile');
      const file = await fileOf(await readOldShop(DB_NAME), Date.now());
      saveFile('bilamina-rescue.json', 'application/json', JSON.stringify(file));
      setSaved(true);
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : String(e));
    }
  };
  return (
    <Box p="10" maxW="720px">
      <Panel p="6">
        <Box as="h1" fontFamily="heading" fontSize="2xl" fontWeight="600" mb="2">
          {title}
        </Box>
        <Box mb="4">{text}</Box>
        <Flex gap="3" wrap="wrap">
          <Button variant="ink" onClick={() => void exportAll()}>
            Save everything to a file
          </Button>
          <Button onClick={() => onAgain(false)}>Open it again</Button>
          {noRoom && (
            <Button variant="danger" disabled={!saved} onClick={() => onAgain(true)}>
              Go on without a copy
            </Button>
          )}
        </Flex>
        {noRoom && !saved && (
          <Box fontSize="sm" color="ink2" mt="2">
            Going on without a copy can be chosen once the file is saved.
          </Box>
        )}
        {saved && (
          <Box role="status" color="verdigris" fontWeight="600" mt="3">
            ✓ Saved to a file. It comes in again through the Book.
          </Box>
        )}
        {trouble && (
          <Box role="alert" color="oxide" mt="3">
            Not saved: {trouble}
          </Box>
        )}
      </Panel>
    </Box>
  );
}
