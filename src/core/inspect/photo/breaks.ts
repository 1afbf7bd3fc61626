import type { Point } from '../../geometry';
import { insideRing } from '../../geometry';
import { blobsOf, type Blob } from './blobs';
import { blur, wideBlur, type Field } from './blur';

/** A face seen straight from above in raking light. */
export interface RakingPicture extends Field {
  /** m to a pixel. */
  readonly stepM: number;
  /** Outline of the face, px; what lies outside is not looked at. */
  readonly ring: readonly Point[];
}

export type BreakShape = 'spot' | 'thread' | 'row';

/** A break in the reflection that is proposed, never pinned by itself. */
export interface Break {
  readonly shape: BreakShape;
  /** Its middle, px. */
  readonly at: Point;
  readonly sizeM: number;
  /** Spots of a row; 1 otherwise. */
  readonly count: number;
  /** How far it stands out, 0…1. */
  readonly confidence: number;
}

/** What a fault’s size lies between, m: smaller is grain, larger is the light itself. Judgement, no source. */
const SIZE_M = { least: 0.9e-3, most: 14e-3 } as const;
/** Scales of the band-pass and of the surroundings, m. Judgement, no source. */
const [FINE_M, COARSE_M, AROUND_M] = [0.28e-3, 1.9e-3, 9e-3];
/** A pixel counts when it stands out so many times from what is around it. Judgement, no source. */
const STANDS_OUT = 4.2;
/** And the strongest of its patch at least so many times. Judgement, no source. */
const PEAK = 6;
/** Longer than so many times its width, and so long, it is a thread. Judgement, no source. */
const THREAD = { ratio: 3.2, longM: 5e-3 } as const;
/** Dots in a row: so many, so near each other, so near their line. Judgement, no source. */
const ROW = { least: 4, gapM: 14e-3, offM: 0.9e-3 } as const;
/** A face with more spots than this is grain, or sand: no row is looked for beyond them. */
const MOST_SPOTS = 300;
/**
 * What lies so near the outline is its own edge, as near as corners are put by hand; what lies a little further is left to a
 * finger. m, and a share of the size of the face. Judgement, no source.
 */
const EDGE = { leastM: 1.5e-3, share: 0.01 } as const;
const RIM_M = 2.5e-3;
/** Light and shade so near each other are of one fault, m. Judgement, no source. */
const JOIN_M = 0.35e-3;

/** Median of absolute values of a sample, a scale of noise that faults do not move. */
function typical(values: Float32Array, inside: Uint8Array): number {
  const sample: number[] = [];
  const step = Math.max(1, Math.floor(values.length / 60_000));
  for (let i = 0; i < values.length; i += step)
    if (inside[i]) sample.push(Math.abs(values[i] as number));
  sample.sort((a, b) => a - b);
  return (sample[sample.length >> 1] ?? 0) * 1.4826;
}

/** 1 for pixels that lie inside a ring, by its spans on each row. */
export function maskOf(ring: readonly Point[], width: number, height: number): Uint8Array {
  const mask = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const cuts: number[] = [];
    ring.forEach(([x0, y0], i) => {
      const [x1, y1] = ring[(i + 1) % ring.length] ?? [x0, y0];
      if (y0 > y + 0.5 !== y1 > y + 0.5) cuts.push(x0 + ((y + 0.5 - y0) / (y1 - y0)) * (x1 - x0));
    });
    cuts.sort((a, b) => a - b);
    for (let i = 0; i + 1 < cuts.length; i += 2) {
      const from = Math.max(0, Math.ceil((cuts[i] as number) - 0.5));
      const to = Math.min(width - 1, Math.floor((cuts[i + 1] as number) - 0.5));
      for (let x = from; x <= to; x += 1) mask[y * width + x] = 1;
    }
  }
  return mask;
}

/** Only what lies further from the outline than a margin. */
function eroded(mask: Uint8Array, width: number, height: number, marginPx: number): Uint8Array {
  const near = wideBlur({ width, height, values: new Float32Array(mask) }, marginPx / 1.6);
  const inside = new Uint8Array(mask.length);
  for (let y = 0, i = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, i += 1) {
      // Beyond the picture there is no face either.
      const border =
        x < marginPx || y < marginPx || x >= width - marginPx || y >= height - marginPx;
      inside[i] = mask[i] && !border && near(x, y) > 0.93 ? 1 : 0;
    }
  return inside;
}

const confidenceOf = (peak: number): number => 1 - Math.exp(-(peak - PEAK * 0.6) / 6);

/** Spots that lie one after another on a line: a hair shows as dots. */
function rowsIn(spots: readonly Blob[], stepM: number): { row: Blob[] }[] {
  const left = new Set(spots);
  const rows: { row: Blob[] }[] = [];
  const [gap, off] = [ROW.gapM / stepM, ROW.offM / stepM];
  const strongest = [...spots].sort((a, b) => b.peak - a.peak).slice(0, MOST_SPOTS);
  for (const first of strongest)
    for (const second of strongest) {
      if (Math.abs(second.x - first.x) > gap || Math.abs(second.y - first.y) > gap) continue;
      const length = Math.hypot(second.x - first.x, second.y - first.y);
      if (!left.has(first) || !left.has(second) || !(length > 0 && length < gap)) continue;
      const [ux, uy] = [(second.x - first.x) / length, (second.y - first.y) / length];
      const along = [...left]
        .map((b) => ({
          b,
          t: (b.x - first.x) * ux + (b.y - first.y) * uy,
          d: Math.abs((b.x - first.x) * uy - (b.y - first.y) * ux),
        }))
        .filter(({ d, t }) => d < off && t > -gap / 8)
        .sort((p, q) => p.t - q.t);
      const run: typeof along = [];
      for (const one of along) {
        if (run.length > 0 && one.t - (run.at(-1)?.t ?? 0) > gap) break;
        run.push(one);
      }
      if (run.length < ROW.least) continue;
      for (const { b } of run) left.delete(b);
      rows.push({ row: run.map(({ b }) => b) });
    }
  return rows;
}

