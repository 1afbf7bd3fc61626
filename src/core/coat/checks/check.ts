import type { ExplainInput, Explanation } from '../../explain';
import type { Tilt } from '../../geometry';
import type { CoatKind, EdgeKind, Support } from '../../piece';
import type { ResinSheet } from '../../resin';
import type { BuildArea } from '../buildUp';
import type { Shape } from '../../geometry';
import type { ReliefHeights } from '../relief';

export type Verdict = 'fine' | 'watch' | 'stop';

/** An area that a coat lies on as a film. */
export interface CheckArea extends BuildArea {
  readonly name: string;
  readonly shape: Shape;
  readonly edges: readonly { readonly kind: EdgeKind; readonly heightM: number }[];
  readonly relief: readonly ReliefHeights[];
}

/** What the checks of one coat look at. Lengths in m, times in s. */
export interface CheckInput {
  readonly coat: { readonly kind: CoatKind; readonly thicknessM: number; readonly restS: number };
  readonly areas: readonly CheckArea[];
  /** Pieces alike. */
  readonly count: number;
  readonly support: Support;
  /** Steepest slope that was read on the propped piece, rise over run; null: not read. */
  readonly tilt: Tilt | null;
  readonly sheet: ResinSheet;
  /** What lies under the coat, by the id of the area. */
  readonly beneath: ReadonlyMap<string, { readonly surfaceM: number }>;
  /** Mean of the linear dome on the face, solved on its outline; null while it is not known. */
  readonly mask: number | null;
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

export const surfaceUnder = ({ beneath }: CheckInput, areaId: string): number =>
  beneath.get(areaId)?.surfaceM ?? 0;

export const edgeKinds = (area: CheckArea): readonly EdgeKind[] => area.edges.map((e) => e.kind);
