import {
  DEFAULT_REST_S,
  type LINE_USES,
  type Intent,
  type LedgerOverride,
  type ReserveSchool,
} from '@/core/coat';
import type { Point } from '@/core/geometry';
import { COAT_KINDS, type CoatKind } from '@/core/piece';
import type { Learned, Touched, TouchFind } from '@/core/resin';
import { defineRecord, type Parts } from './define';
import type { Id } from './id';

export interface Coat {
  readonly id: Id<'coat'>;
  readonly pieceId: Id<'piece'>;
  readonly areaIds: readonly Id<'area'>[];
  /** Place from the substrate up, from 1. */
  readonly order: number;
  readonly kind: CoatKind;
  readonly name: string;
  readonly resinId: Id<'resin'>;
  /** What the coat is to do; its thickness follows from that until it is poured. */
  readonly intent: Intent;
  readonly thicknessM: number;
  /** Film that stays on each of its areas once what they cannot hold has run off, m, in their order. */
  readonly staysM: readonly number[];
  /** Share of its areas that it covers; a patch covers less than all. */
  readonly coverage: number;
  /** A line that is drawn with resin, for a coat that is one. */
  readonly line: DrawnLine | null;
  /** When it has cured the dams of its areas come off, and their edges are open from then on. */
  readonly freesDams: boolean;
  /** Silicone oil in one of its colours, or release spray on its dam: the next coat draws back over it. */
  readonly silicone: boolean;
  /** Lines of the ledger that the user set. */
  readonly overrides: readonly LedgerOverride[];
  /** Colours of an art coat and their shares of the mix; what is left is the clear ground. */
  readonly colours: readonly CoatColour[];
  readonly restS: number;
  readonly reserve: ReserveSchool;
  readonly batchId: Id<'batch'> | null;
  /** When part B met part A of what was poured: its clock starts there. Null before the pour. */
  readonly mixedMs: number | null;
  readonly pouredMs: number | null;
  readonly coveredMs: number | null;
  /** What earlier batches had told of its resin when it was poured; null: nothing, or it is not poured. */
  readonly learned: Learned | null;
  /** What a finger found on it or on its witness, and when; empty before the pour. */
  readonly touches: readonly CoatTouch[];
}
/** A colour of an art coat: its share of the mix, and the swatch that it is mixed by, where there is one. */
export interface CoatColour {
  readonly name: string;
  readonly share: number;
  readonly swatchId: Id<'swatch'> | null;
}

export interface CoatTouch {
  readonly atMs: number;
  readonly found: TouchFind;
  readonly on: Touched;
}

/** A path of resin on the plan of a face. */
export interface DrawnLine {
  readonly as: (typeof LINE_USES)[number];
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly widthM: number;
  /** Angle at which its sides meet the ground, rad. */
  readonly angleRad: number;
}

const PLAIN = {
  kind: 'flood',
  coverage: 1,
  line: null,
  freesDams: false,
  silicone: false,
  colours: [],
  overrides: [],
  restS: DEFAULT_REST_S,
  reserve: { by: 'risk', confidence: 0.95 },
} as const satisfies Partial<Coat>;

/** A coat of a given thickness with nothing special about it: what tells it apart is added. */
export const plainCoat = (thicknessM: number) =>
  ({ ...PLAIN, intent: { by: 'given', thicknessM }, thicknessM }) as const satisfies Partial<Coat>;

const film = ({ number, THICKNESS_LIMITS_M }: Parts) =>
  number().min(THICKNESS_LIMITS_M.min).max(THICKNESS_LIMITS_M.max);

