import type { Declared, Use } from '../resin';

/** One line of a care note, by code; an instant where it holds from a day on. */
export type CareLine =
  | { readonly is: 'handle' | 'light use' | 'nothing hot' | 'fully cured'; readonly fromMs: number }
  | { readonly is: 'hot declared'; readonly serviceK: number }
  | { readonly is: 'hot not declared' | 'food not declared' | 'soft cloth' }
  | { readonly is: 'food declared'; readonly by: string; readonly for: string }
  | { readonly is: 'light stable' | 'light not declared' | 'keep from daylight' };

export interface CareFacts {
  /** When the film bears handling, first light use, warmth, and is fully cured, ms since the epoch: the latest of all coats. */
  readonly handleMs: number;
  readonly hardMs: number;
  readonly warmMs: number;
  readonly fullMs: number;
  /** What the sheets of all its resins declare. */
  readonly declared: readonly Declared[];
  readonly use: Use;
  /** Ink or something else that fades lies under it. */
  readonly fades: boolean;
}

/**
 * What goes with a piece: dates by its clocks, and of heat, food and light only what every resin in it declares.
 * @returns lines in their order; nothing is said to be fit that no sheet says
 * Source: common practice; fitness by the sheets alone.
 */
export function careNote(facts: CareFacts): readonly CareLine[] {
  const { handleMs, hardMs, warmMs, fullMs, declared, use, fades } = facts;
  const heats = declared.map((d) => d.serviceK);
  const serviceK = heats.some((k) => k === null) ? null : Math.min(...heats.map((k) => k ?? NaN));
  const [food] = declared.map((d) => d.food);
  const foods = declared.every((d) => d.food !== null);
  const stable = declared.every((d) => d.uvStable === true);
  return [
    { is: 'handle', fromMs: handleMs },
    { is: 'light use', fromMs: hardMs },
    { is: 'nothing hot', fromMs: Math.max(warmMs, hardMs) },
    { is: 'fully cured', fromMs: fullMs },
    ...(serviceK !== null && declared.length > 0
      ? [{ is: 'hot declared', serviceK } as const]
      : use.hotCups
        ? [{ is: 'hot not declared' } as const]
        : []),
    ...(foods && food
      ? [{ is: 'food declared', by: food.by, for: food.for } as const]
      : use.food
        ? [{ is: 'food not declared' } as const]
        : []),
    ...(fades
      ? [{ is: 'keep from daylight' } as const]
      : use.daylight
        ? [{ is: stable ? 'light stable' : 'light not declared' } as const]
        : []),
    { is: 'soft cloth' },
  ];
}
