import { Box, Flex, Grid } from '@chakra-ui/react';
import { Link } from '@/ui/Link';

export interface StageMark {
  readonly stage: string;
  readonly href: string;
  readonly here: boolean;
  /** What stands there, in a word or two; empty: nothing yet. */
  readonly mark: string;
}

/**
 * The slab under a stage, drawn as coats are in a section: laid where something stands, dashed where it is still to come,
 * with the inked surface where one works now.
 */
function Slab({ here, laid }: { here: boolean; laid: boolean }) {
  return (
    <Box
      height="12px"
      mt="1"
      borderRadius="5px 5px 0 0"
      borderWidth="1.5px"
      borderBottomWidth="0"
      borderStyle={laid || here ? 'solid' : 'dashed'}
      borderColor={here ? 'ink' : laid ? 'amberDeep' : 'ink3'}
      bg={here ? 'amber' : laid ? 'amberPale' : 'transparent'}
    />
  );
}

/** The stages of a piece as a film that is being laid, from left to right. */
export function StageBar({ stages }: { stages: readonly StageMark[] }) {
  return (
    <Grid
      as="nav"
      aria-label="Stages of the piece"
      templateColumns={{ base: 'repeat(3, 1fr)', md: 'repeat(6, 1fr)' }}
      columnGap="0.5"
      rowGap="2"
      mb="4"
      maxW="960px"
    >
      {stages.map(({ stage, href, here, mark }) => (
        <Box
          key={stage}
          asChild
          display="block"
          minH="52px"
          px="2"
          pt="1.5"
          borderBottomWidth="3px"
          borderColor={here ? 'ink' : 'ink3'}
          _hover={{ bg: 'amberWash' }}
          _focusVisible={{ outline: '3px solid', outlineColor: 'focus', outlineOffset: '-3px' }}
        >
          <Link href={href} aria-current={here ? 'step' : undefined}>
            <Flex as="span" gap="2" align="baseline" fontFamily="heading" whiteSpace="nowrap">
              <Box as="span" fontWeight={here ? '700' : '600'} textTransform="capitalize">
                {stage}
              </Box>{' '}
              <Box as="span" fontWeight="500" fontSize="sm" color="ink2" truncate>
                {mark}
              </Box>
            </Flex>
            <Slab here={here} laid={mark !== ''} />
          </Link>
        </Box>
      ))}
    </Grid>
  );
}
