import type { ShopDb } from '../db';
import { standing } from '@/core/wet';
import type { Coat } from '@/records';
import { startSession } from '../repos/session';
import { endStir, mixB, pourCoat, startStir, weighA } from '../repos/wet';
import { contextAt, shopWithCoat } from './shop';

/** Both parts of a small batch, read off the scale. */
export const A = { kg: 0.0575, by: 'read' } as const;
export const B = { kg: 0.05, by: 'read' } as const;

export async function started(db: ShopDb, coat: Coat) {
  const plan = {
    resinId: coat.resinId,
    coatIds: [coat.id],
    temperatureK: 295.15,
    targetM3: 1e-4,
    targetAKg: 0.0575,
    targetBKg: 0.05,
  };
  const sessionId = await startSession(db, contextAt(10), plan);
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
