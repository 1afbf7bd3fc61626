'use client';
import type { Point, Shape } from '@/core/geometry';
import { editText } from '@/core/units';
import { useSurvey } from '../SurveyContext';
import { DragPoint } from './DragPoint';

/** Sizes are dragged to the tenth of a millimetre. */
const round = (m: number): number => Math.round(Math.max(1e-3, m) * 1e4) / 1e4;

/** Handles on the sides of a shape that is told by its dimensions: dragging types into its fields. */
export function SizeHandles({ shape, at }: { shape: Shape; at: Point }) {
  const { index, editArea, format, rest } = useSurvey();
  const write = (field: 'width' | 'height' | 'radius', m: number) =>
    editArea({ [field]: editText(round(m), format.typed('length')) }, `size ${index} ${field}`);
  const out = ([x, y]: Point): Point => [x + at[0], y + at[1]];
  if (shape.kind === 'outline') return null;
  const half =
    shape.kind === 'disc'
      ? shape.diameterM / 2
      : shape.kind === 'regularPolygon'
        ? shape.sizeM / 2
        : shape.widthM / 2;
  const name =
    shape.kind === 'disc' ? 'Diameter' : shape.kind === 'regularPolygon' ? 'Size' : 'Width';
  const tall = 'heightM' in shape ? shape.heightM / 2 : null;
  // The flat of a polygon lies below, so its size across flats is upright.
  const upright = shape.kind === 'regularPolygon' && shape.across === 'flats';
  const keys = (what: string, m: number) =>
    `${what}, ${format.show(m, 'length').text}; arrow keys change it`;
  return (
    <>
      <DragPoint
        at={out(upright ? [0, half] : [half, 0])}
        look="size"
        along={upright ? 'y' : 'x'}
        label={keys(name, half * 2)}
        onMove={(to) => write('width', 2 * (upright ? to[1] - at[1] : to[0] - at[0]))}
        onEnd={rest}
      />
      {tall !== null && (
        <DragPoint
          at={out([0, tall])}
          look="size"
          along="y"
          label={keys('Height', tall * 2)}
          onMove={(to) => write('height', 2 * (to[1] - at[1]))}
          onEnd={rest}
        />
      )}
      {shape.kind === 'roundedRectangle' && tall !== null && (
        <DragPoint
          at={out([half - shape.radiusM, tall])}
          look="size"
          along="x"
          label={keys('Corner radius', shape.radiusM)}
          onMove={(to) => write('radius', half - (to[0] - at[0]))}
          onEnd={rest}
        />
      )}
    </>
  );
}
