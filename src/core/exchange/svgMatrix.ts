import svgpath from 'svgpath';

/** An affine map of the plane: x' = a x + c y + e, y' = b x + d y + f. */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];
export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** The map that a `transform` attribute means: where it takes the origin and the two unit points. */
export function matrixOf(transform: string): Matrix {
  const points: number[][] = [];
  svgpath('M0 0L1 0L0 1')
    .transform(transform)
    .abs()
    .iterate((command) => void points.push(command.slice(1).map(Number)));
  const [[e = NaN, f = NaN] = [], [x = NaN, y = NaN] = [], [u = NaN, v = NaN] = []] = points;
  return [x - e, y - f, u - e, v - f, e, f];
}

/** The inner map first, then the outer. */
export const compose = (o: Matrix, i: Matrix): Matrix => [
  o[0] * i[0] + o[2] * i[1],
  o[1] * i[0] + o[3] * i[1],
  o[0] * i[2] + o[2] * i[3],
  o[1] * i[2] + o[3] * i[3],
  o[0] * i[4] + o[2] * i[5] + o[4],
  o[1] * i[4] + o[3] * i[5] + o[5],
];
