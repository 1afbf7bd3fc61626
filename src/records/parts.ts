import Joi from 'joi';
import { point, reserveSchema, shapeSchema, sheetSchema } from '@/core/compute/schemas';
import { HUMIDITY_LIMITS } from '@/core/climate';
import {
  MASK_METHODS,
  RECOAT_SCHOOLS,
  SEAL_SCHOOLS,
  SPRAY_SCHOOLS,
  TOOTH_SCHOOLS,
} from '@/core/prep';
import { ROOM_LIMITS_K } from '@/core/resin';
import { INSTANT_LIMITS_MS } from '@/core/units';

// Parts of the schemas of records. Joi is heavy and only checks what is written, so records name these parts and
// `validate.ts` hands them in.
export { Joi, MASK_METHODS, point, reserveSchema, shapeSchema, sheetSchema };
// What only a check of rows asks of core comes with them as well.
export {
  FLOOD_OVER_LIMITS_M2,
  INTENTS,
  LAYER_LIMITS,
  LEDGER_LINES,
  LINE_LIMITS,
  LINE_USES,
  MIX_LIMITS_M3,
  OVERRIDE_LIMITS_M3,
  THICKNESS_LIMITS_M,
} from '@/core/coat';
export { checkShape, HALF_PLANE_SIDES, measureShape } from '@/core/geometry';
export { RESCUE_KINDS, TESTS } from '@/core/inspect';
export { grits } from '@/core/prep';
export { checkSheet, TOUCH_FINDS, TOUCHED } from '@/core/resin';

/** Letters, digits and the two dashes: safe as a part of an address, a file name or an attribute. */
export const id = () =>
  Joi.string()
    .pattern(/^[A-Za-z0-9_-]{1,64}$/, 'letters, digits, - and _')
    .required();
export const maybeId = () => id().allow(null);
export const ids = (min: number) => Joi.array().items(id().optional()).min(min).max(60).required();
export const text = (max: number) => Joi.string().allow('').max(max).required();
export const name = () => Joi.string().trim().min(1).max(120).required();
// Rows are checked without conversion (`validate.ts`): a schema that said so itself would take a tenth more time.
export const number = () => Joi.number().required();
export const flag = () => Joi.boolean().required();
export const oneOf = (values: readonly (string | number)[]) => Joi.valid(...values).required();
export const maybeOneOf = (values: readonly string[]) =>
  Joi.valid(...values)
    .allow(null)
    .required();
export const listOf = (schema: Joi.Schema, most: number) =>
  Joi.array().items(schema).max(most).required();
export const INSTANTS = INSTANT_LIMITS_MS;
/** A long list of numbers, looked at by hand: Joi would take a second over a month of readings. */
export const column = (
  { min, max, gaps = false }: { min: number; max: number; gaps?: boolean },
  most: number,
) =>
  Joi.custom((value: unknown, helpers) =>
    Array.isArray(value) &&
    value.length <= most &&
    value.every((x) => (gaps && x === null) || (typeof x === 'number' && x >= min && x <= max))
      ? value
      : helpers.error('any.invalid'),
  ).required();
export const instant = () => number().min(INSTANT_LIMITS_MS.min).max(INSTANT_LIMITS_MS.max);
export const maybeInstant = () => instant().allow(null);
export const mass = () => number().min(0).max(100);
/** A coordinate on the plan of a piece, m. */
export const place = () => number().min(-10).max(10);
export const roomTemperature = () => number().min(ROOM_LIMITS_K.min).max(ROOM_LIMITS_K.max);
export const humidity = () => number().min(HUMIDITY_LIMITS.min).max(HUMIDITY_LIMITS.max);
/** The schools of preparation, each of which may be left out. */
export const schools = () =>
  Joi.object({
    tooth: Joi.valid(...TOOTH_SCHOOLS),
    recoat: Joi.valid(...RECOAT_SCHOOLS),
    seal: Joi.valid(...SEAL_SCHOOLS),
    spray: Joi.valid(...SPRAY_SCHOOLS),
    mask: Joi.valid(...MASK_METHODS),
    gritScale: Joi.valid('P', 'CAMI'),
  }).required();
