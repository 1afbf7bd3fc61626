import { holdsBack, type PlacedTask, type PrepTask, type Removal } from '@/core/prep';
import type { Shop } from '@/data/hooks';
import { piecePrep, rowsBehind, type PiecePrep } from '@/data/prep/prepFacts';
import type { Piece } from '@/data/records/types';

/** A plan stands for this long before it is made again, ms: its clocks count hours. */
const STANDS_MS = 10_000;

interface Known {
  readonly beat: number;
  readonly behind: readonly unknown[];
  readonly prep: PiecePrep;
}
/** The strip, the stages and the screen ask for the same plans, every second and after every write. */
const known = new Map<string, Known>();

/** The preparation of a piece now, to STANDS_MS. */
export function prepOf(shop: Shop, piece: Piece, nowMs: number): PiecePrep {
  const beat = Math.floor(nowMs / STANDS_MS);
  const behind = rowsBehind(piece, shop);
  const here = known.get(piece.id);
  if (
    here?.beat === beat &&
    here.behind.length === behind.length &&
    here.behind.every((row, i) => row === behind[i])
  )
    return here.prep;
  const prep = piecePrep(piece, shop, nowMs);
  known.set(piece.id, { beat, behind, prep });
  return prep;
}

/** What holds a coat of a piece back now. */
export function holdsOf(
  shop: Shop,
  piece: Piece,
  coatId: string,
  nowMs: number,
): readonly PlacedTask[] {
  const { facts, state } = prepOf(shop, piece, nowMs);
  return holdsBack(facts, state, coatId);
}

/** The order of the work in one number: the coats up to here. */
const upTo = (prep: PiecePrep, coatId: string | null): ((t: PlacedTask) => boolean) => {
  const orders = new Map(prep.facts.coats.map((c) => [c.id, c.order]));
  const limit = coatId === null ? Infinity : (orders.get(coatId) ?? Infinity);
  return ({ task }) => task.coatId === null || (orders.get(task.coatId) ?? Infinity) <= limit;
};

const TO_DO: readonly PlacedTask['state'][] = ['open', 'redo', 'blocked', 'waiting', 'later'];
export const isToDo = (placed: PlacedTask): boolean => TO_DO.includes(placed.state);

/** What is to be done on a piece before its next coat, and what waits for no coat. */
export function dueTasks(prep: PiecePrep): readonly PlacedTask[] {
  const next = prep.facts.coats.filter((c) => c.poured === null).sort((a, b) => a.order - b.order);
  return prep.state.tasks.filter(upTo(prep, next[0]?.id ?? null)).filter(isToDo);
}

/** A mask that stands on a piece under a coat that is poured. */
export interface MaskClock {
  readonly piece: Piece;
  readonly task: PrepTask;
  readonly removal: Removal;
  /** On: too early. Best: now. Late: still in time, with heat. Over: past its limit. */
  readonly phase: 'on' | 'best' | 'late' | 'over';
  /** The next change, or the limit that has passed. */
  readonly atMs: number;
}

function phaseOf({ bestFromMs, bestToMs, limitMs }: Removal, nowMs: number) {
  if (nowMs >= limitMs) return { phase: 'over', atMs: limitMs } as const;
  if (nowMs < bestFromMs) return { phase: 'on', atMs: bestFromMs } as const;
  if (nowMs < bestToMs) return { phase: 'best', atMs: Math.min(bestToMs, limitMs) } as const;
  return { phase: 'late', atMs: limitMs } as const;
}

/** The clocks of all masks that still have to come off a piece. */
export function maskClocks(shop: Shop, piece: Piece, nowMs: number): MaskClock[] {
  return prepOf(shop, piece, nowMs).state.tasks.flatMap(({ task, state }) =>
    task.removal && state !== 'done' && state !== 'waived'
      ? [{ piece, task, removal: task.removal, ...phaseOf(task.removal, nowMs) }]
      : [],
  );
}

/** Layers that are drying on a piece. */
export const dryingTasks = (shop: Shop, piece: Piece, nowMs: number): readonly PlacedTask[] =>
  prepOf(shop, piece, nowMs).state.tasks.filter((t) => t.state === 'drying');