/** Each kind of intention has a number of its own, or none. */
function intent(parts: Parts) {
  const { FLOOD_OVER_LIMITS_M2, INTENTS, Joi, MIX_LIMITS_M3, number, oneOf } = parts;
  const plain = INTENTS.filter((by) => by === 'natural' || by === 'skin');
  const of = (by: string, own: Parameters<typeof Joi.object>[0]) => ({
    is: by,
    then: Joi.object({ by: Joi.string().required(), ...own }),
  });
  return Joi.alternatives()
    .conditional('.by', {
      switch: [
        of('given', { thicknessM: film(parts) }),
        of('bury', { coverM: film(parts) }),
        of('fill', { belowM: number().min(0).max(0.5) }),
        of('dome', { centreM: film(parts).allow(null) }),
        of('spread', { thicknessM: film(parts) }),
        of('rim', { heightM: number().min(0).max(0.5) }),
        of('over', {
          perMetreM2: number().min(FLOOD_OVER_LIMITS_M2.min).max(FLOOD_OVER_LIMITS_M2.max),
        }),
        of('mix', { volumeM3: number().min(MIX_LIMITS_M3.min).max(MIX_LIMITS_M3.max) }),
      ],
      otherwise: Joi.object({ by: oneOf(plain) }),
    })
    .required();
}
const line = ({ Joi, flag, LINE_LIMITS, LINE_USES, listOf, number, oneOf, point }: Parts) =>
  Joi.object({
    as: oneOf(LINE_USES),
    points: listOf(point().optional(), 20_000).min(2),
    closed: flag(),
    widthM: number().min(LINE_LIMITS.widthM.min).max(LINE_LIMITS.widthM.max),
    angleRad: number().min(LINE_LIMITS.angleRad.min).max(LINE_LIMITS.angleRad.max),
  });
const override = ({ Joi, LEDGER_LINES, number, oneOf, OVERRIDE_LIMITS_M3 }: Parts) =>
  Joi.object({
    line: oneOf(LEDGER_LINES),
    volumeM3: number().min(OVERRIDE_LIMITS_M3.min).max(OVERRIDE_LIMITS_M3.max),
    reason: Joi.string().trim().min(1).max(500).required(),
  });

export const COATS = defineRecord<Coat>()({
  name: 'coats',
  live: true,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'areaIds', table: 'areas' },
    { field: 'resinId', table: 'resins' },
    { field: 'batchId', table: 'batches' },
    { field: 'colours.swatchId', table: 'swatches' },
  ],
  defaults: {
    ...PLAIN,
    staysM: [],
    batchId: null,
    mixedMs: null,
    pouredMs: null,
    coveredMs: null,
    touches: [],
    learned: null,
  },
  order: (a, b) => a.order - b.order,
  meaning: ({ areaIds, staysM }) =>
    staysM.length === areaIds.length
      ? []
      : [
          {
            code: 'does-not-fit',
            path: ['staysM'],
            value: staysM.length,
            allowed: { min: areaIds.length, max: areaIds.length },
          },
        ],
  schema: (parts) => {
    const { Joi, flag, id, instant, listOf, maybeId, maybeInstant, name, number, oneOf } = parts;
    const { LEDGER_LINES, reserveSchema, THICKNESS_LIMITS_M, TOUCH_FINDS, TOUCHED } = parts;
    return {
      id: id(),
      pieceId: id(),
      areaIds: Joi.array().items(id()).min(1).required(),
      order: number().integer().min(1).max(100),
      kind: oneOf(COAT_KINDS),
      name: name(),
      resinId: id(),
      intent: intent(parts),
      thicknessM: film(parts),
      staysM: Joi.array().items(number().min(0).max(THICKNESS_LIMITS_M.max)).required(),
      coverage: number().greater(0).max(1),
      line: Joi.when('kind', {
        is: 'line',
        then: line(parts).required(),
        otherwise: Joi.valid(null).required(),
      }),
      freesDams: flag(),
      silicone: flag(),
      overrides: listOf(override(parts), LEDGER_LINES.length).unique('line'),
      colours: listOf(
        Joi.object({ name: name(), share: number().greater(0).max(1), swatchId: maybeId() }),
        12,
      ),
      restS: number().min(0).max(86400),
      reserve: reserveSchema,
      batchId: maybeId(),
      mixedMs: Joi.when('pouredMs', {
        is: null,
        then: Joi.valid(null).required(),
        otherwise: instant(),
      }),
      pouredMs: maybeInstant(),
      coveredMs: maybeInstant(),
      learned: Joi.object({
        factor: number().min(0.2).max(5),
        sigma: number().greater(0).max(2),
        count: number().integer().min(1).max(1e6),
        spread: number().min(0).max(2).allow(null),
      })
        .allow(null)
        .required(),
      touches: Joi.when('pouredMs', {
        is: null,
        then: Joi.array().max(0).required(),
        otherwise: listOf(
          Joi.object({ atMs: instant(), found: oneOf(TOUCH_FINDS), on: oneOf(TOUCHED) }),
          50,
        ),
      }),
    };
  },
});
