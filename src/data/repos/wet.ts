import { batchStep, undoneBatch } from '../records/batchStep';
import { coatHolds } from '../prep/prepFacts';
import {
  DEFAULT_SETTINGS,
  type Batch,
  type Coat,
  type Id,
  type LogEntry,
  type LogKind,
  type WetSession,
} from '../records/types';
import type { ShopDb } from '../db';
import { act, type ActionContext, type Writer } from '../write';

const WET_TABLES = ['sessions', 'batches', 'coats'] as const;
/** What says whether a coat is ready besides those. */
const PREP_TABLES = ['pieces', 'areas', 'resins', 'defects', 'tasks', 'air', 'settings'] as const;

export interface NewSession {
  readonly resinId: Id<'resin'>;
  readonly coatIds: readonly Id<'coat'>[];
  readonly temperatureK: number;
  readonly targetM3: number;
  readonly targetAKg: number;
  readonly targetBKg: number;
}

/** The record changed under the action (another tab): nothing was written. */
export class StaleActionError extends Error {
  override readonly name = 'StaleActionError';
}

/** @throws StaleActionError when the preparation of a coat is not done */
async function refuseHeld(db: ShopDb, coats: readonly Coat[], nowMs: number): Promise<void> {
  const ids = [...new Set(coats.map((c) => c.pieceId))];
  const [pieces, areas, all, defects, tasks, resins, air, settings] = await Promise.all([
    db.pieces.bulkGet(ids),
    db.areas.where('pieceId').anyOf(ids).toArray(),
    db.coats.where('pieceId').anyOf(ids).toArray(),
    db.defects.where('pieceId').anyOf(ids).toArray(),
    db.tasks.where('pieceId').anyOf(ids).toArray(),
    db.resins.toArray(),
    db.air.toArray(),
    db.settings.get('shop'),
  ]);
  const rows = {
    ...{ areas, resins, defects, tasks, air, coats: all },
    settings: settings ?? DEFAULT_SETTINGS,
  };
  for (const coat of coats) {
    const piece = pieces.find((p) => p?.id === coat.pieceId);
    const held = piece ? coatHolds(piece, coat.id, rows, nowMs)[0] : undefined;
    if (held)
      throw new StaleActionError(`${coat.name} is not ready: ${held.task.title.toLowerCase()}.`);
  }
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
      throw new StaleActionError('A coat of this session is gone or already being mixed.');
    await refuseHeld(db, coats, context.nowMs);
    const session: WetSession = {
      id: context.newId(),
      resinId: plan.resinId,
      coatIds: plan.coatIds,
      temperatureK: plan.temperatureK,
      startedMs: context.nowMs,
      endedMs: null,
    };
    const batch: Batch = {
      id: context.newId(),
      sessionId: session.id,
      resinId: plan.resinId,
      coatIds: plan.coatIds,
      targetM3: plan.targetM3,
      targetAKg: plan.targetAKg,
      targetBKg: plan.targetBKg,
      aKg: null,
      bKg: null,
      mixedMs: null,
      stirStartedMs: null,
      stirredMs: null,
      pouredMs: null,
      coveredMs: null,
    };
    await w.put('sessions', session);
    await w.put('batches', batch);
    for (const coat of coats) await w.put('coats', { ...coat, batchId: batch.id });
    await w.log('session started', {
      sessionId: session.id,
      batchId: batch.id,
      pieceId: coats[0]?.pieceId ?? null,
      text: coats.map((c) => c.name).join(', '),
      figures: { targetM3: plan.targetM3, temperatureK: plan.temperatureK },
    });
    return session.id;
  });
}

interface BatchAction {
  readonly kind: LogKind;
  readonly expected: ReturnType<typeof batchStep>;
  readonly change: (batch: Batch) => Partial<Batch>;
  readonly figures?: LogEntry['figures'];
}

async function readBatch(
  w: Writer,
  batchId: Id<'batch'>,
): Promise<{ batch: Batch; coats: Coat[] }> {
  const batch = await w.db.batches.get(batchId);
  if (!batch) throw new StaleActionError('This batch is no longer in the shop.');
  return { batch, coats: await w.db.coats.where('batchId').equals(batchId).toArray() };
}

function stepBatch(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  action: BatchAction,
): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    if (batchStep(batch) !== action.expected)
      throw new StaleActionError(`This batch is already at “${batchStep(batch)}”.`);
    await w.put('batches', { ...batch, ...action.change(batch) });
    await w.log(action.kind, {
      batchId,
      sessionId: batch.sessionId,
      pieceId: coats[0]?.pieceId ?? null,
      figures: action.figures ?? {},
    });
  });
}

export const weighA = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, aKg: number) =>
  stepBatch(db, c, batchId, {
    kind: 'weighed A',
    expected: 'weigh A',
    change: () => ({ aKg }),
    figures: { aKg },
  });

