import { controlPoints, type Point } from '../geometry';
import type { Loop, Stretch } from './region';

/** Stretches in a row that are walked as one, from one node to the next. */
export type Chain = readonly Stretch[];

const direction = (points: readonly Point[]): number => {
  const base = points[0] ?? [0, 0];
  const other = points.find((p) => Math.hypot(p[0] - base[0], p[1] - base[1]) > 1e-14) ?? base;
  return Math.atan2(other[1] - base[1], other[0] - base[0]);
};
const leaves = (chain: Chain): number => {
  const first = chain[0];
  return first ? direction(controlPoints(first.from, first.segment)) : 0;
};
/** Direction back along a chain from its end. */
const back = (chain: Chain): number => {
  const last = chain.at(-1);
  return last ? direction([...controlPoints(last.from, last.segment)].reverse()) : 0;
};

const key = ([x, y]: Point): string => `${x} ${y}`;

const TURN = 2 * Math.PI;

/**
 * Closed boundaries of the regions that lie to the left of chains.
 * @param chains each from a node to a node; those that border a region come in the way that has it on their left
 * @returns loops, and the chains each is made of, by index
 * Source: face tracing of a planar graph: at a node the sharpest turn to the left.
 */
export function traceLoops(
  chains: readonly Chain[],
): { readonly loop: Loop; readonly of: readonly number[] }[] {
  const out = new Map<string, number[]>();
  chains.forEach((chain, i) => {
    const [first] = chain;
    if (!first) return;
    const here = out.get(key(first.from));
    if (here) here.push(i);
    else out.set(key(first.from), [i]);
  });
  const next = (i: number): number | null => {
    const chain = chains[i] ?? [];
    const end = chain.at(-1)?.segment.to;
    const from = end ? (out.get(key(end)) ?? []) : [];
    const behind = back(chain);
    const clockwise = (k: number): number => {
      const turn = (((behind - leaves(chains[k] ?? [])) % TURN) + TURN) % TURN;
      return turn < 1e-12 ? TURN : turn;
    };
    return from.reduce<number | null>(
      (best, k) => (best === null || clockwise(k) < clockwise(best) ? k : best),
      null,
    );
  };
  const used = new Set<number>();
  const loops: { loop: Loop; of: readonly number[] }[] = [];
  chains.forEach((_, start) => {
    const of: number[] = [];
    for (let i: number | null = start; i !== null && !used.has(i); i = next(i)) {
      used.add(i);
      of.push(i);
    }
    // Chains of 10,000 stretches are met: concat copies them whole.
    const loop = ([] as Stretch[]).concat(...of.map((i) => chains[i] ?? []));
    if (loop.length > 0) loops.push({ loop, of });
  });
  return loops;
}
