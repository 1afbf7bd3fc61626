import Joi from 'joi';
import type { AirStep } from '../climate';
import { dryTime, grits, sandingPlan, type Drying, type SandingInput } from '../prep';
import { ok } from '../result';
import { define } from './define';
import { instant, maybe, number, positive, temperature } from './schemas';

interface DryingInput {
  readonly drying: Drying;
  readonly laidMs: number;
  readonly nowMs: number;
  readonly air: readonly AirStep[];
}

/** Computations of preparation: drying and sanding. */
export const PREP = {
  dryTime: define(
    Joi.object<DryingInput>({
      drying: Joi.object({
        labelS: number().min(0),
        thicknessM: number().min(0),
        leaves: Joi.valid('water', 'solvent').required(),
      }).required(),
      laidMs: instant(),
      nowMs: instant(),
      air: Joi.array()
        .items(
          Joi.object({
            fromMs: instant(),
            temperatureK: temperature(),
            humidity: number().min(0).max(1),
          }),
        )
        .min(1)
        .max(10_000)
        .required(),
    }),
    ({ drying, laidMs, air, nowMs }) => ok(dryTime(drying, laidMs, air, nowMs)),
  ),
  sandingPlan: define(
    Joi.object<SandingInput>({
      why: Joi.valid('tooth', 'flatten', 'shape', 'polish', 'own').required(),
      areaM2: number().min(0),
      beyondM2: maybe().min(0),
      grits: Joi.array()
        .items(Joi.valid(...grits('P')))
        .min(1)
        .max(20)
        .required(),
      removeM3: maybe().min(0),
      nextM: positive().allow(null),
      filmM: positive().allow(null),
      bearsWater: Joi.boolean().strict().required(),
    }),
    (input) => ok(sandingPlan(input)),
  ),
} as const;
