import { demoShop } from '@/demo';
import { settle } from '@/shop/settle';
import { keepShop, type Shop, type ShopRows } from '@/shop/shop';
import { DEFAULT_SETTINGS } from '@/records';
import { formatOf } from '../common/useFormat';

/** Tuesday 24 November 2026, 13:30 by the clock of the machine. */
export const NOW = new Date(2026, 10, 24, 13, 30).getTime();
export const HOUR = 3_600_000;

/** The demo shop as screens see it. */
export function demoView(nowMs = NOW): Shop {
  const rows = demoShop(nowMs);
  const tables = { ...rows, settings: [DEFAULT_SETTINGS] } as unknown as ShopRows;
  return { ...rows, ...keepShop(tables, settle).shop } as unknown as Shop;
}

export const METRIC = formatOf(DEFAULT_SETTINGS);
export const US = formatOf({ ...DEFAULT_SETTINGS, units: 'us' });
export const plain = (text: string) => text.replaceAll('\u00a0', ' ');
