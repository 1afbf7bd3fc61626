import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { SCHEMA_VERSION, type AnyTables } from '../../migrations';
import type { Photo } from '@/records';
import type { RowFault } from '@/records/validate';
import { readTables } from '../shopFile';
import type { BundleHead } from './bundleHead';
import type { Rows } from './digest';
import { indexPage } from './indexPage';

export const BUNDLE_FORMAT = 'bilamina.bundle';

export interface Bundle {
  readonly head: BundleHead;
  readonly rows: Rows;
}

/** Told the share that is done; throws where nobody waits any more. */
export type Progress = (share: number) => Promise<void>;

const NAMES = { data: 'bundle.json', sums: 'SHA256SUMS', index: 'index.html' } as const;
/** Sizes that are read, bytes: of the file, and of all that it holds. Judgement. */
export const BUNDLE_LIMITS = { file: 400e6, inside: 800e6, entries: 20_000 } as const;

const EXTENSIONS: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
};
const photoName = (photo: Pick<Photo, 'id'>, type: string): string =>
  `photos/${photo.id}.${EXTENSIONS[type] ?? 'bin'}`;

async function sha256(bytes: Uint8Array): Promise<string> {
  const sum = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource));
  return [...sum].map((b) => b.toString(16).padStart(2, '0')).join('');
}

/** Files between which somebody may stop the work. */
const PHOTOS_AT_A_TIME = 20;

/**
 * A bundle as the bytes of a ZIP file: `bundle.json`, photos as files of their own, `index.html` to read it without
 * Bilamina, `SHA256SUMS` as `sha256sum --check` takes them.
 * @param progress told the share that is done
 */
export async function packBundle(
  { head, rows }: Bundle,
  progress: Progress,
): Promise<Uint8Array<ArrayBuffer>> {
  const files: Record<string, Uint8Array> = {};
  const photos: unknown[] = [];
  for (const [i, row] of rows.photos.entries()) {
    const { blob, ...rest } = row as unknown as Photo;
    const file = photoName(rest, blob.type);
    files[file] = new Uint8Array(await blob.arrayBuffer());
    photos.push({ ...rest, type: blob.type, file });
    if (i % PHOTOS_AT_A_TIME === 0) await progress((0.5 * i) / rows.photos.length);
  }
  const data = {
    format: BUNDLE_FORMAT,
    version: SCHEMA_VERSION,
    ...head,
    tables: { ...rows, photos },
  };
  files[NAMES.data] = strToU8(JSON.stringify(data));
  files[NAMES.index] = strToU8(indexPage(head, rows));
  await progress(0.6);
  const sums = await Promise.all(
    Object.entries(files).map(async ([name, bytes]) => `${await sha256(bytes)}  ${name}\n`),
  );
  files[NAMES.sums] = strToU8(sums.sort().join(''));
  await progress(0.7);
  // Pictures are packed already: they are stored as they are.
  const entries: Zippable = Object.fromEntries(
    Object.entries(files).map(([name, bytes]) => [
      name,
      [bytes, { level: name.startsWith('photos/') ? 0 : 6 }],
    ]),
  );
  return zipSync(entries);
}

export type ReadBundle =
  | { readonly ok: true; readonly bundle: Bundle }
  | { readonly ok: false; readonly faults: readonly RowFault[] };

const refuse = (path: string, message: string): ReadBundle => ({
  ok: false,
  faults: [{ path, message }],
});

function unzip(bytes: Uint8Array): Record<string, Uint8Array> | string {
  let [inside, entries] = [0, 0];
  try {
    const files = unzipSync(bytes, {
      filter: ({ originalSize }) => {
        inside += originalSize;
        entries += 1;
        if (inside > BUNDLE_LIMITS.inside || entries > BUNDLE_LIMITS.entries)
          throw new RangeError('it holds more than a bundle can');
        return true;
      },
    });
    return files;
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return `This is no ZIP file, or it was cut short: ${reason}.`;
  }
}

