'use client';
import { Box } from '@chakra-ui/react';
import { troubleWords } from './rowTrouble';
import { type RowTrouble } from '@/shop/rowTrouble';

/** Names the rows that were left out because they cannot be shown. */
export function RowTroubles({ troubles }: { troubles: readonly RowTrouble[] }) {
  if (troubles.length === 0) return null;
  return (
    <Box
      role="alert"
      bg="oxideWash"
      borderBottomWidth="1px"
      borderColor="line"
      px="5"
      py="2"
      fontSize="sm"
    >
      {troubles.slice(0, 5).map((t) => (
        <Box key={`${t.table}-${t.row.id}`}>
          <strong>▲ Left out: {troubleWords(t)}.</strong> It cannot be shown; the program says “
          {t.message}”.
        </Box>
      ))}
      {troubles.length > 5 && <Box>And {troubles.length - 5} more.</Box>}
    </Box>
  );
}
