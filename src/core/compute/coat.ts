import Joi from 'joi';
import {
  coatLedger,
  filmFieldSteps,
  LEDGER_LINES,
  PLAIN_AREA,
  planLifts,
  type FieldInput,
  type LedgerInput,
  type LiftsInput,
} from '../coat';
import { define, defineSteps } from './define';
import { lawSchema, maybe, number, positive, reserveSchema, shapeSchema } from './schemas';

/** What is left out is not there. */
const amount = () => maybe().default(0);
const flag = () => Joi.boolean().strict();
const relief = Joi.array()
  .items(Joi.object({ greatestM: number().min(0), meanM: number().min(0), share: number() }))
  .max(20);
const openEdges = Joi.array()
  .items(Joi.object({ areaM2: number(), heightM: number() }))
  .max(60)
  .required();
const area = Joi.object({
  name: Joi.string().max(200).required(),
  areaM2: number(),
  areaSigmaM2: number(),
  count: number().integer(),
  openEdges,
  cover: Joi.object({
    by: Joi.valid('film', 'dome', 'recess').required(),
    holdsM: Joi.when('by', {
      is: 'film',
      then: maybe().allow(null).default(null),
      otherwise: Joi.forbidden(),
    }),
  }).default(PLAIN_AREA.cover),
  dammedM: amount(),
  belowM: amount(),
  relief: relief.default([]),
  soakM: amount(),
  pits: Joi.array()
    .items(Joi.object({ areaM2: number(), depthM: number() }))
    .max(60)
    .default([]),
  wedge: Joi.object({ lengthM: number(), slope: number() }).allow(null).default(null),
  bellyM: amount(),
});

/** Computations of coats: volumes, lifts, films on any outline. */
export const COAT = {
  coatLedger: define(
    Joi.object<LedgerInput>({
      areas: Joi.array().items(area).max(200).required(),
      thicknessM: number(),
      densityKgM3: number(),
      law: lawSchema,
      restS: number(),
      reserve: reserveSchema,
      edgesOnly: flag().default(false),
      coverage: maybe().default(1),
      overrides: Joi.array()
        .items(
          Joi.object({
            line: Joi.valid(...LEDGER_LINES).required(),
            volumeM3: number(),
            reason: Joi.string().max(500).required(),
          }),
        )
        .max(LEDGER_LINES.length)
        .default([]),
    }),
    coatLedger,
  ),
  planLifts: define(
    Joi.object<LiftsInput>({
      thicknessM: number(),
      thinnestM: positive(),
      thickestM: positive(),
      belowM: number().min(0),
      relief: relief.required(),
      loose: flag().required(),
    }),
    planLifts,
  ),
  filmField: defineSteps(
    Joi.object<FieldInput>({
      shape: shapeSchema,
      walls: Joi.array().items(flag()).min(1).max(2000).required(),
      lengthM: number(),
      cells: number().integer(),
    }),
    filmFieldSteps,
  ),
} as const;