/** Faults of the checksums: a file that is not as it was written, that is missing, or that nobody summed. */
async function sumFaults(files: Record<string, Uint8Array>): Promise<RowFault[]> {
  const sums = files[NAMES.sums];
  if (!sums)
    return [{ path: NAMES.sums, message: 'The checksums are missing: this is no whole bundle.' }];
  const told = new Map(
    strFromU8(sums)
      .split('\n')
      .filter((line) => line !== '')
      .map((line): [string, string] => [line.slice(66), line.slice(0, 64)]),
  );
  // All at once: the browser sums on other threads.
  const found = await Promise.all(
    [...told].map(async ([name, sum]): Promise<readonly RowFault[]> => {
      const bytes = Object.hasOwn(files, name) ? files[name] : undefined;
      if (!bytes) return [{ path: name, message: 'This file of the bundle is missing.' }];
      return (await sha256(bytes)) === sum
        ? []
        : [{ path: name, message: 'This file of the bundle is damaged or was changed.' }];
    }),
  );
  return told.has(NAMES.data)
    ? found.flat()
    : [...found.flat(), { path: NAMES.data, message: 'The data of the bundle has no checksum.' }];
}

/** Photos with the bytes of their files; a file that is not there is told as a photo without a picture. */
function withPictures(tables: AnyTables, files: Record<string, Uint8Array>): AnyTables {
  const photos = (Array.isArray(tables['photos']) ? tables['photos'] : []).map((row: unknown) => {
    const { file, type, ...rest } = (row ?? {}) as Record<string, unknown>;
    const bytes = typeof file === 'string' && Object.hasOwn(files, file) ? files[file] : undefined;
    return bytes && typeof type === 'string'
      ? { ...rest, blob: new Blob([bytes as BlobPart], { type }) }
      : rest;
  });
  return { ...tables, photos };
}

const WHATS = ['shop', 'job', 'piece', 'resin', 'session', 'template'];

/** The head, every field of the kind it should be; null where one is not. */
function headOf(data: Record<string, unknown>): BundleHead | null {
  const { id, madeMs, by, what, name, seen } = data;
  const kind = (what as { kind?: unknown } | null | undefined)?.kind;
  const sound =
    typeof id === 'string' &&
    /^[\w-]{1,64}$/.test(id) &&
    Number.isFinite(madeMs) &&
    typeof by === 'string' &&
    typeof name === 'string' &&
    name.length <= 300 &&
    WHATS.includes(String(kind)) &&
    Array.isArray(seen) &&
    seen.length <= 1000 &&
    seen.every((s) => typeof s === 'string');
  return sound
    ? ({ id, madeMs, by: by.slice(0, 60), what, name, seen } as unknown as BundleHead)
    : null;
}

/** Reads a bundle: checksums, form, version, rows, references. All of it is sound, or every fault is told. */
export async function readBundle(bytes: Uint8Array, progress: Progress): Promise<ReadBundle> {
  if (bytes.length > BUNDLE_LIMITS.file) return refuse('', 'This file is over 400 MB.');
  const files = unzip(bytes);
  if (typeof files === 'string') return refuse('', files);
  await progress(0.2);
  const damaged = await sumFaults(files);
  if (damaged.length > 0) return { ok: false, faults: damaged };
  await progress(0.4);
  let data: unknown;
  try {
    data = JSON.parse(strFromU8(files[NAMES.data] as Uint8Array));
  } catch (error) {
    return refuse(NAMES.data, `This is not JSON: ${String(error)}`);
  }
  const told = (data ?? {}) as Record<string, unknown>;
  if (told['format'] !== BUNDLE_FORMAT)
    return refuse('format', `This is not a bundle: format should be “${BUNDLE_FORMAT}”.`);
  const head = headOf(told);
  if (!head) return refuse('', 'The head of the bundle is not as it should be.');
  const read = await readTables(told['version'], told['tables'], (tables) => ({
    rows: withPictures(tables, files)['photos'] ?? [],
    faults: [],
  }));
  await progress(0.9);
  return read.ok ? { ok: true, bundle: { head, rows: read.tables as Rows } } : read;
}
