import { leastFilm } from '@/core/coat';
import { checkMix } from '@/core/resin';
import {
  type Batch,
  batchStep,
  type Coat,
  type Id,
  type LogEntry,
  type LogKind,
  type Resin,
  standingActs,
  undoneAct,
  type WeighedBy,
} from '@/records';
import { airThen, roomOf } from '@/shop/room';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext, type Writer } from '../write';

/** What a step of a batch reads or writes. */
const TABLES = ['sessions', 'batches', 'coats', 'resins'] as const;

interface BatchRows {
  readonly batch: Batch;
  readonly coats: readonly Coat[];
  readonly resin: Resin;
}

interface BatchAction {
  readonly kind: LogKind;
  readonly expected: ReturnType<typeof batchStep>;
  readonly change: (rows: BatchRows) => Partial<Batch>;
  readonly figures?: (rows: BatchRows) => LogEntry['figures'];
}

async function readBatch(w: Writer, batchId: Id<'batch'>): Promise<BatchRows> {
  const batch = await w.db.batches.get(batchId);
  const resin = batch && (await w.db.resins.get(batch.resinId));
  if (!batch || !resin) throw new StaleActionError('batch gone');
  return { batch, resin, coats: await w.db.coats.where('batchId').equals(batchId).toArray() };
}

function stepBatch(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  action: BatchAction,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const rows = await readBatch(w, batchId);
    const { batch, coats } = rows;
    if (batchStep(batch) !== action.expected)
      throw new StaleActionError('batch moved on', { step: batchStep(batch) });
    await w.put('batches', { ...batch, ...action.change(rows) });
    await w.log(action.kind, {
      batchId,
      sessionId: batch.sessionId,
      pieceId: coats[0]?.pieceId ?? null,
      figures: action.figures?.(rows) ?? {},
    });
  });
}

/** A mass in the cup, and whether it was read off the scale or taken to be what was asked for. */
export interface Weighed {
  readonly kg: number;
  readonly by: Exclude<WeighedBy, 'not told'>;
}

/** What the scale is said to show while a part is weighed; not an act yet, kept so that a reload loses nothing. */
export function noteReading(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  reading: NonNullable<Batch['reading']>,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const { batch } = await readBatch(w, batchId);
    if (batchStep(batch) === `weigh ${reading.part}`) await w.put('batches', { ...batch, reading });
  });
}

export const weighA = (
  db: ShopDb,
  c: ActionContext,
  batchId: Id<'batch'>,
  { kg: aKg, by }: Weighed,
) =>
  stepBatch(db, c, batchId, {
    kind: 'weighed A',
    expected: 'weigh A',
    change: () => ({ aKg, aBy: by, reading: null }),
    figures: () => ({ aKg, by }),
  });

/** More of part A went in after B, to put the ratio right: as much as was asked for, not read off a scale. */
export const addA = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, addedAKg: number) =>
  stepBatch(db, c, batchId, {
    kind: 'added A',
    expected: 'weigh B',
    change: ({ batch }) => ({
      aKg: (batch.aKg ?? 0) + addedAKg,
      addedAKg: batch.addedAKg + addedAKg,
      aBy: 'assumed',
    }),
    figures: () => ({ addedAKg, by: 'assumed' }),
  });

/** Part B is in the cup: the working time starts. */
export const mixB = (
  db: ShopDb,
  c: ActionContext,
  batchId: Id<'batch'>,
  { kg: bKg, by }: Weighed,
) =>
  stepBatch(db, c, batchId, {
    kind: 'mixed',
    expected: 'weigh B',
    change: () => ({ bKg, bBy: by, mixedMs: c.nowMs, reading: null }),
    figures: ({ batch, resin }) => ({
      bKg,
      by,
      ratioErrorShare: checkMix(batch.aKg ?? 0, bKg, resin.sheet).errorShare,
    }),
  });

export const startStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  stepBatch(db, c, batchId, {
    kind: 'stir started',
    expected: 'stir',
    change: () => ({ stirStartedMs: c.nowMs }),
  });

/** The stir is over; the log says how long it was and whether that is less than the sheet asks for. */
export const endStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  stepBatch(db, c, batchId, {
    kind: 'stirred',
    expected: 'stirring',
    change: () => ({ stirredMs: c.nowMs }),
    figures: ({ batch, resin }) => {
      const stirredS = Math.max(0, c.nowMs - (batch.stirStartedMs ?? c.nowMs)) / 1000;
      const leastS = resin.sheet.stirS;
      return { stirredS, leastS, ...(stirredS < leastS && { short: 'short' }) };
    },
  });

/**
 * One coat is on its piece: its clock started with the mix.
 * @param learned what earlier batches told of its resin, kept with it: what is learned later moves no old clock
 */
export function pourCoat(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  coatId: Id<'coat'>,
  learned: Coat['learned'] = null,
): Promise<void> {
  return act(db, context, [...TABLES, 'room'], async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const session = await db.sessions.get(batch.sessionId);
    const coat = coats.find((c) => c.id === coatId);
    if (batchStep(batch) !== 'pour' || !session || !coat || coat.pouredMs !== null)
      throw new StaleActionError('coat poured');
    const room = roomOf(await db.room.orderBy('id').toArray());
    const { temperatureK } = airThen(room.steps, context.nowMs);
    await w.put('coats', {
      ...coat,
      mixedMs: batch.mixedMs ?? context.nowMs,
      pouredMs: context.nowMs,
      learned,
    });
    const last = coats.every((c) => c.id === coatId || c.pouredMs !== null);
    if (last) await w.put('batches', { ...batch, pouredMs: context.nowMs });
    await w.log('poured', {
      batchId,
      coatId,
      pieceId: coat.pieceId,
      sessionId: batch.sessionId,
      text: coat.name,
      figures: { thicknessM: coat.thicknessM, staysM: leastFilm(coat), temperatureK },
    });
  });
}

/** Everything of the batch is covered: the wet session ends. */
export function coverBatch(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const session = await db.sessions.get(batch.sessionId);
    if (batchStep(batch) !== 'cover' || !session)
      throw new StaleActionError('batch not waiting for its cover');
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

/**
 * Takes back one named act of a batch, its newest that stands; the log keeps both the act and its undoing.
 * @throws StaleActionError when that act was already taken back, or something was done since
 */
export function undoAct(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  entryId: Id<'log'>,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const { batch, coats } = await readBatch(w, batchId);
    const acts = standingActs(await db.log.where('batchId').equals(batchId).toArray());
    const last = acts.at(-1);
    if (!last || !acts.some((e) => e.id === entryId))
      throw new StaleActionError('already taken back');
    // Coats of a batch are covered in one act, with an entry for each.
    const together = last.kind === 'covered' ? acts.filter((e) => e.kind === 'covered') : [last];
    if (!together.some((e) => e.id === entryId))
      throw new StaleActionError('something else was done since');
    const undone = undoneAct(last, batch, coats, acts.slice(0, -1));
    await w.put('batches', undone.batch);
    for (const coat of undone.coats) await w.put('coats', coat);
    const session = undone.reopens ? await db.sessions.get(batch.sessionId) : undefined;
    if (session) await w.put('sessions', { ...session, endedMs: null });
    for (const { id, kind, pieceId, coatId, sessionId } of together)
      await w.log('undone', { batchId, sessionId, coatId, pieceId, aboutId: id, text: kind });
  });
}
