import Joi from 'joi';
import {
  checkMix,
  checkSheet,
  coatClock,
  ripeSeconds,
  smallestBatchKg,
  splitMix,
  windowsByTemperature,
  workingTime,
  type CoatClockInput,
  type MixParts,
  type RateLaw,
  type ResinSheet,
  type TemperatureStep,
} from '../resin';
import { cupOutlook, type CupQuestion } from '../resin/model';
import { ok, type Result } from '../result';
import { define } from './define';
import {
  historySchema,
  instant,
  mixPartsSchema,
  number,
  positive,
  sheetSchema,
  temperature,
} from './schemas';

/** Runs `then` with a sheet that has been checked; faults get `sheet` in front of their path. */
function withSheet<T>(sheet: ResinSheet, then: () => T): Result<T> {
  const checked = checkSheet(sheet);
  if (checked.ok) return ok(then());
  return { ok: false, issues: checked.issues.map((i) => ({ ...i, path: ['sheet', ...i.path] })) };
}

/** Computations of resin: shares, clocks, windows. */
export const RESIN = {
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
      startMs: instant(),
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
  smallestBatch: define(
    Joi.object<{ parts: MixParts; digitKg: number }>({
      parts: mixPartsSchema,
      digitKg: positive().max(1),
    }),
    ({ parts, digitKg }) => {
      const split = splitMix(1e-3, parts);
      return split.ok ? ok({ smallestKg: smallestBatchKg(parts, digitKg) }) : split;
    },
  ),
  cupOutlook: define(
    Joi.object<CupQuestion>({
      sheet: sheetSchema,
      massKg: positive().max(20),
      roomK: temperature(),
      startK: temperature(),
    }),
    (question) => withSheet(question.sheet, () => cupOutlook(question)),
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
} as const;
