import { fail, ok, type Issue, type Result } from '../result';

export interface OrderedCoat {
  readonly order: number;
  readonly poured: boolean;
}

/**
 * Checks that the coats of a piece can lie on each other.
 * @param coats in any order
 * @returns them from the ground up; `not-allowed` where two claim one place, `out-of-order` where a poured coat
 *   would lie on one that is not poured, each with the index of the coat as path
 */
export function checkCoatOrder<C extends OrderedCoat>(coats: readonly C[]): Result<readonly C[]> {
  const placed = coats.map((coat, index) => ({ coat, index }));
  const sorted = placed.sort((a, b) => a.coat.order - b.coat.order);
  const issues = sorted.flatMap(({ coat, index }, i): Issue[] => {
    const under = sorted[i - 1]?.coat;
    if (!under) return [];
    if (under.order === coat.order)
      return [{ code: 'not-allowed', path: [index], value: coat.order }];
    if (coat.poured && !under.poured)
      return [{ code: 'out-of-order', path: [index], value: coat.order }];
    return [];
  });
  return issues.length > 0 ? fail(...issues) : ok(sorted.map(({ coat }) => coat));
}
