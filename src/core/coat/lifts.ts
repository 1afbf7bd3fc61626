import { fail, ok, type Issue, type Result } from '../result';
import { shareProud, type ReliefHeights } from './relief';

export interface LiftsInput {
  /** Film wanted in all, m. */
  readonly thicknessM: number;
  /** Limits of one lift, m, from the resin’s sheet. */
  readonly thinnestM: number;
  readonly thickestM: number;
  /** Resin that lies on the ground already, m. */
  readonly belowM: number;
  readonly relief: readonly ReliefHeights[];
  /** What open edges hold of one lift, m; null where none can run off. */
  readonly holdsM: number | null;
  /** Parts lie loose: the first lift is streamed on thin, so that it locks them and moves none. */
  readonly loose: boolean;
}

export interface Lift {
  /** Film that is poured, m. */
  readonly thicknessM: number;
  /** Level of its surface above the ground, m. */
  readonly topM: number;
  /** Share of the area on which relief still stands above it. */
  readonly proud: number;
  readonly gentle: boolean;
}

/** Lifts of one coat at most. Judgement, no source: nobody pours a hundred. */
export const MOST_LIFTS = 100;

/** The first lift over loose parts, m. Judgement, no source: thinner than the parts, so that none floats. */
export const LOCK_LIFT_M = 0.7e-3;

/**
 * Lifts that a film is poured in: as few as the resin’s greatest depth allows, all alike, a thin one first over loose parts.
 * @param input all in m, thickness > 0
 * @returns lifts from the ground up; or `out-of-range` when the film is thinner than one lift may be, `does-not-fit`
 *   when it would take over a hundred, or lies between what so many lifts and one more come to
 * Source: greatest depth of the data sheet; first lift common practice, no source.
 */
export function planLifts(input: LiftsInput): Result<readonly Lift[]> {
  const { thicknessM, thinnestM, thickestM, belowM, relief, loose, holdsM } = input;
  const issues: Issue[] = [];
  if (!(thicknessM >= thinnestM && thicknessM <= 1))
    issues.push({
      code: 'out-of-range',
      path: ['thicknessM'],
      value: thicknessM,
      allowed: { min: thinnestM, max: 1 },
    });
  if (!(thickestM >= thinnestM && thickestM > 0))
    issues.push({
      code: 'out-of-order',
      path: ['thickestM'],
      value: thickestM,
      allowed: { min: thinnestM },
    });
  if (issues.length === 0 && thicknessM / thickestM > MOST_LIFTS)
    issues.push({
      code: 'does-not-fit',
      path: ['thickestM'],
      value: thickestM,
      allowed: { min: thicknessM / MOST_LIFTS },
    });
  if (issues.length > 0) return fail(...issues);
  const lock = Math.min(thickestM, Math.max(thinnestM, LOCK_LIFT_M));
  // A lock makes sense only where enough is left for a lift over it.
  const least = thinnestM * (1 - 1e-9);
  const first = loose && thicknessM - lock >= least ? lock : 0;
  const rest = thicknessM - first;
  const count = Math.max(1, Math.ceil(rest / thickestM - 1e-9));
  if (rest / count < least)
    return fail({
      code: 'does-not-fit',
      path: ['thicknessM'],
      value: thicknessM,
      allowed: { min: first + count * thinnestM, max: first + (count - 1) * thickestM },
    });
  const films = [...(first > 0 ? [first] : []), ...Array<number>(count).fill(rest / count)];
  let top = belowM;
  return ok(
    films.map((film, i) => {
      top += Math.min(film, holdsM ?? film);
      return {
        thicknessM: film,
        topM: top,
        proud: shareProud(relief, top),
        gentle: loose && i === 0,
      };
    }),
  );
}
