import { createDb, type ShopDb } from '@/data/db';
import {
  makeBundle,
  mergeBundle,
  noteShared,
  packBundle,
  previewMerge,
  readBundle,
  type Bundle,
} from '@/data/exchange/bundle';
import type { ShopJobName, ShopJobs } from '@/data/exchange/shopJobs';
import { checkShopFile, exportShop, importShop, replaceShop } from '@/data/exchange/shopFile';
import type { AnyTables } from '@/data/migrations';
import { newId } from '@/records';
import type { Step, Tell } from '@/workers/job';
import { tryShop } from './tryShop';

type Doing = {
  [N in ShopJobName]: (
    input: ShopJobs[N]['input'],
    step: Step,
    tell: Tell,
  ) => Promise<ShopJobs[N]['output']>;
};

/** Jobs on the whole shop, done beside the page. What was read stays with them, so that it does not go to and fro. */
export function shopJobs(db: ShopDb = createDb()): Doing {
  let bundle: Bundle | null = null;
  let tables: AnyTables | null = null;
  return {
    packBundle: async ({ what, name, by, nowMs }, step) => {
      const made = await makeBundle(db, { what, name, by, nowMs, newId });
      const bytes = await packBundle(made, step);
      await noteShared(db, made);
      return new Blob([bytes], { type: 'application/zip' });
    },
    readBundle: async ({ file }, step) => {
      const read = await readBundle(new Uint8Array(await file.arrayBuffer()), step);
      bundle = read.ok ? read.bundle : null;
      if (!read.ok) return read;
      return {
        ok: true,
        head: read.bundle.head,
        preview: await previewMerge(db, read.bundle),
      };
    },
    mergeBundle: ({ choices, ...who }, _step, tell) => {
      if (!bundle) throw new Error('The bundle is no longer open: choose its file again.');
      return mergeBundle(db, bundle, new Map(choices), tryShop, { ...who, newId }, tell);
    },
    exportShop: async ({ nowMs }) =>
      new Blob([JSON.stringify(await exportShop(db, nowMs))], { type: 'application/json' }),
    checkShop: async ({ file, nowMs }) => {
      const read = await checkShopFile(await file.text(), tryShop, nowMs);
      tables = read.ok ? read.tables : null;
      return read.ok ? { ok: true } : read;
    },
    replaceShop: (_input, _step, tell) => {
      if (!tables) throw new Error('The file is no longer open: choose it again.');
      return replaceShop(db, tables, tell);
    },
    importShop: async ({ file, nowMs }, _step, tell) =>
      importShop(db, await file.text(), tryShop, nowMs, tell),
  };
}
