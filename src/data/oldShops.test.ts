import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import { createDb, openShop, refuseOvertaken, type ShopDb } from './db';
import { exportShop, fileOf, importShop } from './exchange/shopFile';
import { base64ToBlob } from './exchange/base64';
import { MIGRATIONS, SCHEMA_VERSION, type AnyTables } from './migrations';
import { readOldShop, storedVersion } from './oldShop';
import { asId, TABLE_NAMES } from '@/records';
import { rowFaults } from '@/records/validate';
import { writeLogNote } from './repos/bench';
import { contextAt, freshDb } from './test/shop';
import { FIXTURES } from './migrations/fixtures';

type Row = Record<string, unknown>;
let serial = 0;

/** Rows of a fixture as the browser holds them, with or without log and photos. */
function rowsOf(version: number, full: boolean): AnyTables {
  const tables = FIXTURES[version] as AnyTables;
  const piece = (tables['pieces'] as Row[])[0]?.['id'];
  const picture = { name: 'a.png', widthPx: 2, heightPx: 2, takenMs: Date.UTC(2026, 1, 1) };
  const photo = { id: 'kept-photo', pieceId: piece, defectId: null, ...picture };
  const blobs = [...((tables['photos'] ?? []) as Row[])].map(({ base64, type, ...rest }) => ({
    ...rest,
    blob: base64ToBlob(base64, type),
  }));
  const png = new Blob([Uint8Array.of(1, 2, 250)], { type: 'image/png' });
  return {
    ...tables,
    photos: full ? [...blobs, { ...photo, blob: png }] : [],
    log: full ? (tables['log'] ?? []) : [],
  };
}

/** A real database as the program of that version left it. */
async function oldDb(version: number, tables: AnyTables): Promise<string> {
  serial += 1;
  const name = `old-${version}-${serial}`;
  const old = new Dexie(name);
  for (const step of MIGRATIONS.slice(0, version))
    old.version(step.version).stores({ ...step.stores });
  await old.open();
  for (const [table, rows] of Object.entries(tables)) await old.table(table).bulkAdd([...rows]);
  old.close();
  return name;
}

const counts = (tables: AnyTables) =>
  Object.fromEntries(['pieces', 'coats', 'log', 'photos'].map((t) => [t, tables[t]?.length ?? 0]));

async function countsOf(db: ShopDb) {
  const rows = await Promise.all(
    TABLE_NAMES.map((t) => db.table(t).toArray() as Promise<unknown[]>),
  );
  return counts(Object.fromEntries(TABLE_NAMES.map((t, i) => [t, rows[i] ?? []])));
}

const VERSIONS = MIGRATIONS.map((m) => m.version).filter((v) => v < SCHEMA_VERSION);

it('every past version has a fixture', () => {
  expect(Object.keys(FIXTURES).map(Number)).toEqual(VERSIONS);
});

