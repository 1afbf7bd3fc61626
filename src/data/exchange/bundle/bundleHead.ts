import type { BundleWhat } from './scope';

/** What a bundle says of itself. */
export interface BundleHead {
  readonly id: string;
  readonly madeMs: number;
  readonly by: string;
  readonly what: BundleWhat;
  /** What it is of, in words. */
  readonly name: string;
  /** Bundles that went out of that machine or into it before. */
  readonly seen: readonly string[];
}
