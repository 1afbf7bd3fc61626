import { coatHolds } from '@/shop/prepFacts';
import type { WetState } from '@/core/wet';
import {
  asId,
  type Batch,
  BATCHES,
  type Coat,
  DEFAULT_SETTINGS,
  type Id,
  type Lot,
  stateOf,
  type WetSession,
} from '@/records';
import { ofPiece } from '@/shop/ofPiece';
import { planRoomK, roomOf } from '@/shop/room';
import { settledCoats } from '@/shop/settled';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';
import { endedAfter } from './batchRows';
import { readingRows } from './room';

const WET_TABLES = ['sessions', 'batches', 'coats', 'lots'] as const;
/** What says whether a coat is ready besides those. */
const PREP_TABLES = [
  'pieces',
  'areas',
  'layers',
  'resins',
  'defects',
  'tasks',
  'room',
  'settings',
] as const;

/** What is typed with one decimal may be the shop's own room again, K. */
const SAME_ROOM_K = 0.06;

export interface NewSession {
  readonly resinId: Id<'resin'>;
  /** Bottles that it is mixed from; null or left out: not told. */
  readonly lotId?: Id<'lot'> | null;
  /** By weight when left out. */
  readonly measure?: Batch['measure'];
  /** What is mixed one after the other, at least one. */
  readonly batches: readonly NewBatch[];
  readonly temperatureK: number;
  /** What was said to be at hand, and what was not, by word; left out where nobody was asked. */
  readonly atHand?: { readonly there: readonly string[]; readonly missing: readonly string[] };
}

/** One mixing: its coats, what is mixed for them, and the colours that are cut out of it. */
export type NewBatch = Pick<Batch, 'coatIds' | 'targetM3' | 'targetAKg' | 'targetBKg'> &
  Partial<Pick<Batch, 'cups'>>;

/** All rows that the preparation and the films of some coats hang on, as they are now. */
async function rowsAround(db: ShopDb, coats: readonly Coat[]) {
  const ids = [...new Set(coats.map((c) => c.pieceId))];
  const [pieces, areas, layers, all, defects, tasks, resins, days, settings] = await Promise.all([
    db.pieces.bulkGet(ids),
    db.areas.where('pieceId').anyOf(ids).toArray(),
    db.layers.where('pieceId').anyOf(ids).toArray(),
    db.coats.where('pieceId').anyOf(ids).toArray(),
    db.defects.where('pieceId').anyOf(ids).toArray(),
    db.tasks.where('pieceId').anyOf(ids).toArray(),
    db.resins.toArray(),
    db.room.orderBy('id').toArray(),
    db.settings.get('shop'),
  ]);
  return {
    ...{ areas, layers, resins, defects, tasks, days, coats: all, room: roomOf(days) },
    pieces: pieces.filter((piece) => piece !== undefined),
    settings: settings ?? DEFAULT_SETTINGS,
  };
}
type RowsAround = Awaited<ReturnType<typeof rowsAround>>;

/** @throws StaleActionError when the preparation of a coat is not done */
function refuseHeld(rows: RowsAround, coats: readonly Coat[], nowMs: number): void {
  for (const coat of coats) {
    const piece = rows.pieces.find((p) => p.id === coat.pieceId);
    const held = piece ? coatHolds(piece, coat.id, rows, nowMs)[0] : undefined;
    if (held)
      throw new StaleActionError('coat held back', { name: coat.name, task: held.task.title });
  }
}

/** Coats with the film that they are mixed for: what was planned is frozen as it comes out now. */
function settledNow(rows: RowsAround, coats: readonly Coat[]): Coat[] {
  const { resins, room } = rows;
  const settled = rows.pieces.flatMap((piece) =>
    settledCoats({
      ...{ piece, resins, roomK: planRoomK(room) },
      coats: ofPiece(rows.coats, piece.id),
      areas: ofPiece(rows.areas, piece.id),
      layers: ofPiece(rows.layers, piece.id),
      tasks: ofPiece(rows.tasks, piece.id),
    }),
  );
  return coats.map((coat) => settled.find((c) => c.id === coat.id) ?? coat);
}

/** A session with its batches, one after the other. */
function sessionRows(plan: NewSession, lotId: Batch['lotId'], { nowMs, newId }: ActionContext) {
  const session: WetSession = {
    ...{ id: newId(), resinId: plan.resinId, startedMs: nowMs, endedMs: null },
    coatIds: plan.batches.flatMap((b) => b.coatIds),
  };
  const batches = plan.batches.map((batch): Batch => ({
    ...{ ...BATCHES.defaults, ...batch, id: newId(), sessionId: session.id },
    ...{ resinId: plan.resinId, lotId, measure: plan.measure ?? 'weight' },
  }));
  return { session, batches };
}

/** What the log tells of a session that is started. */
function startedFigures({ batches, temperatureK, atHand }: NewSession, lot: Lot | null) {
  return {
    ...{ targetM3: batches.reduce((sum, b) => sum + b.targetM3, 0), temperatureK },
    ...(batches.length > 1 && { batches: batches.length }),
    ...(lot && { lot: lot.name }),
    ...(atHand && { atHand: atHand.there.join(', ') }),
    ...(atHand && atHand.missing.length > 0 && { notAtHand: atHand.missing.join(', ') }),
  };
}

