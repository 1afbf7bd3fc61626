import { itemAt } from '../numeric';
import type { Point } from '../geometry';
import { project, type Homography } from './homography';

/** A picture as a browser gives it: 4 bytes a pixel, rows from the top. */
export interface Picture {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly rgba: Uint8ClampedArray;
}

/** The plane of the piece seen straight from above: red, green and blue (0…255), row by row from the top. */
export interface Raster {
  readonly width: number;
  readonly height: number;
  /** m to a pixel. */
  readonly stepM: number;
  /** Plane point of the middle of the top left pixel, m, y up. */
  readonly origin: Point;
  readonly channels: readonly [Float32Array, Float32Array, Float32Array];
  /** 0 where the picture does not reach. */
  readonly known: Uint8Array;
}

/** Colour of a place between pixels (bilinear), written to `out`; false outside the picture. */
export function sample(picture: Picture, x: number, y: number, out: Float64Array): boolean {
  const { widthPx, heightPx, rgba } = picture;
  if (!(x >= 0 && y >= 0 && x < widthPx - 1 && y < heightPx - 1)) return false;
  const left = x | 0;
  const top = y | 0;
  const u = x - left;
  const v = y - top;
  const at = 4 * (top * widthPx + left);
  const below = at + 4 * widthPx;
  for (let c = 0; c < 3; c += 1) {
    const upper = (rgba[at + c] as number) * (1 - u) + (rgba[at + 4 + c] as number) * u;
    const lower = (rgba[below + c] as number) * (1 - u) + (rgba[below + 4 + c] as number) * u;
    out[c] = upper * (1 - v) + lower * v;
  }
  return true;
}

export interface PlaneBox {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** Pixels of the picture that are looked at to find which part of the plane it shows. */
const PROBES = 40;
/** Places where a pixel is more than this many times coarser than at the reference are left out. */
const COARSEST = 3;

/** The part of the plane that the picture shows sharply enough, m. */
export function visibleBox(toPlane: Homography, picture: Picture, at: Point): PlaneBox {
  const step = (p: Point): number => {
    const [a, b] = [project(toPlane, p), project(toPlane, [p[0] + 1, p[1]])];
    const c = project(toPlane, [p[0], p[1] + 1]);
    return Math.max(Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - a[0], c[1] - a[1]));
  };
  const coarsest = COARSEST * step(at);
  const behind = (p: Point): number => toPlane[6] * p[0] + toPlane[7] * p[1] + toPlane[8];
  const side = Math.sign(behind(at));
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity];
  for (let i = 0; i <= PROBES; i += 1)
    for (let j = 0; j <= PROBES; j += 1) {
      const p: Point = [(picture.widthPx * i) / PROBES, (picture.heightPx * j) / PROBES];
      if (Math.sign(behind(p)) !== side || !(step(p) <= coarsest)) continue;
      const [x, y] = project(toPlane, p);
      [left, right] = [Math.min(left, x), Math.max(right, x)];
      [low, high] = [Math.min(low, y), Math.max(high, y)];
    }
  return { left, right, low, high };
}

/**
 * The plane seen straight from above.
 * @param picture as taken @param toPicture plane (m) to picture (px) @param box part of the plane, m
 * @param longPx pixels along the longer side of the box
 * Source: inverse mapping with bilinear sampling (Heckbert 1989, from memory).
 */
export function rectify(
  picture: Picture,
  toPicture: Homography,
  box: PlaneBox,
  longPx: number,
): Raster {
  const [spanX, spanY] = [box.right - box.left, box.high - box.low];
  const stepM = Math.max(spanX, spanY) / longPx;
  const width = Math.max(2, Math.round(spanX / stepM));
  const height = Math.max(2, Math.round(spanY / stepM));
  const origin: Point = [box.left + stepM / 2, box.high - stepM / 2];
  const channels = [0, 1, 2].map(() => new Float32Array(width * height)) as unknown as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const known = new Uint8Array(width * height);
  const rgb = new Float64Array(3);
  for (let row = 0, i = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1, i += 1) {
      const [x, y] = project(toPicture, [origin[0] + column * stepM, origin[1] - row * stepM]);
      // A pixel's colour stands for its middle.
      if (!sample(picture, x - 0.5, y - 0.5, rgb)) continue;
      known[i] = 1;
      for (let c = 0; c < 3; c += 1) {
        const channel = channels[c];
        if (channel) channel[i] = rgb[c] as number;
      }
    }
  return { width, height, stepM, origin, channels, known };
}

/** A raster with means over blocks of `factor` × `factor` pixels; a block is known when most of it is. */
export function shrink(raster: Raster, factor: number): Raster {
  const width = Math.max(2, Math.floor(raster.width / factor));
  const height = Math.max(2, Math.floor(raster.height / factor));
  const channels = raster.channels.map(() => new Float32Array(width * height)) as unknown as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const known = new Uint8Array(width * height);
  for (let row = 0, i = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1, i += 1) {
      let count = 0;
      const sum = [0, 0, 0];
      for (let dy = 0; dy < factor; dy += 1)
        for (let dx = 0; dx < factor; dx += 1) {
          const at = (row * factor + dy) * raster.width + column * factor + dx;
          if (!raster.known[at]) continue;
          count += 1;
          for (let c = 0; c < 3; c += 1)
            sum[c] = (sum[c] as number) + itemAt(itemAt(raster.channels, c), at);
        }
      if (count * 2 < factor * factor) continue;
      known[i] = 1;
      for (let c = 0; c < 3; c += 1) {
        const channel = channels[c];
        if (channel) channel[i] = (sum[c] as number) / count;
      }
    }
  const shift = ((factor - 1) / 2) * raster.stepM;
  return {
    width,
    height,
    stepM: raster.stepM * factor,
    origin: [raster.origin[0] + shift, raster.origin[1] - shift],
    channels,
    known,
  };
}

/** Column and row (fractional) of a plane point. */
export const toCell = ({ origin, stepM }: Raster, [x, y]: Point): Point => [
  (x - origin[0]) / stepM,
  (origin[1] - y) / stepM,
];
/** Plane point of a column and row. */
export const fromCell = ({ origin, stepM }: Raster, [column, row]: Point): Point => [
  origin[0] + column * stepM,
  origin[1] - row * stepM,
];
