import { STORES, type ReplacingTransaction, type ShopDb } from '../db';
import { countLog, unbound, wholeLog, type LogPage } from '../log';
import { migrate, SCHEMA_VERSION, tablesOf, type AnyTables } from '../migrations';
import type { StoredShop } from '../oldShop';
import { type LogEntry, type Photo, TABLE_NAMES, type TableName } from '@/records';
import type { RowFault } from '@/records/validate';
import { addRows, finish } from './addRows';
import { base64ToBlob, blobToBase64 } from './base64';
import { allFaults, meanwhile, Unsound, type FaultSteps } from './faultSteps';
import { linkFaults } from './links';

export const SHOP_FORMAT = 'bilamina.shop';

/** A whole shop in one file. Photos stand in it as base64. */
export interface ShopFile {
  readonly format: typeof SHOP_FORMAT;
  readonly version: number;
  readonly exportedMs: number;
  readonly tables: AnyTables;
}

export type ImportResult =
  | { readonly ok: true; readonly rows: number }
  | { readonly ok: false; readonly faults: readonly RowFault[] };

/** A stored shop of any version as a file: photos become base64, tables that are no part of it are left out. */
export async function fileOf(
  { version, tables }: StoredShop,
  exportedMs: number,
): Promise<ShopFile> {
  const { logPages = [], ...stored } = tables;
  const log = unbound(logPages as readonly LogPage[], (tables['log'] ?? []) as readonly LogEntry[]);
  const names = version > SCHEMA_VERSION ? Object.keys(stored) : tablesOf(version);
  const photos = await Promise.all(
    ((tables['photos'] ?? []) as Photo[]).map(async ({ blob, ...rest }) => ({
      ...rest,
      type: blob.type,
      base64: await blobToBase64(blob),
    })),
  );
  const rows = Object.fromEntries(
    names.map((name) => [name, name === 'log' ? log : (stored[name] ?? [])]),
  );
  return { format: SHOP_FORMAT, version, exportedMs, tables: { ...rows, photos } };
}

/** Every row of the shop, in one consistent read. */
export const readTablesOf = (db: ShopDb): Promise<AnyTables> =>
  db.transaction('r', [...STORES], async () => {
    const rows = await Promise.all(
      TABLE_NAMES.map((t): Promise<unknown[]> =>
        t === 'log' ? wholeLog(db) : db.table(t).toArray(),
      ),
    );
    return Object.fromEntries(TABLE_NAMES.map((t, i) => [t, rows[i] ?? []]));
  });

/** The whole shop as a file. */
export const exportShop = async (db: ShopDb, exportedMs: number): Promise<ShopFile> =>
  fileOf({ version: SCHEMA_VERSION, tables: await readTablesOf(db) }, exportedMs);

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Reads text as a shop file. */
function readEnvelope(text: string): ShopFile | RowFault {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return { path: '', message: `This is not JSON, or it was cut short: ${reason}` };
  }
  if (!isObject(data) || data['format'] !== SHOP_FORMAT)
    return {
      path: 'format',
      message: `This is not a shop file: format should be “${SHOP_FORMAT}”.`,
    };
  return data as unknown as ShopFile;
}

/** What is wrong with the version and the tables that a file names, before any row is looked at. */
function formFault(version: unknown, tables: unknown): RowFault | null {
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return { path: 'version', message: 'The version is missing or not a whole number.' };
  if (version > SCHEMA_VERSION)
    return {
      path: 'version',
      message: `Written by a newer Bilamina (version ${version}, this one reads up to ${SCHEMA_VERSION}). Update first.`,
    };
  return isObject(tables) ? null : { path: 'tables', message: 'The tables are missing.' };
}

/** Tables that a file of a version has to hold: those that came later are made by the migrations. */
function tableFaults(tables: AnyTables, version: number): RowFault[] {
  const names = tablesOf(version);
  const known = new Set(names);
  const unknown = Object.keys(tables)
    .filter((t) => !known.has(t))
    .map((t) => ({ path: `tables.${t}`, message: 'No such table.' }));
  const missing = names
    .filter((t) => !Array.isArray(tables[t]))
    .map((t) => ({
      path: `tables.${t}`,
      message: 'This table is missing or not a list.',
    }));
  return [...unknown, ...missing];
}

function readPhotos(rows: readonly unknown[]): { rows: unknown[]; faults: RowFault[] } {
  const faults: RowFault[] = [];
  const read = rows.map((row, i) => {
    if (!isObject(row)) return row;
    const { base64, type, ...rest } = row;
    const blob = base64ToBlob(base64, type);
    if (!blob)
      faults.push({ path: `tables.photos[${i}].base64`, message: 'The picture is not base64.' });
    return { ...rest, blob };
  });
  return { rows: read, faults };
}

/** Faults of every row, with their paths. */
async function everyRowFault(tables: AnyTables): Promise<RowFault[]> {
  const { rowFaults } = await import('@/records/validate');
  return allFaults(
    (function* () {
      for (const t of TABLE_NAMES)
        for (const [i, row] of (tables[t] ?? []).entries())
          yield rowFaults(t, row).map(({ path, message }) => ({
            path: path ? `tables.${t}[${i}].${path}` : `tables.${t}[${i}]`,
            message,
          }));
    })(),
  );
}

