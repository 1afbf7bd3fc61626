import { PIGMENT_FORMS, type PigmentForm } from '@/core/wet';
import { defineRecord } from './define';
import type { Id } from './id';

/** A trial of a swatch on a card that is black and white: how much light it gives back over each. */
export interface SwatchTrial {
  readonly atMs: number;
  readonly resinId: Id<'resin'>;
  readonly lotId: Id<'lot'> | null;
  readonly filmM: number | null;
  /** Luminance over black and over white as shares of a white card, measured on a photo; null: only looked at. */
  readonly seen: { readonly overBlack: number; readonly overWhite: number } | null;
  readonly remark: string;
}

/** A colour as a recipe: what goes into its cup of mixed resin, and how it came out. */
export interface Swatch {
  readonly id: Id<'swatch'>;
  readonly resinId: Id<'resin'>;
  readonly name: string;
  /** Each as a share of the mix in its cup, by weight. */
  readonly parts: readonly {
    readonly name: string;
    readonly form: PigmentForm;
    readonly share: number;
  }[];
  readonly alcoholDrops: number;
  readonly siliconeDrops: number;
  /** White comes last of the colours. */
  readonly white: boolean;
  readonly remark: string;
  readonly trials: readonly SwatchTrial[];
}

export const SWATCHES = defineRecord<Swatch>()({
  name: 'swatches',
  live: true,
  references: [
    { field: 'resinId', table: 'resins' },
    { field: 'trials.resinId', table: 'resins' },
    { field: 'trials.lotId', table: 'lots' },
  ],
  defaults: { alcoholDrops: 0, siliconeDrops: 0, white: false, remark: '', trials: [] },
  order: (a, b) => a.name.localeCompare(b.name),
  schema: ({ Joi, flag, id, instant, listOf, maybeId, name, number, oneOf, text }) => {
    const light = () => number().min(0).max(1);
    const drops = () => number().integer().min(0).max(100);
    return {
      id: id(),
      resinId: id(),
      name: name(),
      parts: listOf(
        Joi.object({ name: name(), form: oneOf(PIGMENT_FORMS), share: number().greater(0).max(1) }),
        12,
      ),
      alcoholDrops: drops(),
      siliconeDrops: drops(),
      white: flag(),
      remark: text(500),
      trials: listOf(
        Joi.object({
          atMs: instant(),
          resinId: id(),
          lotId: maybeId(),
          filmM: number().greater(0).max(0.1).allow(null),
          seen: Joi.object({ overBlack: light(), overWhite: light() }).allow(null).required(),
          remark: text(500),
        }),
        100,
      ),
    };
  },
});
