'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { shapePath, flattenPath, type Point } from '@/core/geometry';
import type { PieceView } from '@/shop/coatView';
import { INCH_M } from '@/core/units';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { SvgText } from '@/ui/SvgText';
import { boundaryLines } from './lines';
import { MAP, mapScale, type MapScale } from './mapModel';

interface Props {
  readonly view: PieceView;
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly widthM: number;
  readonly onChange: (points: readonly Point[]) => void;
}

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** A step of the cross by key, m; ten times as far with Shift. */
const STEPS_M = { metric: 2e-3, us: INCH_M / 16 } as const;

const outline = (view: PieceView, scale: MapScale): string[] => {
  const face = view.drawn[0];
  return view.areas
    .filter((a) => a.id === face?.id || a.partOf === face?.id)
    .map((a) => {
      const ring = flattenPath(shapePath(a.shape), 2e-4);
      return `M${ring.map(([x, y]) => `${scale.x(x).toFixed(1)} ${scale.y(y).toFixed(1)}`).join('L')}Z`;
    });
};

interface DrawingProps extends Omit<Props, 'onChange'> {
  readonly scale: MapScale;
  readonly cursor: Point;
}

/** The face with its places, the line so far, and the cross. */
function PadDrawing({ view, scale, points, closed, widthM, cursor }: DrawingProps) {
  const { show } = useFormat();
  const drawn = points
    .map(([x, y]) => `${scale.x(x).toFixed(1)} ${scale.y(y).toFixed(1)}`)
    .join('L');
  const [cx, cy] = [scale.x(cursor[0]), scale.y(cursor[1])];
  const last = points.at(-1);
  return (
    <>
      {outline(view, scale).map((d, i) => (
        <path
          key={i}
          d={d}
          fill="var(--bm-colors-amber-wash)"
          stroke="var(--bm-colors-ink)"
          strokeWidth="1.2"
        />
      ))}
      {points.length > 1 && (
        <path
          d={`M${drawn}${closed ? 'Z' : ''}`}
          fill="none"
          stroke="var(--bm-colors-amber)"
          strokeWidth={Math.max(2.5, widthM * scale.pxPerM)}
          strokeLinejoin="round"
          strokeLinecap="round"
          opacity="0.8"
        />
      )}
      {points.map(([x, y], i) => (
        <circle
          key={i}
          cx={scale.x(x)}
          cy={scale.y(y)}
          r="4"
          fill="var(--bm-colors-card)"
          stroke="var(--bm-colors-amber-deep)"
          strokeWidth="2"
        />
      ))}
      <path
        d={`M${cx - 9} ${cy} H${cx + 9} M${cx} ${cy - 9} V${cy + 9}`}
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.2"
      />
      {last && (
        <SvgText x={cx + 10} y={cy - 8} size={12} family="mono" halo="var(--bm-colors-card)">
          {show(Math.hypot(cursor[0] - last[0], cursor[1] - last[1]), 'length').text}
        </SvgText>
      )}
    </>
  );
}

/** A line is drawn on the plan of the face: clicks, taps or keys set its points. */
export function LinePad({ view, points, closed, widthM, onChange }: Props) {
  const { units } = useFormat();
  const [cursor, setCursor] = useState<Point>([0, 0]);
  const face = view.drawn[0];
  if (!face) return null;
  const scale = mapScale(face.shape);
  const at = (e: PointerEvent<SVGSVGElement>): Point => {
    const box = e.currentTarget.getBoundingClientRect();
    const px = ((e.clientX - box.left) / box.width) * MAP.width;
    const py = ((e.clientY - box.top) / box.height) * MAP.height;
    const round = (m: number) => Math.round(m * 1e4) / 1e4;
    return [round((px - scale.x(0)) / scale.pxPerM), round((scale.y(0) - py) / scale.pxPerM)];
  };
  const key = (e: KeyboardEvent) => {
    const arrow = ARROWS[e.key];
    const step = STEPS_M[units] * (e.shiftKey ? 10 : 1);
    if (arrow) setCursor(([x, y]) => [x + arrow[0] * step, y + arrow[1] * step]);
    else if (e.key === ' ' || e.key === 'Enter') onChange([...points, cursor]);
    else if (e.key === 'Backspace') onChange(points.slice(0, -1));
    else return;
    e.preventDefault();
  };
  return (
    <Box>
      <Flex gap="2" wrap="wrap" align="center" fontSize="sm" mb="1">
        <span>Click each point of the line.</span>
        {boundaryLines(view).map((b) => (
          <Button key={b.name} size="sm" onClick={() => onChange(b.points)}>
            Along {b.name}
          </Button>
        ))}
        <Button
          size="sm"
          disabled={points.length === 0}
          onClick={() => onChange(points.slice(0, -1))}
        >
          One point back
        </Button>
        <Button size="sm" disabled={points.length === 0} onClick={() => onChange([])}>
          Clear
        </Button>
      </Flex>
      <svg
        viewBox={`0 0 ${MAP.width} ${MAP.height}`}
        width="100%"
        style={{ maxHeight: 270, touchAction: 'none', cursor: 'crosshair' }}
        role="application"
        tabIndex={0}
        aria-label="Line on the plan: arrow keys move the cross, Space sets a point, Backspace takes one back"
        onKeyDown={key}
        onPointerMove={(e) => setCursor(at(e))}
        onClick={(e) => onChange([...points, at(e as unknown as PointerEvent<SVGSVGElement>)])}
      >
        <PadDrawing {...{ view, scale, points, closed, widthM, cursor }} />
      </svg>
    </Box>
  );
}
