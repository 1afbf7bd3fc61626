'use client';
import { useState } from 'react';
import type { Point } from '@/core/geometry';
import type { Corners, Traced } from '@/core/trace';
import { Mark } from './Mark';
import type { ShownPhoto, TraceDraft } from './traceModel';

const STAGE = { width: 720, height: 520 } as const;
const LENS = { size: 168, zoom: 5 } as const;
const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'];

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
function Found({ traced, scale }: { traced: Traced; scale: number }) {
  const text = (line: readonly Point[]) =>
    line.map((p) => p.map((v) => (v * scale).toFixed(2)).join(',')).join(' ');
  const points = text(traced.ringPx);
  return (
    <>
      {traced.corners.map((p, i) => (
        <circle key={i} cx={p[0] * scale} cy={p[1] * scale} r="3" fill="#e7b765" />
      ))}
      <polygon points={points} fill="rgba(231,183,101,.25)" stroke="#fff" strokeWidth="5" />
      <polygon points={points} fill="none" stroke="#8a5510" strokeWidth="2.2" />
      {traced.cuts.map((cut, i) => {
        const line = text(cut.closed ? [...cut.px, ...cut.px.slice(0, 1)] : cut.px);
        return (
          <g key={i} fill="none">
            <polyline points={line} stroke="#fff" strokeWidth="5" />
            <polyline points={line} stroke="#6a4a86" strokeWidth="2.4" strokeDasharray="7 4" />
          </g>
        );
      })}
    </>
  );
}

interface Props {
  readonly photo: ShownPhoto;
  readonly draft: TraceDraft;
  readonly traced: Traced | null;
  readonly onDraft: (change: Partial<TraceDraft>) => void;
}

/** Pixels of the screen to one of the photo. */
export const scaleOf = ({ widthPx, heightPx }: ShownPhoto): number =>
  Math.min(STAGE.width / widthPx, STAGE.height / heightPx);

/** The photo with its marks, a magnifier at the mark that is moved, and the edge that was found. */
export function PhotoStage({ photo, draft, traced, onDraft }: Props) {
  const [active, setActive] = useState<number | null>(null);
  const scale = scaleOf(photo);
  const [width, height] = [photo.widthPx * scale, photo.heightPx * scale];
  const marks: readonly Point[] = [
    ...draft.corners,
    draft.inside,
    ...draft.outside,
    ...draft.places,
  ];
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
      {traced && <Found traced={traced} scale={scale} />}
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
      {draft.places.map((at, i) => (
        <Mark
          key={`part ${i}`}
          at={at}
          scale={scale}
          look="part"
          letter="part"
          label={`Mark on a part of the face ${i + 1}; arrow keys move it, Delete removes it`}
          onFocus={() => setActive(5 + draft.outside.length + i)}
          onMove={(to) =>
            onDraft({ places: draft.places.map((o, k) => (k === i ? within(to) : o)) })
          }
          onRemove={() => onDraft({ places: draft.places.filter((_, k) => k !== i) })}
        />
      ))}
      {lens && active !== null && active < 4 && (
        <Lens photo={photo} at={lens} half={half} left={lensLeft ? 8 : width - LENS.size - 8} />
      )}
    </svg>
  );
}
