import { grits } from '@/core/prep';
import { defineRecord } from './define';
import type { Id } from './id';
import type { Parts } from './define';

/** A step of a list that a shop keeps: where it goes follows from the piece that it is put on. */
export type TemplateStep = {
  readonly title: string;
  readonly needed: boolean;
  /** Before the next coat, or after the last. */
  readonly at: 'next' | 'last';
} & (
  | { readonly kind: 'note'; readonly labelS: number }
  | { readonly kind: 'sand'; readonly fromGrit: number; readonly toGrit: number }
);

/** A shop's own list of steps, to be put on other pieces. */
export interface Template {
  readonly id: Id<'template'>;
  readonly name: string;
  readonly madeMs: number;
  readonly steps: readonly TemplateStep[];
}

const step = ({ Joi, flag, name, number, oneOf }: Parts) => {
  const grit = () => oneOf(grits('P'));
  return Joi.object({
    kind: oneOf(['note', 'sand']),
    title: name(),
    needed: flag(),
    at: oneOf(['next', 'last']),
  })
    .when('.kind', {
      is: 'sand',
      then: Joi.object({ fromGrit: grit(), toGrit: grit() }),
      otherwise: Joi.object({
        labelS: number()
          .min(0)
          .max(120 * 86400),
      }),
    })
    .required();
};

export const TEMPLATES = defineRecord<Template>()({
  name: 'templates',
  live: true,
  references: [],
  defaults: {},
  order: (a, b) => a.name.localeCompare(b.name),
  schema: (parts) => ({
    id: parts.id(),
    name: parts.name(),
    madeMs: parts.instant(),
    steps: parts.listOf(step(parts), 60).min(1),
  }),
});
