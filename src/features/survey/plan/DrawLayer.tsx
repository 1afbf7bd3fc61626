'use client';
import { Flex } from '@chakra-ui/react';
import type { KeyboardEvent, PointerEvent } from 'react';
import { bendSegment, type Path, type Point } from '@/core/geometry';
import { Button } from '@/ui/Button';
import { SvgText } from '@/ui/SvgText';
import { useSurvey } from '../SurveyContext';
import { drawnLine, drawnPath, type Corner, type Drawing } from './drawing';
import { usePlan } from './planView';

/** Path data of the stretches so far, curved ones as they will be. */
function openD(points: readonly Corner[], place: (p: Point) => Point): string {
  const [first] = points;
  if (!first) return '';
  // As it will be closed: a curve bulges out of it whichever way it is drawn.
  const closed: Path = {
    start: first.at,
    segments: [...points.slice(1), first].map(({ at }) => ({ kind: 'line', to: at })),
  };
  return points
    .map(({ at, curved }, i) => {
      const [x, y] = place(at);
      const before = points[i - 1];
      if (!before) return `M${x} ${y}`;
      if (!curved) return `L${x} ${y}`;
      const bent = bendSegment(closed, i - 1, true).segments[i - 1];
      if (bent?.kind !== 'cubic') return `L${x} ${y}`;
      return `C${[bent.c1, bent.c2, bent.to].map((p) => place(p).join(' ')).join(' ')}`;
    })
    .join('');
}

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
const CLOSE_PX = 12;

interface Props {
  readonly drawing: Drawing;
  readonly onDrawing: (d: Drawing) => void;
  readonly onFinish: (path: Path) => void;
  /** A line that is left open: Enter at its last point finishes it. */
  readonly onLine?: (points: readonly Point[]) => void;
  readonly onCancel: () => void;
}

/** Takes clicks, taps and keys while an outline is drawn. */
export function DrawLayer({ drawing, onDrawing, onFinish, onLine, onCancel }: Props) {
  const plan = usePlan();
  const { format } = useSurvey();
  const { points, cursor, curved } = drawing;
  const last = points[points.length - 1];
  const first = points[0];
  const place = (p: Point) => plan.caught(p, last ? [last.at] : []);
  const closes = (p: Point) => {
    if (onLine || !first || points.length < 3) return false;
    const [a, b] = [plan.onScreen(first.at), plan.onScreen(p)];
    return Math.hypot(a[0] - b[0], a[1] - b[1]) <= CLOSE_PX;
  };
  const add = (p: Point) => {
    const path = closes(p) ? drawnPath(drawing, curved) : null;
    if (path) return onFinish(path);
    const line = onLine && last ? drawnLine(drawing) : null;
    if (line && Math.hypot(p[0] - last!.at[0], p[1] - last!.at[1]) <= 1e-6) return onLine?.(line);
    const apart = !last || Math.hypot(p[0] - last.at[0], p[1] - last.at[1]) > 1e-6;
    if (apart) onDrawing({ points: [...points, { at: p, curved }], cursor: p, curved });
  };
  const move = (e: PointerEvent) =>
    onDrawing({ ...drawing, cursor: place(plan.fromClient(e.clientX, e.clientY)) });
  const key = (e: KeyboardEvent) => {
    const arrow = ARROWS[e.key];
    const step = plan.gridM * (e.shiftKey ? 10 : 1);
    if (arrow)
      onDrawing({ ...drawing, cursor: [cursor[0] + arrow[0] * step, cursor[1] + arrow[1] * step] });
    else if (e.key === ' ' || e.key === 'Enter') add(cursor);
    else if (e.key === 'c') onDrawing({ ...drawing, curved: !curved });
    else if (e.key === 'Backspace') onDrawing({ ...drawing, points: points.slice(0, -1) });
    else if (e.key === 'f') {
      const line = onLine ? drawnLine(drawing) : null;
      const path = onLine ? null : drawnPath(drawing, curved);
      if (line) onLine?.(line);
      if (path) onFinish(path);
    } else if (e.key === 'Escape') onCancel();
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  const screen = points.map((p) => plan.onScreen(p.at));
  const [cx, cy] = plan.onScreen(cursor);
  const lengthM = last ? Math.hypot(cursor[0] - last.at[0], cursor[1] - last.at[1]) : 0;
  return (
    <g
      role="application"
      tabIndex={0}
      aria-label="Drawing: arrow keys move the cross, Space sets a point, C curves the next stretch, Backspace takes one back, F finishes, Escape leaves"
      ref={(g) => g?.focus({ preventScroll: true })}
      onKeyDown={key}
      onPointerMove={move}
      onPointerDown={(e) => e.stopPropagation()}
      onClick={(e) => add(place(plan.fromClient(e.clientX, e.clientY)))}
      style={{ cursor: 'crosshair', outline: 'none', touchAction: 'none' }}
    >
      <rect width={plan.size.width} height={plan.size.height} fill="transparent" />
      <path
        d={openD([...points, { at: cursor, curved }], plan.onScreen)}
        fill="none"
        stroke="var(--bm-colors-amber-deep)"
        strokeWidth="2.5"
        strokeDasharray="7 4"
      />
      {screen.map(([x, y], i) => (
        <circle
          key={i}
          cx={x}
          cy={y}
          r={i === 0 ? 8 : 5}
          fill="var(--bm-colors-card)"
          stroke="var(--bm-colors-amber-deep)"
          strokeWidth="2"
        />
      ))}
      <path
        d={`M${cx - 12} ${cy} H${cx + 12} M${cx} ${cy - 12} V${cy + 12}`}
        stroke="var(--bm-colors-ink)"
        strokeWidth="1.5"
      />
      {last && (
        <SvgText x={cx + 14} y={cy - 10} size={13} family="mono" halo="var(--bm-colors-card)">
          {format.show(lengthM, 'length').text}
        </SvgText>
      )}
    </g>
  );
}

/** What to do while drawing, with its buttons. */
export function DrawBar({ drawing, onDrawing, onFinish, onLine, onCancel }: Props) {
  const path = onLine ? null : drawnPath(drawing, drawing.curved);
  const line = onLine ? drawnLine(drawing) : null;
  const { points, curved } = drawing;
  return (
    <Flex
      display="inline-flex"
      bg="rgba(255,253,248,.92)"
      pointerEvents="auto"
      gap="2"
      align="center"
      wrap="wrap"
      fontSize="sm"
    >
      <span>
        {onLine
          ? points.length < 2
            ? 'Click where the line begins, outside or on the edge, and each turn of it.'
            : 'Click the last point again, or Finish.'
          : points.length < 3
            ? 'Click each corner in turn.'
            : 'Click the first corner again to close it.'}
      </span>
      <Button
        size="sm"
        aria-pressed={curved}
        onClick={() => onDrawing({ ...drawing, curved: !curved })}
      >
        Next stretch: {curved ? 'curved' : 'straight'}
      </Button>
      <Button
        size="sm"
        disabled={points.length === 0}
        onClick={() => onDrawing({ ...drawing, points: points.slice(0, -1) })}
      >
        One point back
      </Button>
      <Button
        size="sm"
        variant="ink"
        disabled={!path && !line}
        onClick={() => {
          if (path) onFinish(path);
          if (line) onLine?.(line);
        }}
      >
        Finish
      </Button>
      <Button size="sm" variant="quiet" onClick={onCancel}>
        Leave drawing
      </Button>
    </Flex>
  );
}
