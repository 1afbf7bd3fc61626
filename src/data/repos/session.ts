import { coatHolds } from '@/shop/prepFacts';
import {
  type Batch,
  BATCHES,
  type Coat,
  DEFAULT_SETTINGS,
  type Id,
  stateOf,
  type WetSession,
} from '@/records';
import { ofPiece } from '@/shop/ofPiece';
import { planRoomK, roomOf } from '@/shop/room';
import { settledCoats } from '@/shop/settled';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';
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
  readonly coatIds: readonly Id<'coat'>[];
  readonly temperatureK: number;
  readonly targetM3: number;
  readonly targetAKg: number;
  readonly targetBKg: number;
}

/** @throws StaleActionError when the preparation of a coat is not done */
async function refuseHeld(db: ShopDb, coats: readonly Coat[], nowMs: number): Promise<void> {
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
  const rows = {
    ...{ areas, layers, resins, defects, tasks, coats: all, room: roomOf(days) },
    settings: settings ?? DEFAULT_SETTINGS,
  };
  for (const coat of coats) {
    const piece = pieces.find((p) => p?.id === coat.pieceId);
    const held = piece ? coatHolds(piece, coat.id, rows, nowMs)[0] : undefined;
    if (held)
      throw new StaleActionError('coat held back', { name: coat.name, task: held.task.title });
  }
}

/** Coats with the film that they are mixed for: what was planned is frozen as it comes out now. */
async function settledNow(db: ShopDb, coats: readonly Coat[], roomK: number): Promise<Coat[]> {
  const ids = [...new Set(coats.map((c) => c.pieceId))];
  const [pieces, all, areas, layers, tasks, resins] = await Promise.all([
    db.pieces.bulkGet(ids),
    db.coats.where('pieceId').anyOf(ids).toArray(),
    db.areas.where('pieceId').anyOf(ids).toArray(),
    db.layers.where('pieceId').anyOf(ids).toArray(),
    db.tasks.where('pieceId').anyOf(ids).toArray(),
    db.resins.toArray(),
  ]);
  const settled = pieces.flatMap((piece) =>
    piece
      ? settledCoats({
          ...{ piece, resins, roomK },
          coats: ofPiece(all, piece.id),
          areas: ofPiece(areas, piece.id),
          layers: ofPiece(layers, piece.id),
          tasks: ofPiece(tasks, piece.id),
        })
      : [],
  );
  return coats.map((coat) => settled.find((c) => c.id === coat.id) ?? coat);
}

/**
 * Opens a wet session with one batch for coats of one resin. Returns the session's id.
 * @throws StaleActionError when a coat is gone, being mixed, or held back by its preparation
 */
export function startSession(
  db: ShopDb,
  context: ActionContext,
  plan: NewSession,
): Promise<Id<'session'>> {
  return act(db, context, [...WET_TABLES, ...PREP_TABLES], async (w) => {
    const coats = (await db.coats.bulkGet([...plan.coatIds])).filter((c) => c !== undefined);
    if (coats.length !== plan.coatIds.length || coats.some((c) => c.batchId !== null))
      throw new StaleActionError('coat gone or being mixed');
    await refuseHeld(db, coats, context.nowMs);
    const lot = plan.lotId ? await db.lots.get(plan.lotId) : null;
    if (lot === undefined || lot?.emptyMs != null) throw new StaleActionError('lot gone');
    const record = await db.room.orderBy('id').toArray();
    const { last } = roomOf(record);
    const { temperatureK } = plan;
    if (!last || Math.abs(temperatureK - last.temperatureK) > SAME_ROOM_K) {
      const reading = { fromMs: context.nowMs, temperatureK, humidity: null };
      const { days, entry } = readingRows(record, context.by, reading);
      for (const day of days) await w.put('room', day);
      await w.log('air noted', entry);
    }
    const mixed = await settledNow(db, coats, planRoomK(roomOf(record)));
    const session: WetSession = {
      id: context.newId(),
      resinId: plan.resinId,
      coatIds: plan.coatIds,
      startedMs: context.nowMs,
      endedMs: null,
    };
    const batch: Batch = {
      ...BATCHES.defaults,
      id: context.newId(),
      sessionId: session.id,
      resinId: plan.resinId,
      lotId: lot?.id ?? null,
      measure: plan.measure ?? 'weight',
      coatIds: plan.coatIds,
      targetM3: plan.targetM3,
      targetAKg: plan.targetAKg,
      targetBKg: plan.targetBKg,
    };
    await w.put('sessions', session);
    // Bottles that nobody said were opened are open now.
    if (lot?.openedMs === null) {
      await w.put('lots', { ...lot, openedMs: context.nowMs });
      await w.log('lot opened', { sessionId: session.id, text: lot.name });
    }
    await w.put('batches', batch);
    for (const coat of mixed) await w.put('coats', { ...coat, batchId: batch.id });
    await w.log('session started', {
      sessionId: session.id,
      batchId: batch.id,
      pieceId: coats[0]?.pieceId ?? null,
      text: coats.map((c) => c.name).join(', '),
      figures: {
        ...{ targetM3: plan.targetM3, temperatureK: plan.temperatureK },
        ...(lot && { lot: lot.name }),
      },
    });
    return session.id;
  });
}

/**
 * Leaves a session before anything was mixed: its coats are planned again.
 * @throws StaleActionError when it was left already, or resin is mixed
 */
export function leaveSession(
  db: ShopDb,
  context: ActionContext,
  sessionId: Id<'session'>,
): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const session = await db.sessions.get(sessionId);
    const batches = await db.batches.where('sessionId').equals(sessionId).toArray();
    if (!session || session.endedMs !== null) throw new StaleActionError('session left');
    if (batches.some((b) => stateOf(b).mixedMs !== null))
      throw new StaleActionError('resin already mixed');
    for (const coat of await db.coats.bulkGet([...session.coatIds]))
      if (coat) await w.put('coats', { ...coat, batchId: null });
    await w.put('sessions', { ...session, endedMs: context.nowMs });
    await w.log('session left', { sessionId, text: 'left before mixing' });
  });
}
