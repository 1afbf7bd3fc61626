import { type Batch, type Coat, type Id, type Resin, stateOf, type WetSession } from '@/records';
import { StaleActionError } from '../errors';
import type { Writer } from '../write';

/** What an act of a batch reads or writes. */
export const BATCH_TABLES = ['sessions', 'batches', 'coats', 'resins', 'room'] as const;

export interface BatchRows {
  readonly batch: Batch;
  readonly coats: readonly Coat[];
  readonly resin: Resin;
}

export async function readBatch(w: Writer, batchId: Id<'batch'>): Promise<BatchRows> {
  const batch = await w.db.batches.get(batchId);
  const resin = batch && (await w.db.resins.get(batch.resinId));
  if (!batch || !resin) throw new StaleActionError('batch gone');
  return { batch, resin, coats: await w.db.coats.where('batchId').equals(batchId).toArray() };
}

/**
 * The session after an act: over once nothing is left to be done with any of its batches, and open again when something is.
 * @param batches all of it, as they are after the act; null: as it is
 */
export function endedAfter(
  session: WetSession | undefined,
  batches: readonly Batch[],
  nowMs: number,
): WetSession | null {
  const endedMs = batches.every((b) => stateOf(b).step === 'done') ? nowMs : null;
  const same = !session || (session.endedMs === null) === (endedMs === null);
  return same ? null : { ...session, endedMs };
}
