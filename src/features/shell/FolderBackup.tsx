'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { noteBackup } from '@/data/repos/bench';
import { backUpInto, changedWork, waitFor } from '@/features/common/files/folderBackup';
import {
  allowBackupFolder,
  setBackupFolder,
  useBackupFolder,
} from '@/features/common/files/useBackupFolder';
import type { Shop } from '@/shop/shop';
import { Button } from '@/ui/Button';

/** Backs the shop up into the chosen folder while work goes on; asks for leave where the browser wants to be asked. */
export function FolderBackup() {
  const shop = useShop();
  const act = useAct();
  const { folder, leave } = useBackupFolder();
  const saved = useRef<Shop | null>(null);
  const { lastBackupMs, person } = shop.settings;
  const ready = folder && leave === 'granted' && shop.pieces.length > 0 ? folder : null;
  useEffect(() => {
    if (!ready || !changedWork(saved.current, shop)) return;
    const backUp = async () => {
      try {
        const nowMs = Date.now();
        if (!(await backUpInto(ready, person, nowMs))) return setBackupFolder({ leave: 'prompt' });
        saved.current = shop;
        setBackupFolder({ trouble: '' });
        await act('note the backup', noteBackup);
      } catch (e) {
        setBackupFolder({ trouble: e instanceof Error ? e.message : String(e) });
      }
    };
    const timer = setTimeout(() => void backUp(), waitFor(lastBackupMs, Date.now()));
    return () => clearTimeout(timer);
  }, [ready, shop, lastBackupMs, person, act]);
  if (!folder || leave === 'granted') return null;
  return (
    <Flex role="status" px="5" py="2" gap="3" align="center" wrap="wrap" bg="amberWash">
      <Box>
        ▲ Backups into the folder <strong>{folder.name}</strong> wait: the browser wants to be asked
        again.
      </Box>
      <Button size="sm" onClick={allowBackupFolder}>
        Let them go there
      </Button>
    </Flex>
  );
}
