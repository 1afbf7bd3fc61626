'use client';
import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useWidth } from './useWidth';

interface Props {
  readonly label: string;
  /** Least width of what is in it, px. */
  readonly least: number;
  readonly children: ReactNode;
}

/** On a small screen a drawing keeps its width and is moved under the finger; the page itself does not move. */
export function Scroller({ label, least, children }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const moves = width !== null && width < least;
  return (
    <Box
      ref={ref}
      overflowX="auto"
      // What is in it is no reason for its column to grow.
      width="0"
      minW="100%"
      {...(moves && { tabIndex: 0, role: 'region', 'aria-label': label })}
    >
      <Box minW={`${least}px`}>{children}</Box>
    </Box>
  );
}
