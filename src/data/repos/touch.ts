import type { TouchFind } from '@/core/resin';
import type { Id } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

/**
 * A finger touched a coat: what it found moves the clock of that coat.
 * @throws StaleActionError when the coat is gone or not poured
 */
export function noteTouch(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  found: TouchFind,
): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    if (!coat || coat.pouredMs === null || coat.pouredMs > context.nowMs)
      throw new StaleActionError('nothing to touch');
    const touches = [...coat.touches, { atMs: context.nowMs, found }];
    await w.put('coats', { ...coat, touches });
    await w.log('touch noted', { pieceId: coat.pieceId, coatId, text: `${coat.name}: ${found}` });
  });
}

/**
 * A touch was noted by mistake.
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
    await w.put('coats', { ...coat, touches: coat.touches.filter((t) => t !== touch) });
    const text = `${coat.name}: ${touch.found}`;
    await w.log('touch taken back', { pieceId: coat.pieceId, coatId, text, figures: { atMs } });
  });
}
