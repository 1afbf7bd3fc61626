import { Dexie, type EntityTable, type Transaction } from 'dexie';
import { ActionError } from './errors';
import { bound, LOG_STORES, logStoresOf, wholeLog, type LogStores } from './log';
import { MIGRATIONS, SCHEMA_VERSION, tablesOf, type Migration } from './migrations';
import { copyShop, dropCopy, storedVersion } from './oldShop';
import { TABLE_NAMES, type LogEntry, type TableName, type Tables } from '@/records';

export const DB_NAME = 'bilamina';
/** Dexie keeps ten times its own version in the browser. */
const NATIVE_VERSION = SCHEMA_VERSION * 10;

export type ShopDb = Dexie & {
  readonly [T in TableName]: EntityTable<Tables[T], 'id'>;
} & LogStores;

/** Where the shop lies in the browser: its tables, and what keeps a table otherwise. */
export type StoreName = TableName | (typeof LOG_STORES)[number];
export const STORES: readonly StoreName[] = [...new Set([...TABLE_NAMES, ...LOG_STORES])];

/** Set on a transaction that replaces the whole shop or brings it up to date; only there may log entries go. */
export interface ReplacingTransaction extends Transaction {
  replacingShop?: boolean;
}

function keepAppendOnly(db: ShopDb): void {
  for (const table of LOG_STORES.map((name) => db.table(name))) {
    table.hook('updating', () => {
      throw new ActionError('append-only', { act: 'change' });
    });
    table.hook('deleting', (_key, _row, transaction: ReplacingTransaction) => {
      if (!transaction.replacingShop) throw new ActionError('append-only', { act: 'delete' });
    });
  }
}

/** The first version that keeps entries in pages. */
const PAGES_SINCE = 16;

/** Writes the log anew. */
async function writeLog(tx: Transaction, entries: readonly LogEntry[]): Promise<void> {
  const { log, logPages } = logStoresOf(tx);
  const { pages, rows } = bound(entries);
  await logPages.clear();
  await logPages.bulkAdd([...pages]);
  await log.bulkAdd([...rows]);
}

/** Runs one step on the rows of the browser, inside the version change: all of it or nothing. */
async function upgradeRows(tx: ReplacingTransaction, step: Migration): Promise<void> {
  tx.replacingShop = true;
  const names = [...new Set([...tablesOf(step.version - 1), ...tablesOf(step.version)])];
  const paged = step.version > PAGES_SINCE;
  const rows = await Promise.all(
    names.map((table) =>
      table === 'log' && paged ? wholeLog(logStoresOf(tx)) : tx.table(table).toArray(),
    ),
  );
  const before = Object.fromEntries(names.map((table, n) => [table, rows[n] ?? []]));
  for (const [table, changed] of Object.entries(step.up(before))) {
    if (changed === before[table]) continue;
    await tx.table(table).clear();
    if (table === 'log' && paged) await writeLog(tx, changed as readonly LogEntry[]);
    else await tx.table(table).bulkAdd([...changed]);
  }
  tx.replacingShop = false;
}

/**
 * Opens (lazily) a shop's database at the newest schema.
 * @param steps of the schema: others than all there are only in tests
 */
export function createDb(name = DB_NAME, steps = MIGRATIONS): ShopDb {
  const db = new Dexie(name) as ShopDb;
  for (const [i, step] of steps.entries()) {
    const version = db.version(step.version).stores({ ...step.stores, ...step.unseen });
    if (i > 0) version.upgrade((tx) => upgradeRows(tx, step));
  }
  keepAppendOnly(db);
  return db;
}

/** What is told while a shop opens, and when another tab takes it over. */
export interface OpenWatch {
  /** Another tab holds the older shop open: the opening waits for it. */
  readonly onBlocked?: () => void;
  /** Another tab brings the shop up to date or deletes it: this one is closed and writes nothing any more. */
  readonly onOvertaken?: () => void;
  /** Go on although no copy of the old shop can be kept. */
  readonly withoutCopy?: boolean;
}

/** Databases of this tab that another tab has taken over. */
const overtaken = new WeakSet<ShopDb>();

/**
 * Keeps a copy of an older shop before it is brought up to date.
 * @returns its version, or null when there is none
 */
async function keepOld(name: string, withoutCopy: boolean): Promise<number | null> {
  const native = await storedVersion(name);
  if (native === null || native === NATIVE_VERSION) return null;
  const version = Math.floor(native / 10);
  // Not opened at all: Dexie would try to mend what it does not know.
  if (native > NATIVE_VERSION) throw new ActionError('newer', { version });
  if (!withoutCopy)
    await copyShop(name).catch(() => {
      throw new ActionError('no room for a copy', { version });
    });
  return version;
}

/**
 * Opens a shop: makes sure that it is not newer than this program (Dexie itself would not mind), keeps a copy
 * of an older one until the new one stands, and listens for other tabs.
 * @throws ActionError `newer`, `no room for a copy`, `upgrade failed`; whatever the browser's storage throws
 */
export async function openShop(db: ShopDb, watch: OpenWatch = {}): Promise<ShopDb> {
  const old = await keepOld(db.name, watch.withoutCopy ?? false);
  db.on('blocked', () => watch.onBlocked?.());
  db.on('versionchange', () => {
    overtaken.add(db);
    db.close();
    watch.onOvertaken?.();
    // Dexie's own answer would open the shop again by itself.
    return false;
  });
  try {
    await db.open();
  } catch (error) {
    if (old === null) throw error;
    const reason = error instanceof Error ? error.message : String(error);
    throw new ActionError('upgrade failed', { version: old, reason });
  }
  // The new shop stands and can be read: the copy has done its work. One left over from before goes in its time.
  await db.settings.get('shop');
  const dropped = dropCopy(db.name);
  if (old !== null) await dropped;
  else dropped.catch(() => undefined);
  return db;
}

/**
 * Refuses to go on when the shop is of another version than this program. Called by each write.
 * @throws ActionError `overtaken`
 */
export function refuseOvertaken(db: ShopDb): void {
  const native = db.isOpen() ? db.backendDB().version : NATIVE_VERSION;
  if (native !== NATIVE_VERSION || overtaken.has(db))
    throw new ActionError('overtaken', { version: Math.floor(native / 10) });
}

let shared: ShopDb | undefined;

/** The one database of this tab. */
export function shopDb(): ShopDb {
  shared ??= createDb();
  return shared;
}
