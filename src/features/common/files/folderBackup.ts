import { format as formatDate } from 'date-fns';
import { leaveFor, writeInto, type Folder } from '@/data/backupFolder';
import type { Shop } from '@/shop/shop';
import { shopJob } from './shopJob';

/** A backup goes into the folder this long after the one before, ms, and once nothing was changed for a moment. */
export const EVERY_MS = 3_600_000;
export const QUIET_MS = 20_000;

/** One file a day, written over as the day goes on: `bilamina-shop-2026-11-24.zip`. */
export const dayFile = (nowMs: number): string =>
  `bilamina-shop-${formatDate(nowMs, 'yyyy-MM-dd')}.zip`;

/** Whether something of the shop changed, its settings aside: noting a backup changes those. */
export const changedWork = (before: Shop | null, now: Shop): boolean =>
  before === null ||
  (Object.keys(now) as (keyof Shop)[]).some((k) => k !== 'settings' && before[k] !== now[k]);

/** How long to wait before the next backup by itself, ms. */
export const waitFor = (lastMs: number | null, nowMs: number): number =>
  Math.max(QUIET_MS, (lastMs ?? 0) + EVERY_MS - nowMs);

/** Writes the whole shop into the folder. @returns false where the browser wants to be asked first */
export async function backUpInto(folder: Folder, by: string, nowMs: number): Promise<boolean> {
  if ((await leaveFor(folder)) !== 'granted') return false;
  const what = { kind: 'shop' } as const;
  const file = await shopJob('packBundle', { what, name: 'The whole shop', by, nowMs });
  await writeInto(folder, dayFile(nowMs), file);
  return true;
}
