import Joi from 'joi';
import { COUNT_LIMITS } from '@/core/coat';
import { point, reserveSchema, shapeSchema, sheetSchema } from '@/core/compute/schemas';
import { HUMIDITY_LIMITS } from '@/core/climate';
import { HALF_PLANE_SIDES } from '@/core/geometry';
import {
  grits,
  MASK_METHODS,
  RECOAT_SCHOOLS,
  SEAL_SCHOOLS,
  SPRAY_SCHOOLS,
  TOOTH_SCHOOLS,
} from '@/core/prep';
import { ROOM_LIMITS_K } from '@/core/resin';
import { intended, price } from './coatSchemas';
import {
  id,
  maybeId,
  text,
  name,
  number,
  instant,
  maybeInstant,
  weighedBy,
  mass,
} from './joiParts';
import {
  AREA_KINDS,
  COAT_KINDS,
  DAMAGE_KINDS,
  DEFECT_KINDS,
  EDGE_KINDS,
  LOG_KINDS,
  POROSITIES,
  RELIEF_KINDS,
  SUPPORTS,
  SURFACES,
  type TableName,
} from './types';

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
      then: Joi.object({ kind: Joi.string().required(), sizeM: number().min(0).max(0.5) }),
      otherwise: Joi.object({ kind: Joi.valid('square', 'eased').required() }),
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
      by: Joi.string().required(),
      photoId: id(),
      planPhotoId: id(),
      box: Joi.object({ left: place(), right: place(), low: place(), high: place() }).required(),
      sigmaShare: number().min(0).max(1),
    }),
    otherwise: Joi.object({ by: Joi.valid('rule', 'drawing').required() }),
  })
  .required();
const damage = Joi.object({
  kind: oneOf(DAMAGE_KINDS),
  lengthM: number().min(0).max(10),
  widthM: number().min(0).max(10),
  depthM: number().min(0).max(0.2),
});
const schools = {
  tooth: Joi.valid(...TOOTH_SCHOOLS),
  recoat: Joi.valid(...RECOAT_SCHOOLS),
  seal: Joi.valid(...SEAL_SCHOOLS),
  spray: Joi.valid(...SPRAY_SCHOOLS),
  mask: Joi.valid(...MASK_METHODS),
  gritScale: Joi.valid('P', 'CAMI'),
};
const humidity = () => number().min(HUMIDITY_LIMITS.min).max(HUMIDITY_LIMITS.max);
const ids = (min: number) => Joi.array().items(id().optional()).min(min).max(60).required();
const grit = () => Joi.valid(...grits('P')).required();
const own = Joi.object({
  kind: Joi.valid('note', 'sand').required(),
  key: id(),
  title: name(),
  needed: flag(),
  areaIds: ids(0),
})
  .when('.kind', {
    is: 'sand',
    then: Joi.object({ fromGrit: grit(), toGrit: grit(), areaIds: ids(1) }),
  })
  .allow(null)
  .required();
const level = Joi.object({
  tilt: Joi.object({ alongX: number().min(-1).max(1), alongY: number().min(-1).max(1) }).required(),
  by: text(60),
  readMs: instant(),
  props: Joi.array().items(point().optional()).max(12).required(),
})
  .allow(null)
  .required();

/** Names of figures: SI names as the program writes them, and none that every object of the language has. */
const figureName = Joi.string()
  .pattern(/^[a-z][A-Za-z0-9]{0,59}$/)
  .invalid(...Object.getOwnPropertyNames(Object.prototype));

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
    currency: Joi.string().trim().min(1).max(4).required(),
    consumables: number().min(0).max(10_000),
    roomHumidity: humidity(),
    prep: Joi.object(schools).required().options({ presence: 'required' }),
    lastBackupMs: maybeInstant(),
  }),
  resins: Joi.object({ id: id(), name: name(), note: text(2000), price, sheet: sheetSchema }),
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
    bellyM: number().min(0).max(0.1),
    prep: Joi.object(schools).required(),
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
    damage: Joi.array().items(damage).max(12).required(),
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
    aBy: weighedBy(),
    bBy: weighedBy(),
    addedAKg: mass(),
    reading: Joi.object({ part: oneOf(['A', 'B']), kg: mass() })
      .allow(null)
      .required(),
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
    ...intended,
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
  tasks: Joi.object({
    id: id(),
    pieceId: id(),
    key: Joi.string().min(1).max(200).required(),
    rule: Joi.string().min(1).max(60).required(),
    title: name(),
    coatId: maybeId(),
    state: Joi.valid('open', 'done', 'waived').required(),
    doneMs: maybeInstant(),
    scope: Joi.array().items(Joi.string().max(100)).max(4000).required(),
    reason: text(500),
    result: Joi.valid('clean', 'colour comes off').allow(null).required(),
    order: number().min(-1e6).max(1e6).allow(null),
    method: Joi.valid(...MASK_METHODS)
      .allow(null)
      .required(),
    limit: Joi.object({ side: oneOf(HALF_PLANE_SIDES), atM: place() })
      .allow(null)
      .required(),
    own,
  }),
  air: Joi.object({
    id: id(),
    fromMs: instant(),
    temperatureK: roomTemperature(),
    humidity: humidity(),
  }),
  log: Joi.object({
    id: id(),
    seq: number().integer().min(1).max(1e12),
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
      .pattern(figureName, Joi.alternatives(Joi.number().strict().min(-1e15).max(1e15), text(500)))
      .max(60)
      .required(),
  }),
};
