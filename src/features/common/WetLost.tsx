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
        Its clock and its record would go, whatever is in the cup: bring it to its end first.
      </Caution>
    </Box>
  );
}
