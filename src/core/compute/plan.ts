import Joi from 'joi';
import {
  DEFAULT_REST_S,
  domeOn,
  filmShape,
  FLOOD_OVER_M2,
  INTENTS,
  LEDGER_LINES,
  planBatch,
  planCoat,
  PLAIN_INPUT,
  RIM,
  SPREAD_M,
  angleFor,
  type BuildCoat,
  type CoatPlan,
  type LedgerInput,
  type PlanArea,
  type PlanCoat,
  type PlanPiece,
} from '../coat';
import { checkShape, measureShape, reachOf, type Shape, type Tilt } from '../geometry';
import { AREA_KINDS, COAT_KINDS, EDGE_KINDS, POROSITIES, RELIEF_KINDS, SUPPORTS } from '../piece';
import { checkSheet, type ResinSheet } from '../resin';
import { fail, ok, type Issue, type Result } from '../result';
import { ledgerSchema } from './coat';
import { define } from './define';
import {
  maybe,
  number,
  positive,
  reserveSchema,
  shapeSchema,
  sheetSchema,
  temperature,
} from './schemas';

const oneOf = (values: readonly string[]) => Joi.valid(...values);
const name = () => Joi.string().max(200);

const profile = Joi.object({
  kind: oneOf(['square', 'eased', 'round', 'bevel']).required(),
  sizeM: maybe().min(0),
}).default({ kind: 'square' });
const area = Joi.object({
  id: name().required(),
  name: name().default('Face'),
  kind: oneOf(AREA_KINDS).default('face'),
  shape: shapeSchema,
  depthM: maybe().min(0).default(0),
  edges: Joi.array()
    .items(
      Joi.object({ kind: oneOf(EDGE_KINDS).required(), heightM: number().min(0).max(1), profile }),
    )
    .min(1)
    .max(60)
    .required(),
  porosity: oneOf(POROSITIES).default('sealed'),
  relief: Joi.array()
    .items(
      Joi.object({
        kind: oneOf(RELIEF_KINDS).required(),
        greatestM: number().min(0),
        meanM: number().min(0).max(Joi.ref('greatestM')),
        share: number().min(0).max(1),
      }),
    )
    .max(8)
    .default([]),
  measured: Joi.object({ by: oneOf(['rule', 'drawing']).required() }).default({ by: 'rule' }),
});

const intent = Joi.object({
  by: oneOf(INTENTS).required(),
  thicknessM: Joi.when('by', {
    switch: [
      { is: 'given', then: number() },
      { is: 'spread', then: maybe().default(SPREAD_M) },
    ],
    otherwise: Joi.forbidden(),
  }),
  perMetreM2: Joi.when('by', {
    is: 'over',
    then: maybe().default(FLOOD_OVER_M2),
    otherwise: Joi.forbidden(),
  }),
  coverM: Joi.when('by', { is: 'bury', then: number(), otherwise: Joi.forbidden() }),
  belowM: Joi.when('by', { is: 'fill', then: number(), otherwise: Joi.forbidden() }),
  heightM: Joi.when('by', { is: 'rim', then: number(), otherwise: Joi.forbidden() }),
  centreM: Joi.when('by', {
    is: 'dome',
    then: maybe().allow(null).default(null),
    otherwise: Joi.forbidden(),
  }),
  volumeM3: Joi.when('by', { is: 'mix', then: number(), otherwise: Joi.forbidden() }),
}).required();

const ids = () => Joi.array().items(name()).max(200);
const coat = Joi.object({
  kind: oneOf(COAT_KINDS).default('flood'),
  order: number().default(1_000).optional(),
  areaIds: ids().optional(),
  intent,
  coverage: maybe().greater(0).max(1).default(1),
  restS: maybe().min(0).default(DEFAULT_REST_S),
  reserve: reserveSchema.optional().default(PLAIN_INPUT.reserve),
  overrides: Joi.array()
    .items(
      Joi.object({
        line: oneOf(LEDGER_LINES).required(),
        volumeM3: number(),
        reason: Joi.string().max(500).required(),
      }),
    )
    .max(LEDGER_LINES.length)
    .default([]),
}).required();
const below = Joi.object({
  kind: oneOf(COAT_KINDS).default('flood'),
  order: number(),
  areaIds: ids().required(),
  thicknessM: number(),
  staysM: Joi.array().items(number()).max(200).default([]),
  coverage: maybe().greater(0).max(1).default(1),
});
const tilt = Joi.object({ alongX: number(), alongY: number() }).allow(null).default(null);

interface CoatInput {
  readonly coat: Omit<PlanCoat, 'areaIds'> & { readonly areaIds?: readonly string[] };
  readonly piece: PlanPiece;
  readonly areas: readonly PlanArea[];
  readonly below: readonly BuildCoat[];
  readonly sealed: readonly string[];
  readonly sheet: ResinSheet;
  readonly roomTemperatureK: number;
}

