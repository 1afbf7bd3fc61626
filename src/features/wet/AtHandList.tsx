import { Box, Flex } from '@chakra-ui/react';
import { Button } from '@/ui/Button';
import { Caution } from '@/ui/Caution';

/** What must be at hand before resin is mixed, as the log tells it. Common practice, no source. */
export const AT_HAND = [
  'gloves and sleeves',
  'window or mask',
  'extinguisher, no alcohol near a flame',
  'covers',
  'phone put away',
] as const;
export type AtHand = (typeof AT_HAND)[number];

const WORDS: Readonly<Record<AtHand, string>> = {
  'gloves and sleeves': 'Gloves and sleeves are on',
  'window or mask': 'Window open, or the mask that the safety data sheet names',
  'extinguisher, no alcohol near a flame': 'Extinguisher here, no alcohol near a flame',
  covers: 'Covers lie ready',
  'phone put away': 'Phone out of the hand',
};

/** One key for each thing: nothing is taken to be there that nobody said is. */
export function AtHandList({
  there,
  onChange,
}: {
  there: readonly AtHand[];
  onChange: (there: readonly AtHand[]) => void;
}) {
  const toggle = (what: AtHand) =>
    onChange(AT_HAND.filter((w) => (w === what ? !there.includes(w) : there.includes(w))));
  return (
    <Box as="section" aria-label="At hand">
      <Flex gap="2" wrap="wrap" mb="3">
        {AT_HAND.map((what) => (
          <Button
            key={what}
            minH="64px"
            flex="1 1 220px"
            whiteSpace="normal"
            variant={there.includes(what) ? 'ink' : 'outline'}
            aria-pressed={there.includes(what)}
            onClick={() => toggle(what)}
          >
            {there.includes(what) ? '✓' : '○'} {WORDS[what]}
          </Button>
        ))}
      </Flex>
      <Caution title="Uncured epoxy sensitises skin.">
        No solvent on skin; respirator with the cartridge that the resin’s safety data sheet names.
        No flame near alcohol or over paper and plastic cups.
      </Caution>
    </Box>
  );
}
