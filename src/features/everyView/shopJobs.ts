import { createDb, type ShopDb } from '@/data/db';
import {
  makeBundle,
  mergeBundle,
  noteShared,
  packBundle,
  previewMerge,
  readBundle,
  type Bundle,
  type BundleHead,
  type BundleWhat,
  type Choice,
  type MergePreview,
  type MergeResult,
  type UnitKey,
} from '@/data/exchange/bundle';
import { checkShopFile, exportShop, replaceShop } from '@/data/exchange/shopFile';
import type { AnyTables } from '@/data/migrations';
import { newId } from '@/records';
import type { RowFault } from '@/records/validate';
import { tryShop } from './tryShop';

type Faults = { readonly ok: false; readonly faults: readonly RowFault[] };
type Step = (share: number) => Promise<void>;
interface Who {
  readonly nowMs: number;
  readonly by: string;
}

/** The jobs of the shop’s worker: what each takes and gives. */
export interface ShopJobs {
  /** The shop, or a part of it, as a bundle; it is remembered as shared. */
  packBundle: {
    input: Who & { readonly what: BundleWhat; readonly name: string };
    output: Blob;
  };
  /** Reads a bundle and says what taking it in would do; it is kept until it is taken in or another comes. */
  readBundle: {
    input: { readonly file: Blob };
    output:
      | { readonly ok: true; readonly head: BundleHead; readonly preview: MergePreview }
      | Faults;
  };
  mergeBundle: {
    input: Who & { readonly choices: readonly (readonly [UnitKey, Choice])[] };
    output: MergeResult;
  };
  exportShop: { input: { readonly nowMs: number }; output: Blob };
  /** Reads a shop file and tries it; it is kept until it is put in place or another comes. */
  checkShop: {
    input: { readonly file: Blob; readonly nowMs: number };
    output: { readonly ok: true } | Faults;
  };
  replaceShop: { input: object; output: number };
}
export type ShopJobName = keyof ShopJobs;

type Doing = {
  [N in ShopJobName]: (input: ShopJobs[N]['input'], step: Step) => Promise<ShopJobs[N]['output']>;
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
    mergeBundle: ({ choices, ...who }) => {
      if (!bundle) throw new Error('The bundle is no longer open: choose its file again.');
      return mergeBundle(db, bundle, new Map(choices), tryShop, { ...who, newId });
    },
    exportShop: async ({ nowMs }) =>
      new Blob([JSON.stringify(await exportShop(db, nowMs))], { type: 'application/json' }),
    checkShop: async ({ file, nowMs }) => {
      const read = await checkShopFile(await file.text(), tryShop, nowMs);
      tables = read.ok ? read.tables : null;
      return read.ok ? { ok: true } : read;
    },
    replaceShop: () => {
      if (!tables) throw new Error('The file is no longer open: choose it again.');
      return replaceShop(db, tables);
    },
  };
}
