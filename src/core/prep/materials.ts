import type { ExplainInput, SourceKind } from '../explain';
import type { Quantity } from '../units';

/** What preparation uses up. Sold sizes are common practice, no source. */
export const MATERIALS = {
  'painter’s tape 24 mm': { quantity: 'length', soldIn: 50, pack: 'roll' },
  'painter’s tape 48 mm': { quantity: 'length', soldIn: 50, pack: 'roll' },
  'cloth tape 48 mm': { quantity: 'length', soldIn: 25, pack: 'roll' },
  'lint tape': { quantity: 'length', soldIn: 10, pack: 'roll' },
  'liquid latex': { quantity: 'volume', soldIn: 250e-6, pack: 'bottle' },
  'PVA glue': { quantity: 'volume', soldIn: 250e-6, pack: 'bottle' },
  'acrylic medium': { quantity: 'volume', soldIn: 250e-6, pack: 'bottle' },
  'decoupage glue': { quantity: 'volume', soldIn: 250e-6, pack: 'bottle' },
  'acrylic paint': { quantity: 'volume', soldIn: 120e-6, pack: 'tube' },
  'acrylic sealer': { quantity: 'volume', soldIn: 300e-6, pack: 'cartridge' },
  'texture paste': { quantity: 'volume', soldIn: 250e-6, pack: 'jar' },
  'matte spray': { quantity: 'volume', soldIn: 400e-6, pack: 'can' },
  'matte UV spray': { quantity: 'volume', soldIn: 400e-6, pack: 'can' },
  'gloss spray': { quantity: 'volume', soldIn: 400e-6, pack: 'can' },
  alcohol: { quantity: 'volume', soldIn: 500e-6, pack: 'bottle' },
  'lint-free cloth': { quantity: 'number', soldIn: 10, pack: 'pack of 10' },
  polish: { quantity: 'volume', soldIn: 100e-6, pack: 'tube' },
} as const satisfies Readonly<Record<string, SoldAs>>;

interface SoldAs {
  readonly quantity: Quantity;
  /** One pack, in the SI unit of the quantity. */
  readonly soldIn: number;
  readonly pack: string;
}

type Named = keyof typeof MATERIALS;
/** A sheet of abrasive paper of a P grit. */
export type SheetName = `paper P${number}`;
export type MaterialName = Named | SheetName;

const SHEET: SoldAs = { quantity: 'number', soldIn: 1, pack: 'sheet' };

/** How a material is counted and sold. */
export const soldAs = (name: MaterialName): SoldAs =>
  name in MATERIALS ? MATERIALS[name as Named] : SHEET;

export interface MaterialNeed {
  readonly name: MaterialName;
  /** In the SI unit of the material's quantity. */
  readonly amount: number;
  /** How the amount is worked out. */
  readonly formula: string;
  readonly inputs: readonly ExplainInput[];
}

type Told = readonly [label: string, value: number, quantity: Quantity, source?: SourceKind];

/** A need with its working. Sources are `computed` unless they are told. */
export const need = (
  name: MaterialName,
  amount: number,
  formula: string,
  ...told: readonly Told[]
): MaterialNeed => ({
  name,
  amount,
  formula,
  inputs: told.map(([label, value, quantity, source = 'computed']) => ({
    label,
    value,
    quantity,
    source,
  })),
});

export interface MaterialSum extends Pick<MaterialNeed, 'name' | 'amount'> {
  readonly quantity: Quantity;
  readonly packs: number;
  readonly pack: string;
}

/** A thousandth of a pack over a whole number is rounding, not a reason to open another. */
export const SLACK = 1e-3;

/**
 * Sums needs by material and rounds up to what is sold.
 * @returns one line for each material, in order of first mention
 * Source: packs = ⌈sum / size of a pack⌉.
 */
export function sumMaterials(
  needs: readonly Pick<MaterialNeed, 'name' | 'amount'>[],
): MaterialSum[] {
  const sums = new Map<MaterialName, number>();
  for (const { name, amount } of needs) sums.set(name, (sums.get(name) ?? 0) + amount);
  return [...sums]
    .filter(([, amount]) => amount > 0)
    .map(([name, amount]) => {
      const { quantity, soldIn, pack } = soldAs(name);
      return {
        name,
        amount,
        quantity,
        pack,
        packs: Math.max(1, Math.ceil(amount / soldIn - SLACK)),
      };
    });
}
