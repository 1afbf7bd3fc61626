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
  const parts = text
    .split(/[;\n]|,(?!\d)/)
    .map((p) => p.trim())
    .filter(Boolean);
  const colours = parts.map((part) => {
    const found = /^(.*\S)\s+(\d+(?:[.,]\d+)?)\s*%$/.exec(part);
    const share = Number(found?.[2]?.replace(',', '.') ?? NaN) / 100;
    const name = (found?.[1] ?? '').slice(0, 120);
    const called = swatches.filter((s) => s.name.toLowerCase() === name.toLowerCase());
    const swatch = called.find((s) => s.resinId === resinId) ?? called[0];
    return { name, share, swatchId: swatch?.id ?? null };
  });
  const sum = colours.reduce((s, c) => s + c.share, 0);
  const sound = colours.length <= 12 && colours.every((c) => c.share > 0) && sum <= 1;
  return sound ? colours : null;
}

export const coloursText = (colours: readonly { name: string; share: number }[]): string =>
  colours.map((c) => `${c.name} ${Number((c.share * 100).toFixed(1))} %`).join(', ');
