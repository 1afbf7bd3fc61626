import type { ShopDb } from '@/data/db';
import type { ActionContext } from '@/data/write';

/** Loads the invented shop, its clocks set to now. False when the shop is not empty; it is then left alone. */
export async function loadDemo(db: ShopDb, context: ActionContext): Promise<boolean> {
  const [{ demoShop }, { fillEmptyShop }] = await Promise.all([
    import('@/demo'),
    import('@/data/exchange/shopFile'),
  ]);
  return fillEmptyShop(db, demoShop(context.nowMs));
}
