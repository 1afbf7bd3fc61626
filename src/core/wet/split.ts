import { assert } from '../result';

/** More coats than this are not gathered into one session: every way to share them out is looked at. */
export const MOST_COATS = 12;

/** What is known of coats that would be mixed as one batch. */
export interface Judged {
  /** It can be measured, poured in its working time and left standing in its cup. */
  readonly fits: boolean;
  /** What is mixed and poured on no piece: cup, stick and reserve, m³. */
  readonly wasteM3: number;
}

interface Best {
  readonly batches: number;
  readonly wasteM3: number;
  /** The last batch of this way, as a set of bits. */
  readonly last: number;
}

const members = (set: number, coats: number): number[] =>
  Array.from({ length: coats }, (_, i) => i).filter((i) => (set & (1 << i)) !== 0);

const better = (a: Best, b: Best | undefined): boolean =>
  !b || a.batches < b.batches || (a.batches === b.batches && a.wasteM3 < b.wasteM3);

/**
 * Shares coats out over batches: as few as can be, and of those the ones that waste least.
 * @param coats how many, 1…{@link MOST_COATS} @param judge told the places of the coats of one batch
 * @returns places by batch, in the order of their first coats; a coat that fits in no batch is one by itself
 * @throws RangeError on a number of coats outside that interval
 * Source: exact, by dynamic programming over all subsets (Held and Karp 1962); a general solver agrees, see the tests.
 */
export function shareOut(coats: number, judge: (places: readonly number[]) => Judged): number[][] {
  assert(coats >= 1 && coats <= MOST_COATS, 'shareOut', coats);
  const all = (1 << coats) - 1;
  const judged = Array.from({ length: all + 1 }, (_, set) => {
    if (set === 0) return null;
    const here = judge(members(set, coats));
    const alone = (set & (set - 1)) === 0;
    return here.fits || alone ? here : null;
  });
  const best: (Best | undefined)[] = [{ batches: 0, wasteM3: 0, last: 0 }];
  for (let set = 1; set <= all; set += 1) {
    // The batch of the first coat that is left is chosen, so that no way is looked at twice.
    const first = set & -set;
    for (let batch = set; batch > 0; batch = (batch - 1) & set) {
      const here = batch & first ? judged[batch] : null;
      const rest = best[set ^ batch];
      if (!here || !rest) continue;
      const way = {
        batches: rest.batches + 1,
        wasteM3: rest.wasteM3 + here.wasteM3,
        last: batch,
      };
      if (better(way, best[set])) best[set] = way;
    }
  }
  const batches: number[][] = [];
  for (let set = all; set > 0;) {
    const last = best[set]?.last ?? set;
    batches.push(members(last, coats));
    set ^= last;
  }
  return batches;
}
