import { fail, ok, type Result } from '../result';

/** What left the cup for one coat, and what was planned to, kg. */
export interface LossSample {
  readonly plannedKg: number;
  readonly usedKg: number;
}

/** What coats of a kind take of the mix against what is planned for them. */
export interface LearnedLoss {
  /** What was used for each that was planned. */
  readonly factor: number;
  readonly count: number;
  /** Standard deviation of the factor from pour to pour. */
  readonly spread: number;
}

/** From fewer pours nothing is learned. Judgement, no source. */
export const LEAST_POURS = 3;
/** A factor outside is a slip of the hand or of the scale. Judgement, no source. */
export const LOSS_LIMITS = { min: 0.5, max: 2 } as const;

/**
 * What pours tell together.
 * @param samples masses in kg, > 0; those whose factor is outside {@link LOSS_LIMITS} are left out
 * @returns the factor with how many it is of and how far apart they lie; `required` where they are too few
 * Source: mean and standard deviation of the logarithms, brought back: used and planned differ by factors, not by sums.
 */
export function learnedLoss(samples: readonly LossSample[]): Result<LearnedLoss> {
  const logs = samples
    .map(({ plannedKg, usedKg }) => usedKg / plannedKg)
    .filter((f) => f >= LOSS_LIMITS.min && f <= LOSS_LIMITS.max)
    .map(Math.log);
  const count = logs.length;
  if (count < LEAST_POURS)
    return fail({
      code: 'required',
      path: ['samples'],
      value: count,
      allowed: { min: LEAST_POURS },
    });
  const mean = logs.reduce((s, l) => s + l, 0) / count;
  const variance = logs.reduce((s, l) => s + (l - mean) ** 2, 0) / (count - 1);
  const factor = Math.exp(mean);
  return ok({ factor, count, spread: factor * Math.sqrt(variance) });
}
