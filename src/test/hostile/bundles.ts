import { createHash } from 'node:crypto';
import { strToU8, zipSync } from 'fflate';
import { SCHEMA_VERSION } from '@/data/migrations';
import { hostileShop } from './inputs';
import { mutated, pick, type Random } from './mutate';

const HEAD = {
  ...{
    format: 'bilamina.bundle',
    version: SCHEMA_VERSION,
    id: 'bundle-1',
    madeMs: 1_790_000_000_000,
  },
  ...{ by: 'Ada', what: { kind: 'shop' }, name: 'The whole shop', seen: [] },
};
const sumOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/** Names that lead out of a folder, or that every object of the language has. */
const ODD_NAMES = [
  '../../etc/passwd',
  '/abs',
  '__proto__',
  'constructor',
  'photos/../x',
  'a\u0000b',
  '',
];

/** The files of a bundle with its checksums, true to what is in it. */
function summed(files: Record<string, Uint8Array>): Record<string, Uint8Array> {
  const sums = Object.entries(files).map(([name, bytes]) => `${sumOf(bytes)}  ${name}\n`);
  return { ...files, SHA256SUMS: strToU8(sums.join('')) };
}

/** A shop file’s tables as a bundle has them: photos as files of their own. */
function bundleOf(random: Random, text: string): Record<string, Uint8Array> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { 'bundle.json': strToU8(text) };
  }
  const file = (data ?? {}) as { version?: unknown; tables?: Record<string, unknown> };
  const photos = Array.isArray(file.tables?.['photos']) ? file.tables['photos'] : [];
  const files: Record<string, Uint8Array> = {};
  const rows = photos.map((row: unknown, i) => {
    const { base64, ...rest } = (row ?? {}) as Record<string, unknown>;
    const name = random() < 0.1 ? pick(random, ODD_NAMES) : `photos/${i}.jpg`;
    files[name || 'x'] = strToU8(String(base64));
    return { ...rest, file: name };
  });
  const head = random() < 0.2 ? mutated(random, HEAD, 2) : HEAD;
  const whole = {
    ...(head as object),
    version: file.version,
    tables: { ...file.tables, photos: rows },
  };
  return { ...files, 'bundle.json': strToU8(JSON.stringify(whole)) };
}

/** Much that packs to little. */
const BOMB = (): Record<string, Uint8Array> =>
  summed({ 'bundle.json': new Uint8Array(20_000_000) });

/** A bundle that is none, was cut, turned in single bytes, swollen, or is well packed and wrong inside. */
export function hostileBundle(random: Random, base: unknown): Uint8Array {
  if (random() < 0.01) return zipSync(BOMB(), { level: 9 });
  const files = bundleOf(random, hostileShop(random, base));
  if (random() < 0.1) files[pick(random, ODD_NAMES) || 'x'] = strToU8('x');
  const bytes = zipSync(random() < 0.9 ? summed(files) : files, { level: 1 });
  const luck = random();
  if (luck < 0.1) return bytes.slice(0, Math.floor(random() * bytes.length));
  if (luck < 0.3)
    for (let i = 0; i < 1 + random() * 20; i += 1)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
  return bytes;
}
