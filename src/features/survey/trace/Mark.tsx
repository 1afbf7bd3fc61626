'use client';
import { useDrag } from '@use-gesture/react';
import type { KeyboardEvent } from 'react';
import type { Point } from '@/core/geometry';
import { SvgText } from '@/ui/SvgText';

const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface MarkProps {
  readonly at: Point;
  readonly scale: number;
  readonly label: string;
  readonly letter: string;
  readonly look: 'corner' | 'inside' | 'outside' | 'part';
  readonly onMove: (to: Point) => void;
  readonly onFocus: () => void;
  readonly onRemove?: () => void;
}

/** A mark on the photo: drag it, or use the arrow keys (1 px; with Shift 10 px). */
export function Mark({ at, scale, label, letter, look, onMove, onFocus, onRemove }: MarkProps) {
  const bind = useDrag(
    ({ offset: [x, y], first }) => {
      if (first) onFocus();
      onMove([x / scale, y / scale]);
    },
    { from: () => [at[0] * scale, at[1] * scale], pointer: { keys: false } },
  );
  const key = (event: KeyboardEvent) => {
    const arrow = ARROWS[event.key];
    if (onRemove && (event.key === 'Delete' || event.key === 'Backspace')) onRemove();
    else if (arrow) {
      const step = event.shiftKey ? 10 : 1;
      onMove([at[0] + arrow[0] * step, at[1] + arrow[1] * step]);
    } else return;
    event.preventDefault();
  };
  const colour = { outside: '#a5402a', inside: '#2f6b62', part: '#6a4a86', corner: '#22302f' }[
    look
  ];
  return (
    <g
      {...bind()}
      role="button"
      tabIndex={0}
      aria-label={label}
      transform={`translate(${at[0] * scale} ${at[1] * scale})`}
      onKeyDown={key}
      onFocus={onFocus}
      className="plan-point"
      style={{ cursor: 'grab', touchAction: 'none' }}
    >
      <circle r="22" fill="transparent" />
      {look === 'corner' ? (
        <>
          <circle r="13" fill="none" stroke="#fff" strokeWidth="5" />
          <circle r="13" fill="none" stroke={colour} strokeWidth="2.5" />
          <path d="M-22 0 H-5 M5 0 H22 M0 -22 V-5 M0 5 V22" stroke="#fff" strokeWidth="4" />
          <path d="M-22 0 H-5 M5 0 H22 M0 -22 V-5 M0 5 V22" stroke={colour} strokeWidth="1.8" />
        </>
      ) : (
        <circle
          r={look === 'part' ? 14 : 11}
          fill={colour}
          stroke="#fff"
          strokeWidth="3"
          {...(look === 'part' && { strokeDasharray: '5 3' })}
        />
      )}
      <SvgText
        x={look === 'corner' ? 18 : 0}
        y={look === 'corner' ? -16 : 5}
        size={look === 'corner' ? 14 : 13}
        weight={600}
        textAnchor="middle"
        fill={look === 'corner' ? colour : '#fff'}
        {...(look === 'corner' && { halo: '#fff' })}
      >
        {letter}
      </SvgText>
    </g>
  );
}
