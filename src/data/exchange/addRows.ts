import type { Table } from 'dexie';
import type { LogEntry, TableName } from '@/records';
import type { ShopDb } from '../db';
import { bound, PAGE } from '../log';
import type { Meanwhile } from './faultSteps';

/** Rows that are handed to the browser in one go: more would hold up whoever hands them over. */
const BATCH = 200;

/** Batches that the browser has at a time: with one it waits for us, with all we wait for it. */
const AHEAD = 4;

const NOTHING: Meanwhile['step'] = () => false;

/** Hands rows over without waiting for each batch. */
async function inBatches(
  table: Table,
  rows: readonly unknown[],
  each: number,
  also: (batch: readonly unknown[]) => void,
): Promise<void> {
  const under: Promise<unknown>[] = [];
  for (let from = 0; from < rows.length; from += each) {
    const batch = rows.slice(from, from + each);
    const adding = table.bulkAdd(batch);
    // Told by the await; the others of a failed import have nobody else to tell.
    adding.catch(() => undefined);
    under.push(adding);
    also(batch);
    if (under.length >= AHEAD) await under.shift();
  }
  await Promise.all(under);
}

/** Adds rows of a table, inside a transaction; those of the log as it is kept, to an empty one. @param also is done while the browser writes */
export async function addRows(
  db: ShopDb,
  table: TableName,
  rows: readonly unknown[] = [],
  also = NOTHING,
): Promise<void> {
  const written = (batch: readonly unknown[]) => void also(batch.length);
  if (table !== 'log') return inBatches(db.table(table), rows, BATCH, written);
  const kept = bound(rows as readonly LogEntry[]);
  await inBatches(db.logPages, kept.pages, 1, () => void also(PAGE));
  return inBatches(db.log, kept.rows, BATCH, written);
}

/** Brings to its end what was done meanwhile; something is asked of the browser all along, or it would close the transaction. */
export async function finish(table: Table, { step, last }: Meanwhile): Promise<void> {
  do await table.get('');
  while (step());
  last();
}