/** Faults of shapes, and of edges that are not one for each side. */
function areaIssues(areas: readonly PlanArea[]): Issue[] {
  return areas.flatMap((a, i): Issue[] => {
    const checked = checkShape(a.shape);
    if (!checked.ok)
      return checked.issues.map((issue) => ({
        ...issue,
        path: ['areas', i, 'shape', ...issue.path],
      }));
    const sides = measureShape(a.shape).sideLengthsM.length;
    return a.edges.length === sides
      ? []
      : [
          {
            code: 'does-not-fit',
            path: ['areas', i, 'edges'],
            value: a.edges.length,
            allowed: { min: sides, max: sides },
          },
        ];
  });
}

function plan(input: CoatInput): Result<CoatPlan> {
  const { coat: told, piece, areas, below: coats, sealed, sheet, roomTemperatureK } = input;
  const checked = checkSheet(sheet);
  const issues = [
    ...(checked.ok ? [] : checked.issues.map((i) => ({ ...i, path: ['sheet', ...i.path] }))),
    ...areaIssues(areas),
  ];
  if (issues.length > 0) return fail(...issues);
  const planned: PlanCoat = { ...told, areaIds: told.areaIds ?? areas.map((a) => a.id) };
  const found = planCoat(
    {
      ...{ coat: planned, piece, areas, coats, sheet, sealed: new Set(sealed) },
      roomK: roomTemperatureK,
    },
    roomTemperatureK,
  );
  return found;
}

interface DomeInput {
  readonly shape: Shape;
  readonly walls: readonly boolean[];
  readonly lengthM: number;
  readonly densityKgM3: number;
  readonly massKg: number;
  readonly tilt: Tilt | null;
}

/** A dome of a mass on an outline: its rim, and what it takes to spill. */
function domeOnOutline({ shape, walls, lengthM, densityKgM3, massKg, tilt: leans }: DomeInput) {
  const checked = checkShape(shape);
  if (!checked.ok)
    return fail(...checked.issues.map((i) => ({ ...i, path: ['shape', ...i.path] })));
  const outline = filmShape(shape, walls, lengthM);
  if (outline.rimM === 0) return fail({ code: 'required', path: ['walls'], value: walls });
  const meanM = massKg / densityKgM3 / outline.areaM2;
  const rimRad = angleFor(outline, 'meanM', meanM, lengthM);
  const safe = domeOn(outline, RIM.safe, lengthM);
  const greatest = domeOn(outline, Math.PI / 2, lengthM);
  const now = rimRad === null ? null : domeOn(outline, rimRad, lengthM);
  const down = leans && Math.hypot(leans.alongX, leans.alongY) > 0 ? leans : null;
  const reachM = reachOf(shape, down ? [-down.alongX, -down.alongY] : [1, 0]).aheadM;
  return ok({
    rimRad,
    meanM,
    centreM: now?.centreM ?? null,
    safeKg: safe.volumeM3 * densityKgM3,
    spareKg: safe.volumeM3 * densityKgM3 - massKg,
    overDoseKg: Math.max(0, greatest.volumeM3 * densityKgM3 - massKg),
    forgivenSlope: now ? Math.max(0, safe.centreM - now.centreM) / reachM : 0,
  });
}

/** A coat, a batch, a dome from what it is to do to what is mixed. */
export const PLAN = {
  planCoat: define(
    Joi.object<CoatInput>({
      coat,
      piece: Joi.object({
        count: number().integer().min(1).max(500).optional().default(1),
        support: oneOf(SUPPORTS).default('sealed panel'),
        tilt,
        bellyM: maybe().min(0).max(0.1).default(0),
      }).default({ count: 1, support: 'sealed panel', tilt: null, bellyM: 0 }),
      areas: Joi.array().items(area).min(1).max(50).required(),
      below: Joi.array().items(below).max(100).default([]),
      sealed: ids().default([]),
      sheet: sheetSchema,
      roomTemperatureK: temperature().optional().default(295.15),
    }),
    plan,
  ),
  planBatch: define(
    Joi.object<{ coats: LedgerInput[] }>({
      coats: Joi.array().items(ledgerSchema).min(1).max(50).required(),
    }),
    ({ coats }) => planBatch(coats),
  ),
  domeOnOutline: define(
    Joi.object<DomeInput>({
      shape: shapeSchema,
      walls: Joi.array().items(Joi.boolean().strict()).max(2000).default([]),
      lengthM: positive().min(1e-4).max(0.01),
      densityKgM3: positive(),
      massKg: positive().max(100),
      tilt,
    }),
    domeOnOutline,
  ),
} as const;
