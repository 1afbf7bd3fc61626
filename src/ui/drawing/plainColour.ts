const SHARE = String.raw`(-?[\d.]+)`;
const MIXED = new RegExp(String.raw`^color\(srgb ${SHARE} ${SHARE} ${SHARE}(?: / ${SHARE})?\)$`);

const byte = (share: string | undefined): number =>
  Math.round(255 * Math.min(1, Math.max(0, Number(share))));

/** A colour as a browser tells a mix of two, `color(srgb 0.9 0.8 0.5)`, as drawing programs read it; others as they are. */
export function plainColour(told: string): string {
  const match = MIXED.exec(told);
  if (!match) return told === 'rgba(0, 0, 0, 0)' ? 'none' : told;
  const [, r, g, b, a] = match;
  const rgb = `${byte(r)}, ${byte(g)}, ${byte(b)}`;
  return a === undefined ? `rgb(${rgb})` : `rgba(${rgb}, ${Number(a)})`;
}
