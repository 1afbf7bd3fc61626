/**
 * Item `i` of a list that has one.
 * @throws RangeError when it has none: a miss is a bug, never a zero. Loops over large typed arrays, whose indexes
 *   they make themselves, read `x[i] as number` instead.
 */
export function itemAt<T>(list: ArrayLike<T>, i: number): T {
  const item = list[i];
  if (item === undefined) throw new RangeError(`itemAt: no item ${i} of ${list.length}`);
  return item;
}