/**
 * Breaks in the reflection of a film: spots, threads, and dots in a row.
 * @param picture luminance 0…255 seen straight from above, its scale m/px, and the outline, px
 * @returns breaks, those that stand out most first
 * Source: band-pass by a difference of Gaussians (Marr & Hildreth 1980, from memory) against its local scale; the
 *   reflection of the lamp is smooth and falls out, grain and noise set the scale. Thresholds are judgement.
 */
export function breaksIn(picture: RakingPicture): Break[] {
  const { width, height, stepM, ring } = picture;
  const px = (m: number) => m / stepM;
  const whole = maskOf(ring, width, height);
  const edgePx = Math.max(px(EDGE.leastM), EDGE.share * Math.max(width, height));
  const face = eroded(whole, width, height, edgePx);
  const inside = eroded(whole, width, height, edgePx + px(RIM_M));
  // The outline itself is no break: what lies outside it, or on it, is left out of every mean.
  const weights = new Float32Array(face);
  const kept = new Float32Array(picture.values.length);
  for (let i = 0; i < kept.length; i += 1) kept[i] = face[i] ? (picture.values[i] as number) : 0;
  const within = (sigmaPx: number) => {
    const [sums, shares] = [kept, weights].map((values) =>
      blur({ width, height, values }, sigmaPx),
    );
    return { sums: sums?.values ?? kept, shares: shares?.values ?? weights };
  };
  const [fine, coarse] = [within(px(FINE_M)), within(px(COARSE_M))];
  const band = new Float32Array(kept.length);
  for (let i = 0; i < band.length; i += 1)
    if (inside[i])
      band[i] =
        (fine.sums[i] as number) / (fine.shares[i] as number) -
        (coarse.sums[i] as number) / (coarse.shares[i] as number);
  const noise = Math.max(0.4, typical(band, inside));
  // A patch must not hide itself in its own surroundings: strong values count there only as much as noise does.
  const cap = 3 * noise;
  const capped = new Float32Array(band.length);
  for (let i = 0; i < band.length; i += 1) {
    const v = band[i] as number;
    const size = v < 0 ? -v : v;
    capped[i] = size < cap ? size : cap;
  }
  const around = wideBlur({ width, height, values: capped }, px(AROUND_M));
  const stands = new Float32Array(band.length);
  for (let y = 0, i = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1, i += 1) {
      if (!inside[i]) continue;
      const v = band[i] as number;
      const scale = 1.25 * around(x, y);
      stands[i] = (v < 0 ? -v : v) / (scale > noise ? scale : noise);
    }
  const marked = new Float32Array(stands.length);
  for (let i = 0; i < stands.length; i += 1) marked[i] = (stands[i] as number) > STANDS_OUT ? 1 : 0;
  // Light and shade of one fault belong together.
  const joined = blur({ width, height, values: marked }, Math.max(0.8, px(JOIN_M))).values;
  const together = new Uint8Array(joined.length);
  for (let i = 0; i < joined.length; i += 1)
    together[i] = (joined[i] as number) > 0.12 && inside[i] ? 1 : 0;
  const blobs = blobsOf(together, stands, width, height).filter((b) => {
    const sizeM = Math.sqrt((4 * b.areaPx) / Math.PI) * stepM;
    return b.peak >= PEAK && sizeM >= SIZE_M.least && b.acrossPx * stepM <= SIZE_M.most;
  });
  const isThread = (b: Blob) =>
    b.longPx > THREAD.ratio * b.acrossPx && b.longPx * stepM > THREAD.longM;
  const spots = blobs.filter((b) => !isThread(b));
  const rows = rowsIn(spots, stepM);
  const rowed = new Set(rows.flatMap(({ row }) => row));
  const one = (shape: BreakShape, b: Blob): Break => ({
    ...{ shape, at: [b.x, b.y], count: 1, confidence: confidenceOf(b.peak) },
    sizeM: (shape === 'thread' ? b.longPx : Math.sqrt((4 * b.areaPx) / Math.PI)) * stepM,
  });
  return [
    ...blobs.filter(isThread).map((b) => one('thread', b)),
    ...spots.filter((b) => !rowed.has(b)).map((b) => one('spot', b)),
    ...rows.map(({ row }): Break => {
      const [first, last] = [row[0], row.at(-1)];
      const middle = row[row.length >> 1];
      return {
        ...{ shape: 'row', count: row.length, at: [middle?.x ?? 0, middle?.y ?? 0] },
        sizeM:
          Math.hypot((last?.x ?? 0) - (first?.x ?? 0), (last?.y ?? 0) - (first?.y ?? 0)) * stepM,
        confidence: confidenceOf(Math.max(...row.map((b) => b.peak))),
      };
    }),
  ]
    .filter((b) => insideRing(b.at, ring))
    .sort((a, b) => b.confidence - a.confidence);
}
