import { memo } from 'react';
import { extent } from '@/core/numeric';
import { flattenPath, shapeBox, shapeSides, type Shape } from '@/core/geometry';
import type { EdgeKind } from '@/core/piece';
import { SvgText } from '@/ui/SvgText';

interface Props {
  readonly shape: Shape;
  readonly edgeKinds?: readonly EdgeKind[];
  readonly size: number;
  readonly fill?: string;
  readonly title?: string;
  /** Numbers the edges, as the list beside the drawing does. */
  readonly numbered?: boolean;
}

/** Stroke of each kind of edge: told apart by dash and weight. */
export const EDGE_STROKE: Readonly<
  Record<EdgeKind, { dash?: string; width: number; colour: string }>
> = {
  open: { dash: '1.5 4', width: 3, colour: 'var(--bm-colors-ink)' },
  'own rim': { width: 4.5, colour: 'var(--bm-colors-ink)' },
  mould: { width: 5, colour: 'var(--bm-colors-slate)', dash: '14 2' },
  dam: { width: 5, colour: 'var(--bm-colors-oxide)', dash: '4 2' },
  'tape wall': { width: 4, colour: 'var(--bm-colors-verdigris)' },
  'raised line': { width: 3, colour: 'var(--bm-colors-verdigris)', dash: '7 2 1.5 2' },
  line: { width: 1.5, colour: 'var(--bm-colors-ink)', dash: '6 3 1.5 3' },
  doming: { dash: '9 4', width: 2.5, colour: 'var(--bm-colors-amber-deep)' },
};

/** A piece's own outline, to fit a square; edges by kind when they are given. It is drawn anew only when it changes. */
export const Outline = memo(function Outline({
  shape,
  edgeKinds,
  size,
  fill = 'var(--bm-colors-amber-wash)',
  title,
  numbered = false,
}: Props) {
  const { widthM, heightM } = shapeBox(shape);
  const pad = edgeKinds ? 8 : 3;
  const scale = (size - 2 * pad) / Math.max(widthM, heightM);
  const width = widthM * scale + 2 * pad;
  const height = heightM * scale + 2 * pad;
  // The origin of a polygon is its centre of rotation, not the middle of its box.
  const points = shapeSides(shape);
  const flat = points.flat();
  const [[left, right], [low, high]] = [
    extent(flat.map((p) => p[0])),
    extent(flat.map((p) => p[1])),
  ];
  const [midX, midY] = [(left + right) / 2, (low + high) / 2];
  const bare = (shape.keepBare ?? []).map((b) => flattenPath(b, Math.max(widthM, heightM) / 500));
  const path = (side: readonly (readonly [number, number])[]) =>
    side
      .map(
        ([x, y]) =>
          `${((x - midX) * scale + width / 2).toFixed(2)},${(height / 2 - (y - midY) * scale).toFixed(2)}`,
      )
      .join(' ');
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role={title ? 'img' : undefined}
      aria-label={title}
      aria-hidden={title ? undefined : true}
    >
      <polygon
        points={path(flat)}
        fill={fill}
        stroke={edgeKinds ? 'none' : 'var(--bm-colors-ink)'}
        strokeWidth="1.5"
      />
      {bare.map((ring, i) => (
        <polygon
          key={i}
          points={path(ring)}
          fill="url(#keep-bare)"
          stroke="var(--bm-colors-oxide)"
          strokeWidth="1.2"
          strokeDasharray="4 2"
        />
      ))}
      {edgeKinds &&
        points.map((side, i) => {
          const stroke = EDGE_STROKE[edgeKinds[i] ?? 'open'];
          return (
            <polyline
              key={i}
              points={path(side)}
              fill="none"
              stroke={stroke.colour}
              strokeWidth={stroke.width}
              strokeDasharray={stroke.dash}
            />
          );
        })}
      {numbered &&
        points.map((side, i) => {
          const [a, b] = [
            side[Math.floor((side.length - 1) / 2)],
            side[Math.ceil((side.length - 1) / 2)],
          ];
          const [x, y] = a && b ? [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2] : [0, 0];
          return (
            <SvgText
              key={i}
              x={(x - midX) * scale * 0.9 + width / 2}
              y={height / 2 - (y - midY) * scale * 0.9 + 4}
              size={12}
              weight={600}
              textAnchor="middle"
              halo="var(--bm-colors-card)"
            >
              {i + 1}
            </SvgText>
          );
        })}
    </svg>
  );
});