/** What is in the cup when part B is in; `addedAKg` of A went in after B, to restore the ratio. */
export interface MixedCup {
  readonly aKg: number;
  readonly bKg: number;
  readonly addedAKg: number;
  readonly errorShare: number;
}

/** Part B is in the cup: the working time starts. */
export const mixB = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, cup: MixedCup) =>
  stepBatch(db, c, batchId, {
    kind: 'mixed',
    expected: 'weigh B',
    change: () => ({ aKg: cup.aKg, bKg: cup.bKg, mixedMs: c.nowMs }),
    figures: {
      bKg: cup.bKg,
      ...(cup.addedAKg > 0 && { addedAKg: cup.addedAKg }),
      ratioErrorShare: cup.errorShare,
    },
  });

export const startStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  stepBatch(db, c, batchId, {
    kind: 'stir started',
    expected: 'stir',
    change: () => ({ stirStartedMs: c.nowMs }),
  });

export const endStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  stepBatch(db, c, batchId, {
    kind: 'stirred',
    expected: 'stirring',
    change: () => ({ stirredMs: c.nowMs }),
  });

/** One coat is on its piece: its clock starts at the session's room temperature. */
export function pourCoat(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  coatId: Id<'coat'>,
): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const session = await db.sessions.get(batch.sessionId);
    const coat = coats.find((c) => c.id === coatId);
    if (batchStep(batch) !== 'pour' || !session || !coat || coat.pouredMs !== null)
      throw new StaleActionError('This coat was already poured, or the batch moved on.');
    await w.put('coats', {
      ...coat,
      pouredMs: context.nowMs,
      history: [{ fromMs: context.nowMs, temperatureK: session.temperatureK }],
    });
    const last = coats.every((c) => c.id === coatId || c.pouredMs !== null);
    if (last) await w.put('batches', { ...batch, pouredMs: context.nowMs });
    await w.log('poured', {
      batchId,
      coatId,
      pieceId: coat.pieceId,
      sessionId: batch.sessionId,
      text: coat.name,
      figures: { thicknessM: coat.thicknessM, temperatureK: session.temperatureK },
    });
  });
}

/** Everything of the batch is covered: the wet session ends. */
export function coverBatch(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const session = await db.sessions.get(batch.sessionId);
    if (batchStep(batch) !== 'cover' || !session)
      throw new StaleActionError('This batch is not waiting for its cover.');
    await w.put('batches', { ...batch, coveredMs: context.nowMs });
    await w.put('sessions', { ...session, endedMs: context.nowMs });
    for (const coat of coats) {
      await w.put('coats', { ...coat, coveredMs: context.nowMs });
      await w.log('covered', {
        batchId,
        coatId: coat.id,
        pieceId: coat.pieceId,
        sessionId: batch.sessionId,
        text: coat.name,
      });
    }
  });
}

/** Takes back the last step of a batch; the log keeps both the step and its undoing. */
export function undoLast(db: ShopDb, context: ActionContext, batchId: Id<'batch'>): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const undone = undoneBatch(batch, coats);
    if (!undone) throw new StaleActionError('There is no step to undo.');
    const entries = await db.log.where('batchId').equals(batchId).sortBy('atMs');
    const taken = new Set(entries.map((e) => e.aboutId));
    const about = entries
      .reverse()
      .find((e) => e.kind !== 'undone' && e.kind !== 'session started' && !taken.has(e.id));
    await w.put('batches', undone.batch);
    if (undone.coat) await w.put('coats', undone.coat);
    if (batch.coveredMs !== null) {
      const session = await db.sessions.get(batch.sessionId);
      if (session) await w.put('sessions', { ...session, endedMs: null });
      for (const coat of coats) await w.put('coats', { ...coat, coveredMs: null });
    }
    await w.log('undone', {
      batchId,
      sessionId: batch.sessionId,
      coatId: undone.coat?.id ?? null,
      pieceId: about?.pieceId ?? coats[0]?.pieceId ?? null,
      aboutId: about?.id ?? null,
      text: about?.kind ?? '',
    });
  });
}

/** Leaves a session before anything was mixed: its coats are planned again. */
export function leaveSession(
  db: ShopDb,
  context: ActionContext,
  sessionId: Id<'session'>,
): Promise<void> {
  return act(db, context, WET_TABLES, async (w) => {
    const session = await db.sessions.get(sessionId);
    const batches = await db.batches.where('sessionId').equals(sessionId).toArray();
    if (!session || batches.some((b) => b.mixedMs !== null))
      throw new StaleActionError('Resin is already mixed: pour it, or note what became of it.');
    for (const coat of await db.coats.bulkGet([...session.coatIds]))
      if (coat) await w.put('coats', { ...coat, batchId: null });
    await w.put('sessions', { ...session, endedMs: context.nowMs });
    await w.log('session left', { sessionId, text: 'left before mixing' });
  });
}
