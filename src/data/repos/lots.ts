import type { Id, Lot } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

/** Adds bottles, or changes what was told of them. */
export function saveLot(db: ShopDb, context: ActionContext, lot: Lot): Promise<void> {
  return act(db, context, ['lots', 'resins'], async (w) => {
    const resin = await db.resins.get(lot.resinId);
    if (!resin) throw new StaleActionError('lot gone');
    const known = await db.lots.get(lot.id);
    await w.put('lots', lot);
    await w.log(known ? 'lot changed' : 'lot added', { text: `${resin.name}: ${lot.name}` });
  });
}

const LOG_OF = { openedMs: 'lot opened', emptyMs: 'lot empty' } as const;

/**
 * Bottles were opened, or are used up; both at the instant of the act.
 * @throws StaleActionError when they are gone, or that was told already
 */
export function markLot(
  db: ShopDb,
  context: ActionContext,
  lotId: Id<'lot'>,
  what: keyof typeof LOG_OF,
): Promise<void> {
  return act(db, context, ['lots'], async (w) => {
    const lot = await db.lots.get(lotId);
    if (!lot || lot[what] !== null) throw new StaleActionError('lot gone');
    await w.put('lots', { ...lot, [what]: context.nowMs });
    await w.log(LOG_OF[what], { text: lot.name });
  });
}

/**
 * Bottles that were noted by mistake go.
 * @throws StaleActionError when they are gone, or a batch was mixed from them
 */
export function removeLot(db: ShopDb, context: ActionContext, lotId: Id<'lot'>): Promise<void> {
  return act(db, context, ['lots', 'batches'], async (w) => {
    const lot = await db.lots.get(lotId);
    const used = await db.batches.filter((b) => b.lotId === lotId).count();
    if (!lot || used > 0) throw new StaleActionError('lot gone');
    await db.lots.delete(lotId);
    await w.log('lot removed', { text: lot.name });
  });
}
