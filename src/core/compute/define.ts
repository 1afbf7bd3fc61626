import type Joi from 'joi';
import type { Result } from '../result';

/** A long computation: yields the share that is done, 0–1, and can be left between two steps. */
export type Steps<O> = Generator<number, Result<O>, void>;

/** A named computation: its input's schema and the pure function that does it, in one go or in steps. */
export interface Computation<I, O, R extends Result<O> | Steps<O> = Result<O> | Steps<O>> {
  readonly schema: Joi.Schema<I>;
  readonly run: (input: I) => R;
}

export const define = <I, O>(
  schema: Joi.Schema<I>,
  run: (input: I) => Result<O>,
): Computation<I, O, Result<O>> => ({ schema, run });

/** The same for one that tells how far it is. */
export const defineSteps = <I, O>(
  schema: Joi.Schema<I>,
  run: (input: I) => Steps<O>,
): Computation<I, O, Steps<O>> => ({ schema, run });
