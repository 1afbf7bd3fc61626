import type { HalfPlane } from '@/core/geometry';
import type { MaskMethod, OwnTask, TaskRecord } from '@/core/prep';
import { defineRecord, type Parts } from './define';
import type { Id } from './id';

/** What was done about a task of the preparation, or a task of the user's own. */
export interface PrepRecord extends TaskRecord {
  readonly id: Id<'task'>;
  readonly pieceId: Id<'piece'>;
  readonly method: MaskMethod | null;
  /** Sanding only on one side of a line. */
  readonly limit: HalfPlane | null;
  readonly own: OwnTask | null;
}

function own({ Joi, flag, grits, id, ids, name, number, oneOf }: Parts) {
  const grit = () => oneOf(grits('P'));
  return Joi.object({
    kind: oneOf(['note', 'sand']),
    key: id(),
    title: name(),
    needed: flag(),
    areaIds: ids(0),
    on: Joi.object({ at: oneOf(['next', 'coat', 'last']) })
      .when('.at', { is: 'coat', then: Joi.object({ coatId: id() }) })
      .required(),
    turn: number().integer().min(0).max(10_000),
  })
    .when('.kind', {
      is: 'sand',
      then: Joi.object({ fromGrit: grit(), toGrit: grit(), areaIds: ids(1) }),
      otherwise: Joi.object({
        labelS: number()
          .min(0)
          .max(120 * 86400),
      }),
    })
    .allow(null)
    .required();
}

export const TASKS = defineRecord<PrepRecord>()({
  name: 'tasks',
  live: true,
  references: [{ field: 'pieceId', table: 'pieces' }],
  defaults: { result: null, order: null, method: null, limit: null, own: null, reason: '' },
  schema: (parts) => {
    const { Joi, id, listOf, maybeId, maybeInstant, maybeOneOf, name, number, oneOf } = parts;
    const { HALF_PLANE_SIDES, MASK_METHODS, place, text } = parts;
    return {
      id: id(),
      pieceId: id(),
      key: Joi.string().min(1).max(200).required(),
      rule: Joi.string().min(1).max(60).required(),
      title: name(),
      coatId: maybeId(),
      state: oneOf(['open', 'done', 'waived']),
      doneMs: maybeInstant(),
      scope: listOf(Joi.string().max(100), 4000),
      reason: text(500),
      result: maybeOneOf(['clean', 'colour comes off']),
      order: number().min(-1e6).max(1e6).allow(null),
      method: maybeOneOf(MASK_METHODS),
      limit: Joi.object({ side: oneOf(HALF_PLANE_SIDES), atM: place() })
        .allow(null)
        .required(),
      own: own(parts),
    };
  },
});
