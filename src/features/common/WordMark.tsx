'use client';
import { Box, chakra, Popover, Portal, type HTMLChakraProps } from '@chakra-ui/react';
import { useState } from 'react';
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
      {...rest}
    >
      ?
    </chakra.button>
  );
}

/** A mark beside a word of the trade or of physics: opened it says what is meant, there and then. */
export function WordMark({ word }: { word: string }) {
  const [wanted, setWanted] = useState(false);
  const term = termOf(word);
  // Like numbers that open: the popover is made when it is first asked for.
  if (!wanted)
    return (
      <Mark
        word={word}
        aria-haspopup="dialog"
        aria-expanded={false}
        onClick={() => setWanted(true)}
      />
    );
  return (
    <Popover.Root defaultOpen lazyMount unmountOnExit positioning={{ placement: 'bottom-start' }}>
      <Popover.Trigger asChild>
        <Mark word={word} />
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content aria-label={word}>
            <Popover.Body>
              <Box fontFamily="heading" fontWeight="600" fontSize="lg">
                {term.word}
              </Box>
              {term.means}
            </Popover.Body>
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}
