import Joi from 'joi';
import { capillaryLength, domeDisc } from '../capillary';
import { ok } from '../result';
import { define } from './define';
import { positive } from './schemas';

interface DomeInput {
  readonly diameterM: number;
  readonly angleRad: number;
  readonly surfaceTension: number;
  readonly densityKgM3: number;
}

/** Computations of domes. */
export const CAPILLARY = {
  domeDisc: define(
    Joi.object<DomeInput>({
      diameterM: positive().max(10),
      angleRad: positive().max(Math.PI / 2),
      surfaceTension: positive().max(1),
      densityKgM3: positive(),
    }),
    ({ diameterM, angleRad, surfaceTension, densityKgM3 }) =>
      ok(domeDisc(diameterM, angleRad, capillaryLength(surfaceTension, densityKgM3))),
  ),
} as const;
