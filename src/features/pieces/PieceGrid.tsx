'use client';
import { Box, Grid } from '@chakra-ui/react';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** Least width of a card, room between cards, and height that a row is taken to have before it is measured, px. */
const CARD_PX = 360;
const GAP_PX = 16;
const ROW_PX = 212;
/** Rows that are kept ready above and below what is seen. */
const AHEAD = 5;

interface Props<T> {
  readonly items: readonly T[];
  readonly children: (item: T) => ReactNode;
}

/** Cards in as many columns as fit; of a long list only the rows near the window are there. */
export function PieceGrid<T>({ items, children }: Props<T>) {
  const list = useRef<HTMLDivElement>(null);
  const [columns, setColumns] = useState(2);
  const [marginPx, setMarginPx] = useState(0);
  useLayoutEffect(() => {
    const element = list.current;
    if (!element) return;
    const measure = () => {
      const room = element.clientWidth + GAP_PX;
      setColumns(Math.max(1, Math.floor(room / (CARD_PX + GAP_PX))));
      setMarginPx(element.offsetTop);
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const count = Math.ceil(items.length / columns);
  const rows = useWindowVirtualizer({
    count,
    estimateSize: () => ROW_PX + GAP_PX,
    overscan: AHEAD,
    scrollMargin: marginPx,
  });
  useEffect(() => rows.measure(), [rows, columns]);
  return (
    <Box ref={list} position="relative" height={`${rows.getTotalSize()}px`}>
      {rows.getVirtualItems().map((row) => (
        <Grid
          key={row.key}
          ref={rows.measureElement}
          data-index={row.index}
          position="absolute"
          insetX="0"
          top="0"
          transform={`translateY(${row.start - marginPx}px)`}
          templateColumns={`repeat(${columns}, minmax(0, 1fr))`}
          gap={`${GAP_PX}px`}
          pb={`${GAP_PX}px`}
        >
          {items.slice(row.index * columns, (row.index + 1) * columns).map(children)}
        </Grid>
      ))}
    </Box>
  );
}
