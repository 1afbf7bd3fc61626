import type { Picture } from '../raster';

export type Colour = readonly [number, number, number];

/** A picture whose pixel colours come from a function of their middle; `rays` × `rays` of them a pixel. */
export function pictureOf(
  widthPx: number,
  heightPx: number,
  colour: (x: number, y: number) => Colour,
  rays = 1,
): Picture {
  const rgba = new Uint8ClampedArray(4 * widthPx * heightPx);
  for (let row = 0, at = 0; row < heightPx; row += 1)
    for (let column = 0; column < widthPx; column += 1, at += 4)
      for (let c = 0; c < 3; c += 1) {
        let sum = 0;
        for (let k = 0; k < rays * rays; k += 1)
          sum +=
            colour(column + ((k % rays) + 0.5) / rays, row + (Math.floor(k / rays) + 0.5) / rays)[
              c
            ] ?? 0;
        rgba[at + c] = sum / (rays * rays);
        rgba[at + 3] = 255;
      }
  return { widthPx, heightPx, rgba };
}
