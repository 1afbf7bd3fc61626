/**
 * Least and greatest of many numbers, in one pass and without a call of as many arguments.
 * @returns [Infinity, −Infinity] of none; numbers that are not numbers are passed over
 */
export function extent(values: Iterable<number>): readonly [least: number, greatest: number] {
  let [least, greatest] = [Infinity, -Infinity];
  for (const value of values) {
    if (value < least) least = value;
    if (value > greatest) greatest = value;
  }
  return [least, greatest];
}
