import { assert } from '../result';

/** Two-sided 95 % of a standard normal variable. */
const Z95 = 1.959963984540054;

/** A share that was counted, with the band that the true share lies in with 95 %. */
export interface Proportion {
  readonly hits: number;
  readonly of: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Wilson’s score interval of a proportion.
 * @param hits counted, 0…of @param of how many were looked at, > 0
 * @throws RangeError outside those intervals
 * Source: Wilson, 1927, J. Am. Stat. Assoc. 22; checked against the worked example of Newcombe, 1998, Stat. Med. 17.
 */
export function proportion(hits: number, of: number): Proportion {
  assert(of > 0 && hits >= 0 && hits <= of, 'proportion', { hits, of });
  const share = hits / of;
  const z2 = Z95 ** 2;
  const middle = (share + z2 / (2 * of)) / (1 + z2 / of);
  const half = (Z95 / (1 + z2 / of)) * Math.sqrt((share * (1 - share)) / of + z2 / (4 * of * of));
  return { hits, of, share, low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

const logFactorials: number[] = [0];
function logFactorial(n: number): number {
  for (let i = logFactorials.length; i <= n; i += 1)
    logFactorials.push((logFactorials[i - 1] ?? 0) + Math.log(i));
  return logFactorials[n] ?? NaN;
}
const logChoose = (n: number, k: number) => logFactorial(n) - logFactorial(k) - logFactorial(n - k);

/** Coats counted by whether a circumstance was so and whether the fault was found. */
export interface Counts {
  readonly withBoth: number;
  readonly faultOnly: number;
  readonly circumstanceOnly: number;
  readonly neither: number;
}

/**
 * How likely chance alone puts at least so many of the faults under the circumstance.
 * @param counts coats, each a whole number >= 0
 * @returns probability, 0…1
 * Source: Fisher’s exact test, one-sided (Fisher, 1935; from memory), hypergeometric tail.
 */
export function byChance({ withBoth, faultOnly, circumstanceOnly, neither }: Counts): number {
  const faults = withBoth + faultOnly;
  const circumstance = withBoth + circumstanceOnly;
  const all = faults + circumstanceOnly + neither;
  const most = Math.min(faults, circumstance);
  let tail = 0;
  for (let k = withBoth; k <= most; k += 1)
    if (faults - k <= all - circumstance)
      tail += Math.exp(
        logChoose(circumstance, k) +
          logChoose(all - circumstance, faults - k) -
          logChoose(all, faults),
      );
  return Math.min(1, tail);
}

/** Chance below which something is called more than chance, before it is shared by how many were tried. */
export const MORE_THAN_CHANCE = 0.05;
