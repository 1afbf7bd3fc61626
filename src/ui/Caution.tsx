import { Box } from '@chakra-ui/react';
import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** A caution where the hazard is: sign, word and wash, never colour alone. */
export function Caution({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      as="aside"
      aria-label={`Caution: ${title}`}
      display="flex"
      gap="3"
      bg="oxideWash"
      borderWidth="1px"
      borderColor="oxide"
      p="3"
      fontSize="sm"
      color="ink"
    >
      <Box color="oxide" flexShrink={0} pt="0.5">
        <TriangleAlert size={18} aria-hidden />
      </Box>
      <Box>
        <Box as="strong" color="oxide">
          {title}
        </Box>{' '}
        {children}
      </Box>
    </Box>
  );
}
