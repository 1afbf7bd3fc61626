/**
 * Repeatable random numbers for fuzz tests and drawn pictures.
 * @param seed any 32-bit integer @returns a function giving the next number in [0, 1)
 * Source: mulberry32 (T. Ettinger, public domain, from memory).
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
