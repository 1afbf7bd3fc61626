import Joi from 'joi';
import {
  coatLedger,
  filmFieldSteps,
  LEDGER_LINES,
  PLAIN_AREA,
  PLAIN_INPUT,
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
  .items(Joi.object({ areaM2: number(), heightM: number(), lengthM: number() }))
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
  wedge: Joi.object({ lengthM: number(), slope: number(), aheadM: number() })
    .allow(null)
    .default(null),
  belly: Joi.object({ sagM: number(), share: number() }).allow(null).default(null),
});

const edgeWetting = Joi.object({
  by: Joi.valid('hand', 'flood', 'tool', 'brush', 'edge coat').required(),
  perMetreM2: Joi.when('by', { is: 'flood', then: number(), otherwise: Joi.forbidden() }),
});

/** One coat as the ledger takes it. */
export const ledgerSchema = Joi.object<LedgerInput>({
  areas: Joi.array().items(area).max(200).required(),
  thicknessM: number(),
  densityKgM3: number(),
  law: lawSchema,
  restS: number(),
  reserve: reserveSchema,
  edges: edgeWetting.default(PLAIN_INPUT.edges),
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
});

/** Computations of coats: volumes, lifts, films on any outline. */
export const COAT = {
  coatLedger: define(ledgerSchema, coatLedger),
  planLifts: define(
    Joi.object<LiftsInput>({
      thicknessM: number(),
      thinnestM: positive(),
      thickestM: positive(),
      belowM: number().min(0),
      relief: relief.required(),
      holdsM: maybe().allow(null).default(null),
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
