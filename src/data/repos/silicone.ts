import type { Id } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

/**
 * Notes that silicone came into a coat, as oil in a colour or release spray on its dam, or that it did not: a coat over
 * it is washed and degreased for.
 * @throws StaleActionError when the coat is gone
 */
export function noteSilicone(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  silicone: boolean,
): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    if (!coat) throw new StaleActionError('coat gone or being mixed');
    await w.put('coats', { ...coat, silicone });
    const text = silicone ? `${coat.name}: silicone in it` : `${coat.name}: no silicone in it`;
    await w.log('coat changed', { pieceId: coat.pieceId, coatId, text });
  });
}
