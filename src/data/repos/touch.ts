import type { Touched, TouchFind } from '@/core/resin';
import type { Coat, Id } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

/** The same finding again so soon is the same touch: a second tap tells nothing more, ms. */
const SAME_TOUCH_MS = 60_000;

const words = ({ name }: Coat, found: TouchFind, on: Touched): string =>
  on === 'coat' ? `${name}: ${found}` : `${name}, ${on}: ${found}`;

/**
 * A finger touched a coat, or its witness: what it found moves the clock of that coat. A witness cup stands for all coats
 * that were poured from its batch.
 * @throws StaleActionError when the coat is gone or not poured
 */
export function noteTouch(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  found: TouchFind,
  on: Touched = 'coat',
): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    if (!coat || coat.pouredMs === null || coat.pouredMs > context.nowMs)
      throw new StaleActionError('nothing to touch');
    const wide = on === 'witness cup' && coat.batchId !== null;
    const mates = wide ? await db.coats.where('batchId').equals(coat.batchId).toArray() : [coat];
    const touch = { atMs: context.nowMs, found, on };
    const last = coat.touches.findLast((t) => t.on === on);
    if (last?.found === found && context.nowMs - last.atMs < SAME_TOUCH_MS) return;
    for (const mate of mates) {
      if (mate.pouredMs === null || mate.pouredMs > context.nowMs) continue;
      await w.put('coats', { ...mate, touches: [...mate.touches, touch] });
      const { pieceId, id } = mate;
      await w.log('touch noted', { pieceId, coatId: id, text: words(mate, found, on) });
    }
  });
}

/**
 * A touch was noted by mistake; that of a witness cup goes from all coats of its batch.
 * @throws StaleActionError when it is not there any more
 */
export function takeTouchBack(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  atMs: number,
): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    const touch = coat?.touches.find((t) => t.atMs === atMs);
    if (!coat || !touch) throw new StaleActionError('already taken back');
    const { found, on } = touch;
    const wide = on === 'witness cup' && coat.batchId !== null;
    const mates = wide ? await db.coats.where('batchId').equals(coat.batchId).toArray() : [coat];
    for (const mate of mates) {
      const touches = mate.touches.filter((t) => t.atMs !== atMs || t.on !== on);
      if (touches.length === mate.touches.length) continue;
      await w.put('coats', { ...mate, touches });
      await w.log('touch taken back', {
        ...{ pieceId: mate.pieceId, coatId: mate.id, text: words(mate, found, on) },
        figures: { atMs },
      });
    }
  });
}
