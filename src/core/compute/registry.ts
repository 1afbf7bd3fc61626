import type { Result } from '../result';
import { CAPILLARY } from './capillary';
import { COAT } from './coat';
import type { Steps } from './define';
import { EXCHANGE } from './exchange';
import { FILM } from './film';
import { GEOMETRY } from './geometry';
import { PLAN } from './plan';
import { PREP } from './prep';
import { RESIN } from './resin';
import { TRACE } from './trace';

/**
 * The one table of computations, one part a folder of core. It serves the worker protocol and
 * `POST /api/compute`; docs/api.md has an example of each.
 */
export const COMPUTATIONS = {
  ...GEOMETRY,
  ...TRACE,
  ...FILM,
  ...EXCHANGE,
  ...CAPILLARY,
  ...COAT,
  ...PLAN,
  ...RESIN,
  ...PREP,
} as const;

export type ComputeName = keyof typeof COMPUTATIONS;
export type ComputeInput<N extends ComputeName> = Parameters<(typeof COMPUTATIONS)[N]['run']>[0];
type Ended<R> = [R] extends [Result<infer O>] ? O : [R] extends [Steps<infer O>] ? O : never;
export type ComputeOutput<N extends ComputeName> = Ended<
  ReturnType<(typeof COMPUTATIONS)[N]['run']>
>;
