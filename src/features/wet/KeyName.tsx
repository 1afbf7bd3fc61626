import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** The key that does the same as the button it stands in. */
export function KeyName({ children }: { children: ReactNode }) {
  return (
    <Box
      as="span"
      aria-hidden
      position="relative"
      fontSize="sm"
      fontFamily="mono"
      borderWidth="1px"
      borderColor="currentcolor"
      px="2"
      py="0.5"
    >
      {children}
    </Box>
  );
}
