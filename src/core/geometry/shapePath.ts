import { itemAt } from '../numeric';
import { arcSegments } from './arc';
import type { Path, Segment } from './path';
import type { Point } from './point';
import type { Shape } from './shape';
import { shapeSides } from './shapeSides';

function polygonPath(shape: Shape): Path {
  const points = shapeSides(shape).flatMap((side) => side.slice(0, 1));
  const start = itemAt(points, 0);
  return { start, segments: [...points.slice(1), start].map((to) => ({ kind: 'line', to })) };
}

function ellipsePath(rx: number, ry: number): Path {
  return {
    start: [rx, 0],
    segments: arcSegments({ centre: [0, 0], rx, ry, turn: 0, from: 0, sweep: 2 * Math.PI }),
  };
}

function roundedPath(widthM: number, heightM: number, radius: number): Path {
  const [x, y] = [widthM / 2 - radius, heightM / 2 - radius];
  const centres: readonly Point[] = [
    [x, -y],
    [x, y],
    [-x, y],
    [-x, -y],
  ];
  const segments = centres.flatMap((centre, i): Segment[] => {
    const from = -Math.PI / 2 + (i * Math.PI) / 2;
    const begin: Point = [centre[0] + radius * Math.cos(from), centre[1] + radius * Math.sin(from)];
    const corner = arcSegments({
      centre,
      rx: radius,
      ry: radius,
      turn: 0,
      from,
      sweep: Math.PI / 2,
    });
    return [{ kind: 'line', to: begin }, ...corner];
  });
  const start: Point = [-x, -y - radius];
  return { start, segments };
}

/**
 * Any shape as one closed path, curves kept as curves.
 * @param shape lengths in m @returns outline about the shape's centre, anticlockwise
 * Source: arcs as in arc.ts, area within 1e-7.
 */
export function shapePath(shape: Shape): Path {
  switch (shape.kind) {
    case 'outline':
      return shape.outer;
    case 'disc':
      return ellipsePath(shape.diameterM / 2, shape.diameterM / 2);
    case 'ellipse':
      return ellipsePath(shape.widthM / 2, shape.heightM / 2);
    case 'roundedRectangle':
      if (shape.radiusM > 0) return roundedPath(shape.widthM, shape.heightM, shape.radiusM);
      return polygonPath(shape);
    case 'rectangle':
    case 'regularPolygon':
      return polygonPath(shape);
  }
}
