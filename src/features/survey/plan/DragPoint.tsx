'use client';
import { useDrag } from '@use-gesture/react';
import type { KeyboardEvent } from 'react';
import type { Point } from '@/core/geometry';
import { INCH_M } from '@/core/units';
import { useFormat } from '@/features/common/useFormat';
import { HAND_SPOT } from '@/ui/touch';
import { usePlan } from './planView';

interface Props {
  readonly at: Point;
  readonly label: string;
  readonly look: 'corner' | 'curve' | 'size' | 'prop' | 'mark';
  readonly chosen?: boolean;
  /** Directions that the point may go; both when left out. */
  readonly along?: 'x' | 'y';
  /** Corners from which directions are caught. */
  readonly anchors?: readonly Point[];
  readonly onMove: (to: Point) => void;
  readonly onEnd: () => void;
  readonly onChoose?: () => void;
  readonly onKey?: (event: KeyboardEvent<SVGGElement>) => void;
}

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Steps of an arrow key, m: alone, with Shift, with Alt. */
const STEPS_M = {
  metric: { near: 1e-3, far: 0.01, fine: 1e-4 },
  us: { near: INCH_M / 16, far: INCH_M / 2, fine: INCH_M / 64 },
} as const;

function Look({ look, chosen }: Pick<Props, 'look' | 'chosen'>) {
  const stroke = 'var(--bm-colors-amber-deep)';
  const fill = chosen ? 'var(--bm-colors-amber)' : 'var(--bm-colors-card)';
  if (look === 'curve')
    return <circle r="5" fill={fill} stroke="var(--bm-colors-verdigris)" strokeWidth="2" />;
  if (look === 'size')
    return (
      <rect
        x="-7"
        y="-7"
        width="14"
        height="14"
        rx="2"
        fill={fill}
        stroke={stroke}
        strokeWidth="2.5"
      />
    );
  if (look === 'prop')
    return (
      <path d="M0 -9 L9 7 L-9 7 Z" fill={fill} stroke="var(--bm-colors-slate)" strokeWidth="2.5" />
    );
  if (look === 'mark')
    return (
      <path d="M-8 0 H8 M0 -8 V8" stroke="var(--bm-colors-slate)" strokeWidth="3" fill="none" />
    );
  return (
    <rect
      x="-5.5"
      y="-5.5"
      width="11"
      height="11"
      transform="rotate(45)"
      fill={fill}
      stroke={stroke}
      strokeWidth="2"
    />
  );
}

/** A point of the plan that can be dragged, by hand or with the arrow keys (1 mm; with Shift 10 mm, with Alt 0.1 mm). */
export function DragPoint(props: Props) {
  const {
    at,
    label,
    look,
    chosen = false,
    along,
    anchors = [],
    onMove,
    onEnd,
    onChoose,
    onKey,
  } = props;
  const plan = usePlan();
  const { units } = useFormat();
  const [x, y] = plan.onScreen(at);
  const bind = useDrag(
    ({ xy, first, last, tap, event, memo }) => {
      event.stopPropagation();
      if (first) {
        onChoose?.();
        plan.hold(true);
      }
      // The point keeps its distance from the finger.
      const start = (memo as Point | undefined) ?? plan.fromClient(xy[0], xy[1]);
      if (!tap && !first) {
        const now = plan.fromClient(xy[0], xy[1]);
        const wanted: Point = [at[0] + now[0] - start[0], at[1] + now[1] - start[1]];
        const held: Point =
          along === 'x' ? [wanted[0], at[1]] : along === 'y' ? [at[0], wanted[1]] : wanted;
        const to = plan.caught(held, along ? [] : anchors, at);
        onMove(along === 'x' ? [to[0], at[1]] : along === 'y' ? [at[0], to[1]] : to);
        if (last) {
          plan.hold(false);
          onEnd();
        }
        return [start[0] + to[0] - at[0], start[1] + to[1] - at[1]] as Point;
      }
      if (last) {
        plan.hold(false);
        onEnd();
      }
      return start;
    },
    { filterTaps: true, threshold: 2, pointer: { keys: false } },
  );
  const key = (event: KeyboardEvent<SVGGElement>) => {
    const arrow = ARROWS[event.key];
    if (!arrow) return onKey?.(event);
    event.preventDefault();
    event.stopPropagation();
    const { far, near, fine } = STEPS_M[units];
    const step = event.shiftKey ? far : event.altKey ? fine : near;
    onMove([
      at[0] + (along === 'y' ? 0 : arrow[0] * step),
      at[1] + (along === 'x' ? 0 : arrow[1] * step),
    ]);
  };
  return (
    <g
      {...bind()}
      role="button"
      tabIndex={0}
      aria-label={label}
      transform={`translate(${x} ${y})`}
      onKeyDown={key}
      onKeyUp={(e) => ARROWS[e.key] && onEnd()}
      onFocus={onChoose}
      className="plan-point"
      style={{
        cursor: along === 'x' ? 'ew-resize' : along === 'y' ? 'ns-resize' : 'grab',
        touchAction: 'none',
      }}
    >
      <circle {...HAND_SPOT} />
      <Look look={look} chosen={chosen} />
    </g>
  );
}
