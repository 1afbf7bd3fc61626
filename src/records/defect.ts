import type { Point } from '@/core/geometry';
import type { Answers, RescueKind } from '@/core/inspect';
import { DEFECT_KINDS, type DefectKind } from '@/core/piece';
import { defineRecord } from './define';
import type { Id } from './id';

/** What a later look found of it. */
export const LATER_LOOKS = ['gone', 'still there'] as const;
export type LaterLook = (typeof LATER_LOOKS)[number];

/** How much of a fault there is; null: not told. Lengths in m. */
export interface DefectLook {
  readonly allOver: boolean | null;
  readonly count: number | null;
  /** Width of one. */
  readonly sizeM: number | null;
  readonly depthM: number | null;
}
export const NOT_LOOKED: DefectLook = { allOver: null, count: null, sizeM: null, depthM: null };

/** The way back that was chosen, with what it put on the plan. */
export interface ChosenRescue {
  readonly kind: RescueKind;
  readonly chosenMs: number;
  readonly coatIds: readonly Id<'coat'>[];
  readonly taskIds: readonly Id<'task'>[];
}

export interface Defect {
  readonly id: Id<'defect'>;
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  /** Where it is on the plan of an area, m; null: not told. */
  readonly at: { readonly areaId: Id<'area'>; readonly point: Point } | null;
  readonly look: DefectLook;
  /** Tests that a hand did on it, and what they found. */
  readonly answers: Answers;
  readonly rescue: ChosenRescue | null;
  /** Looks after it was found, oldest first; it is closed by one that finds it gone. */
  readonly looks: readonly { readonly atMs: number; readonly found: LaterLook }[];
  readonly foundMs: number;
  readonly repairedMs: number | null;
}

/** Sizes that a fault can have, m, and counts. Judgement, no source. */
export const LOOK_LIMITS = {
  sizeM: { min: 1e-4, max: 5 },
  depthM: { min: 1e-5, max: 0.05 },
  count: { min: 1, max: 9999 },
} as const;

export const DEFECTS = defineRecord<Defect>()({
  name: 'defects',
  live: true,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'coatId', table: 'coats' },
    { field: 'at.areaId', table: 'areas' },
  ],
  defaults: {
    ...{ coatId: null, note: '', at: null, repairedMs: null },
    ...{ look: NOT_LOOKED, answers: {}, looks: [], rescue: null },
  },
  schema: ({
    Joi,
    flag,
    id,
    ids,
    instant,
    listOf,
    maybeId,
    maybeInstant,
    number,
    oneOf,
    point,
    RESCUE_KINDS,
    TESTS,
    text,
  }) => {
    const within = ({ min, max }: { min: number; max: number }) =>
      number().min(min).max(max).allow(null).required();
    return {
      id: id(),
      pieceId: id(),
      coatId: maybeId(),
      kind: oneOf(DEFECT_KINDS),
      note: text(2000),
      at: Joi.object({ areaId: id(), point: point() }).allow(null).required(),
      look: Joi.object({
        allOver: flag().allow(null),
        count: within(LOOK_LIMITS.count).integer(),
        sizeM: within(LOOK_LIMITS.sizeM),
        depthM: within(LOOK_LIMITS.depthM),
      }).required(),
      answers: Joi.object()
        .pattern(Joi.string().valid(...TESTS), Joi.boolean())
        .required(),
      rescue: Joi.object({
        kind: oneOf(RESCUE_KINDS),
        chosenMs: instant(),
        coatIds: ids(0),
        taskIds: ids(0),
      })
        .allow(null)
        .required(),
      looks: listOf(Joi.object({ atMs: instant(), found: oneOf(LATER_LOOKS) }), 500),
      foundMs: instant(),
      repairedMs: maybeInstant(),
    };
  },
});