type ReadTables = { ok: true; tables: AnyTables } | { ok: false; faults: readonly RowFault[] };
interface Pictures {
  readonly rows: readonly unknown[];
  readonly faults: readonly RowFault[];
}

/**
 * Rows of a file: form, version, brought up to date, every row and every reference checked.
 * @param pictures how the file holds its photos
 */
export async function readTables(
  version: unknown,
  told: unknown,
  pictures: (tables: AnyTables) => Pictures,
): Promise<ReadTables> {
  const wrong = formFault(version, told);
  if (wrong) return { ok: false, faults: [wrong] };
  const [number, given] = [version as number, told as AnyTables];
  const form = tableFaults(given, number);
  if (form.length > 0) return { ok: false, faults: form };
  const rows = Object.entries(given).flatMap(([table, list]) =>
    list.flatMap((row, i) =>
      isObject(row) ? [] : [{ path: `tables.${table}[${i}]`, message: 'This row is no object.' }],
    ),
  );
  if (rows.length > 0) return { ok: false, faults: rows };
  let migrated: AnyTables;
  try {
    migrated = migrate(given, number);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    const message = `Its rows have not the form of version ${number}: ${reason}`;
    return { ok: false, faults: [{ path: 'tables', message }] };
  }
  const photos = pictures(migrated);
  const tables: AnyTables = { ...migrated, photos: photos.rows };
  const faults = [...photos.faults, ...(await everyRowFault(tables))];
  if (faults.length > 0) return { ok: false, faults };
  const linked = linkFaults(tables as Record<TableName, Record<string, unknown>[]>);
  return linked.length > 0 ? { ok: false, faults: linked } : { ok: true, tables };
}

/** Every fault of a shop file, or its sound tables. */
export async function readShopFile(text: string): Promise<ReadTables> {
  const file = readEnvelope(text);
  if ('message' in file) return { ok: false, faults: [file] };
  return readTables(file.version, file.tables, (tables) => readPhotos(tables['photos'] ?? []));
}

const rowsIn = (tables: AnyTables): number =>
  Object.values(tables).reduce((sum, list) => sum + list.length, 0);

/**
 * Replaces every row of the shop in one transaction.
 * @param tell told the share that is written @param trial is done meanwhile; a fault that it finds takes all back
 * @throws Unsound
 */
export async function replaceShop(
  db: ShopDb,
  tables: AnyTables,
  tell: (share: number) => void = () => undefined,
  trial: FaultSteps = [],
): Promise<number> {
  const also = meanwhile(trial, rowsIn(tables), tell);
  return db.transaction('rw', [...STORES], async (transaction: ReplacingTransaction) => {
    transaction.replacingShop = true;
    await Promise.all(STORES.map((store) => db.table(store).clear()));
    for (const t of TABLE_NAMES) await addRows(db, t, tables[t], also.step);
    await finish(db.settings, also);
    return rowsIn(tables);
  });
}

/** Tries what was read through the views; finds the rows that cannot be shown. */
export type TryOut = (tables: AnyTables, nowMs: number) => FaultSteps;

/** Reads a shop file and tries it through the views: every fault, or tables that can be shown. */
export async function checkShopFile(
  text: string,
  tryOut: TryOut,
  nowMs: number,
): ReturnType<typeof readShopFile> {
  const read = await readShopFile(text);
  if (!read.ok) return read;
  const faults = await allFaults(tryOut(read.tables, nowMs));
  return faults.length > 0 ? { ok: false, faults } : read;
}

/** Imports a shop file: all of it or, when anything is wrong, nothing and the list of faults. It is tried while it is written. */
export async function importShop(
  db: ShopDb,
  text: string,
  tryOut: TryOut = () => [],
  nowMs = 0,
  tell: (share: number) => void = () => undefined,
): Promise<ImportResult> {
  const read = await readShopFile(text);
  if (!read.ok) return read;
  try {
    const rows = await replaceShop(db, read.tables, tell, tryOut(read.tables, nowMs));
    return { ok: true, rows };
  } catch (error) {
    if (error instanceof Unsound) return { ok: false, faults: error.faults };
    throw error;
  }
}

/** Loads tables into a shop that has no pieces and no log; never over a user's data. */
export async function fillEmptyShop(db: ShopDb, tables: AnyTables): Promise<boolean> {
  return db.transaction('rw', [...STORES], async () => {
    const counts = await Promise.all([db.pieces.count(), countLog(db), db.resins.count()]);
    if (counts.some((n) => n > 0)) return false;
    const hasSettings = (await db.settings.count()) > 0;
    for (const t of TABLE_NAMES)
      if (t !== 'settings' || !hasSettings) await addRows(db, t, tables[t]);
    return true;
  });
}

/** Empties the shop. */
export const wipeShop = (db: ShopDb): Promise<number> => replaceShop(db, {});
