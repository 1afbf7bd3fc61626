'use client';
import { Box, Flex } from '@chakra-ui/react';
import { canKeepFolder } from '@/data/backupFolder';
import {
  dropBackupFolder,
  pickBackupFolder,
  useBackupFolder,
} from '@/features/common/files/useBackupFolder';
import { Button } from '@/ui/Button';

/** The folder into which backups go by themselves. */
export function FolderChoice() {
  const { folder, trouble } = useBackupFolder();
  if (!canKeepFolder())
    return (
      <Box fontSize="sm" color="ink2">
        This browser writes into no folder by itself: back up by hand.
      </Box>
    );
  return (
    <Box>
      {folder ? (
        <Box mb="2">
          ✓ While you work, a backup goes into the folder <strong>{folder.name}</strong> each hour
          that changed something, one file a day.
        </Box>
      ) : (
        <Box mb="2" color="ink2">
          A folder on another disk, or one that is copied elsewhere, keeps backups without a tap.
        </Box>
      )}
      <Flex gap="2" wrap="wrap">
        <Button onClick={pickBackupFolder}>
          {folder ? 'Another folder' : 'Back up into a folder'}
        </Button>
        {folder && <Button onClick={dropBackupFolder}>No folder any more</Button>}
      </Flex>
      {trouble && (
        <Box role="alert" mt="2" borderLeftWidth="5px" borderColor="oxide" ps="3">
          The folder did not take it: {trouble}. Choose it again, or back up by hand.
        </Box>
      )}
    </Box>
  );
}
