'use client';
import { Box, Grid } from '@chakra-ui/react';
import { useState, type MouseEvent } from 'react';
import { shapeSides, type Point } from '@/core/geometry';
import { extent } from '@/core/numeric';
import { Outline } from '@/features/common/Outline';
import type { Area } from '@/records';
import { Button } from '@/ui/Button';

const SIZE = 360;
const ROWS = ['top', 'middle', 'bottom'] as const;
const COLUMNS = ['left', 'centre', 'right'] as const;

/** The box of a shape in its own coordinates, m. */
function boxOf({ shape }: Area) {
  const flat = shapeSides(shape).flat();
  const [[left, right], [low, high]] = [
    extent(flat.map((p) => p[0])),
    extent(flat.map((p) => p[1])),
  ];
  return { left, low, width: right - left, height: high - low };
}

interface Props {
  readonly areas: readonly Area[];
  readonly onPicked: (at: { readonly areaId: Area['id']; readonly point: Point } | null) => void;
}

/** Where on a piece something is: one tap on its outline, or a ninth of it by key. */
export function PlacePick({ areas, onPicked }: Props) {
  const [areaId, setAreaId] = useState(areas[0]?.id ?? null);
  const area = areas.find((a) => a.id === areaId);
  if (!area) return null;
  const box = boxOf(area);
  const scale = SIZE / Math.max(box.width, box.height);
  const size = { width: box.width * scale, height: box.height * scale };
  const pick = (row: number, column: number) => (event: MouseEvent<HTMLButtonElement>) => {
    const cell = event.currentTarget.getBoundingClientRect();
    const byHand = event.detail > 0;
    const x = byHand ? (event.clientX - cell.left) / cell.width : 0.5;
    const y = byHand ? (event.clientY - cell.top) / cell.height : 0.5;
    const point: Point = [
      box.left + ((column + x) / COLUMNS.length) * box.width,
      box.low + (1 - (row + y) / ROWS.length) * box.height,
    ];
    onPicked({ areaId: area.id, point });
  };
  return (
    <Box>
      {areas.length > 1 && (
        <Box display="flex" gap="2" flexWrap="wrap" mb="2">
          {areas.map((a) => (
            <Button
              key={a.id}
              minH="64px"
              fontSize="lg"
              variant={a.id === areaId ? 'ink' : 'outline'}
              aria-pressed={a.id === areaId}
              onClick={() => setAreaId(a.id)}
            >
              {a.name}
            </Button>
          ))}
        </Box>
      )}
      <Box position="relative" mx="auto" width={`${size.width}px`} height={`${size.height}px`}>
        <Box position="absolute" inset="0" aria-hidden>
          <Outline shape={area.shape} size={SIZE} />
        </Box>
        <Grid
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
                borderColor="line"
                opacity={0.7}
                aria-label={`${row} ${column} of ${area.name}`}
                onClick={pick(r, c)}
              />
            )),
          )}
        </Grid>
      </Box>
      <Button mt="3" minH="64px" fontSize="lg" variant="quiet" onClick={() => onPicked(null)}>
        No place: all over, or not sure
      </Button>
    </Box>
  );
}
