'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import type { ReactNode } from 'react';
import { Figure } from '@/ui/Figure';
import { useStrip } from './useStrip';

/** So much of the screen it takes from what stands below. */
const HEIGHT = '44px';
const MOST = 3;

/** A wet session with what other pieces cannot wait for in a thin strip above it; nothing is drawn while nothing presses. */
export function UrgentStrip({ pathname, children }: { pathname: string; children: ReactNode }) {
  const items = useStrip().items.filter((i) => i.urgent && i.href !== pathname);
  const room = items.length > 0 ? `calc(100vh - ${HEIGHT})` : '100vh';
  return (
    <Box css={{ '--bench-height': room }}>
      {items.length > 0 && (
        <Flex
          as="section"
          aria-label="Other pieces that press"
          height={HEIGHT}
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
      )}
      {children}
    </Box>
  );
}
