import { LAYER_KINDS, type LayerKind } from '@/core/piece';
import { defineRecord, type Parts } from './define';
import type { Id } from './id';

/** Where a layer stands: it is to be laid, was laid at an instant (and perhaps found dry), or came with the piece. */
export type LayerState =
  | { readonly at: 'planned' }
  | { readonly at: 'laid'; readonly laidMs: number; readonly dryMs: number | null }
  | { readonly at: 'there before' };

/** Something that is not resin, on places between the coats or under them. */
export interface Layer {
  readonly id: Id<'layer'>;
  readonly pieceId: Id<'piece'>;
  readonly areaIds: readonly Id<'area'>[];
  readonly kind: LayerKind;
  readonly name: string;
  /** The coat that it lies on, with all below; null: on the ground. */
  readonly over: Id<'coat'> | null;
  /** Place among the layers over the same coat, from 0. */
  readonly turn: number;
  /** Greatest and mean height where it lies, m, and the share of its places that it covers. */
  readonly greatestM: number;
  readonly meanM: number;
  readonly share: number;
  /** Drying time of its label, s. */
  readonly labelS: number;
  readonly state: LayerState;
}

const state = ({ Joi, instant, maybeInstant }: Parts) =>
  Joi.alternatives()
    .conditional('.at', {
      is: 'laid',
      then: Joi.object({ at: Joi.string().required(), laidMs: instant(), dryMs: maybeInstant() }),
      otherwise: Joi.object({ at: Joi.valid('planned', 'there before').required() }),
    })
    .required();

export const LAYERS = defineRecord<Layer>()({
  name: 'layers',
  live: true,
  references: [
    { field: 'pieceId', table: 'pieces' },
    { field: 'areaIds', table: 'areas' },
    { field: 'over', table: 'coats' },
  ],
  defaults: {},
  order: (a, b) => a.turn - b.turn,
  schema: (parts) => {
    const { Joi, id, LAYER_LIMITS, maybeId, name, number, oneOf } = parts;
    return {
      id: id(),
      pieceId: id(),
      areaIds: Joi.array().items(id()).min(1).required(),
      kind: oneOf(LAYER_KINDS),
      name: name(),
      over: maybeId(),
      turn: number().integer().min(0).max(100),
      greatestM: number().min(0).max(LAYER_LIMITS.greatestM.max),
      meanM: number().min(0).max(Joi.ref('greatestM')),
      share: number().greater(0).max(1),
      labelS: number().min(0).max(LAYER_LIMITS.labelS.max),
      state: state(parts),
    };
  },
});
