import type { ResinPrice } from '@/core/coat';
import {
  NOTHING_DECLARED,
  COLOUR_LIMITS,
  SERVICE_LIMITS_K,
  type Declared,
  type ResinSheet,
} from '@/core/resin';
import { defineRecord } from './define';
import type { Id } from './id';

export interface Resin {
  readonly id: Id<'resin'>;
  readonly name: string;
  readonly note: string;
  readonly price: ResinPrice | null;
  readonly sheet: ResinSheet;
  /** What its maker declares it for. */
  readonly declared: Declared;
  /** Touches of coats poured before then teach nothing of it any more; null: all teach. */
  readonly learnsFromMs: number | null;
}

export const RESINS = defineRecord<Resin>()({
  name: 'resins',
  live: true,
  references: [],
  defaults: { note: '', price: null, declared: NOTHING_DECLARED, learnsFromMs: null },
  order: (a, b) => a.name.localeCompare(b.name),
  meaning: ({ sheet }, { checkSheet }) => {
    const checked = checkSheet(sheet);
    return checked.ok
      ? []
      : checked.issues.map((issue) => ({ ...issue, path: ['sheet', ...issue.path] }));
  },
  schema: ({ Joi, id, maybeInstant, name, number, roomTemperature, sheetSchema, text }) => ({
    id: id(),
    name: name(),
    note: text(2000),
    price: Joi.object({
      amount: number().min(0).max(100_000),
      per: Joi.valid('kg', 'l').required(),
    })
      .allow(null)
      .required(),
    sheet: sheetSchema,
    declared: Joi.object({
      serviceK: number().min(SERVICE_LIMITS_K.min).max(SERVICE_LIMITS_K.max).allow(null),
      food: Joi.object({ by: name(), for: name() }).allow(null).required(),
      uvStable: Joi.boolean().allow(null).required(),
      colourShare: number().min(COLOUR_LIMITS.min).max(COLOUR_LIMITS.max).allow(null),
      curesK: Joi.object({ min: roomTemperature(), max: roomTemperature() }).allow(null).required(),
    }).required(),
    learnsFromMs: maybeInstant(),
  }),
});
