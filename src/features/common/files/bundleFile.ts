import { format as formatDate } from 'date-fns';
import type { BundleWhat } from '@/data/exchange/bundle';
import { saveFile } from '@/ui/saveFile';
import type { ComputeOptions } from '@/workers/client';
import { fileName } from './fileName';
import { shopJob } from './shopJob';

/** A bundle’s file: `bilamina-piece-door-numerals-2026-11-24-1330.zip`. */
export const bundleName = (what: BundleWhat, name: string, nowMs: number): string =>
  ['bilamina', what.kind, what.kind === 'shop' ? '' : fileName(name).slice(0, 40)]
    .concat(formatDate(nowMs, 'yyyy-MM-dd-HHmm'))
    .filter((part) => part !== '')
    .join('-') + '.zip';

/** Hands a bundle to the user as a download. */
export async function saveBundle(
  what: BundleWhat,
  name: string,
  by: string,
  options: ComputeOptions,
): Promise<void> {
  const nowMs = Date.now();
  const file = await shopJob('packBundle', { what, name, by, nowMs }, options);
  saveFile(bundleName(what, name, nowMs), 'application/zip', file);
}
