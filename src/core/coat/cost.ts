import type { Explanation } from '../explain';
import { assert } from '../result';

/** What a resin costs, in the shop’s own currency; the mix of A and B, by weight or by volume. */
export interface ResinPrice {
  readonly amount: number;
  readonly per: 'kg' | 'l';
}

export interface CostInput {
  readonly totalM3: number;
  /** Of that: reserve, what runs off and what stays in cup and on tools, m³. */
  readonly wasteM3: number;
  readonly densityKgM3: number;
  readonly price: ResinPrice;
  /** Cups, sticks and gloves of one batch, currency. */
  readonly consumables: number;
}

export interface CoatCost {
  readonly resin: number;
  readonly total: number;
  /** Share of the total that does not stay on the piece. */
  readonly wasteShare: number;
  readonly explanation: Explanation;
}

/**
 * What a coat costs, and how much of it is waste.
 * @param input volumes m³ (total > 0, 0 <= waste <= total), density kg/m³, price and consumables in currency, >= 0
 * @returns amounts in currency
 * @throws RangeError outside those intervals
 * Source: mass or volume × price; consumables are waste as a whole.
 */
export function coatCost(input: CostInput): CoatCost {
  const { totalM3, wasteM3, densityKgM3, price, consumables } = input;
  assert(
    totalM3 > 0 && wasteM3 >= 0 && wasteM3 <= totalM3 && price.amount >= 0 && consumables >= 0,
    'coatCost',
    input,
  );
  const bought = price.per === 'kg' ? totalM3 * densityKgM3 : totalM3 * 1000;
  const resin = bought * price.amount;
  const total = resin + consumables;
  const waste = (resin * wasteM3) / totalM3 + consumables;
  const amount =
    price.per === 'kg'
      ? ({ label: 'mass of the mix', value: totalM3 * densityKgM3, quantity: 'mass' } as const)
      : ({ label: 'volume of the mix', value: totalM3, quantity: 'volume' } as const);
  return {
    resin,
    total,
    wasteShare: total > 0 ? waste / total : 0,
    explanation: {
      title: 'Cost of the coat',
      formula: `mix × price of a ${price.per} + consumables`,
      inputs: [
        { ...amount, source: 'computed' },
        {
          label: `price of a ${price.per}, your currency`,
          value: price.amount,
          quantity: 'number',
          source: 'chosen',
        },
        {
          label: 'cups, sticks and gloves, your currency',
          value: consumables,
          quantity: 'number',
          source: 'chosen',
        },
        {
          label: 'reserve, run-off, cup and tools',
          value: wasteM3,
          quantity: 'volume',
          source: 'computed',
        },
      ],
      source: 'Prices are yours: the resin’s sheet and Settings. Time at the bench is not in it.',
    },
  };
}
