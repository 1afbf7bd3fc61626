import type { Explanation } from '@/core/explain';
import {
  DRYING_BAND,
  labelTime,
  soldAs,
  type MaterialNeed,
  type MaterialSum,
  type PlacedTask,
} from '@/core/prep';
import { formatIn } from '@/core/units';
import type { Format } from '@/features/common/useFormat';

/** An amount as it is bought and cut: tape in metres or feet, the rest in the shop's units. */
export function amountText(
  { name, amount }: Pick<MaterialNeed, 'name' | 'amount'>,
  { show, units }: Format,
): string {
  const { quantity, pack } = soldAs(name);
  if (quantity === 'length')
    return units === 'us' ? formatIn(amount, 'ft', 1).text : formatIn(amount, 'm', 2).text;
  if (quantity !== 'number') return show(amount, quantity).text;
  const count = show(amount, 'number').text;
  const one = pack === 'sheet' ? 'sheet' : 'cloth';
  return `${count} ${one}${amount === 1 ? '' : 's'}`;
}

/** Packs to have at hand: `2 rolls`. */
export function packsText({ packs, pack }: Pick<MaterialSum, 'packs' | 'pack'>): string {
  if (packs === 1) return `1 ${pack}`;
  const [first = pack, ...rest] = pack.split(' ');
  return [packs, `${first}s`, ...rest].join(' ');
}

/** How an amount is worked out. */
export function explainNeed(need: MaterialNeed, source: string): Explanation {
  return { title: need.name, formula: need.formula, inputs: need.inputs, source };
}

/** What one step or one piece needs, by its name. */
export interface NamedNeeds {
  readonly label: string;
  readonly needs: readonly MaterialNeed[];
}

/** How a sum is made up, and how it is rounded to what is sold. */
export function explainSum(sum: MaterialSum, parts: readonly NamedNeeds[]): Explanation {
  const { soldIn, pack } = soldAs(sum.name);
  const shares = new Map<string, number>();
  for (const { label, needs } of parts)
    for (const { name, amount } of needs)
      if (name === sum.name) shares.set(label, (shares.get(label) ?? 0) + amount);
  const { quantity } = sum;
  return {
    title: `${sum.name}, sum`,
    formula: `Σ; to have = ⌈Σ / one ${pack}⌉`,
    inputs: [
      ...[...shares].map(([label, value]) => ({
        label,
        value,
        quantity,
        source: 'computed' as const,
      })),
      { label: `one ${pack}`, value: soldIn, quantity, source: 'rule of thumb' },
    ],
    source: 'Each step’s own amount opens at the step. Pack sizes: common practice, no source.',
  };
}

/** How a drying clock is worked out. */
export function explainDry({ task, dry }: PlacedTask): Explanation {
  const drying = task.drying ?? { labelS: 0, thicknessM: 0, leaves: 'water' as const };
  const labelS = labelTime(drying);
  return {
    title: `Dry: ${task.title}`,
    formula:
      drying.leaves === 'water'
        ? '∫ VPD(room) / VPD(22 °C, 50 %) dt = label time · max(1, h / 1 mm)²'
        : 'label time, at its own pace',
    inputs: [
      {
        label: 'label time at 22 °C and 50 %',
        value: drying.labelS,
        quantity: 'duration',
        source: 'rule of thumb',
      },
      {
        label: 'wet thickness, h',
        value: drying.thicknessM,
        quantity: 'film',
        source: 'rule of thumb',
      },
      { label: 'so at the label’s air', value: labelS, quantity: 'duration', source: 'computed' },
      {
        label: 'speed in this room now',
        value: dry?.rate ?? 0,
        quantity: 'number',
        source: 'computed',
      },
    ],
    source:
      'Dalton: evaporation follows the vapour-pressure deficit. Above 1 mm the square of the thickness, from memory. The product’s own label goes first.',
    note: `Band ± ${Math.round(DRYING_BAND * 100)} %: moving air is not in it (judgement). It dries in the room’s noted air.`,
  };
}
