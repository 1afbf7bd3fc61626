import { Box, Grid } from '@chakra-ui/react';
import { Explained } from '@/features/common/Explained';
import { Figure } from '@/ui/Figure';
import type { Check } from './checkWords';

const LOOK = {
  fine: { sign: '✓', colour: 'verdigris', word: 'fine' },
  watch: { sign: '▲', colour: 'amberDeep', word: 'watch' },
  stop: { sign: '■', colour: 'oxide', word: 'stop' },
} as const;

/** What can be told before mixing, each with its number. */
export function CheckCards({ checks }: { checks: readonly Check[] }) {
  return (
    <Grid templateColumns="repeat(auto-fit, minmax(200px, 1fr))" gap="3">
      {checks.map(({ verdict, title, detail, explanation, quantity }) => {
        const { sign, colour, word } = LOOK[verdict];
        return (
          <Box
            key={title}
            bg="card"
            borderWidth="1px"
            borderColor="line"
            borderLeftWidth="5px"
            borderLeftColor={colour}
            px="3"
            py="2"
          >
            <Box fontWeight="600" fontSize="sm">
              <Box as="span" color={colour} aria-label={word}>
                {sign}
              </Box>{' '}
              {title}
            </Box>
            <Box fontSize="xs">
              <Explained explanation={explanation} quantity={quantity}>
                <Figure whiteSpace="normal">{detail}</Figure>
              </Explained>
            </Box>
          </Box>
        );
      })}
    </Grid>
  );
}
