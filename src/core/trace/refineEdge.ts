import { itemAt } from '../numeric';
import type { Point } from '../geometry';
import { nearest, opponent, type Palette } from './colourModel';
import { resampleRing, smoothRing } from './contourOf';
import type { Raster } from './raster';

/** Distance of the points along the edge, and how far inside and outside colours are read, cells. */
const ALONG = 2;
const APART = 4;
/** Cost of a step of one cell between neighbours along the edge. Chosen on the drawn test pictures. */
const BEND_COST = 0.6;
/** What a step of one grey level counts against one cell of evidence. Chosen likewise. */
const STEP_PULL = 0.03;

/** A smaller step of colour than this, grey levels, does not tell where the edge is. */
const LEAST_STEP = 8;

/** Colour between cells (red, green, blue), or null where the raster is not known. */
export function colourAt(
  { width, height, channels, known }: Raster,
  [x, y]: Point,
): number[] | null {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  if (!(left >= 0 && top >= 0 && left + 1 < width && top + 1 < height)) return null;
  const at = top * width + left;
  if (!known[at] || !known[at + 1] || !known[at + width] || !known[at + width + 1]) return null;
  const [u, v] = [x - left, y - top];
  return channels.map(
    (c) =>
      (itemAt(c, at) * (1 - u) + itemAt(c, at + 1) * u) * (1 - v) +
      (itemAt(c, at + width) * (1 - u) + itemAt(c, at + width + 1) * u) * v,
  );
}

/** Colours along the outward normal, from −reach to +reach; null where the picture ends. */
type Profile = readonly (number[] | null)[];

/** How well each offset parts piece from rest: sum of evidence inside less outside. */
function splitScores(profile: Profile, piece: Palette, rest: Palette, reach: number): number[] {
  const evidence = profile.map((colour) => {
    if (!colour) return -0.5;
    const seen = opponent(itemAt(colour, 0), itemAt(colour, 1), itemAt(colour, 2));
    const [near, far] = [nearest(piece, seen), nearest(rest, seen)];
    return (far - near) / (near + far + 0.02);
  });
  const total = evidence.reduce((a, b) => a + b, 0);
  const scores: number[] = [];
  let before = 0;
  for (let k = 0; k < profile.length; k += 1) {
    before += itemAt(evidence, k);
    const [a, b] = [profile[k - 1], profile[k + 1]];
    const step = a && b ? Math.hypot(...a.map((v, c) => v - itemAt(b, c))) : 0;
    if (k >= APART && k < profile.length - APART)
      scores.push(2 * before - total + step * STEP_PULL);
  }
  return scores.slice(0, 2 * reach + 1);
}

/** The run of offsets with the best sum of scores that bends little; closed by running twice round. */
function bestRun(scores: readonly (readonly number[])[], states: number): number[] {
  const n = scores.length;
  const back: Int8Array[] = [];
  let best = Float64Array.from(itemAt(scores, 0));
  for (let k = 1; k < 2 * n; k += 1) {
    const from = new Int8Array(states);
    const next = new Float64Array(states);
    for (let s = 0; s < states; s += 1) {
      let [top, step] = [-Infinity, 0];
      for (const d of [-2, -1, 0, 1, 2]) {
        const value =
          s + d >= 0 && s + d < states ? itemAt(best, s + d) - BEND_COST * d * d : -Infinity;
        if (value > top) [top, step] = [value, d];
      }
      from[s] = step;
      next[s] = top + itemAt(itemAt(scores, k % n), s);
    }
    back.push(from);
    best = next;
  }
  let state = best.indexOf(Math.max(...best));
  const run = new Array<number>(n).fill(0);
  for (let k = 2 * n - 1; k > 0; k -= 1) {
    if (k < n + n / 2 && k >= n / 2) run[k % n] = state;
    state += itemAt(itemAt(back, k - 1), state);
  }
  return run;
}

/** Where the edge lies within ±2 cells of an offset, from how far each colour is mixed; keeps area. */
function subCell(profile: Profile, at: number): number {
  const mean = (from: number, to: number): number[] | null => {
    const colours = profile.slice(from, to + 1).filter((c) => c !== null);
    if (colours.length === 0) return null;
    return [0, 1, 2].map((c) => colours.reduce((s, v) => s + itemAt(v, c), 0) / colours.length);
  };
  const [inner, outer] = [mean(at - APART, at - 2), mean(at + 2, at + APART)];
  if (!inner || !outer) return at + 0.5;
  const across = inner.map((v, c) => v - itemAt(outer, c));
  const size = across.reduce((s, v) => s + v * v, 0);
  if (size < LEAST_STEP ** 2) return at + 0.5;
  let covered = 0;
  for (let k = at - 2; k <= at + 2; k += 1) {
    const colour = profile[k];
    if (!colour) return at + 0.5;
    const share =
      colour.reduce((s, v, c) => s + (v - itemAt(outer, c)) * itemAt(across, c), 0) / size;
    covered += Math.min(1, Math.max(0, share));
  }
  return at - 2.5 + covered;
}

/**
 * Moves a rough contour onto the edge that the colours show, to a part of a cell.
 * @param raster fine @param ring rough contour in its columns and rows, clockwise on screen or not
 * @param reach cells to each side in which the edge is sought, >= 1
 * @returns ring of points about two cells apart
 * Source: best cut of each normal by evidence, joined by dynamic programming (Amini et al. 1990, from
 *   memory); last step keeps the share of each mixed cell (Tabatabai & Mitchell 1984, from memory).
 */
export function refineEdge(
  raster: Raster,
  ring: readonly Point[],
  piece: Palette,
  rest: Palette,
  reach: number,
): Point[] {
  const base = smoothRing(resampleRing(ring, ALONG), 3);
  const n = base.length;
  const turn = base.reduce((s, p, i) => {
    const q = base[(i + 1) % n] ?? p;
    return s + p[0] * q[1] - q[0] * p[1];
  }, 0);
  const outward = base.map((_, i): Point => {
    const [a, b] = [itemAt(base, (i + n - 3) % n), itemAt(base, (i + 3) % n)];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const length = Math.hypot(dx, dy) || 1;
    return turn > 0 ? [dy / length, -dx / length] : [-dy / length, dx / length];
  });
  const half = reach + APART;
  const profiles = base.map((p, i): Profile => {
    const normal = itemAt(outward, i);
    return Array.from({ length: 2 * half + 1 }, (_, k) =>
      colourAt(raster, [p[0] + normal[0] * (k - half), p[1] + normal[1] * (k - half)]),
    );
  });
  const scores = profiles.map((profile) => splitScores(profile, piece, rest, reach));
  const run = bestRun(scores, 2 * reach + 1);
  return base.map((p, i) => {
    // Offset s stands between cell s and the next, half a cell on.
    const offset = subCell(itemAt(profiles, i), itemAt(run, i) + APART) - half;
    const normal = itemAt(outward, i);
    return [p[0] + normal[0] * offset, p[1] + normal[1] * offset];
  });
}
