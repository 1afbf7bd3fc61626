import type { Quantity } from './units';

/** Where a number comes from; design rule 1 asks that the user can always see it. */
export type SourceKind =
  | 'measured'
  | 'assumed'
  | 'data sheet'
  | 'standard'
  | 'published'
  | 'rule of thumb'
  | 'from memory'
  | 'chosen'
  | 'learned'
  | 'computed';

export interface ExplainInput {
  readonly label: string;
  readonly value: number;
  readonly quantity: Quantity;
  readonly source: SourceKind;
}

/** A computed number opened up. Values are SI; the screen shows them in the user's units. */
export interface Explanation {
  readonly title: string;
  readonly formula: string;
  readonly inputs: readonly ExplainInput[];
  readonly source: string;
  /** One standard deviation of the result, in the SI unit of its quantity. */
  readonly sigma?: number;
  readonly note?: string;
}
