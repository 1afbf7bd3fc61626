import type Joi from 'joi';
import type { Result } from '../result';

/** A named computation: its input's schema and the pure function that does it. */
export interface Computation<I, O> {
  readonly schema: Joi.Schema<I>;
  readonly run: (input: I) => Result<O>;
}

export const define = <I, O>(
  schema: Joi.Schema<I>,
  run: (input: I) => Result<O>,
): Computation<I, O> => ({ schema, run });
