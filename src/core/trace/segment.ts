import { nearest, paletteOf, type Palette } from './colourModel';
import type { Raster } from './raster';

/** What is certain of a raster's cells. */
export interface Seeds {
  /** 1 inside the piece, −1 outside, 0 not known. */
  readonly label: Int8Array;
}

export interface Segmentation {
  /** Chance that a cell is the piece, 0…1. */
  readonly inside: Float64Array;
  readonly piece: Palette;
  readonly rest: Palette;
}

const PIECE_COLOURS = 5;
const REST_COLOURS = 8;
const ROUNDS = 3;
/** Pull of the colours against that of the neighbours. Chosen on the drawn test pictures. */
const COLOUR_PULL = 0.1;
const SWEEPS = 160;
const OVER_RELAXATION = 1.85;

/** Weights to the right and below neighbours: near 1 in even colour, near 0 over an edge. */
function weights(raster: Raster): readonly [Float64Array, Float64Array] {
  const { width, height, channels, known } = raster;
  const size = width * height;
  const [right, below] = [new Float64Array(size), new Float64Array(size)];
  const step = (i: number, j: number): number => {
    let sum = 0;
    for (const channel of channels) sum += ((channel[i] as number) - (channel[j] as number)) ** 2;
    return sum;
  };
  let [total, count] = [0, 0];
  for (let row = 0, i = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1, i += 1) {
      if (column + 1 < width && known[i] && known[i + 1]) {
        right[i] = step(i, i + 1);
        total += right[i] as number;
        count += 1;
      }
      if (row + 1 < height && known[i] && known[i + width]) {
        below[i] = step(i, i + width);
        total += below[i] as number;
        count += 1;
      }
    }
  const beta = 1.2 / Math.max(1e-9, total / Math.max(1, count));
  for (let row = 0, i = 0; row < height; row += 1)
    for (let column = 0; column < width; column += 1, i += 1) {
      const there = (on: boolean, j: number) => on && known[i] && known[j];
      right[i] = there(column + 1 < width, i + 1)
        ? Math.exp(-beta * (right[i] as number)) + 1e-4
        : 0;
      below[i] = there(row + 1 < height, i + width)
        ? Math.exp(-beta * (below[i] as number)) + 1e-4
        : 0;
    }
  return [right, below];
}

const cellsWhere = (raster: Raster, test: (i: number) => boolean): number[] => {
  const cells: number[] = [];
  for (let i = 0; i < raster.known.length; i += 1) if (raster.known[i] && test(i)) cells.push(i);
  return cells;
};

/** Chance of being the piece by colour alone. */
function colourChance(raster: Raster, piece: Palette, rest: Palette): Float64Array {
  const chance = new Float64Array(raster.known.length).fill(0.5);
  const [l, a, b] = raster.channels;
  for (let i = 0; i < chance.length; i += 1) {
    if (!raster.known[i]) continue;
    const colour = [l[i] as number, a[i] as number, b[i] as number];
    const [near, far] = [nearest(piece, colour), nearest(rest, colour)];
    // Squared distances once more: a colour twice as far is four to one against.
    chance[i] = (far * far + 1e-3) / (near * near + far * far + 2e-3);
  }
  return chance;
}

/** Successive over-relaxation of the walker's linear system; `u` is improved in place. */
function relax(
  { width, height, known }: Raster,
  [right, below]: readonly [Float64Array, Float64Array],
  label: Int8Array,
  chance: Float64Array,
  u: Float64Array,
): void {
  for (let sweep = 0; sweep < SWEEPS; sweep += 1) {
    let most = 0;
    for (let row = 0, i = 0; row < height; row += 1)
      for (let column = 0; column < width; column += 1, i += 1) {
        if (!known[i] || label[i] !== 0) continue;
        const [wr, wb] = [right[i] as number, below[i] as number];
        const wl = column > 0 ? (right[i - 1] as number) : 0;
        const wt = row > 0 ? (below[i - width] as number) : 0;
        const pull =
          COLOUR_PULL * (chance[i] as number) +
          (wr && wr * (u[i + 1] as number)) +
          (wb && wb * (u[i + width] as number)) +
          (wl && wl * (u[i - 1] as number)) +
          (wt && wt * (u[i - width] as number));
        const change = pull / (COLOUR_PULL + wr + wb + wl + wt) - (u[i] as number);
        u[i] = (u[i] as number) + OVER_RELAXATION * change;
        if (change > most) most = change;
        if (-change > most) most = -change;
      }
    if (most < 1e-3) return;
  }
}

/**
 * Parts a raster into the piece and the rest.
 * @param raster small (about 300 cells a side) @param seeds cells that are certain, of both kinds
 * @param onRound told after each of three rounds; returns false to stop
 * @returns chance of each cell to be the piece and the colours found, or null when stopped
 * Source: Grady 2005, Multilabel random walker image segmentation using prior models (from memory), with
 *   colours learnt anew from each round's result as in Rother et al. 2004.
 */
export function segment(
  raster: Raster,
  { label }: Seeds,
  onRound: (done: number) => boolean = () => true,
): Segmentation | null {
  const edges = weights(raster);
  let piece = paletteOf(
    raster,
    cellsWhere(raster, (i) => label[i] === 1),
    PIECE_COLOURS,
  );
  let rest = paletteOf(
    raster,
    cellsWhere(raster, (i) => label[i] === -1),
    REST_COLOURS,
  );
  const inside = new Float64Array(label.length);
  for (let i = 0; i < label.length; i += 1)
    inside[i] = label[i] === 1 ? 1 : label[i] === -1 ? 0 : 0.5;
  for (let round = 0; round < ROUNDS; round += 1) {
    const chance = colourChance(raster, piece, rest);
    relax(raster, edges, label, chance, inside);
    if (!onRound((round + 1) / ROUNDS)) return null;
    const cells = (test: (u: number) => boolean) =>
      cellsWhere(raster, (i) => test(inside[i] as number));
    piece = paletteOf(
      raster,
      cells((u) => u > 0.7),
      PIECE_COLOURS,
    );
    rest = paletteOf(
      raster,
      cells((u) => u < 0.3),
      REST_COLOURS,
    );
  }
  return { inside, piece, rest };
}
