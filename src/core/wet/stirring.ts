import type { ResinSheet } from '../resin';

/** After the shortest stir of the sheet, as long again until no streak is left, s. Common practice, no source. */
export const STREAK_S = 120;
/** Rest in the cup that lets bubbles rise, s. Common practice, no source. */
export const CUP_REST_S = { from: 120, to: 300 } as const;

/** Shortest stir that the sheet allows, and the one that is wanted, s. */
export const stirTimes = ({ stirS }: Pick<ResinSheet, 'stirS'>) => ({
  leastS: stirS,
  wantedS: stirS + STREAK_S,
});
