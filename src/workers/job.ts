import type { Fault } from '@/core/compute';

/** Nobody waits for the job any more. */
export class Stopped extends Error {
  override readonly name = 'AbortError';
}

/** A job cannot be done with what it was given; the faults say why. */
export class Refused extends Error {
  override readonly name = 'Refused';
  constructor(readonly faults: readonly Fault[]) {
    super(faults.map((f) => f.message).join('; '));
  }
}

/** Tells the share that is done, 0–1, and lets messages in. @throws Stopped when nobody waits any more */
export type Step = (share: number) => Promise<void>;

/** Tells the share that is done, 0–1, where nothing else may be let in. */
export type Tell = (share: number) => void;

export type Job = (input: unknown, step: Step, tell: Tell) => Promise<unknown>;
