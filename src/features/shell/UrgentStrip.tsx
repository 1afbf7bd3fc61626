'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { Figure } from '@/ui/Figure';
import { URGENT_HEIGHT } from './underStrip';
import { useStrip } from './useStrip';

const MOST = 3;

/** What other pieces cannot wait for, in a thin strip above a wet session; nothing is drawn while nothing presses. */
export function UrgentStrip({ pathname }: { pathname: string }) {
  const items = useStrip().items.filter((i) => i.urgent && i.href !== pathname);
  if (items.length === 0) return null;
  return (
    <Flex
      as="section"
      data-urgent
      aria-label="Other pieces that press"
      height={URGENT_HEIGHT}
      px="6"
      gap="7"
      align="center"
      bg="var(--bm-urgent-bg, var(--bm-colors-ink))"
      color="var(--bm-urgent-ink, var(--bm-colors-card))"
      overflow="hidden"
      whiteSpace="nowrap"
    >
      {items.slice(0, MOST).map((item) => (
        <Flex key={item.key} asChild align="center" minH="44px" gap="2">
          <Link href={item.href}>
            <Box as="span" fontWeight="600">
              ! {item.title}
            </Box>
            <span>{item.text}</span>
            <Figure fontWeight="600">{item.left}</Figure>
          </Link>
        </Flex>
      ))}
      {items.length > MOST && <span>and {items.length - MOST} more</span>}
    </Flex>
  );
}