describe.each(VERSIONS)('a shop of version %i', (version) => {
  it.each([true, false])('opens with nothing lost, log and photos: %s', async (full) => {
    const tables = rowsOf(version, full);
    const name = await oldDb(version, tables);
    const db = await openShop(createDb(name));
    expect(await countsOf(db)).toEqual(counts(tables));
    for (const table of TABLE_NAMES)
      for (const row of (await db.table(table).toArray()) as unknown[])
        expect(rowFaults(table, row)).toEqual([]);
    const log = await db.log.orderBy('seq').toArray();
    expect(log.map((e) => e.seq)).toEqual(log.map((_, i) => i + 1));
    if (full) {
      const photo = await db.photos.get(asId('kept-photo'));
      expect([...new Uint8Array((await photo?.blob.arrayBuffer()) ?? new ArrayBuffer(0))]).toEqual([
        1, 2, 250,
      ]);
    }
    // The log is append-only again, and goes on.
    await writeLogNote(db, contextAt(1), 'still here', null);
    const last = await db.log.orderBy('seq').last();
    expect(last).toMatchObject({ text: 'still here', seq: log.length + 1 });
    await expect(db.log.delete(last?.id ?? asId(''))).rejects.toThrow('append-only');
    // The copy has gone.
    expect(await storedVersion(`${name}-before-upgrade`)).toBeNull();
    db.close();
  });

  it('that cannot be brought up to date stays as it was, readable and exportable', async () => {
    const tables = rowsOf(version, true);
    const name = await oldDb(version, tables);
    const broken = createDb(name);
    broken.version(SCHEMA_VERSION + 1).upgrade(() => {
      throw new Error('power cut');
    });
    await expect(openShop(broken)).rejects.toMatchObject({
      code: 'upgrade failed',
      data: { version, reason: expect.stringContaining('power cut') as unknown },
    });
    broken.close();
    expect(await storedVersion(name)).toBe(version * 10);
    const old = await readOldShop(name);
    expect(old.version).toBe(version);
    expect(counts(old.tables as AnyTables)).toEqual(counts(tables));
    // What is rescued from it is a whole shop file, and comes in again.
    const file = JSON.stringify(await fileOf(old, 7));
    const other = freshDb();
    expect(await importShop(other, file)).toMatchObject({ ok: true });
    expect(await countsOf(other)).toEqual(counts(tables));
    expect(counts((await exportShop(other, 7)).tables)).toEqual(counts(tables));
    // And the next program opens it.
    const mended = await openShop(createDb(name));
    expect(await countsOf(mended)).toEqual(counts(tables));
    mended.close();
  });
});

describe('the copy of an old shop', () => {
  it('stands while the upgrade runs, and can be read when the shop itself cannot', async () => {
    const tables = rowsOf(2, true);
    const name = await oldDb(2, tables);
    const broken = createDb(name);
    broken.version(SCHEMA_VERSION + 1).upgrade(() => Promise.reject(new Error('stopped')));
    await openShop(broken).catch(() => undefined);
    broken.close();
    await Dexie.delete(name);
    const kept = await readOldShop(name);
    expect(kept.version).toBe(2);
    expect(counts(kept.tables as AnyTables)).toEqual(counts(tables));
    await expect(readOldShop('never-there')).rejects.toThrow();
    expect(await storedVersion('never-there')).toBeNull();
  });

  it('when there is no room for it nothing is changed until the user goes on without', async () => {
    const name = await oldDb(3, rowsOf(3, false));
    const add = IDBObjectStore.prototype.add;
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    try {
      await expect(openShop(createDb(name))).rejects.toMatchObject({
        code: 'no room for a copy',
        data: { version: 3 },
      });
    } finally {
      IDBObjectStore.prototype.add = add;
    }
    expect(await storedVersion(name)).toBe(30);
    const db = await openShop(createDb(name), { withoutCopy: true });
    expect(await db.pieces.count()).toBeGreaterThan(0);
    db.close();
  });
});

describe('another tab', () => {
  it('that holds the old shop open is told of, and the opening goes on when it closes', async () => {
    const name = await oldDb(4, rowsOf(4, false));
    const held = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open(name);
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error ?? new Error('no'));
    });
    const blocked = jest.fn(() => held.close());
    const db = await openShop(createDb(name), { onBlocked: blocked });
    expect(blocked).toHaveBeenCalled();
    db.close();
  });

  it('that brings the shop up to date closes this one, which then refuses to write', async () => {
    const db = freshDb();
    const overtaken = jest.fn();
    await openShop(db, { onOvertaken: overtaken });
    const newer = new Dexie(db.name);
    newer.version(SCHEMA_VERSION + 1).stores({});
    await newer.open();
    expect(overtaken).toHaveBeenCalledTimes(1);
    await expect(writeLogNote(db, contextAt(1), 'lost?', null)).rejects.toMatchObject({
      code: 'overtaken',
    });
    expect(() => refuseOvertaken(db)).toThrow('overtaken');
    newer.close();
    await expect(openShop(createDb(db.name))).rejects.toMatchObject({
      code: 'newer',
      data: { version: SCHEMA_VERSION + 1 },
    });
  });
});
