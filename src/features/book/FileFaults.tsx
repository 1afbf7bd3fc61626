import { Box } from '@chakra-ui/react';
import type { RowFault } from '@/records/validate';

/** Faults that are shown of a file: the rest say the same. */
const SHOWN = 100;

/** Why a file was not taken in, row by row. */
export function FileFaults({ faults }: { faults: readonly RowFault[] }) {
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
        {faults.slice(0, SHOWN).map((f, i) => (
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
