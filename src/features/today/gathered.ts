import { allNow, type PlacedTask } from '@/core/prep';
import type { Piece } from '@/records';
import type { PieceAt } from '@/shop/instant';

/** One step that several pieces wait for alike: done in one round of the bench. */
export interface Gathered {
  readonly key: string;
  readonly title: string;
  /** Whether something has to dry or wait after it: the sooner it is done, the sooner the rest can follow. */
  readonly makesWait: boolean;
  readonly steps: readonly { readonly piece: Piece; readonly placed: PlacedTask }[];
}

/** Steps that are gathered from this many pieces on. */
const ALIKE = 2;

/**
 * Steps before the next coats that pieces ask for alike, those first that make something else wait.
 * @param pieces with what they ask for @returns only what can be done now, on two pieces or more
 */
export function gathered(pieces: readonly PieceAt[]): readonly Gathered[] {
  const groups = new Map<string, Gathered & { steps: Gathered['steps'][number][] }>();
  for (const { view, asks } of pieces)
    for (const ask of asks) {
      if (ask.is !== 'prepare') continue;
      const now = new Set(allNow(ask.held));
      for (const placed of ask.open.filter((p) => now.has(p))) {
        const { rule, title, drying } = placed.task;
        const key = `${rule} ${title}`;
        const group = groups.get(key) ?? { key, title, makesWait: false, steps: [] };
        group.steps.push({ piece: view.piece, placed });
        groups.set(key, { ...group, makesWait: group.makesWait || drying !== null });
      }
    }
  return [...groups.values()]
    .filter((g) => new Set(g.steps.map((s) => s.piece.id)).size >= ALIKE)
    .sort((a, b) => Number(b.makesWait) - Number(a.makesWait) || b.steps.length - a.steps.length);
}
