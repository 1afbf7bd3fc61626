import { demoShop } from '@/demo';
import type { Shop } from '@/data/hooks/ShopProvider';
import { DEFAULT_SETTINGS } from '@/data/records/types';
import { formatOf } from '../common/useFormat';

/** Tuesday 24 November 2026, 13:30 by the clock of the machine. */
export const NOW = new Date(2026, 10, 24, 13, 30).getTime();
export const HOUR = 3_600_000;

/** The demo shop as screens see it. */
export const demoView = (nowMs = NOW): Shop =>
  ({ ...demoShop(nowMs), settings: DEFAULT_SETTINGS }) as unknown as Shop;

export const METRIC = formatOf(DEFAULT_SETTINGS);
export const US = formatOf({ ...DEFAULT_SETTINGS, units: 'us' });
export const plain = (text: string) => text.replaceAll('\u00a0', ' ');
