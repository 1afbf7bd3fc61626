import { itemAt, seededRandom } from '../numeric';
import type { Raster } from './raster';

export type Colour = readonly [number, number, number];
/** Mean colours of a region, as {@link opponent} gives them. */
export type Palette = readonly Colour[];

/**
 * Colour in which a shadow counts for less than a change of hue: lightness (weight ½), and two
 * differences that a grey shadow leaves nearly as they are. Square roots make noise even over the range.
 * Source: opponent colours on a square-root scale (Tadmor & Tolhurst 2000 use the like; from memory).
 */
export function opponent(r: number, g: number, b: number): Colour {
  const [sr, sg, sb] = [Math.sqrt(r), Math.sqrt(g), Math.sqrt(b)];
  const light = (sr + sg + sb) / 3;
  const even = 9 / (light + 3);
  return [light * 0.5, (sr - sg) * even, ((sr + sg) / 2 - sb) * even];
}

/** A raster with its colours turned into opponent ones. */
export function opponentRaster(raster: Raster): Raster {
  const [red, green, blue] = raster.channels;
  const channels = [red.slice(), green.slice(), blue.slice()] as const;
  for (let i = 0; i < red.length; i += 1) {
    const colour = opponent(itemAt(red, i), itemAt(green, i), itemAt(blue, i));
    for (let c = 0; c < 3; c += 1) {
      const channel = channels[c];
      if (channel) channel[i] = itemAt(colour, c);
    }
  }
  return { ...raster, channels };
}

const ROUNDS = 8;
const MOST_SAMPLES = 3000;

/**
 * Mean colours of some cells.
 * @param cells indices into the raster @param count most colours
 * Source: k-means with farthest-point start (Lloyd 1982, from memory); seeded, so alike on each run.
 */
export function paletteOf(raster: Raster, cells: readonly number[], count: number): Palette {
  const random = seededRandom(11);
  const stride = Math.max(1, cells.length / MOST_SAMPLES);
  const colours: (readonly [number, number, number])[] = [];
  for (let i = random() * stride; i < cells.length; i += stride) {
    const at = itemAt(cells, Math.floor(i));
    const [l, a, b] = raster.channels;
    colours.push([itemAt(l, at), itemAt(a, at), itemAt(b, at)]);
  }
  let means = colours.slice(0, 1);
  while (means.length < Math.min(count, colours.length)) {
    // Of a few tries the farthest: an odd pixel alone is unlikely to be taken.
    const tries = Array.from({ length: 12 }, () => colours[Math.floor(random() * colours.length)]);
    const far = tries.reduce((best, c) =>
      c && best && nearest(means, c) > nearest(means, best) ? c : best,
    );
    if (!far) break;
    means = [...means, far];
  }
  for (let round = 0; round < ROUNDS; round += 1) {
    const sums = means.map(() => [0, 0, 0, 0]);
    for (const colour of colours) {
      const sum = sums[indexOfNearest(means, colour)];
      if (!sum) continue;
      for (let c = 0; c < 3; c += 1) sum[c] = itemAt(sum, c) + itemAt(colour, c);
      sum[3] = itemAt(sum, 3) + 1;
    }
    means = sums.map(([l = 0, a = 0, b = 0, n = 0], i) =>
      n > 0 ? [l / n, a / n, b / n] : (means[i] ?? [0, 0, 0]),
    );
  }
  return means;
}

function squared(p: readonly number[], q: readonly number[]): number {
  const [dl, da, db] = [
    itemAt(p, 0) - itemAt(q, 0),
    itemAt(p, 1) - itemAt(q, 1),
    itemAt(p, 2) - itemAt(q, 2),
  ];
  return dl * dl + da * da + db * db;
}

function indexOfNearest(palette: Palette, colour: readonly number[]): number {
  let [best, least] = [0, Infinity];
  for (let i = 0; i < palette.length; i += 1) {
    const d = squared(palette[i] ?? colour, colour);
    if (d < least) [best, least] = [i, d];
  }
  return best;
}

/** Squared distance of a colour from the nearest of a palette. */
export function nearest(palette: Palette, colour: readonly number[]): number {
  let least = Infinity;
  for (const mean of palette) {
    const d = squared(mean, colour);
    if (d < least) least = d;
  }
  return least;
}
