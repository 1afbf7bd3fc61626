import 'fake-indexeddb/auto';
import { exportShop, fillEmptyShop, importShop } from './exchange/shopFile';
import { makeBundle, mergeBundle } from './exchange/bundle';
import { createDb, type ShopDb } from './db';
import { bound, countLog, entriesAbout, newestOf, PAGE, unbound, wholeLog } from './log';
import { MIGRATIONS, type Migration } from './migrations';
import { writeLogNote } from './repos/bench';
import { undoAct } from './repos/undoAct';
import { weighA } from './repos/wet';
import { contextAt, freshDb, shopWithCoat } from './test/shop';
import { A, lastAct, started } from './test/wet';
import { asId, LOG, type LogEntry } from '@/records';

const entry = (seq: number, about: Partial<LogEntry> = {}): LogEntry => ({
  ...LOG.defaults,
  id: asId(`e${seq}`),
  seq,
  atMs: Date.UTC(2026, 0, 1) + seq,
  kind: 'note',
  by: 'Ines',
  ...about,
});
const seqs = (entries: readonly LogEntry[]) => entries.map((e) => e.seq);
const upTo = (count: number) => Array.from({ length: count }, (_, i) => i + 1);

/** A shop with one piece and many notes about it, as a file brings them in. */
async function longShop(db: ShopDb, notes: number): Promise<string> {
  const first = freshDb();
  const { pieceId } = await shopWithCoat(first);
  const { tables } = await exportShop(first, 1);
  const told = tables['log']?.length ?? 0;
  const more = upTo(notes).map((n) => entry(told + n, n % 3 === 0 ? { pieceId } : {}));
  // In any order: a file may have been written by hand.
  const log = [...(tables['log'] ?? []), ...more].reverse();
  await fillEmptyShop(db, { ...tables, log });
  return pieceId;
}

describe('entries as they are kept', () => {
  it.each([
    [0, 0, 0],
    [1, 0, 1],
    [PAGE, 0, PAGE],
    [PAGE + 1, 1, 1],
    [2 * PAGE, 1, PAGE],
    [2 * PAGE + 3, 2, 3],
  ])('%i entries: %i full pages, the %i newest as rows', (count, pages, rows) => {
    const kept = bound(upTo(count).map((seq) => entry(seq)));
    expect(kept.pages.map((p) => [p.before, p.entries.length])).toEqual(
      upTo(pages).map((n) => [(n - 1) * PAGE, PAGE]),
    );
    expect(kept.rows).toHaveLength(rows);
    expect(seqs(unbound(kept.pages, [...kept.rows].reverse()))).toEqual(upTo(count));
  });

  it('a page names each piece and session of its entries once', () => {
    const about = { pieceId: asId<'piece'>('p'), sessionId: asId<'session'>('s') };
    const { pages } = bound(upTo(PAGE + 1).map((seq) => entry(seq, seq % 2 ? about : {})));
    expect(pages[0]).toMatchObject({ pieceIds: ['p'], sessionIds: ['s'] });
  });
});

