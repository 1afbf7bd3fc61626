import type { Table } from 'dexie';
import type { Meanwhile } from './faultSteps';

/** Rows that are handed to the browser in one go: more would hold up whoever hands them over. */
const BATCH = 200;

/** Batches that the browser has at a time: with one it waits for us, with all we wait for it. */
const AHEAD = 4;

const NOTHING: Meanwhile['step'] = () => false;

/** Adds rows without waiting for each batch; inside a transaction. @param also is done while the browser writes */
export async function addRows(
  table: Table,
  rows: readonly unknown[] = [],
  also = NOTHING,
): Promise<void> {
  const under: Promise<unknown>[] = [];
  for (let from = 0; from < rows.length; from += BATCH) {
    const batch = rows.slice(from, from + BATCH);
    const adding = table.bulkAdd(batch);
    // Told by the await; the others of a failed import have nobody else to tell.
    adding.catch(() => undefined);
    under.push(adding);
    also(batch.length);
    if (under.length >= AHEAD) await under.shift();
  }
  await Promise.all(under);
}

/** Brings to its end what was done meanwhile; something is asked of the browser all along, or it would close the transaction. */
export async function finish(table: Table, { step, last }: Meanwhile): Promise<void> {
  do await table.get('');
  while (step());
  last();
}
