/** How a solver ended. Only `converged` says that its value is what was asked for. */
export type Outcome = 'converged' | 'no bracket' | 'steps used up' | 'not finite' | 'stopped';

/** What a solver reached, and how. */
export interface Solved<T> {
  readonly value: T;
  readonly outcome: Outcome;
  readonly steps: number;
  /** What is left of the equation at `value`, in its own units. */
  readonly residual: number;
}

/** @throws RangeError unless it converged, naming who asked */
export function converged<T>(solved: Solved<T>, asker: string): T {
  if (solved.outcome === 'converged') return solved.value;
  const { outcome, steps, residual } = solved;
  throw new RangeError(`${asker}: ${outcome} after ${steps} steps, ${residual} left`);
}
