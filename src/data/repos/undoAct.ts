import { standing, type DoneAct } from '@/core/wet';
import { asId, type Batch, type Coat, type Id, stateOf } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { entriesAbout, LOG_STORES } from '../log';
import { act, type ActionContext } from '../write';
import { BATCH_TABLES, readBatch, endedAfter } from './batchRows';

/** Coats that an act changed, by what it was. */
function changedBy(undone: DoneAct, batch: Batch): readonly Id<'coat'>[] {
  if (undone.is === 'poured' || undone.is === 'covered') return [asId(undone.coatId)];
  const { poured } = stateOf(batch);
  return undone.is === 'discarded' || undone.is === 'left'
    ? batch.coatIds.filter((id) => !poured.has(id))
    : [];
}

/**
 * A coat as it was before an act that is taken back.
 * @throws StaleActionError when it is mixed anew since
 */
function coatBefore(coat: Coat, undone: DoneAct, batch: Batch): Coat {
  if (undone.is === 'covered') return { ...coat, coveredMs: null };
  if (undone.is === 'poured')
    return { ...coat, mixedMs: null, pouredMs: null, learned: null, touches: [] };
  if (coat.batchId !== null) throw new StaleActionError('something else was done since');
  return { ...coat, batchId: batch.id };
}

/** What was read off the scale is a reading again when its weighing is taken back. */
const readingAfter = (undone: DoneAct, { reading }: Batch): Batch['reading'] => {
  if (undone.is !== 'weighed A' && undone.is !== 'mixed') return reading;
  const part = undone.is === 'mixed' ? 'B' : 'A';
  // A scale that is followed shows it again by itself.
  return undone.by === 'read' || undone.by === 'to the mark' ? { part, kg: undone.kg } : null;
};

/** The entry of an act, by the session that it belongs to; null where the log does not tell of it. */
const entryOf = (db: ShopDb, sessionId: Id<'session'>, actId: string) =>
  db.log.get(asId<'log'>(actId)).then(
    (row) =>
      row?.id ??
      // It came with a file and lies in a page.
      entriesAbout(db, { sessionIds: [sessionId] }).then(
        (entries) => entries.find((e) => e.id === actId)?.id ?? null,
      ),
  );

/**
 * Takes back one named act of a batch, its newest that stands; the log keeps both the act and its undoing.
 * @throws StaleActionError when that act was already taken back, or something was done since
 */
export function undoAct(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  eventId: string,
): Promise<void> {
  return act(db, context, [...BATCH_TABLES, ...LOG_STORES], async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const acts = standing(batch.events);
    const last = acts.at(-1);
    if (!last || !acts.some((e) => e.id === eventId))
      throw new StaleActionError('already taken back');
    if (last.id !== eventId) throw new StaleActionError('something else was done since');
    const id = w.context.newId<'log'>();
    const undone = { is: 'undone', of: last.id, id, atMs: context.nowMs } as const;
    const next = {
      ...batch,
      reading: readingAfter(last, batch),
      events: [...batch.events, undone],
    };
    const ids = changedBy(last, next);
    const changed = (await db.coats.bulkGet([...ids])).filter((c) => c !== undefined);
    if ((last.is === 'discarded' || last.is === 'left') && changed.length < ids.length)
      throw new StaleActionError('something else was done since');
    const before = changed.map((coat) => coatBefore(coat, last, next));
    for (const coat of before) await w.put('coats', coat);
    await w.put('batches', next);
    const session = await db.sessions.get(next.sessionId);
    const batches = await db.batches.where('sessionId').equals(next.sessionId).toArray();
    const after = endedAfter(session, batches, context.nowMs);
    if (after) await w.put('sessions', after);
    const coatId = 'coatId' in last ? asId<'coat'>(last.coatId) : null;
    const coat = coats.find((c) => c.id === coatId) ?? coats[0];
    const about = await entryOf(db, batch.sessionId, last.id);
    await w.log(
      'undone',
      {
        ...{ batchId, sessionId: batch.sessionId, coatId, pieceId: coat?.pieceId ?? null },
        ...{ aboutId: about, text: last.is },
      },
      id,
    );
  });
}
