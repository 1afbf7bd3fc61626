'use client';
import { Box, chakra } from '@chakra-ui/react';
import { useRef } from 'react';
import type { Point } from '@/core/geometry';

const NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;
const STEP = 0.005;
const clamp = (x: number): number => Math.min(1, Math.max(0, x));

interface Props {
  readonly url: string;
  /** As shares of the photo. */
  readonly corners: readonly Point[];
  readonly onChange: (corners: readonly Point[]) => void;
  readonly children?: React.ReactNode;
}

/** A photo with the four corners of the face on it, each dragged or moved by arrow keys. */
export function CornerPad({ url, corners, onChange, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const move = (i: number, [x, y]: Point) =>
    onChange(corners.map((c, k) => (k === i ? [clamp(x), clamp(y)] : c)));
  const at = (e: React.PointerEvent): Point => {
    const box = frame.current?.getBoundingClientRect();
    return box ? [(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height] : [0, 0];
  };
  const KEYS: Readonly<Record<string, Point>> = {
    ...{ ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0] },
    ...{ ArrowUp: [0, -STEP], ArrowDown: [0, STEP] },
  };
  return (
    <Box ref={frame} position="relative" lineHeight="0" touchAction="none" userSelect="none">
      <chakra.img src={url} alt="The photo that is looked at" width="100%" draggable={false} />
      <chakra.svg
        position="absolute"
        inset="0"
        width="100%"
        height="100%"
        viewBox="0 0 1 1"
        preserveAspectRatio="none"
        aria-hidden
      >
        <polygon
          points={corners.map(([x, y]) => `${x},${y}`).join(' ')}
          fill="none"
          stroke="var(--bm-colors-amber)"
          strokeWidth="2"
          vectorEffect="non-scaling-stroke"
        />
      </chakra.svg>
      {corners.map(([x, y], i) => (
        <chakra.button
          key={NAMES[i]}
          type="button"
          position="absolute"
          left={`calc(${x * 100}% - 14px)`}
          top={`calc(${y * 100}% - 14px)`}
          width="28px"
          height="28px"
          borderRadius="full"
          borderWidth="3px"
          borderColor="ink"
          bg="amberSoft"
          opacity={0.85}
          cursor="grab"
          _focusVisible={{ outline: '3px solid', outlineColor: 'focus' }}
          aria-label={`Corner ${NAMES[i]} of the face: arrow keys move it`}
          onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
          onPointerMove={(e) => e.currentTarget.hasPointerCapture(e.pointerId) && move(i, at(e))}
          onKeyDown={(e) => {
            const by = KEYS[e.key];
            if (!by) return;
            e.preventDefault();
            move(i, [x + by[0], y + by[1]]);
          }}
        />
      ))}
      {children}
    </Box>
  );
}
