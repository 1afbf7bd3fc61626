import Joi from 'joi';
import { COUNT_LIMITS, THICKNESS_LIMITS_M } from '@/core/coat';
import { point, reserveSchema, shapeSchema, sheetSchema } from '@/core/compute/schemas';
import { ROOM_LIMITS_K } from '@/core/resin';
import {
  AREA_KINDS,
  COAT_KINDS,
  DEFECT_KINDS,
  EDGE_KINDS,
  LOG_KINDS,
  POROSITIES,
  RELIEF_KINDS,
  SUPPORTS,
  SURFACES,
  type TableName,
} from './types';

const id = () => Joi.string().min(1).max(64).required();
const maybeId = () => id().allow(null);
const text = (max: number) => Joi.string().allow('').max(max).required();
const name = () => Joi.string().trim().min(1).max(120).required();
const number = () => Joi.number().strict().required();
const instant = () => number().min(0).max(8.64e15);
const maybeInstant = () => instant().allow(null);
const mass = () => number().min(0).max(100);

const roomTemperature = () => number().min(ROOM_LIMITS_K.min).max(ROOM_LIMITS_K.max);
const roomHistory = Joi.array()
  .items(Joi.object({ fromMs: instant(), temperatureK: roomTemperature() }))
  .min(1)
  .required();

const oneOf = (values: readonly string[]) => Joi.valid(...values).required();
const flag = () => Joi.boolean().strict().required();
const place = () => number().min(-10).max(10);
const edge = Joi.object({
  kind: oneOf(EDGE_KINDS),
  heightM: number().min(0).max(0.5),
  profile: Joi.alternatives()
    .conditional('.kind', {
      is: Joi.valid('round', 'bevel'),
      then: Joi.object({ kind: Joi.string(), sizeM: number().min(0).max(0.5) }),
      otherwise: Joi.object({ kind: Joi.valid('square', 'eased', 'round', 'bevel').required() }),
    })
    .required(),
});
const relief = Joi.object({
  kind: oneOf(RELIEF_KINDS),
  greatestM: number().min(0).max(0.2),
  meanM: number().min(0).max(Joi.ref('greatestM')),
  share: number().min(0).max(1),
});
const surface = Joi.object({
  kind: oneOf(SURFACES),
  ageDays: number().min(0).max(40_000).allow(null),
  sanded: flag(),
}).required();
const measured = Joi.alternatives()
  .conditional('.by', {
    is: 'photo',
    then: Joi.object({
      by: Joi.string(),
      photoId: id(),
      planPhotoId: id(),
      box: Joi.object({ left: place(), right: place(), low: place(), high: place() }).required(),
      sigmaShare: number().min(0).max(1),
    }),
    otherwise: Joi.object({ by: Joi.valid('rule', 'drawing', 'photo').required() }),
  })
  .required();
const level = Joi.object({
  tilt: Joi.object({ alongX: number().min(-1).max(1), alongY: number().min(-1).max(1) }).required(),
  by: text(60),
  readMs: instant(),
  props: Joi.array().items(point().optional()).max(12).required(),
})
  .allow(null)
  .required();

/** Joi schema of each table's rows. Checks of meaning (shape, sheet) follow in validate.ts. */
export const ROW_SCHEMAS: Readonly<Record<TableName, Joi.ObjectSchema>> = {
  settings: Joi.object({
    id: Joi.valid('shop').required(),
    units: Joi.valid('metric', 'us').required(),
    scaleUnit: Joi.valid('g', 'oz').required(),
    scaleDigitKg: number().min(1e-6).max(0.1),
    person: text(60),
    opensMin: number().integer().min(0).max(1439),
    closesMin: number().integer().greater(Joi.ref('opensMin')).max(1440),
    roomTemperatureK: roomTemperature(),
    reserve: reserveSchema,
    rule: Joi.valid('five', 'six').required(),
  }),
  resins: Joi.object({ id: id(), name: name(), note: text(2000), sheet: sheetSchema }),
  pieces: Joi.object({
    id: id(),
    name: name(),
    count: number().integer().min(COUNT_LIMITS.min).max(COUNT_LIMITS.max),
    support: Joi.valid(...SUPPORTS).required(),
    note: text(4000),
    createdMs: instant(),
    use: Joi.object({ hotCups: flag(), food: flag(), daylight: flag() }).required(),
    marks: Joi.array()
      .items(Joi.object({ name: name(), at: point() }))
      .max(50)
      .required(),
    level,
  }),
  areas: Joi.object({
    id: id(),
    pieceId: id(),
    name: name(),
    kind: oneOf(AREA_KINDS),
    shape: shapeSchema,
    at: point(),
    depthM: number().min(0).max(0.5),
    edges: Joi.array().items(edge).min(1).max(60).required(),
    porosity: oneOf(POROSITIES),
    relief: Joi.array().items(relief).max(8).required(),
    surface,
    measured,
  }),
  sessions: Joi.object({
    id: id(),
    resinId: id(),
    coatIds: Joi.array().items(id()).min(1).required(),
    temperatureK: roomTemperature(),
    startedMs: instant(),
    endedMs: maybeInstant(),
  }),
  batches: Joi.object({
    id: id(),
    sessionId: id(),
    resinId: id(),
    coatIds: Joi.array().items(id()).min(1).required(),
    targetM3: number().greater(0).max(1),
    targetAKg: mass(),
    targetBKg: mass(),
    aKg: mass().allow(null),
    bKg: mass().allow(null),
    mixedMs: maybeInstant(),
    stirStartedMs: maybeInstant(),
    stirredMs: maybeInstant(),
    pouredMs: maybeInstant(),
    coveredMs: maybeInstant(),
  }),
  coats: Joi.object({
    id: id(),
    pieceId: id(),
    areaIds: Joi.array().items(id()).min(1).required(),
    order: number().integer().min(1).max(100),
    kind: Joi.valid(...COAT_KINDS).required(),
    name: name(),
    resinId: id(),
    thicknessM: number().min(THICKNESS_LIMITS_M.min).max(THICKNESS_LIMITS_M.max),
    restS: number().min(0).max(86400),
    reserve: reserveSchema,
    batchId: maybeId(),
    pouredMs: maybeInstant(),
    coveredMs: maybeInstant(),
    history: Joi.when('pouredMs', {
      is: null,
      then: Joi.array().max(0).required(),
      otherwise: roomHistory,
    }),
  }),
  defects: Joi.object({
    id: id(),
    pieceId: id(),
    coatId: maybeId(),
    kind: Joi.valid(...DEFECT_KINDS).required(),
    note: text(2000),
    foundMs: instant(),
    repairedMs: maybeInstant(),
  }),
  photos: Joi.object({
    id: id(),
    pieceId: id(),
    defectId: maybeId(),
    name: text(200),
    widthPx: number().integer().min(1).max(20000),
    heightPx: number().integer().min(1).max(20000),
    takenMs: instant(),
    blob: Joi.object().instance(Blob).required(),
  }),
  log: Joi.object({
    id: id(),
    atMs: instant(),
    kind: Joi.valid(...LOG_KINDS).required(),
    by: text(60),
    text: text(2000),
    pieceId: maybeId(),
    coatId: maybeId(),
    batchId: maybeId(),
    sessionId: maybeId(),
    aboutId: maybeId(),
    figures: Joi.object()
      .pattern(Joi.string().max(60), Joi.alternatives(Joi.number().strict(), text(500)))
      .required(),
  }),
};
