'use client';
import { leastFilm } from '@/core/coat';
import { Box, Flex } from '@chakra-ui/react';
import type { CoatView } from '@/shop/coatView';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { focusRing } from '@/ui/touch';

interface Props {
  readonly coats: readonly CoatView[];
  readonly selectedId: string | null;
  readonly onSelect: (id: string) => void;
}

/** Coats of a piece, newest on top as on the section; the selected one is opened in the ledger. */
export function CoatList({ coats, selectedId, onSelect }: Props) {
  const { show } = useFormat();
  return (
    <Flex direction="column-reverse" gap="1.5" role="group" aria-label="Coats, topmost first">
      {coats.map(({ coat, state, resin }) => {
        const here = coat.id === selectedId;
        return (
          <Flex
            key={coat.id}
            as="button"
            aria-pressed={here}
            onClick={() => onSelect(coat.id)}
            align="center"
            gap="3"
            px="3"
            py="2"
            textAlign="left"
            bg="card"
            cursor="pointer"
            borderWidth={here ? '2px' : '1px'}
            borderColor={here ? 'ink' : 'line'}
            _hover={{ bg: 'amberWash' }}
            _focusVisible={focusRing}
          >
            <svg width="34" height="20" aria-hidden>
              <rect
                x="1"
                y="1"
                width="32"
                height="18"
                fill={STATE_FILL[state]}
                stroke="var(--bm-colors-amber-deep)"
                strokeDasharray={state === 'planned' ? '4 3' : undefined}
              />
            </svg>
            <Box flex="1" minW="0">
              <Box fontWeight="600">{coat.name}</Box>
              <Box fontSize="sm" color="ink2" truncate>
                {STATE_WORDS[state]} · {resin.name}
              </Box>
            </Box>
            <Figure fontSize="sm">{show(leastFilm(coat), 'film').text}</Figure>
          </Flex>
        );
      })}
    </Flex>
  );
}