/**
 * Opens a wet session with its batches for coats of one resin. Returns the session's id.
 * @throws StaleActionError when a coat is gone, being mixed, or held back by its preparation
 */
export function startSession(
  db: ShopDb,
  context: ActionContext,
  plan: NewSession,
): Promise<Id<'session'>> {
  return act(db, context, [...WET_TABLES, ...PREP_TABLES], async (w) => {
    const ids = plan.batches.flatMap((b) => b.coatIds);
    const coats = (await db.coats.bulkGet(ids)).filter((c) => c !== undefined);
    const doubled = new Set(ids).size < ids.length;
    if (coats.length !== ids.length || doubled || coats.some((c) => c.batchId !== null))
      throw new StaleActionError('coat gone or being mixed');
    const rows = await rowsAround(db, coats);
    refuseHeld(rows, coats, context.nowMs);
    const lot = plan.lotId ? await db.lots.get(plan.lotId) : null;
    if (lot === undefined || lot?.emptyMs != null) throw new StaleActionError('lot gone');
    const { last } = rows.room;
    const { temperatureK } = plan;
    if (!last || Math.abs(temperatureK - last.temperatureK) > SAME_ROOM_K) {
      const reading = { fromMs: context.nowMs, temperatureK, humidity: null };
      const { days, entry } = readingRows(rows.days, context.by, reading);
      for (const day of days) await w.put('room', day);
      await w.log('air noted', entry);
    }
    const mixed = settledNow(rows, coats);
    const { session, batches } = sessionRows(plan, lot?.id ?? null, context);
    await w.put('sessions', session);
    // Bottles that nobody said were opened are open now.
    if (lot?.openedMs === null) {
      await w.put('lots', { ...lot, openedMs: context.nowMs });
      await w.log('lot opened', { sessionId: session.id, text: lot.name });
    }
    for (const batch of batches) await w.put('batches', batch);
    for (const coat of mixed) {
      const batch = batches.find((b) => b.coatIds.includes(coat.id));
      await w.put('coats', { ...coat, batchId: batch?.id ?? null });
    }
    await w.log('session started', {
      sessionId: session.id,
      batchId: batches[0]?.id ?? null,
      pieceId: coats[0]?.pieceId ?? null,
      text: coats.map((c) => c.name).join(', '),
      figures: startedFigures(plan, lot),
    });
    return session.id;
  });
}

/**
 * Leaves batches of a session as they stand; coats that are not poured are planned again.
 * @throws StaleActionError when the session was left already, or no batch of it can be
 */
function leave(
  db: ShopDb,
  context: ActionContext,
  sessionId: Id<'session'>,
  which: (batch: Batch) => boolean,
): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const session = await db.sessions.get(sessionId);
    const batches = await db.batches.where('sessionId').equals(sessionId).toArray();
    if (!session || session.endedMs !== null) throw new StaleActionError('session left');
    const left = batches.filter((b) => stateOf(b).step !== 'done' && which(b));
    if (left.length === 0) throw new StaleActionError('resin already mixed');
    const { nowMs } = context;
    const after = batches.map((batch) =>
      left.includes(batch)
        ? {
            ...{ ...batch, reading: null },
            events: [
              ...batch.events,
              { is: 'left', id: w.context.newId<'log'>(), atMs: nowMs } as const,
            ],
          }
        : batch,
    );
    for (const batch of after) {
      const event = batch.events.at(-1);
      if (batches.includes(batch) || !event) continue;
      const coats = (await db.coats.bulkGet([...batch.coatIds])).filter((c) => c !== undefined);
      await w.put('batches', batch);
      for (const coat of coats)
        if (coat.pouredMs === null) await w.put('coats', { ...coat, batchId: null });
      await w.log(
        'left',
        {
          ...{ sessionId, batchId: batch.id, pieceId: coats[0]?.pieceId ?? null },
          ...leftWords(stateOf(batch), coats),
        },
        asId<'log'>(event.id),
      );
    }
    const ended = endedAfter(session, after, nowMs);
    if (ended) await w.put('sessions', ended);
  });
}

/** What is known of a batch that is left: what lies uncovered, and what was mixed for nothing. */
function leftWords({ mixedMs, poured, covered }: WetState, coats: readonly Coat[]) {
  const open = coats.filter((c) => poured.has(c.id) && !covered.has(c.id));
  const lost = mixedMs !== null && poured.size < coats.length;
  return {
    text: coats.map((c) => c.name).join(', '),
    figures: {
      stood: mixedMs === null ? 'before mixing' : lost ? 'mixed, not poured' : 'poured',
      ...(open.length > 0 && { coverNotTold: open.map((c) => c.name).join(', ') }),
    },
  };
}

/** Leaves what is not mixed yet; the rest of the session goes on. @throws StaleActionError as {@link leave} */
export const leaveSession = (db: ShopDb, context: ActionContext, sessionId: Id<'session'>) =>
  leave(db, context, sessionId, (batch) => stateOf(batch).mixedMs === null);

/** Closes a session that was left standing, with what is known of it. @throws StaleActionError as {@link leave} */
export const closeSession = (db: ShopDb, context: ActionContext, sessionId: Id<'session'>) =>
  leave(db, context, sessionId, () => true);
