import type { DefectKind } from '../../piece';
import type { Cause } from '../causes';
import type { Answers, CoatHistory, FaultLook } from '../history';
import { evidenceOf, NO_HISTORY, NO_LOOK } from '../history';

/** A log written by hand from trade facts, with the cause that its writer had in mind. Common practice, no source. */
export interface WrittenCase {
  readonly story: string;
  readonly kind: DefectKind;
  readonly cause: Cause;
  readonly history: Partial<CoatHistory>;
  readonly look?: Partial<FaultLook>;
  readonly answers?: Answers;
}

/** A coat that was made as it should be, wherever the story says nothing else. */
export const WELL_MADE: Partial<CoatHistory> = {
  ...{ ratioError: 0.006, ratioRead: true, stirredS: 250, stirAtLeastS: 240, mixedAtK: 295.2 },
  ...{ coldestK: 293.6, curesFromK: 288.15, dewMarginK: 10.5, humidity: 0.48, wiped: true },
  ...{ gloves: true, siliconeBelow: false, openS: 420, openPores: false, rounds: 3 },
  ...{ restedS: 200, filmM: 1.7e-3, closesFromM: 0.6e-3, pouredAt: 0.3, cupLoad: 1.4 },
};

/** What is known of a case, as evidence. */
export const evidenceOfCase = ({ history, look, answers }: WrittenCase) =>
  evidenceOf({ ...NO_HISTORY, ...history }, { ...NO_LOOK, ...look }, answers);
