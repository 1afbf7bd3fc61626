import Joi from 'joi';
import { readDxf, readSvg } from '../exchange';
import { tiltDifference, tolerableSlope } from '../film';
import {
  checkShape,
  measureFace,
  measureShape,
  propLifts,
  type FaceEdge,
  type Point,
  type Shape,
  type Tilt,
} from '../geometry';
import {
  checkMix,
  checkSheet,
  coatClock,
  ripeSeconds,
  splitMix,
  windowsByTemperature,
  workingTime,
  type CoatClockInput,
  type MixParts,
  type RateLaw,
  type ResinSheet,
  type TemperatureStep,
} from '../resin';
import type { AirStep } from '../climate';
import { dryTime, grits, sandingPlan, type Drying, type SandingInput } from '../prep';
import { fail, ok, type Result } from '../result';
import { measureTraced, viewOf, MEASURE_DEFAULTS, type Corners, type Reference } from '../trace';
import { COAT_COMPUTATIONS } from './coats';
import { define } from './define';
import {
  historySchema,
  instant,
  maybe,
  mixPartsSchema,
  number,
  point,
  positive,
  shapeSchema,
  sheetSchema,
  temperature,
} from './schemas';

interface DryingInput {
  readonly drying: Drying;
  readonly laidMs: number;
  readonly nowMs: number;
  readonly air: readonly AirStep[];
}

interface TracedInput {
  readonly ringPx: readonly Point[];
  readonly corners: Corners;
  readonly reference: Reference;
  readonly size: { readonly widthPx: number; readonly heightPx: number };
  readonly heightM: number;
}

interface LevelInput {
  readonly tilt: Tilt;
  readonly props: readonly Point[];
  readonly lengthM: number;
  readonly thicknessM: number;
  readonly densityKgM3: number;
  readonly fluidityPerPa: number;
  readonly share: number;
}

/** Runs `then` with a sheet that has been checked; faults get `sheet` in front of their path. */
function withSheet<T>(sheet: ResinSheet, then: () => T): Result<T> {
  const checked = checkSheet(sheet);
  if (checked.ok) return ok(then());
  return { ok: false, issues: checked.issues.map((i) => ({ ...i, path: ['sheet', ...i.path] })) };
}

/**
 * The one table of computations. It serves the worker protocol and `POST /api/compute`; docs/api.md
 * has an example of each. Later stages add theirs here.
 */
