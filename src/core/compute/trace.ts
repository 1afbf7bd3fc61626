import Joi from 'joi';
import type { Point } from '../geometry';
import { fail, ok } from '../result';
import { measureTraced, MEASURE_DEFAULTS, viewOf, type Corners, type Reference } from '../trace';
import { define } from './define';
import { number, point, positive } from './schemas';

interface TracedInput {
  readonly ringPx: readonly Point[];
  readonly corners: Corners;
  readonly reference: Reference;
  readonly size: { readonly widthPx: number; readonly heightPx: number };
  readonly heightM: number;
}

/** Computations on what was traced in a photo. */
export const TRACE = {
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
} as const;
