'use client';
import { Box, chakra, type HTMLChakraProps } from '@chakra-ui/react';
import { Opens } from '@/ui/Opens';
import { FINGER_ROUND } from '@/ui/touch';
import { termOf } from './glossary';

function Mark({ word, ...rest }: { word: string } & HTMLChakraProps<'button'>) {
  return (
    <chakra.button
      type="button"
      aria-label={`What is meant by ${word}?`}
      cursor="pointer"
      width="24px"
      height="24px"
      ms="1"
      borderRadius="50%"
      borderWidth="1px"
      borderColor="ink3"
      bg="card"
      color="ink2"
      fontSize="xs"
      fontWeight="600"
      lineHeight="1"
      verticalAlign="1px"
      _hover={{ bg: 'amberWash' }}
      _focusVisible={{ outline: '3px solid', outlineColor: 'focus' }}
      css={FINGER_ROUND}
      {...rest}
    >
      <chakra.span display="block" lineHeight="22px">
        ?
      </chakra.span>
    </chakra.button>
  );
}

/** A mark beside a word of the trade or of physics: opened it says what is meant, there and then. */
export function WordMark({ word }: { word: string }) {
  const term = termOf(word);
  return (
    <Opens label={word} button={<Mark word={word} />}>
      <Box fontFamily="heading" fontWeight="600" fontSize="lg">
        {term.word}
      </Box>
      {term.means}
    </Opens>
  );
}
