'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { noteBackup } from '@/data/repos/bench';
import { Button } from '@/ui/Button';
import { saveBundle } from './bundleFile';
import { useFileWork } from './useFileWork';
import { WorkState } from './WorkState';

/** One tap: the whole shop as a bundle, and the reminder is quiet again. */
export function BackUp({ size }: { size?: 'sm' | 'md' }) {
  const act = useAct();
  const { person } = useShop().settings;
  const work = useFileWork();
  const [done, setDone] = useState(false);
  const backUp = async () => {
    setDone(false);
    const saved = await work.run('Backing up', (options) =>
      saveBundle({ kind: 'shop' }, 'The whole shop', person, options),
    );
    if (!saved) return;
    const noted = await act('note the backup', noteBackup);
    setDone(noted.ok);
  };
  return (
    <Box>
      <Button size={size} onClick={() => void backUp()}>
        Back up now
      </Button>
      {done && (
        <Box role="status" fontWeight="600" color="verdigris" mt="1">
          ✓ Saved. Keep the file somewhere else.
        </Box>
      )}
      <WorkState {...work} />
    </Box>
  );
}
