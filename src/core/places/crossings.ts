import { controlPoints, type Point } from '../geometry';
import type { Stretch } from './region';

/** A point so close to a line lies on it, m. */
export const ON_LINE_M = 1e-10;

/** Where a stretch meets a straight piece: along the stretch and along the piece, 0…1 each. */
export interface Crossing {
  readonly t: number;
  readonly u: number;
}

/** Value of a Bernstein polynomial. */
function bernstein(d: readonly number[], t: number): number {
  let row = [...d];
  while (row.length > 1)
    row = row.slice(1).map((v, i) => (row[i] as number) + (v - (row[i] as number)) * t);
  return row[0] ?? NaN;
}

const split = (d: readonly number[]): readonly [number[], number[]] => {
  const [left, right]: [number[], number[]] = [[], []];
  let row = [...d];
  while (row.length > 0) {
    left.push(row[0] as number);
    right.unshift(row.at(-1) as number);
    row = row.slice(1).map((v, i) => ((row[i] as number) + v) / 2);
  }
  return [left, right];
};

const changes = (d: readonly number[]): number =>
  d.slice(1).filter((v, i) => v > 0 !== (d[i] as number) > 0).length;

/** Root between two ends of unlike sign, by bisection: safe whatever the slope. */
function bisect(d: readonly number[], low: number, high: number): number {
  let [a, b] = [low, high];
  const above = bernstein(d, a) > 0;
  for (let k = 0; k < 60 && b - a > 1e-16; k += 1) {
    const middle = (a + b) / 2;
    if (bernstein(d, middle) > 0 === above) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/** Depth of halving: two roots closer than 2⁻³⁰ of a stretch are a touch, not a crossing. */
const DEEPEST = 30;

/** Roots of a Bernstein polynomial inside (0, 1). Source: sign changes bound the roots (Descartes); halving parts them. */
function roots(d: readonly number[]): number[] {
  const found: number[] = [];
  const look = (part: readonly number[], low: number, high: number, depth: number): void => {
    const count = changes(part);
    if (count === 0 || depth === DEEPEST) return;
    if (count === 1) {
      found.push(bisect(d, low, high));
      return;
    }
    const [left, right] = split(part);
    const middle = (low + high) / 2;
    look(left, low, middle, depth + 1);
    look(right, middle, high, depth + 1);
  };
  look(d, 0, 1, 0);
  return found;
}

/**
 * Where a stretch of a boundary meets a straight piece of a cut.
 * @param a, b ends of the piece, m, apart @returns along both; ends count where they lie on it within 1e-10 m
 * Source: signed distance of the stretch from the line through the piece, a polynomial in Bernstein form.
 */
export function crossings({ from, segment }: Stretch, a: Point, b: Point): Crossing[] {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const lengthM = Math.hypot(dx, dy);
  if (!(lengthM > 0)) return [];
  const off = ([x, y]: Point) => ((x - a[0]) * dy - (y - a[1]) * dx) / lengthM;
  if (segment.kind === 'line') {
    const [near, far] = [off(from), off(segment.to)];
    if ((near > ON_LINE_M && far > ON_LINE_M) || (near < -ON_LINE_M && far < -ON_LINE_M)) return [];
  }
  const points = controlPoints(from, segment);
  const d = points.map(off);
  if (d.every((v) => v > ON_LINE_M) || d.every((v) => v < -ON_LINE_M)) return [];
  const on = (v: number | undefined) => Math.abs(v ?? Infinity) <= ON_LINE_M;
  const [first, last] = [d[0] as number, d.at(-1) as number];
  // An end that lies on the line is the node itself; what is left is looked at a little inside of it.
  const ts = [...(on(first) ? [0] : []), ...(on(last) ? [1] : [])];
  if (!(on(first) && on(last) && points.length === 2))
    ts.push(...roots(d).filter((t) => (t > 1e-9 || !on(first)) && (t < 1 - 1e-9 || !on(last))));
  return ts
    .map((t): Crossing => {
      const [x, y] = [0, 1].map((axis) =>
        bernstein(
          points.map((p) => p[axis] as number),
          t,
        ),
      );
      return { t, u: (((x as number) - a[0]) * dx + ((y as number) - a[1]) * dy) / lengthM ** 2 };
    })
    .filter(({ u }) => u >= -ON_LINE_M / lengthM && u <= 1 + ON_LINE_M / lengthM);
}
