'use client';
import { SECOND_MS, useNow, useShop } from '@/data/hooks';
import { readStrip, type Strip } from './stripModel';

/** The clocks of the shop: each second while one of them tells seconds, else seldom, so that an idle shop rests. */
export function useStrip(): Strip {
  const shop = useShop();
  const now = useNow(SECOND_MS);
  const strip = readStrip(shop, useNow());
  return strip.items.some((item) => item.ticks) ? readStrip(shop, now) : strip;
}
