import { readShares } from '@/features/common/shares';
import type { CoatColour, Swatch } from '@/records';

/**
 * Reads “teal 20 %, pearl 10 %”; null when it cannot be read or comes to more than the whole.
 * @param swatches those of the shop: a colour that is called like one is mixed by it, one of the coat's own resin first
 */
export function readColours(
  text: string,
  swatches: readonly Pick<Swatch, 'id' | 'name' | 'resinId'>[] = [],
  resinId: string | null = null,
): CoatColour[] | null {
  const shares = readShares(text);
  if (!shares) return null;
  return shares.map(({ name, share }) => {
    const called = swatches.filter((s) => s.name.toLowerCase() === name.toLowerCase());
    const swatch = called.find((s) => s.resinId === resinId) ?? called[0];
    return { name, share, swatchId: swatch?.id ?? null };
  });
}
