import Joi from 'joi';
import { SURFACE_TENSION } from '../capillary';
import { restOutlasts } from '../coat';
import {
  drainedEdgeMean,
  fluidityLeft,
  restForEdge,
  tiltDifference,
  tolerableSlope,
  trappedBubble,
  waveLeft,
  type Thickening,
} from '../film';
import { propLifts, type Point, type Tilt } from '../geometry';
import { ok } from '../result';
import { define } from './define';
import { lawSchema, maybe, number, point, positive } from './schemas';

interface LevelInput {
  readonly tilt: Tilt;
  readonly props: readonly Point[];
  readonly lengthM: number;
  readonly thicknessM: number;
  readonly densityKgM3: number;
  readonly fluidityPerPa: number;
  readonly share: number;
}

interface EdgeRest {
  readonly heightM: number;
  readonly wantedM: number;
  readonly densityKgM3: number;
  readonly law: Thickening;
  readonly workingS: number | null;
}
interface Film {
  readonly thicknessM: number;
  readonly law: Thickening;
  readonly restS: number;
  readonly densityKgM3: number;
}
const filmFields = {
  thicknessM: positive().max(0.1),
  law: lawSchema,
  restS: maybe().min(0).max(86_400).default(0),
  densityKgM3: positive(),
};

/** Computations of a film at rest. */
export const FILM = {
  edgeRest: define(
    Joi.object<EdgeRest>({
      heightM: positive().max(1),
      wantedM: positive().max(0.01),
      densityKgM3: positive(),
      law: lawSchema,
      workingS: maybe().allow(null).default(null),
    }),
    ({ heightM, wantedM, densityKgM3, law, workingS }) => {
      const restS = restForEdge(wantedM, heightM, law, densityKgM3);
      const fluidityPerPa = fluidityLeft(law);
      return ok({
        restS,
        tooLong: restOutlasts(restS, workingS),
        withoutRestM: drainedEdgeMean(heightM, { densityKgM3, fluidityPerPa }),
      });
    },
  ),
  waves: define(
    Joi.object<Film & { waveM: number }>({ ...filmFields, waveM: positive().max(10) }),
    ({ thicknessM, law, restS, densityKgM3, waveM }) =>
      ok({
        left: waveLeft(waveM, thicknessM, {
          densityKgM3,
          surfaceTension: SURFACE_TENSION,
          fluidityPerPa: fluidityLeft(law, restS),
        }),
      }),
  ),
  bubbles: define(Joi.object<Film>(filmFields), ({ thicknessM, law, restS, densityKgM3 }) =>
    ok({ staysM: trappedBubble(thicknessM, fluidityLeft(law, restS), densityKgM3) }),
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
        differenceM: tiltDifference(lengthM, slope, thicknessM, { densityKgM3, fluidityPerPa }),
      });
    },
  ),
} as const;
