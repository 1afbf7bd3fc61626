import Joi from 'joi';
import { INSTANT_LIMITS_MS } from '../units';

/** No quantity of a bench is larger in SI. Judgement: what is over it is a slip or an attack. */
const LARGEST = 1e9;

/** Joi pieces shared by the inputs of the registry. All numbers SI, strict, finite, bounded. */
const number = () => Joi.number().strict().required().min(-LARGEST).max(LARGEST);
const maybe = () => number().optional();
const positive = () => number().greater(0);
/** Air that a bench can be in, K: −40 to 60 °C. */
const temperature = () => number().min(233.15).max(333.15);
const instant = () => number().min(0).max(INSTANT_LIMITS_MS.max);

const point = () => Joi.array().ordered(number(), number()).length(2).required();
const path = () =>
  Joi.object({
    start: point(),
    segments: Joi.array()
      .items(
        Joi.object({ kind: Joi.valid('line').required(), to: point() }),
        Joi.object({ kind: Joi.valid('cubic').required(), c1: point(), c2: point(), to: point() }),
      )
      .min(2)
      .max(20_000)
      .required(),
    sideOf: Joi.array().items(Joi.number().strict().integer().min(0).max(200)).max(20_000),
  }).required();

const bareParts = () => Joi.array().items(path().optional()).max(50);
/** A shape told by its dimensions; parts that stay bare may be left out. */
const dimensioned = (dimensions: Joi.PartialSchemaMap) =>
  Joi.object({ kind: Joi.string().required(), keepBare: bareParts(), ...dimensions });
const KINDS = ['rectangle', 'roundedRectangle', 'disc', 'ellipse', 'regularPolygon', 'outline'];

export const shapeSchema = Joi.alternatives()
  .conditional('.kind', {
    switch: [
      {
        is: Joi.valid('rectangle', 'ellipse'),
        then: dimensioned({ widthM: number(), heightM: number() }),
      },
      {
        is: 'roundedRectangle',
        then: dimensioned({ widthM: number(), heightM: number(), radiusM: number() }),
      },
      { is: 'disc', then: dimensioned({ diameterM: number() }) },
      {
        is: 'outline',
        then: Joi.object({
          kind: Joi.string().required(),
          outer: path(),
          keepBare: bareParts().required(),
        }),
      },
      {
        is: 'regularPolygon',
        then: dimensioned({
          sides: number(),
          sizeM: number(),
          across: Joi.valid('flats', 'corners').required(),
        }),
      },
    ],
    otherwise: Joi.object({ kind: Joi.valid(...KINDS).required() }).unknown(),
  })
  .required();

const mixParts = {
  ratio: Joi.object({
    by: Joi.valid('volume', 'mass').required(),
    a: number(),
    b: number(),
  }).required(),
  densityAKgM3: number(),
  densityBKgM3: number(),
  assumedDensity: Joi.array().items(Joi.valid('A', 'B')).unique().max(2),
};
export const mixPartsSchema = Joi.object(mixParts).required();

export const lawSchema = Joi.object({ viscosityPaS: number(), workingS: number() }).required();

const TIME_NAMES = [
  'workingS',
  'noFlowS',
  'leatheryS',
  'recoatOpensS',
  'recoatClosesS',
  'unmaskClosesS',
  'handleS',
  'hardS',
  'warmLoadS',
  'fullS',
] as const;

export const sheetSchema = Joi.object({
  ...mixParts,
  viscosityPaS: number(),
  activationEnergyJMol: number(),
  referenceTemperatureK: number(),
  workingMassKg: number(),
  workingAlso: Joi.object({ massKg: number(), workingS: number() }).allow(null),
  thinnestM: number(),
  thickestM: number(),
  stirS: number(),
  times: Joi.object(Object.fromEntries(TIME_NAMES.map((name) => [name, number()]))).required(),
}).required();

export const historySchema = Joi.array()
  .items(Joi.object({ fromMs: instant(), temperatureK: temperature() }))
  .min(1)
  .max(10_000)
  .required();

export const reserveSchema = Joi.alternatives()
  .conditional('.by', {
    is: 'share',
    then: Joi.object({ by: Joi.string().required(), share: number() }),
    otherwise: Joi.object({ by: Joi.valid('risk', 'share').required(), confidence: number() }),
  })
  .required();

export { number, maybe, positive, instant, temperature, point, path };
