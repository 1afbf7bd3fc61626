import { type LogEntry, LOG, type Share, TABLE_NAMES, type TableName } from '@/records';
import { refuseOvertaken, STORES, type ReplacingTransaction, type ShopDb } from '../../db';
import type { ActionContext } from '../../write';
import { LOG_STORES, PAGE } from '../../log';
import { addRows, finish } from '../addRows';
import type { Meanwhile } from '../faultSteps';
import type { Bundle } from './bundleFile';
import { type AnyRow, digest, type Rows } from './digest';
import { forgotten, readAll, shareOf } from './makeBundle';

/** Whether what was read is still what is stored. */
const isStill = (then: Rows, now: Rows): boolean =>
  TABLE_NAMES.every(
    (t) =>
      t === 'drafts' ||
      (then[t].length === now[t].length &&
        then[t].every((row, i) => {
          const other = now[t][i] as AnyRow;
          return row.id === other.id && digest(t, row) === digest(t, other);
        })),
  );

/** What is written of one table. */
export interface TableChange {
  readonly table: TableName;
  readonly add: readonly AnyRow[];
  readonly put: readonly AnyRow[];
  readonly gone: readonly string[];
}

/** What makes the rows of a shop those of another. */
export function changesOf(before: Rows, after: Rows): readonly TableChange[] {
  return TABLE_NAMES.filter((t) => t !== 'drafts').map((table) => {
    const known = new Map(before[table].map((row) => [row.id, row]));
    const kept = new Set(after[table].map((row) => row.id));
    const gone = before[table].filter((row) => !kept.has(row.id)).map((row) => row.id);
    const other = after[table].filter((row) => known.get(row.id) !== row);
    const stood = other.filter((row) => known.has(row.id));
    // An entry of the log is never changed: one that stands at another place is written anew.
    return table === 'log'
      ? { table, gone: [...gone, ...stood.map((row) => row.id)], add: other, put: [] }
      : { table, gone, add: other.filter((row) => !known.has(row.id)), put: stood };
  });
}

/** How many rows are changed. */
export const rowsOf = (changes: readonly TableChange[]): number =>
  changes.reduce(
    (sum, { add, put, gone, table }) =>
      sum + add.length + (table === 'log' ? 0 : put.length + gone.length),
    0,
  );

/** A few entries are added at the end of the log; where others changed places, or many come, it is written anew. */
async function writeLog(
  db: ShopDb,
  { gone, add }: TableChange,
  after: Rows,
  also: Meanwhile['step'],
): Promise<void> {
  if (gone.length === 0 && add.length <= PAGE)
    await db.log.bulkAdd(add as unknown as readonly LogEntry[]);
  else {
    await Promise.all(LOG_STORES.map((store) => db.table(store).clear()));
    await addRows(db, 'log', after.log, () => also());
  }
  also(add.length);
}

/** Inside a transaction that may replace the log. */
async function writeChanges(
  db: ShopDb,
  changes: readonly TableChange[],
  after: Rows,
  also: Meanwhile['step'],
): Promise<void> {
  for (const change of changes) {
    const { table, gone, add, put } = change;
    if (table === 'log') await writeLog(db, change, after, also);
    else {
      if (gone.length > 0) await db.table(table).bulkDelete([...gone]);
      await addRows(db, table, add, also);
      if (put.length > 0) await db.table(table).bulkPut([...put]);
    }
  }
}

const entryOf = (bundle: Bundle, log: readonly AnyRow[], c: ActionContext): LogEntry => ({
  ...LOG.defaults,
  id: c.newId(),
  seq: log.length + 1,
  atMs: c.nowMs,
  kind: 'bundle taken in',
  by: c.by,
  text: bundle.head.name.slice(0, 200),
  figures: { madeMs: bundle.head.madeMs, ...(bundle.head.by && { madeBy: bundle.head.by }) },
});

/** A bundle that is laid into a shop, and what comes of it. */
export interface Laying {
  readonly mine: Rows;
  readonly rows: Rows;
  readonly bundle: Bundle;
  readonly context: ActionContext;
}

/** Stores the merged rows in one transaction; null when the shop is no longer as it was read. @throws Unsound */
export const storeMerged = (
  db: ShopDb,
  { mine, rows, bundle, context }: Laying,
  changes: readonly TableChange[],
  also: Meanwhile,
): Promise<number | null> =>
  db.transaction('rw', [...STORES], async (transaction: ReplacingTransaction) => {
    refuseOvertaken(db);
    if (!isStill(mine, await readAll(db))) return null;
    transaction.replacingShop = true;
    await writeChanges(db, changes, rows, also.step);
    await finish(db.settings, also);
    await db.log.add(entryOf(bundle, rows.log, context));
    const shares = mine.shares as unknown as readonly Share[];
    await db.shares.bulkDelete([...forgotten(shares)]);
    await db.shares.put(shareOf(bundle, 'in', context.nowMs));
    return rowsOf(changes);
  });
