import Joi from 'joi';
import { INTENTS, LEDGER_LINES, OVERRIDE_LIMITS_M3, THICKNESS_LIMITS_M } from '@/core/coat';

const number = () => Joi.number().strict().required();
const name = () => Joi.string().trim().min(1).max(120).required();
const oneOf = (values: readonly string[]) => Joi.valid(...values).required();
const film = () => number().min(THICKNESS_LIMITS_M.min).max(THICKNESS_LIMITS_M.max);
/** What a resin costs. */
export const price = Joi.object({
  amount: number().min(0).max(100_000),
  per: Joi.valid('kg', 'l').required(),
})
  .allow(null)
  .required();
/** Each kind of intention has a number of its own, or none. */
const intentOf = (by: string, own: Joi.PartialSchemaMap) => ({
  is: by,
  then: Joi.object({ by: Joi.string().required(), ...own }),
});
const PLAIN_INTENTS = INTENTS.filter((by) => !['given', 'bury', 'fill', 'dome'].includes(by));
const intent = Joi.alternatives()
  .conditional('.by', {
    switch: [
      intentOf('given', { thicknessM: film() }),
      intentOf('bury', { coverM: film() }),
      intentOf('fill', { belowM: number().min(0).max(0.5) }),
      intentOf('dome', { centreM: film().allow(null) }),
    ],
    otherwise: Joi.object({ by: oneOf(PLAIN_INTENTS) }),
  })
  .required();
const override = Joi.object({
  line: oneOf(LEDGER_LINES),
  volumeM3: number().min(OVERRIDE_LIMITS_M3.min).max(OVERRIDE_LIMITS_M3.max),
  reason: Joi.string().trim().min(1).max(500).required(),
});
const colour = Joi.object({ name: name(), share: number().greater(0).max(1) });

/** What a coat is to do, and what the user said of its ledger. */
export const intended = {
  intent,
  thicknessM: film(),
  coverage: number().greater(0).max(1),
  overrides: Joi.array().items(override).max(LEDGER_LINES.length).unique('line').required(),
  colours: Joi.array().items(colour).max(12).required(),
};
