import Joi from 'joi';
import { readDxf, readSvg } from '../exchange';
import { define } from './define';

/** Computations that read drawings. */
export const EXCHANGE = {
  readSvg: define(Joi.object<{ text: string }>({ text: Joi.string().required() }), ({ text }) =>
    readSvg(text),
  ),
  readDxf: define(Joi.object<{ text: string }>({ text: Joi.string().required() }), ({ text }) =>
    readDxf(text),
  ),
} as const;
