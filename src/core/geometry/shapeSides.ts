import { outlineSides } from './outline';
import type { Point } from './point';
import type { Shape } from './shape';

/** Points along an arc of an ellipse, both ends included. Angles in rad. */
function arc(cx: number, cy: number, rx: number, ry: number, from: number, to: number): Point[] {
  const steps = Math.max(2, Math.ceil(Math.abs(to - from) / (Math.PI / 48)));
  return Array.from({ length: steps + 1 }, (_, i): Point => {
    const angle = from + ((to - from) * i) / steps;
    return [cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)];
  });
}

function roundedSides(w: number, h: number, r: number): Point[][] {
  const [x, y] = [w / 2 - r, h / 2 - r];
  const eighth = Math.PI / 4;
  const corner = (cx: number, cy: number, from: number) => [
    arc(cx, cy, r, r, from, from + eighth),
    arc(cx, cy, r, r, from + eighth, from + 2 * eighth),
  ];
  const bottomRight = corner(x, -y, -Math.PI / 2);
  const topRight = corner(x, y, 0);
  const topLeft = corner(-x, y, Math.PI / 2);
  const bottomLeft = corner(-x, -y, Math.PI);
  const join = (a: Point[] | undefined, b: Point[] | undefined) => [...(a ?? []), ...(b ?? [])];
  return [
    join(bottomLeft[1], bottomRight[0]),
    join(bottomRight[1], topRight[0]),
    join(topRight[1], topLeft[0]),
    join(topLeft[1], bottomLeft[0]),
  ];
}

/**
 * The stretches of the outline that can each have their own kind of edge, as polylines for drawing:
 * anticlockwise from the bottom; each ends where the next begins.
 * @param shape lengths in m @returns one polyline a side, points in m about the centre
 */
export function shapeSides(shape: Shape): readonly (readonly Point[])[] {
  switch (shape.kind) {
    case 'rectangle': {
      const [x, y] = [shape.widthM / 2, shape.heightM / 2];
      return [
        [
          [-x, -y],
          [x, -y],
        ],
        [
          [x, -y],
          [x, y],
        ],
        [
          [x, y],
          [-x, y],
        ],
        [
          [-x, y],
          [-x, -y],
        ],
      ];
    }
    case 'roundedRectangle':
      return roundedSides(shape.widthM, shape.heightM, shape.radiusM);
    case 'disc':
      return [arc(0, 0, shape.diameterM / 2, shape.diameterM / 2, 0, 2 * Math.PI)];
    case 'ellipse':
      return [arc(0, 0, shape.widthM / 2, shape.heightM / 2, 0, 2 * Math.PI)];
    case 'regularPolygon': {
      const half = Math.PI / shape.sides;
      const radius = shape.sizeM / 2 / (shape.across === 'flats' ? Math.cos(half) : 1);
      const corner = (i: number): Point => {
        const angle = -Math.PI / 2 - half + 2 * half * i;
        return [radius * Math.cos(angle), radius * Math.sin(angle)];
      };
      return Array.from({ length: shape.sides }, (_, i) => [corner(i), corner(i + 1)]);
    }
    case 'outline':
      return outlineSides(shape.outer).map((side) => side.points);
  }
}

/** Width and height of the box round a shape, m. */
export function shapeBox(shape: Shape): { readonly widthM: number; readonly heightM: number } {
  const points = shapeSides(shape).flat();
  const span = (axis: 0 | 1) => {
    const [low, high] = points.reduce<readonly [number, number]>(
      ([a, b], p) => [Math.min(a, p[axis]), Math.max(b, p[axis])],
      [Infinity, -Infinity],
    );
    return high - low;
  };
  return { widthM: span(0), heightM: span(1) };
}
