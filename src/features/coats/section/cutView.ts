import type { EdgeKind } from '@/core/piece';
import type { CoatState } from '@/core/resin';
import type { Stretch } from './layout';

/** A cut through a face: what it meets from left to right, its ends, and the walls between its places. */
export interface FaceCutView {
  readonly widthM: number;
  /** Where its left end lies along the line, m. */
  readonly fromM: number;
  readonly ends: readonly [left: EdgeKind, right: EdgeKind];
  readonly stretches: readonly Stretch[];
  readonly walls: readonly { readonly atM: number; readonly heightM: number }[];
}

/** A drawn line where the cut meets it: from the left end of the cut, on what lies below it, m. */
export interface SectionBead {
  readonly id: string;
  readonly name: string;
  readonly state: CoatState;
  readonly atM: number;
  readonly widthM: number;
  readonly bottomM: number;
  readonly heightM: number;
}
