'use client';
import { stampText } from '@/features/common/clockText';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useNow, useShop } from '@/data/hooks';
import { useStorage } from '@/data/hooks/useStorage';
import { BackUp } from '@/features/common/files/BackUp';
import { backupWords, bytesText } from '@/features/common/keeping';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { FolderChoice } from './FolderChoice';

/** How the data is kept: space used, whether the browser may clear it, age of the last backup. */
export function Keeping() {
  const { settings, pieces } = useShop();
  const now = useNow();
  const { usedBytes, quotaBytes, persisted } = useStorage();
  const backup = backupWords(settings.lastBackupMs, now);
  return (
    <Panel as="section" aria-label="Keeping">
      <Heading as="h2" fontSize="lg" mb="2">
        How it is kept
      </Heading>
      <Box as="ul" listStyleType="none" display="flex" flexDirection="column" gap="2">
        <li>
          {usedBytes === null || quotaBytes === null ? (
            'This browser does not tell how much space is used.'
          ) : (
            <>
              Space used: <Figure fontWeight="600">{bytesText(usedBytes)}</Figure> of about{' '}
              <Figure>{bytesText(quotaBytes)}</Figure> that the browser gives.
            </>
          )}
        </li>
        <li>
          {persisted
            ? '✓ The browser keeps it until you clear it.'
            : '▲ The browser may clear it when the disk is full: keep a backup.'}
        </li>
        <Box as="li" color={backup.old && pieces.length > 0 ? 'oxide' : 'ink'} fontWeight="600">
          {backup.old && pieces.length > 0 && '▲ '}
          {backup.text}
          {settings.lastBackupMs !== null && (
            <Figure fontWeight="400" color="ink2">
              {' '}
              ({stampText(settings.lastBackupMs)})
            </Figure>
          )}
        </Box>
      </Box>
      <Flex direction="column" gap="4" mt="3">
        <BackUp />
        <FolderChoice />
      </Flex>
    </Panel>
  );
}
