'use client';
import { Box } from '@chakra-ui/react';
import type { ResinSheet } from '@/core/resin';
import { densityDoubtWords } from '@/features/common/densityDoubt';

/** Where a ratio by volume is weighed out with densities that nobody gave, the scale is not to be trusted. */
export function DensityDoubt({ sheet }: { sheet: ResinSheet }) {
  const words = densityDoubtWords(sheet);
  return words === null ? null : (
    <Box color="oxide" fontSize="sm" fontWeight="600" mb="2">
      ! {words}
    </Box>
  );
}
