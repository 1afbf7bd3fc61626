'use client';
import { Box, Grid } from '@chakra-ui/react';
import type { MouseEvent, ReactNode } from 'react';
import { shapeSides, type Point, type Shape } from '@/core/geometry';
import { extent } from '@/core/numeric';
import type { EdgeKind } from '@/core/piece';
import type { Area } from '@/records';
import { Button } from '@/ui/Button';
import { Outline } from './Outline';

const ROWS = ['top', 'middle', 'bottom'] as const;
const COLUMNS = ['left', 'centre', 'right'] as const;

export interface PlanBox {
  readonly left: number;
  readonly low: number;
  readonly width: number;
  readonly height: number;
}

/** The box of a shape in its own coordinates, m. */
export function planBox(shape: Shape): PlanBox {
  const flat = shapeSides(shape).flat();
  const [[left, right], [low, high]] = [
    extent(flat.map((p) => p[0])),
    extent(flat.map((p) => p[1])),
  ];
  return { left, low, width: right - left, height: high - low };
}

/** Where a point of a shape lies in its box: shares from the left and from the top. */
export const inBox = ({ left, low, width, height }: PlanBox, [x, y]: Point) => ({
  x: (x - left) / width,
  y: 1 - (y - low) / height,
});

interface Props {
  readonly area: Pick<Area, 'name' | 'shape'>;
  /** Longest side on screen, px. */
  readonly size: number;
  readonly edgeKinds?: readonly EdgeKind[];
  readonly fill?: string;
  /** What each ninth is called before its place: “note at”. */
  readonly verb?: string;
  /** The ninths are drawn. */
  readonly lines?: boolean;
  readonly onPick: (point: Point) => void;
  /** Lies over the outline: pins. */
  readonly children?: ReactNode;
}

/** An outline that takes one tap as a place on it; by key, the middle of a ninth of it. */
export function PlanPad({
  area,
  size,
  edgeKinds,
  fill,
  verb = '',
  lines = false,
  onPick,
  children,
}: Props) {
  const box = planBox(area.shape);
  const scale = size / Math.max(box.width, box.height);
  const pick = (row: number, column: number) => (event: MouseEvent<HTMLButtonElement>) => {
    const cell = event.currentTarget.getBoundingClientRect();
    const byHand = event.detail > 0;
    const x = byHand ? (event.clientX - cell.left) / cell.width : 0.5;
    const y = byHand ? (event.clientY - cell.top) / cell.height : 0.5;
    onPick([
      box.left + ((column + x) / COLUMNS.length) * box.width,
      box.low + (1 - (row + y) / ROWS.length) * box.height,
    ]);
  };
  const pad = edgeKinds ? 8 : 3;
  return (
    <Box
      position="relative"
      mx="auto"
      width={`${box.width * scale}px`}
      height={`${box.height * scale}px`}
    >
      <Box position="absolute" inset={`-${pad}px`} aria-hidden>
        <Outline
          shape={area.shape}
          size={size + 2 * pad}
          {...(edgeKinds && { edgeKinds })}
          {...(fill && { fill })}
        />
      </Box>
      <Grid
        data-plan-pad
        position="absolute"
        inset="0"
        templateColumns="repeat(3, 1fr)"
        templateRows="repeat(3, 1fr)"
      >
        {ROWS.flatMap((row, r) =>
          COLUMNS.map((column, c) => (
            <Button
              key={`${row} ${column}`}
              variant="quiet"
              minH="0"
              minW="0"
              p="0"
              borderColor={lines ? 'line' : 'transparent'}
              opacity={0.7}
              aria-label={`${verb}${row} ${column} of ${area.name}`}
              onClick={pick(r, c)}
            />
          )),
        )}
      </Grid>
      {children}
    </Box>
  );
}
