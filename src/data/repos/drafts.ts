import type { Draft, Id } from '@/records';
import { refuseOvertaken, type ShopDb } from '../db';

/** Keeps what is typed; no act, so nothing is logged. @throws ActionError `overtaken`; what the storage throws */
export async function keepDraft(db: ShopDb, draft: Draft): Promise<void> {
  refuseOvertaken(db);
  await db.drafts.put(draft);
}

export async function dropDraft(db: ShopDb, id: Id<'draft'>): Promise<void> {
  refuseOvertaken(db);
  await db.drafts.delete(id);
}
