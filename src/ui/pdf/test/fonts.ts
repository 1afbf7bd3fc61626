import { readFileSync } from 'node:fs';
import type { FontBytes } from '../fonts';

/** For tests: the files that `shippedFonts` fetches, read from the disk. */
export function fontsOnDisk(): FontBytes {
  const source = readFileSync('src/ui/pdf/shippedFonts.ts', 'utf8');
  const files = [...source.matchAll(/node_modules\/(@fontsource\/[^']+)'/g)].map((m) => m[1] ?? '');
  const bytes = (f: string) => new Uint8Array(readFileSync(`node_modules/${f}`));
  const plain = files.filter((f) => f.includes('-400-'));
  return { plain: plain.map(bytes), bold: files.filter((f) => !plain.includes(f)).map(bytes) };
}
