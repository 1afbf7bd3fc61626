'use client';
import { Box } from '@chakra-ui/react';
import { useShop } from '@/data/hooks';
import { Caution } from '@/ui/Caution';

/** Said before the whole shop goes, where a wet session is open. */
export function WetLost() {
  const wet = useShop().sessions.some((session) => session.endedMs === null);
  if (!wet) return null;
  return (
    <Box mt="3">
      <Caution title="A wet session is open.">
        What is in its cup would lose its clock and its record: bring it to its end first.
      </Caution>
    </Box>
  );
}
