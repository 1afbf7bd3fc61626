import type { ShopDb } from '../db';
import { standing } from '@/core/wet';
import type { Coat } from '@/records';
import { startSession, type NewSession } from '../repos/session';
import { endStir, mixB, pourCoat, startStir, weighA } from '../repos/wet';
import { contextAt, shopWithCoat } from './shop';

/** Both parts of a small batch, read off the scale. */
export const A = { kg: 0.0575, by: 'read' } as const;
export const B = { kg: 0.05, by: 'read' } as const;

/** A session of one small batch for a coat. */
export const sessionFor = (
  { id, resinId }: Pick<Coat, 'id' | 'resinId'>,
  more: Partial<NewSession> = {},
): NewSession => ({
  ...{ resinId, temperatureK: 295.15, ...more },
  batches: [{ coatIds: [id], targetM3: 1e-4, targetAKg: A.kg, targetBKg: B.kg }],
});

export async function started(db: ShopDb, coat: Coat) {
  const sessionId = await startSession(db, contextAt(10), sessionFor(coat));
  const batch = await db.batches.where('sessionId').equals(sessionId).first();
  if (!batch) throw new Error('no batch');
  return { sessionId, batchId: batch.id };
}

export async function poured(db: ShopDb) {
  const coat = await shopWithCoat(db);
  const ids = await started(db, coat);
  await weighA(db, contextAt(11), ids.batchId, A);
  await mixB(db, contextAt(12), ids.batchId, B);
  await startStir(db, contextAt(13), ids.batchId);
  await endStir(db, contextAt(17), ids.batchId);
  await pourCoat(db, contextAt(19), ids.batchId, coat.id);
  return { ...ids, coat };
}

/** Id of the newest act of a batch that stands. */
export const lastAct = async (db: ShopDb, batchId: string) =>
  standing((await db.batches.get(batchId as never))?.events ?? []).at(-1)?.id ?? '';

export const kinds = async (db: ShopDb) =>
  (await db.log.orderBy('seq').toArray()).map((e) => e.kind);
