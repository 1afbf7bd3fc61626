'use client';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { useEffect, useRef, useState, type MouseEvent } from 'react';
import { patchLuminance } from '@/core/wet';
import { Button } from '@/ui/Button';

const TAPS = ['colour over black', 'colour over white', 'bare white of the card'] as const;
/** Half the side of the patch that is read, share of the width. */
const PATCH = 0.02;
const WIDTH = 560;

interface Seen {
  readonly overBlack: number;
  readonly overWhite: number;
}

/** Three taps on a photo of a trial card tell how much light the colour gives back over black and over white. */
export function OpacityTrial({
  photo,
  onSeen,
}: {
  photo: File;
  onSeen: (seen: Seen | null) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [read, setRead] = useState<readonly number[]>([]);
  const [trouble, setTrouble] = useState(false);
  useEffect(() => {
    let over = false;
    void createImageBitmap(photo)
      .then((bitmap) => {
        const board = canvas.current;
        if (!board || over) return;
        board.width = WIDTH;
        board.height = Math.max(1, Math.round((bitmap.height / bitmap.width) * WIDTH));
        board.getContext('2d')?.drawImage(bitmap, 0, 0, board.width, board.height);
        bitmap.close();
      })
      .catch(() => setTrouble(true));
    return () => {
      over = true;
    };
  }, [photo]);
  const tap = (event: MouseEvent<HTMLCanvasElement>) => {
    const board = event.currentTarget;
    const box = board.getBoundingClientRect();
    const half = Math.round(PATCH * board.width);
    const x = ((event.clientX - box.left) / box.width) * board.width;
    const y = ((event.clientY - box.top) / box.height) * board.height;
    const left = Math.max(0, Math.min(board.width - 2 * half, Math.round(x) - half));
    const top = Math.max(0, Math.min(board.height - 2 * half, Math.round(y) - half));
    const patch = board.getContext('2d')?.getImageData(left, top, 2 * half, 2 * half);
    if (!patch || read.length >= TAPS.length) return;
    const next = [...read, patchLuminance(patch.data)];
    setRead(next);
    const [black = NaN, white = NaN, card = NaN] = next;
    if (next.length < TAPS.length) return;
    const of = (light: number) => Math.min(1, light / card);
    onSeen(card > 0 ? { overBlack: of(black), overWhite: of(white) } : null);
  };
  const asked = TAPS[read.length];
  if (trouble)
    return (
      <Box color="oxide" fontWeight="600">
        This picture cannot be read.
      </Box>
    );
  return (
    <Box mt="2">
      <Flex gap="3" align="center" mb="1">
        <Box role="status" fontWeight="600">
          {asked ? `Tap ${asked}` : '✓ read'}
        </Box>
        {read.length > 0 && (
          <Button
            size="sm"
            onClick={() => {
              setRead([]);
              onSeen(null);
            }}
          >
            Tap again
          </Button>
        )}
      </Flex>
      <chakra.canvas
        ref={canvas}
        role="img"
        aria-label="Photo of the trial card"
        maxW="100%"
        cursor="crosshair"
        onClick={tap}
      />
    </Box>
  );
}
