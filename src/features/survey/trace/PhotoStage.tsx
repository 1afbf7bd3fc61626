'use client';
import { useDrag } from '@use-gesture/react';
import { useState, type KeyboardEvent } from 'react';
import type { Point } from '@/core/geometry';
import type { Corners } from '@/core/trace';
import { SvgText } from '@/ui/SvgText';
import type { ShownPhoto, TraceDraft } from './traceModel';

const STAGE = { width: 720, height: 520 } as const;
const LENS = { size: 168, zoom: 5 } as const;
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

interface MarkProps {
  readonly at: Point;
  readonly scale: number;
  readonly label: string;
  readonly letter: string;
  readonly look: 'corner' | 'inside' | 'outside';
  readonly onMove: (to: Point) => void;
  readonly onFocus: () => void;
  readonly onRemove?: () => void;
}

/** A mark on the photo: drag it, or use the arrow keys (1 px; with Shift 10 px). */
function Mark({ at, scale, label, letter, look, onMove, onFocus, onRemove }: MarkProps) {
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
  const colour = look === 'outside' ? '#a5402a' : look === 'inside' ? '#2f6b62' : '#22302f';
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
        <circle r="11" fill={colour} stroke="#fff" strokeWidth="3" />
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

/** The picture close up at a mark. */
function Lens({
  photo,
  at,
  half,
  left,
}: {
  photo: ShownPhoto;
  at: Point;
  half: number;
  left: number;
}) {
  const frame = { x: at[0] - half, y: at[1] - half, width: 2 * half, height: 2 * half };
  return (
    <svg
      x={left}
      y={8}
      width={LENS.size}
      height={LENS.size}
      viewBox={`${frame.x} ${frame.y} ${frame.width} ${frame.height}`}
      aria-hidden
    >
      <rect {...frame} fill="#22302f" />
      <image
        href={photo.url}
        width={photo.widthPx}
        height={photo.heightPx}
        style={{ imageRendering: 'pixelated' }}
      />
      <path
        d={`M${frame.x} ${at[1]} H${at[0] + half} M${at[0]} ${frame.y} V${at[1] + half}`}
        stroke="#a5402a"
        strokeWidth={half / 70}
      />
      <rect {...frame} fill="none" stroke="#22302f" strokeWidth={half / 20} />
    </svg>
  );
}

/** The edge that was found, and the corners as they were used. */
function Found({
  ring,
  used,
  scale,
}: {
  ring: readonly Point[];
  used: Corners | null;
  scale: number;
}) {
  const points = ring.map((p) => p.map((v) => (v * scale).toFixed(2)).join(',')).join(' ');
  return (
    <>
      {used?.map((p, i) => (
        <circle key={i} cx={p[0] * scale} cy={p[1] * scale} r="3" fill="#e7b765" />
      ))}
      <polygon points={points} fill="rgba(231,183,101,.25)" stroke="#fff" strokeWidth="5" />
      <polygon points={points} fill="none" stroke="#8a5510" strokeWidth="2.2" />
    </>
  );
}

interface Props {
  readonly photo: ShownPhoto;
  readonly draft: TraceDraft;
  readonly ring: readonly Point[] | null;
  readonly used: Corners | null;
  readonly onDraft: (change: Partial<TraceDraft>) => void;
}

/** The photo with its marks, a magnifier at the mark that is moved, and the edge that was found. */
export function PhotoStage({ photo, draft, ring, used, onDraft }: Props) {
  const [active, setActive] = useState<number | null>(null);
  const scale = Math.min(STAGE.width / photo.widthPx, STAGE.height / photo.heightPx);
  const [width, height] = [photo.widthPx * scale, photo.heightPx * scale];
  const marks: readonly Point[] = [...draft.corners, draft.inside, ...draft.outside];
  const lens = active === null ? null : (marks[active] ?? null);
  const within = ([x, y]: Point): Point => [
    Math.min(photo.widthPx, Math.max(0, x)),
    Math.min(photo.heightPx, Math.max(0, y)),
  ];
  const half = LENS.size / 2 / (scale * LENS.zoom);
  const lensLeft = lens ? lens[0] * scale > width / 2 : false;
  return (
    <svg
      width={width}
      height={height}
      role="group"
      aria-label="Photo with marks"
      style={{ display: 'block', maxWidth: '100%', touchAction: 'none' }}
    >
      <image href={photo.url} width={width} height={height} aria-hidden />
      <polygon
        points={draft.corners.map((p) => p.map((v) => v * scale).join(',')).join(' ')}
        fill="rgba(255,253,248,.18)"
        stroke="#fff"
        strokeWidth="1.5"
        strokeDasharray="6 4"
      />
      {ring && <Found ring={ring} used={used} scale={scale} />}
      {draft.corners.map((at, i) => (
        <Mark
          key={`corner ${i}`}
          at={at}
          scale={scale}
          look="corner"
          letter={String(i + 1)}
          label={`Corner mark ${i + 1}, ${CORNER_NAMES[i]} of the sheet; arrow keys move it by a pixel`}
          onFocus={() => setActive(i)}
          onMove={(to) =>
            onDraft({
              corners: draft.corners.map((c, k) =>
                k === i ? within(to) : c,
              ) as unknown as Corners,
            })
          }
        />
      ))}
      <Mark
        at={draft.inside}
        scale={scale}
        look="inside"
        letter="in"
        label="Mark inside the piece; arrow keys move it"
        onFocus={() => setActive(4)}
        onMove={(to) => onDraft({ inside: within(to) })}
      />
      {draft.outside.map((at, i) => (
        <Mark
          key={`outside ${i}`}
          at={at}
          scale={scale}
          look="outside"
          letter="out"
          label={`Mark outside the piece ${i + 1}; arrow keys move it, Delete removes it`}
          onFocus={() => setActive(5 + i)}
          onMove={(to) =>
            onDraft({ outside: draft.outside.map((o, k) => (k === i ? within(to) : o)) })
          }
          onRemove={() => onDraft({ outside: draft.outside.filter((_, k) => k !== i) })}
        />
      ))}
      {lens && active !== null && active < 4 && (
        <Lens photo={photo} at={lens} half={half} left={lensLeft ? 8 : width - LENS.size - 8} />
      )}
    </svg>
  );
}
