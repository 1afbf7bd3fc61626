import Joi from 'joi';
import { tiltDifference, tolerableSlope } from '../film';
import { propLifts, type Point, type Tilt } from '../geometry';
import { ok } from '../result';
import { define } from './define';
import { number, point, positive } from './schemas';

interface LevelInput {
  readonly tilt: Tilt;
  readonly props: readonly Point[];
  readonly lengthM: number;
  readonly thicknessM: number;
  readonly densityKgM3: number;
  readonly fluidityPerPa: number;
  readonly share: number;
}

/** Computations of a film at rest. */
export const FILM = {
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
        differenceM: tiltDifference(lengthM, slope, thicknessM, { densityKgM3, fluidityPerPa }),
      });
    },
  ),
} as const;
