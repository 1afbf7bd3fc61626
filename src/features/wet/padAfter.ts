/** Keys of the number pad, row by row. */
export const PAD_KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '⌫'] as const;
export type PadKeyName = (typeof PAD_KEYS)[number];

const LONGEST = 7;

/** What stands after a key. */
export function padAfter(text: string, key: PadKeyName): string {
  if (key === '⌫') return text.slice(0, -1);
  if (text.length >= LONGEST || (key === '.' && text.includes('.'))) return text;
  return text === '' && key === '.' ? '0.' : text + key;
}
