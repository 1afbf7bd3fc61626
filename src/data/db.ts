import { Dexie, type EntityTable, type Transaction } from 'dexie';
import { MIGRATIONS, SCHEMA_VERSION } from './migrations';
import type { TableName, Tables } from './records/types';

export const DB_NAME = 'bilamina';

export type ShopDb = Dexie & { readonly [T in TableName]: EntityTable<Tables[T], 'id'> };

/** Set on a transaction that replaces the whole shop; only there may log entries go. */
export interface ReplacingTransaction extends Transaction {
  replacingShop?: boolean;
}

function keepAppendOnly(db: ShopDb): void {
  db.log.hook('updating', () => {
    throw new Error('The log is append-only: add a correction instead of changing an entry.');
  });
  db.log.hook('deleting', (_key, _row, transaction: ReplacingTransaction) => {
    if (!transaction.replacingShop) throw new Error('The log is append-only: entries stay.');
  });
}

/** Opens (lazily) a shop's database at the newest schema. */
export function createDb(name = DB_NAME): ShopDb {
  const db = new Dexie(name) as ShopDb;
  for (const [i, step] of MIGRATIONS.entries()) {
    const version = db.version(step.version).stores({ ...step.stores });
    if (i === 0) continue;
    version.upgrade(async (tx) => {
      const names = tx.storeNames;
      const rows = await Promise.all(names.map((table) => tx.table(table).toArray()));
      const after = step.up(Object.fromEntries(names.map((table, n) => [table, rows[n] ?? []])));
      for (const [table, changed] of Object.entries(after)) {
        await tx.table(table).clear();
        await tx.table(table).bulkAdd([...changed]);
      }
    });
  }
  keepAppendOnly(db);
  return db;
}

/** The shop in this browser was written by a newer Bilamina: it must not be written to by this one. */
export class NewerShopError extends Error {
  override readonly name = 'NewerShopError';
}

/** Opens a database and makes sure that it is not newer than this program (Dexie itself would not mind). */
export async function openShop(db: ShopDb): Promise<ShopDb> {
  await db.open();
  // Dexie keeps ten times its own version in the browser.
  if (db.backendDB().version > SCHEMA_VERSION * 10) {
    db.close();
    throw new NewerShopError('written by a newer Bilamina');
  }
  return db;
}

let shared: ShopDb | undefined;

/** The one database of this tab. */
export function shopDb(): ShopDb {
  shared ??= createDb();
  return shared;
}

/** Reads every table of a database of unknown, newer version, so that its data can still be exported. */
export async function readNewerDb(
  name = DB_NAME,
): Promise<{ version: number; tables: Record<string, unknown[]> }> {
  const db = new Dexie(name);
  await db.open();
  const tables: Record<string, unknown[]> = {};
  for (const table of db.tables) tables[table.name] = await table.toArray();
  const version = db.verno;
  db.close();
  return { version, tables };
}
