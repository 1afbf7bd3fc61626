'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { Button } from '@/ui/Button';
import { troubleWords } from './rowTrouble';

interface Props {
  readonly what: string;
  readonly error: Error;
  readonly small: boolean;
  readonly onAgain: () => void;
}

/** Says what cannot be shown and why, and where the data can still be saved. */
export function TroublePanel({ what, error, small, onAgain }: Props) {
  const row = troubleWords(error);
  if (small)
    return (
      <Box role="alert" px="4" py="2" color="oxide" fontSize="sm">
        <strong>▲ {what} cannot be shown</strong>
        {row && `: ${row}`}. {error.message}
      </Box>
    );
  return (
    <Box
      role="alert"
      bg="card"
      borderWidth="1px"
      borderColor="line"
      borderLeftWidth="5px"
      borderLeftColor="oxide"
      p="5"
      maxW="760px"
    >
      <Box as="h1" fontFamily="heading" fontSize="2xl" fontWeight="600" mb="2">
        {what} cannot be shown
      </Box>
      {row && (
        <Box mb="1">
          It stumbles over <strong>{row}</strong>.
        </Box>
      )}
      <Box mb="4" color="ink2" fontSize="sm">
        Nothing was changed; the other places work. The program says “{error.message}”.
      </Box>
      <Flex gap="3" wrap="wrap">
        <Button variant="ink" onClick={onAgain}>
          Show it again
        </Button>
        <Button asChild>
          <Link href="/book">Save the shop to a file</Link>
        </Button>
      </Flex>
    </Box>
  );
}
