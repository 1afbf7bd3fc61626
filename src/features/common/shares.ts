/** Reads “teal 20 %, pearl 10 %”; null when it cannot be read or comes to more than the whole. */
export function readShares(text: string): { name: string; share: number }[] | null {
  const parts = text
    .split(/[;\n]|,(?!\d)/)
    .map((p) => p.trim())
    .filter(Boolean);
  const shares = parts.map((part) => {
    const found = /^(.*\S)\s+(\d+(?:[.,]\d+)?)\s*%$/.exec(part);
    const share = Number(found?.[2]?.replace(',', '.') ?? NaN) / 100;
    return { name: (found?.[1] ?? '').slice(0, 120), share };
  });
  const sum = shares.reduce((s, c) => s + c.share, 0);
  const sound = shares.length <= 12 && shares.every((c) => c.share > 0) && sum <= 1;
  return sound ? shares : null;
}

export const sharesText = (shares: readonly { name: string; share: number }[]): string =>
  shares.map((c) => `${c.name} ${Number((c.share * 100).toFixed(1))} %`).join(', ');