export const COMPUTATIONS = {
  measureShape: define<Shape, ReturnType<typeof measureShape>>(
    shapeSchema as Joi.Schema<Shape>,
    (shape) => {
      const checked = checkShape(shape);
      return checked.ok ? ok(measureShape(checked.value)) : checked;
    },
  ),
  measureFace: define(
    Joi.object<{ shape: Shape; edges: FaceEdge[] }>({
      shape: shapeSchema,
      edges: Joi.array()
        .items(
          Joi.object({
            heightM: number().min(0),
            profile: Joi.object({
              kind: Joi.valid('square', 'eased', 'round', 'bevel').required(),
              sizeM: number().min(0).optional(),
            }).required(),
          }),
        )
        .max(60)
        .required(),
    }),
    ({ shape, edges }) => {
      const checked = checkShape(shape);
      return checked.ok ? ok(measureFace(checked.value, edges)) : checked;
    },
  ),
  measureTraced: define(
    Joi.object<TracedInput>({
      ringPx: Joi.array().items(point().optional()).min(3).max(20_000).required(),
      corners: Joi.array().items(point().optional()).length(4).required(),
      reference: Joi.object({
        widthM: positive(),
        heightM: positive(),
        sigmaM: number().min(0),
      }).required(),
      size: Joi.object({ widthPx: positive(), heightPx: positive() }).required(),
      heightM: number(),
    }),
    ({ ringPx, corners, reference, size, heightM }) => {
      const marks = { corners, reference, size };
      const view = viewOf(marks);
      if (!view.ok) return view;
      const measure = measureTraced(ringPx, marks, { ...MEASURE_DEFAULTS, heightM });
      return measure
        ? ok(measure)
        : fail({ code: 'does-not-fit', path: ['ringPx'], value: ringPx.length });
    },
  ),
  levelPiece: define(
    Joi.object<LevelInput>({
      tilt: Joi.object({ alongX: number(), alongY: number() }).required(),
      props: Joi.array().items(point().optional()).min(1).max(12).required(),
      lengthM: positive(),
      thicknessM: positive(),
      densityKgM3: positive(),
      fluidityPerPa: number().min(0),
      share: positive(),
    }),
    ({ tilt, props, lengthM, thicknessM, densityKgM3, fluidityPerPa, share }) => {
      const slope = Math.hypot(tilt.alongX, tilt.alongY);
      return ok({
        slope,
        liftsM: propLifts(tilt, props),
        tolerableSlope: tolerableSlope(lengthM, thicknessM, share, 'edge to edge'),
        differenceM: tiltDifference(lengthM, slope, thicknessM, densityKgM3, fluidityPerPa),
      });
    },
  ),
  readSvg: define(Joi.object<{ text: string }>({ text: Joi.string().required() }), ({ text }) =>
    readSvg(text),
  ),
  readDxf: define(Joi.object<{ text: string }>({ text: Joi.string().required() }), ({ text }) =>
    readDxf(text),
  ),
  ...COAT_COMPUTATIONS,
  splitMix: define(
    Joi.object<{ totalM3: number; parts: MixParts }>({ totalM3: number(), parts: mixPartsSchema }),
    ({ totalM3, parts }) => splitMix(totalM3, parts),
  ),
  checkMix: define(
    Joi.object<{ aKg: number; bKg: number; parts: MixParts }>({
      aKg: positive(),
      bKg: number().min(0),
      parts: mixPartsSchema,
    }),
    ({ aKg, bKg, parts }) => {
      const split = splitMix(1e-3, parts);
      return split.ok ? ok(checkMix(aKg, bKg, parts)) : split;
    },
  ),
  ripeHours: define(
    Joi.object<{ history: TemperatureStep[]; fromMs: number; toMs: number; law: RateLaw }>({
      history: historySchema,
      fromMs: instant(),
      toMs: instant(),
      law: Joi.object({
        activationEnergyJMol: positive(),
        referenceTemperatureK: positive(),
      }).required(),
    }),
    ({ history, fromMs, toMs, law }) =>
      ok({ ripeHours: ripeSeconds(history, fromMs, toMs, law) / 3600 }),
  ),
  coatClock: define(
    Joi.object<CoatClockInput>({
      pouredMs: instant(),
      nowMs: instant(),
      history: historySchema,
      sheet: sheetSchema,
    }),
    (input) => withSheet(input.sheet, () => coatClock(input)),
  ),
  workingTime: define(
    Joi.object<{ sheet: ResinSheet; massKg: number; temperatureK: number }>({
      sheet: sheetSchema,
      massKg: positive().max(100),
      temperatureK: temperature(),
    }),
    ({ sheet, massKg, temperatureK }) =>
      withSheet(sheet, () => ({ workingS: workingTime(sheet, massKg, temperatureK) })),
  ),
  windowsByTemperature: define(
    Joi.object<{ sheet: ResinSheet; fromK: number; toK: number; count: number }>({
      sheet: sheetSchema,
      fromK: temperature(),
      toK: temperature().greater(Joi.ref('fromK')),
      count: number().integer().min(2).max(2000),
    }),
    ({ sheet, fromK, toK, count }) =>
      withSheet(sheet, () => windowsByTemperature(sheet, fromK, toK, count)),
  ),
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

export type ComputeName = keyof typeof COMPUTATIONS;
export type ComputeInput<N extends ComputeName> = Parameters<(typeof COMPUTATIONS)[N]['run']>[0];
export type ComputeOutput<N extends ComputeName> =
  ReturnType<(typeof COMPUTATIONS)[N]['run']> extends Result<infer O> ? O : never;
