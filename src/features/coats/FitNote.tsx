import { Box } from '@chakra-ui/react';
import { fitFaults, holdsFit, type FitFault } from '@/core/resin';
import type { Piece, Resin } from '@/records';

const WORDS: Readonly<Record<FitFault, string>> = {
  'food not declared':
    'Not declared for food: it holds this coat. Local food-contact rules go first.',
  'heat not declared': 'Not declared for heat: under a hot cup it would stick. It holds this coat.',
  'heat too low': 'Declared for less than a hot cup brings: it holds this coat.',
  'light not declared': 'Its sheet does not say that it stands daylight.',
  'yellows in light': 'Its sheet says that it yellows in daylight.',
};

/** What stands against a resin for the use of this piece; nothing where it is fit. */
export function FitNote({ piece, resin }: { piece: Piece; resin: Resin | undefined }) {
  const faults = resin ? fitFaults(piece.use, resin.declared) : [];
  if (!resin || faults.length === 0) return null;
  return (
    <Box role="note" aria-label={`${resin.name} for this use`} fontSize="sm" mt="2">
      {faults.map((fault) => (
        <Box key={fault} color={holdsFit(fault) ? 'oxide' : 'amberDeep'} fontWeight="600">
          {holdsFit(fault) ? '■' : '▲'} {WORDS[fault]}
        </Box>
      ))}
    </Box>
  );
}
