import Joi from 'joi';
import { INSTANT_LIMITS_MS } from '@/core/units';
import { WEIGHED_BY } from './types';

/** Letters, digits and the two dashes: safe as a part of an address, a file name or an attribute. */
export const id = () =>
  Joi.string()
    .pattern(/^[A-Za-z0-9_-]{1,64}$/, 'letters, digits, - and _')
    .required();
export const maybeId = () => id().allow(null);
export const text = (max: number) => Joi.string().allow('').max(max).required();
export const name = () => Joi.string().trim().min(1).max(120).required();
export const number = () => Joi.number().strict().required();
export const instant = () => number().min(INSTANT_LIMITS_MS.min).max(INSTANT_LIMITS_MS.max);
export const maybeInstant = () => instant().allow(null);
export const weighedBy = () =>
  Joi.valid(...WEIGHED_BY)
    .allow(null)
    .required();
export const mass = () => number().min(0).max(100);
