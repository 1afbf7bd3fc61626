import type { ExplainInput, Explanation } from '../../explain';
import type { Thickening } from '../../film';
import type { Tilt } from '../../geometry';
import type { CoatKind, Support } from '../../piece';
import type { ResinSheet } from '../../resin';
import { staysOn, type BuildCoat } from '../buildUp';
import type { Ground } from '../ground';
import type { Intent } from '../intent';
import { isFlat } from '../planArea';

export { edgeKinds } from '../planArea';

export type Verdict = 'fine' | 'watch' | 'stop';

export type CheckArea = Ground;

/** What the checks of one coat look at. Lengths in m, times in s. */
export interface CheckInput {
  readonly coat: {
    readonly kind: CoatKind;
    readonly intent: Intent;
    /** Film that is poured, and what stays of it on each of its areas, in their order. */
    readonly thicknessM: number;
    readonly staysM: readonly number[];
    readonly areaIds: BuildCoat['areaIds'];
    readonly restS: number;
  };
  /** What its films lie on. */
  readonly areas: readonly CheckArea[];
  /** Pieces alike. */
  readonly count: number;
  readonly support: Support;
  /** Steepest slope that was read on the propped piece, rise over run; null: not read. */
  readonly tilt: Tilt | null;
  readonly sheet: ResinSheet;
  /** How the mix thickens in the room. */
  readonly law: Thickening;
  /** What runs off all pieces as the ledger tells it, m³. */
  readonly runsOffM3: number;
  /** Working time of the cup, s; null while its size is not known. */
  readonly workingS: number | null;
}

/** One check: which, how it ends, the figures that it tells, and how they are worked out. */
export interface CheckOf<Id extends string, Figures> {
  readonly id: Id;
  readonly verdict: Verdict;
  readonly figures: Figures;
  readonly explanation: Explanation;
}

export const film = (
  value: number,
  label: string,
  source: ExplainInput['source'] = 'computed',
): ExplainInput => ({ label, value, quantity: 'film', source });

/** Film that stays on an area, m. */
export const lies = ({ coat }: CheckInput, areaId: string): number => staysOn(coat, areaId);

/** Of the areas of a coat those that have edges and a level of their own. */
export const flatAreas = ({ areas }: CheckInput): readonly CheckArea[] => areas.filter(isFlat);
