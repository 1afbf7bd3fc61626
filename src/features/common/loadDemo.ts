import type { ShopDb } from '@/data/db';
import { fillEmptyShop } from '@/data/exchange/shopFile';
import type { ActionContext } from '@/data/write';

/** Loads the invented shop, its clocks set to now. False when the shop is not empty; it is then left alone. */
export async function loadDemo(db: ShopDb, context: ActionContext): Promise<boolean> {
  const { demoShop } = await import('@/demo');
  return fillEmptyShop(db, demoShop(context.nowMs));
}
