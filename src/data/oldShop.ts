import { Dexie } from 'dexie';

/** A shop as it stands in the browser, whatever version wrote it. */
export interface StoredShop {
  readonly version: number;
  readonly tables: Readonly<Record<string, readonly unknown[]>>;
}

/** Version of a browser's database as the browser counts it, or null when there is none. Changes nothing. */
export function storedVersion(name: string): Promise<number | null> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open(name);
    let fresh = false;
    request.onupgradeneeded = () => {
      // There was none: leave none behind.
      fresh = true;
      request.transaction?.abort();
    };
    request.onsuccess = () => {
      const { version } = request.result;
      request.result.close();
      resolve(version);
    };
    request.onerror = (event) => {
      event.preventDefault();
      if (fresh) resolve(null);
      else reject(request.error ?? new Error('the database does not open'));
    };
  });
}

async function readAll(name: string): Promise<StoredShop> {
  const db = new Dexie(name);
  await db.open();
  try {
    const tables: Record<string, unknown[]> = {};
    for (const table of db.tables) tables[table.name] = await table.toArray();
    return { version: db.verno, tables };
  } finally {
    db.close();
  }
}

const copyName = (name: string): string => `${name}-before-upgrade`;

interface Kept extends StoredShop {
  readonly id: 'shop';
}

function copyDb(name: string) {
  const db = new Dexie(copyName(name));
  db.version(1).stores({ kept: 'id' });
  return db;
}

/**
 * Keeps a copy of a shop beside it, in a database of its own, before the shop is brought up to date. A copy that
 * is there already is of an upgrade that did not end: it stays.
 * @throws what the browser's storage throws, for example when there is no room
 */
export async function copyShop(name: string): Promise<void> {
  const copy = copyDb(name);
  try {
    if ((await copy.table('kept').count()) > 0) return;
    const kept: Kept = { id: 'shop', ...(await readAll(name)) };
    await copy.table('kept').add(kept);
  } finally {
    copy.close();
  }
}

/** Lets the copy go, if there is one. */
export async function dropCopy(name: string): Promise<void> {
  if ((await storedVersion(copyName(name))) !== null) await Dexie.delete(copyName(name));
}

/**
 * Everything of a shop that cannot be opened as it should be: from the shop itself, or from the copy of an
 * upgrade that failed.
 * @throws when neither can be read
 */
export async function readOldShop(name: string): Promise<StoredShop> {
  try {
    return await readAll(name);
  } catch (error) {
    if ((await storedVersion(copyName(name))) === null) throw error;
    const copy = copyDb(name);
    try {
      const kept = (await copy.table('kept').get('shop')) as Kept | undefined;
      if (!kept) throw error;
      return { version: kept.version, tables: kept.tables };
    } finally {
      copy.close();
    }
  }
}