describe('a log in pages and rows', () => {
  it('is read as one: its end, its length, what it tells of a piece; the next entry follows', async () => {
    const db = freshDb();
    const pieceId = await longShop(db, 2 * PAGE);
    expect(await db.logPages.count()).toBe(2);
    const whole = await wholeLog(db);
    const count = whole.length;
    expect(seqs(whole)).toEqual(upTo(count));
    expect(await countLog(db)).toBe(count);
    for (const n of [1, 5, PAGE, PAGE + 7, count + 9])
      expect(seqs(await newestOf(db, n))).toEqual(upTo(count).reverse().slice(0, n));
    expect(seqs(await newestOf(db, Infinity))).toEqual(upTo(count).reverse());
    expect(seqs(await entriesAbout(db, { pieceId }))).toEqual(
      seqs(whole.filter((e) => e.pieceId === pieceId)),
    );
    expect(await entriesAbout(db, { sessionIds: [] })).toEqual([]);
    await writeLogNote(db, contextAt(9), 'one more', null);
    expect(await newestOf(db, 1)).toMatchObject([{ seq: count + 1, text: 'one more' }]);
    expect(await countLog(db)).toBe(count + 1);
  });

  it('is append-only in its pages too', async () => {
    const db = freshDb();
    await longShop(db, PAGE);
    await expect(db.logPages.update(0, { pieceIds: [] })).rejects.toThrow('append-only');
    await expect(db.logPages.delete(0)).rejects.toThrow('append-only');
    await expect(db.logPages.clear()).rejects.toThrow('append-only');
  });

  it('goes into a file as entries and comes out of it again', async () => {
    const db = freshDb();
    await longShop(db, 2 * PAGE);
    const file = await exportShop(db, 1);
    expect(Object.keys(file.tables)).not.toContain('logPages');
    const other = freshDb();
    await longShop(other, 3 * PAGE);
    expect(await importShop(other, JSON.stringify(file))).toMatchObject({ ok: true });
    expect(await wholeLog(other)).toEqual(await wholeLog(db));
    expect(await exportShop(other, 1)).toEqual(file);
  });

  it('what is taken back names its entry, in a page as well', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, A);
    const act = await lastAct(db, batchId);
    const { tables, ...file } = await exportShop(db, 1);
    const log = [...(tables['log'] ?? []), ...upTo(PAGE).map((n) => entry(100 + n))];
    await importShop(db, JSON.stringify({ ...file, tables: { ...tables, log } }));
    expect(await db.log.get(asId(act))).toBeUndefined();
    await undoAct(db, contextAt(12), batchId, act);
    expect(await newestOf(db, 1)).toMatchObject([{ kind: 'undone', aboutId: act }]);
  });

  it('a bundle adds a few entries as rows; where others come between, the whole log is written anew', async () => {
    const [desk, tablet] = [freshDb(), freshDb()];
    await longShop(desk, PAGE);
    await importShop(tablet, JSON.stringify(await exportShop(desk, 1)));
    const handOver = async (from: ShopDb, to: ShopDb, minute: number) => {
      const bundle = await makeBundle(from, {
        ...{ what: { kind: 'shop' }, name: 'Bundle', by: 'Ada', nowMs: contextAt(minute).nowMs },
        newId: () => contextAt(minute).newId(),
      });
      expect(await mergeBundle(to, bundle, new Map(), () => [], contextAt(minute))).toMatchObject({
        ok: true,
      });
    };
    await writeLogNote(tablet, contextAt(20), 'of the tablet', null);
    await handOver(tablet, desk, 30);
    expect((await newestOf(desk, 2)).map((e) => e.text)).toEqual(['Bundle', 'of the tablet']);
    await writeLogNote(tablet, contextAt(25), 'again', null);
    await writeLogNote(desk, contextAt(40), 'of the desk', null);
    const before = await countLog(desk);
    await handOver(tablet, desk, 50);
    const log = await wholeLog(desk);
    expect(seqs(log)).toEqual(upTo(before + 2));
    expect(log.slice(-5).map((e) => e.text)).toEqual([
      ...['of the tablet', 'again', 'Bundle', 'of the desk', 'Bundle'],
    ]);
  });

  it('a later step of the schema sees and changes whole entries', async () => {
    const db = freshDb();
    await longShop(db, PAGE + 5);
    const before = await wholeLog(db);
    db.close();
    const step: Migration = {
      ...{ version: MIGRATIONS.length + 1, name: 'of a test', stores: {} },
      up: (tables) => ({
        ...tables,
        log: (tables['log'] as LogEntry[]).map((e) => ({ ...e, text: `${e.text}!` })),
      }),
    };
    const later = createDb(db.name, [...MIGRATIONS, step]);
    expect(await wholeLog(later)).toEqual(before.map((e) => ({ ...e, text: `${e.text}!` })));
    expect(await later.logPages.count()).toBe(1);
    later.close();
  });
});
