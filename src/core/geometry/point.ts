/** A point in m, x to the right, y up. */
export type Point = readonly [number, number];
