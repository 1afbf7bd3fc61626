import { assert } from '../result';

/** The two scales in use for coated abrasives. */
export type GritScale = 'P' | 'CAMI';

/** Median grain size of each P grit, µm. FEPA 43 / ISO 6344, from memory. */
const P_UM: readonly (readonly [grit: number, um: number])[] = [
  [80, 201],
  [100, 162],
  [120, 125],
  [150, 100],
  [180, 82],
  [220, 68],
  [240, 58.5],
  [280, 52.2],
  [320, 46.2],
  [360, 40.5],
  [400, 35.0],
  [500, 30.2],
  [600, 25.8],
  [800, 21.8],
  [1000, 18.3],
  [1200, 15.3],
  [1500, 12.6],
  [2000, 10.3],
  [2500, 8.4],
];

/** Median grain size of each CAMI grit, µm, ± 10 %. From memory. */
const CAMI_UM: readonly (readonly [grit: number, um: number])[] = [
  [80, 190],
  [100, 140],
  [120, 115],
  [150, 92],
  [180, 82],
  [220, 68],
  [240, 53.5],
  [280, 44],
  [320, 36],
  [360, 28.8],
  [400, 23.6],
  [500, 19.7],
  [600, 16],
  [800, 12.2],
  [1000, 9.2],
  [1200, 6.5],
];

const TABLES = { P: P_UM, CAMI: CAMI_UM } as const;

/** Grits of a scale, coarsest first. */
export const grits = (scale: GritScale): readonly number[] => TABLES[scale].map(([grit]) => grit);

/**
 * Median grain size d50, m.
 * @throws RangeError when the scale has no such grit
 * Source: FEPA 43 / ISO 6344 and CAMI tables, from memory.
 */
export function grainSize(scale: GritScale, grit: number): number {
  const row = TABLES[scale].find(([g]) => g === grit);
  assert(row !== undefined, 'grainSize', { scale, grit });
  return row[1] * 1e-6;
}

/**
 * The grit of the other scale whose grain is nearest.
 * @returns grit, or null when this one is finer than the other scale goes (beyond ¾ of its finest grain)
 * Source: nearest d50 by ratio.
 */
export function nearestGrit(from: GritScale, grit: number, to: GritScale): number | null {
  const size = grainSize(from, grit) * 1e6;
  const finest = TABLES[to].at(-1)?.[1] ?? 0;
  if (size < 0.8 * finest) return null;
  const off = (um: number) => Math.abs(Math.log(um / size));
  return TABLES[to].reduce((best, row) => (off(row[1]) < off(best[1]) ? row : best))[0];
}

/** Scratches that a grain leaves, m: roughness Rz from…to, and the deepest. */
export interface Scratch {
  readonly fromM: number;
  readonly toM: number;
  readonly deepestM: number;
}

/** Scratch depth over grain size. Rule of thumb, not a standard, from memory. */
const SCRATCH = { from: 0.1, to: 0.2, deepest: 0.4 } as const;

/** Expected scratch of a grain size, m. Source: rule of thumb, Rz 0.1–0.2 d50, deepest 0.4 d50. */
export const scratchOf = (grainM: number): Scratch => ({
  fromM: SCRATCH.from * grainM,
  toM: SCRATCH.to * grainM,
  deepestM: SCRATCH.deepest * grainM,
});

/** Largest step from one grit to the next, d50 over d50. Rule of thumb, from memory. */
export const LARGEST_STEP = 1.6;

/**
 * Grits from a coarse to a fine one, no step larger than LARGEST_STEP, as few as that allows.
 * @param scale of both @param from, to grits of the scale, `from` not the finer
 * @returns grits, both ends included
 * @throws RangeError when a grit is unknown or `to` is coarser than `from`
 * Source: each grit must take out the deepest scratch of the one before; step rule of thumb.
 */
export function gritSequence(scale: GritScale, from: number, to: number): number[] {
  const all = grits(scale);
  const [first, last] = [all.indexOf(from), all.indexOf(to)];
  assert(first >= 0 && last >= first, 'gritSequence', { scale, from, to });
  const steps = [from];
  let at = first;
  while (at < last) {
    let next = at + 1;
    const size = grainSize(scale, all[at] ?? from);
    while (next < last && size / grainSize(scale, all[next + 1] ?? to) <= LARGEST_STEP) next += 1;
    at = next;
    steps.push(all[at] ?? to);
  }
  return steps;
}
