import { domeField } from '../capillary';
import { measureShape, shapeBox, shapeSides, type Shape } from '../geometry';

/** Terms of the series, and cells of the grid where there is none. */
const TERMS = 40;
const CELLS = 900;

/** Mean over greatest sag of an evenly loaded rectangular membrane. Source: Poisson's equation, double sine series. */
function rectangleShare(widthM: number, heightM: number): number {
  let [mean, middle] = [0, 0];
  for (let m = 1; m < 2 * TERMS; m += 2)
    for (let n = 1; n < 2 * TERMS; n += 2) {
      const load = 1 / (m * n * ((m / widthM) ** 2 + (n / heightM) ** 2));
      const sign = ((m + n) / 2 - 1) % 2 === 0 ? 1 : -1;
      middle += sign * load;
      mean += ((4 / Math.PI ** 2) * load) / (m * n);
    }
  return mean / middle;
}

/** The same on any outline, as a film whose capillary length is far longer than it. */
function solvedShare(shape: Shape): number {
  const { widthM, heightM } = shapeBox(shape);
  const { areaM2 } = measureShape({ ...shape, keepBare: [] });
  const sides = shapeSides(shape).map((points) => ({ points, wall: false }));
  const cellM = Math.sqrt(areaM2 / CELLS);
  const { shares, volume } = domeField(sides, 30 * Math.max(widthM, heightM), cellM);
  const greatest = shares.reduce((most, v) => Math.max(most, v), 0);
  return (volume * cellM ** 2) / areaM2 / greatest;
}

const known = new WeakMap<Shape, number>();

/**
 * Mean over greatest sag of a cloth that hangs evenly loaded from its outline.
 * @param shape lengths in m @returns .45 (triangle) to ⅔ (long strip)
 * Source: Poisson's equation: series on a rectangle (Timoshenko, from memory), parabola on an ellipse, grid elsewhere.
 */
export function bellyShare(shape: Shape): number {
  const found =
    known.get(shape) ??
    (shape.kind === 'rectangle'
      ? rectangleShare(shape.widthM, shape.heightM)
      : shape.kind === 'disc' || shape.kind === 'ellipse'
        ? 0.5
        : solvedShare(shape));
  known.set(shape, found);
  return found;
}
