import type { RowFault } from '@/records/validate';
import type { ImportResult } from './shopFile';
import type { BundleHead, BundleWhat, Choice, MergePreview, MergeResult, UnitKey } from './bundle';

type Faults = { readonly ok: false; readonly faults: readonly RowFault[] };
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
      { readonly ok: true; readonly head: BundleHead; readonly preview: MergePreview } | Faults;
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
  /** Reads a shop file and puts it in place, tried while it is written. */
  importShop: { input: { readonly file: Blob; readonly nowMs: number }; output: ImportResult };
}
export type ShopJobName = keyof ShopJobs;
