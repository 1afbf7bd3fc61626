'use client';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { MIL_M } from '@/core/units';
import { useFormat } from '@/features/common/useFormat';

interface Props {
  readonly name: string;
  readonly thicknessM: number;
  readonly minM: number;
  readonly maxM: number;
  readonly x: number;
  readonly y: number;
  readonly filmPxPerM: number;
  readonly onStart: () => void;
  readonly onChange: (thicknessM: number) => void;
  readonly onCommit: () => void;
}

/** A step by key or drag, m: a twentieth of a millimetre, or two mil. */
const STEPS_M = { metric: 0.05e-3, us: 2 * MIL_M } as const;
const KEYS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

/** The surface of a planned coat as a slider: drag it, or use the arrow keys. */
export function Handle({
  name,
  thicknessM,
  minM,
  maxM,
  x,
  y,
  filmPxPerM,
  onStart,
  onChange,
  onCommit,
}: Props) {
  const { show, units } = useFormat();
  const stepM = STEPS_M[units];
  const drag = useRef<{ clientY: number; thicknessM: number; pxPerClient: number } | null>(null);
  const set = (wanted: number) =>
    onChange(Math.min(maxM, Math.max(minM, Math.round(wanted / stepM) * stepM)));
  const down = (event: PointerEvent<SVGGElement>) => {
    const svg = event.currentTarget.ownerSVGElement;
    if (!svg) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const pxPerClient = svg.viewBox.baseVal.width / svg.getBoundingClientRect().width;
    drag.current = { clientY: event.clientY, thicknessM, pxPerClient };
    onStart();
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    if (!drag.current) return;
    const { clientY, thicknessM: from, pxPerClient } = drag.current;
    set(from + ((clientY - event.clientY) * pxPerClient) / filmPxPerM);
  };
  const up = () => {
    if (!drag.current) return;
    drag.current = null;
    onCommit();
  };
  const key = (event: KeyboardEvent<SVGGElement>) => {
    const steps = KEYS[event.key];
    if (steps === undefined) return;
    event.preventDefault();
    set(thicknessM + steps * stepM);
  };
  return (
    <g
      data-hand
      role="slider"
      tabIndex={0}
      aria-label={`Thickness of ${name}`}
      aria-orientation="vertical"
      aria-valuemin={minM * 1000}
      aria-valuemax={maxM * 1000}
      aria-valuenow={Number((thicknessM * 1000).toFixed(3))}
      aria-valuetext={show(thicknessM, 'film').text}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
      onKeyUp={(e) => KEYS[e.key] !== undefined && onCommit()}
      style={{ cursor: 'ns-resize', touchAction: 'none' }}
    >
      <rect x={x - 26} y={y - 26} width="52" height="52" fill="transparent" />
      <circle
        cx={x}
        cy={y}
        r="13"
        fill="var(--bm-colors-card)"
        stroke="var(--bm-colors-amber)"
        strokeWidth="3"
      />
      <path
        d={`M${x} ${y - 7} V${y + 7} M${x - 4} ${y - 3} L${x} ${y - 7} L${x + 4} ${y - 3} M${x - 4} ${y + 3} L${x} ${y + 7} L${x + 4} ${y + 3}`}
        fill="none"
        stroke="var(--bm-colors-amber-deep)"
        strokeWidth="2"
      />
    </g>
  );
}
