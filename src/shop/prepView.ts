import { holdsBack, type PlacedTask, type PrepTask, type Removal } from '@/core/prep';
import { ofPiece } from './ofPiece';
import { laidMasks, piecePrep, rowsBehind, type PiecePrep } from './prepFacts';
import type { Piece } from '@/records';
import type { Shop } from './shop';

/** A plan that time moves on stands for this long before it is made again, ms: its clocks count hours. */
const STANDS_MS = 10_000;
/** Any other plan, ms. */
const RESTS_MS = 600_000;

interface Known {
  readonly shop: Shop;
  readonly madeMs: number;
  readonly standsMs: number;
  readonly behind: readonly unknown[];
  readonly prep: PiecePrep;
}
/** The strip, the stages and the screen ask for the same plans, every second and after every write. */
const known = new Map<string, Known>();

/** Whether time alone moves this plan on: something cures, dries, waits or stands under a mask. */
const moves = ({ facts, state }: PiecePrep): boolean =>
  state.tasks.some((t) => t.untilMs !== null) ||
  facts.masks.some((m) => m.takenOffMs === null) ||
  facts.coats.some(({ poured }) => {
    if (!poured) return false;
    const { handleMs, recoatClosesMs, unmaskClosesMs } = poured;
    const lasts = [handleMs, recoatClosesMs, unmaskClosesMs].filter(Number.isFinite);
    return !(Math.max(...lasts) <= facts.nowMs);
  });

/** The preparation of a piece now, to STANDS_MS. */
export function prepOf(shop: Shop, piece: Piece, nowMs: number): PiecePrep {
  const here = known.get(piece.id);
  const timely = here && nowMs >= here.madeMs && nowMs < here.madeMs + here.standsMs;
  if (timely && here.shop === shop && here.behind[0] === piece) return here.prep;
  const behind = rowsBehind(piece, shop);
  const same =
    timely &&
    here.behind.length === behind.length &&
    here.behind.every((row, i) => row === behind[i]);
  const prep = same ? here.prep : piecePrep(piece, shop, nowMs);
  known.set(
    piece.id,
    same
      ? { ...here, shop }
      : { shop, madeMs: nowMs, standsMs: moves(prep) ? STANDS_MS : RESTS_MS, behind, prep },
  );
  return prep;
}

/** What a plan holds back, by coat. */
const holds = new WeakMap<PiecePrep, Map<string, readonly PlacedTask[]>>();

/** What holds a coat of a piece back now. */
export function holdsOf(
  shop: Shop,
  piece: Piece,
  coatId: string,
  nowMs: number,
): readonly PlacedTask[] {
  const prep = prepOf(shop, piece, nowMs);
  const here = holds.get(prep) ?? new Map<string, readonly PlacedTask[]>();
  holds.set(prep, here);
  const found = here.get(coatId) ?? holdsBack(prep.facts, prep.state, coatId);
  here.set(coatId, found);
  return found;
}

/** The order of the work in one number: the coats up to here. */
const upTo = (prep: PiecePrep, coatId: string | null): ((t: PlacedTask) => boolean) => {
  const orders = new Map(prep.facts.coats.map((c) => [c.id, c.order]));
  const limit = coatId === null ? Infinity : (orders.get(coatId) ?? Infinity);
  return ({ task }) => task.coatId === null || (orders.get(task.coatId) ?? Infinity) <= limit;
};

const TO_DO: readonly PlacedTask['state'][] = ['open', 'redo', 'blocked', 'waiting', 'later'];
export const isToDo = (placed: Pick<PlacedTask, 'state'>): boolean => TO_DO.includes(placed.state);

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

/** Whether a mask may stand on a piece; a cheap look at its rows before a whole plan is made. */
function mayBeMasked({ tasks, settings }: Shop, piece: Piece): boolean {
  const school = piece.prep.mask ?? settings.prep.mask;
  return (
    school === 'none' || laidMasks(ofPiece(tasks, piece.id)).some((m) => m.takenOffMs === null)
  );
}

/** After this long a finished piece has dried, ms. Judgement, no source. */
const DRIED_MS = 60 * 86_400_000;

/** Whether a layer may dry on a piece; a cheap look at its rows before a whole plan is made. */
const mayDry = ({ tasks, coats }: Shop, { id }: Piece, nowMs: number): boolean =>
  ofPiece(coats, id).some((c) => c.pouredMs === null) ||
  ofPiece(tasks, id).some((t) => t.state === 'done' && (t.doneMs ?? nowMs) > nowMs - DRIED_MS);

/** The clocks of all masks that still have to come off a piece. */
export function maskClocks(shop: Shop, piece: Piece, nowMs: number): MaskClock[] {
  if (!mayBeMasked(shop, piece)) return [];
  return prepOf(shop, piece, nowMs).state.tasks.flatMap(({ task, state }) =>
    task.removal && state !== 'done' && state !== 'waived'
      ? [{ piece, task, removal: task.removal, ...phaseOf(task.removal, nowMs) }]
      : [],
  );
}

/** Whether a step may be left after the last coat; a cheap look at its rows before a whole plan is made. */
const mayWantMore = ({ tasks }: Shop, { id }: Piece): boolean =>
  ofPiece(tasks, id).some(
    (t) => t.rule === 'mask' || (t.own?.on.at === 'last' && t.state === 'open'),
  );

/** Needed steps that are left once every coat lies; masks have clocks of their own. */
export const leftSteps = (shop: Shop, piece: Piece, nowMs: number): readonly PlacedTask[] =>
  mayWantMore(shop, piece)
    ? prepOf(shop, piece, nowMs).state.tasks.filter(
        ({ task, state }) =>
          task.coatId === null && task.needed && !task.removal && isToDo({ state }),
      )
    : [];

/** Layers that are drying on a piece. */
export const dryingTasks = (shop: Shop, piece: Piece, nowMs: number): readonly PlacedTask[] =>
  mayDry(shop, piece, nowMs)
    ? prepOf(shop, piece, nowMs).state.tasks.filter((t) => t.state === 'drying')
    : [];

/** Whether a mask under a coat was noted, standing or off again. */
export const wasMasked = (shop: Shop, piece: Piece, coatId: string): boolean =>
  laidMasks(ofPiece(shop.tasks, piece.id)).some((m) => m.coatId === coatId);
