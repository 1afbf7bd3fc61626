'use client';
import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { clockText, spanText } from '@/features/common/clockText';
import { Figure } from '@/ui/Figure';
import { focusRing } from '@/ui/touch';
import type { ToDo } from './toDo';

function when(toDo: ToDo, nowMs: number): { figure: string; word: string } {
  if (toDo.fromMs > nowMs) return { figure: clockText(toDo.fromMs, nowMs), word: 'from' };
  if (toDo.dueMs === null) return { figure: '', word: 'any time' };
  if (toDo.dueMs <= nowMs) return { figure: '', word: 'now' };
  return { figure: spanText(toDo.dueMs - nowMs), word: 'left' };
}

/** One thing to do, and the way to it. */
function Item({ toDo, first, nowMs }: { toDo: ToDo; first: boolean; nowMs: number }) {
  const { figure, word } = when(toDo, nowMs);
  return (
    <li>
      <Box
        asChild
        display="block"
        px="4"
        py="3"
        minH="64px"
        bg={first ? 'ink' : 'card'}
        color={first ? 'card' : 'ink'}
        borderWidth="1px"
        borderColor={first ? 'ink' : 'line'}
        _hover={{ bg: first ? 'slate' : 'amberWash' }}
        _focusVisible={focusRing}
      >
        <Link href={toDo.href}>
          <Flex justify="space-between" gap="3" align="baseline">
            <Box fontFamily="heading" fontWeight="600" fontSize="lg" lineHeight="1.2">
              {toDo.urgent && <span aria-label="soon">! </span>}
              {toDo.title}
            </Box>
            <Box whiteSpace="nowrap">
              <Figure fontSize="lg">{word === 'from' ? `from ${figure}` : figure}</Figure>
              {word !== 'from' && (
                <Box as="span" fontSize="sm">
                  {' '}
                  {word}
                </Box>
              )}
            </Box>
          </Flex>
          <Box fontSize="sm" color={first ? 'amberPale' : 'ink2'}>
            {toDo.detail}
          </Box>
        </Link>
      </Box>
    </li>
  );
}

/** So many stand open; the others fold away, and none is dropped. */
const SHOWN = 8;

/** What to do next, in order; the first one stands out. */
export function NextList({ toDos, nowMs }: { toDos: readonly ToDo[]; nowMs: number }) {
  const rest = toDos.slice(SHOWN);
  return (
    <Box as="section" aria-label="Next, in order">
      <Heading as="h2" fontSize="lg" mb="2">
        Next, in order
      </Heading>
      {toDos.length === 0 && <Box color="ink2">Nothing waits for a hand.</Box>}
      <Box as="ol" listStyleType="none" display="flex" flexDirection="column" gap="2.5">
        {toDos.slice(0, SHOWN).map((toDo, i) => (
          <Item key={toDo.key} toDo={toDo} first={i === 0 && toDo.fromMs <= nowMs} nowMs={nowMs} />
        ))}
      </Box>
      {rest.length > 0 && (
        <chakra.details mt="2.5">
          <chakra.summary cursor="pointer" fontWeight="600" minH="32px">
            {rest.length} more, in order
          </chakra.summary>
          <Box as="ol" listStyleType="none" display="flex" flexDirection="column" gap="2.5" mt="2">
            {rest.map((toDo) => (
              <Item key={toDo.key} toDo={toDo} first={false} nowMs={nowMs} />
            ))}
          </Box>
        </chakra.details>
      )}
    </Box>
  );
}
