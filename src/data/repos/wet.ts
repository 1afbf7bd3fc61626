import { leastFilm } from '@/core/coat';
import { checkMix } from '@/core/resin';
import {
  follows,
  type BubblesBy,
  type DiscardReason,
  type DoneAct,
  type WeighedBy,
  type WetAct,
  type WetState,
} from '@/core/wet';
import { type Batch, type Coat, type Id, type LogEntry, type Resin, stateOf } from '@/records';
import { airThen, roomOf } from '@/shop/room';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext, type Writer } from '../write';
import { BATCH_TABLES, readBatch, endedAfter, type BatchRows } from './batchRows';

/** What was poured since the cup was weighed last. */
const usedFigures = ({ cupKg, unweighed }: WetState, kg: number): LogEntry['figures'] =>
  cupKg !== null && unweighed.length > 0 && kg <= cupKg ? { usedKg: cupKg - kg } : {};

/** What the log tells of an act besides its kind. */
function figuresOf(done: DoneAct, state: WetState, { sheet }: Resin): LogEntry['figures'] {
  switch (done.is) {
    case 'weighed A':
      // What was read off a mark is a volume; its mass follows from the density.
      return done.by === 'to the mark'
        ? { aM3: done.kg / sheet.densityAKgM3, by: done.by }
        : { aKg: done.kg, by: done.by };
    case 'added A':
      return { addedAKg: done.kg, by: done.by };
    case 'mixed':
      return {
        ...(done.by === 'to the mark' ? { bM3: done.kg / sheet.densityBKgM3 } : { bKg: done.kg }),
        by: done.by,
        ratioErrorShare: checkMix(state.aKg ?? 0, done.kg, sheet).errorShare,
      };
    case 'stirred': {
      const sinceMs = done.atMs - (state.stirStartedMs ?? done.atMs) - state.idleMs;
      const [stirredS, leastS] = [Math.max(0, sinceMs) / 1000, sheet.stirS];
      return {
        ...{ stirredS, leastS, ...(stirredS < leastS && { short: 'short' }) },
        ...(state.idleMs > 0 && { pausedS: state.idleMs / 1000 }),
      };
    }
    case 'stir resumed':
      return { pausedS: Math.max(0, done.atMs - (state.pausedMs ?? done.atMs)) / 1000 };
    case 'cup cut':
      return { cupKg: done.kg, by: done.by, colour: done.colour };
    case 'cup left out':
      return { colour: done.colour };
    case 'cup weighed':
      return { cupKg: done.kg, by: done.by, ...usedFigures(state, done.kg) };
    case 'bubble round':
      return { by: done.by };
    case 'ran short':
      return { shortShare: done.share };
    case 'discarded':
      return { why: done.why };
    case 'stir started':
    case 'stir paused':
    case 'changed cup':
    case 'left':
    case 'poured':
    case 'looked over':
    case 'covered':
      return {};
  }
}

/** An act as it is written: the batch after it, and its entry of the log under the same id. */
interface Written {
  readonly next: Batch;
  readonly entry: Parameters<Writer['log']>;
}

/**
 * What an act writes.
 * @param more what else its entry tells
 * @throws StaleActionError when it cannot follow what was done before
 */
function written(
  { batch, coats, resin }: BatchRows,
  told: WetAct,
  { nowMs, newId }: ActionContext,
  more: LogEntry['figures'] = {},
): Written {
  const state = stateOf(batch);
  if (!follows(state, told, batch))
    throw new StaleActionError('batch moved on', { step: state.step });
  const done = { ...told, id: newId<'log'>(), atMs: nowMs };
  const coat = 'coatId' in told ? coats.find((c) => c.id === told.coatId) : undefined;
  const reading = told.is === 'added A' ? batch.reading : null;
  const about = {
    ...{ batchId: batch.id, sessionId: batch.sessionId },
    pieceId: (coat ?? coats[0])?.pieceId ?? null,
    ...(coat && { coatId: coat.id, text: coat.name }),
    figures: { ...figuresOf(done, state, resin), ...more },
  };
  return {
    next: { ...batch, reading, events: [...batch.events, done] },
    entry: [told.is, about, done.id],
  };
}

/** An act that changes nothing but the batch. */
const actOn = (db: ShopDb, context: ActionContext, batchId: Id<'batch'>, told: WetAct) =>
  act(db, context, BATCH_TABLES, async (w) => {
    const { next, entry } = written(await readBatch(w, batchId), told, context);
    await w.put('batches', next);
    await w.log(...entry);
  });

/** A mass in the cup, and how it became known. */
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
  return act(db, context, BATCH_TABLES, async (w) => {
    const { batch } = await readBatch(w, batchId);
    const { step } = stateOf(batch);
    if (step === (reading.part === 'cup' ? 'cups' : `weigh ${reading.part}`))
      await w.put('batches', { ...batch, reading });
  });
}

export const weighA = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, weighed: Weighed) =>
  actOn(db, c, batchId, { is: 'weighed A', ...weighed });

/** More of part A went in after B, to put the ratio right. */
export const addA = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, weighed: Weighed) =>
  actOn(db, c, batchId, { is: 'added A', ...weighed });

/** Part B is in the cup: the working time starts. */
export const mixB = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, weighed: Weighed) =>
  actOn(db, c, batchId, { is: 'mixed', ...weighed });

export const startStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  actOn(db, c, batchId, { is: 'stir started' });

/** The stir is over; the log says how long it was and whether that is less than the sheet asks for. */
export const endStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  actOn(db, c, batchId, { is: 'stirred' });

/** Nobody stirs; and somebody does again. */
export const pauseStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  actOn(db, c, batchId, { is: 'stir paused' });
export const resumeStir = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  actOn(db, c, batchId, { is: 'stir resumed' });

/** A colour's share of the mix is in a cup of its own; drops of silicone in it mark its coat: the next one draws back. */
export function cutCup(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  cup: { readonly coatId: Id<'coat'>; readonly colour: string } & Weighed,
): Promise<void> {
  return act(db, context, [...BATCH_TABLES, 'swatches'], async (w) => {
    const rows = await readBatch(w, batchId);
    const { next, entry } = written(rows, { is: 'cup cut', ...cup }, context);
    await w.put('batches', { ...next, reading: null });
    await w.log(...entry);
    const coat = rows.coats.find((c) => c.id === cup.coatId);
    const swatchId = coat?.colours.find((c) => c.name === cup.colour)?.swatchId;
    const swatch = swatchId ? await db.swatches.get(swatchId) : undefined;
    if (coat && swatch && swatch.siliconeDrops > 0)
      await w.put('coats', { ...coat, silicone: true });
  });
}

/** A colour is not mixed after all. */
export const leaveCupOut = (
  db: ShopDb,
  c: ActionContext,
  batchId: Id<'batch'>,
  cup: { readonly coatId: Id<'coat'>; readonly colour: string },
) => actOn(db, c, batchId, { is: 'cup left out', ...cup });

/** What the cup with what is in it weighs; what was poured since the last time is the difference. */
export const weighCup = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, weighed: Weighed) =>
  actOn(db, c, batchId, { is: 'cup weighed', ...weighed });

/** What a scale that is followed shows with the empty cup on it; no act, kept so that a reload loses nothing. */
export function noteTare(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  tareKg: number | null,
): Promise<void> {
  return act(db, context, BATCH_TABLES, async (w) => {
    const { batch } = await readBatch(w, batchId);
    await w.put('batches', { ...batch, tareKg });
  });
}

/** The mix went into a clean cup with a clean stick. */
export const changeCup = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>) =>
  actOn(db, c, batchId, { is: 'changed cup' });

/** The mix does not reach: so much of what the coat was to get is missing, share. */
export const runShort = (
  db: ShopDb,
  c: ActionContext,
  batchId: Id<'batch'>,
  coatId: Id<'coat'>,
  share: number,
) => actOn(db, c, batchId, { is: 'ran short', coatId, share });

/** A coat was gone over for bubbles. */
export const bubbleRound = (
  db: ShopDb,
  c: ActionContext,
  batchId: Id<'batch'>,
  coatId: Id<'coat'>,
  by: BubblesBy,
) => actOn(db, c, batchId, { is: 'bubble round', coatId, by });

/** A coat was looked over in raking light, and nothing was wrong. */
export const lookOver = (db: ShopDb, c: ActionContext, batchId: Id<'batch'>, coatId: Id<'coat'>) =>
  actOn(db, c, batchId, { is: 'looked over', coatId });

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
  return act(db, context, BATCH_TABLES, async (w) => {
    const rows = await readBatch(w, batchId);
    const coat = rows.coats.find((c) => c.id === coatId);
    if (!coat || coat.pouredMs !== null) throw new StaleActionError('coat poured');
    const room = roomOf(await db.room.orderBy('id').toArray());
    const { temperatureK } = airThen(room.steps, context.nowMs);
    const { next, entry } = written(rows, { is: 'poured', coatId }, context, {
      ...{ thicknessM: coat.thicknessM, staysM: leastFilm(coat), temperatureK },
    });
    await w.put('batches', next);
    await w.log(...entry);
    const mixedMs = stateOf(rows.batch).mixedMs ?? context.nowMs;
    await w.put('coats', { ...coat, mixedMs, pouredMs: context.nowMs, learned });
  });
}

/** One coat is covered; with the last one the session ends. */
export function coverCoat(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  coatId: Id<'coat'>,
): Promise<void> {
  return act(db, context, BATCH_TABLES, async (w) => {
    const rows = await readBatch(w, batchId);
    const coat = rows.coats.find((c) => c.id === coatId);
    if (!coat) throw new StaleActionError('batch not waiting for its cover');
    const { next, entry } = written(rows, { is: 'covered', coatId }, context);
    await w.put('batches', next);
    await w.log(...entry);
    await w.put('coats', { ...coat, coveredMs: context.nowMs });
    const session = await db.sessions.get(next.sessionId);
    const batches = await db.batches.where('sessionId').equals(next.sessionId).toArray();
    const after = endedAfter(session, batches, context.nowMs);
    if (after) await w.put('sessions', after);
  });
}

/** What is left of the mix is not poured: coats that got nothing are planned again. */
export function discardMix(
  db: ShopDb,
  context: ActionContext,
  batchId: Id<'batch'>,
  why: DiscardReason,
): Promise<void> {
  return act(db, context, BATCH_TABLES, async (w) => {
    const rows = await readBatch(w, batchId);
    const { next, entry } = written(rows, { is: 'discarded', why }, context);
    await w.put('batches', next);
    await w.log(...entry);
    for (const coat of rows.coats)
      if (coat.pouredMs === null) await w.put('coats', { ...coat, batchId: null });
    const session = await db.sessions.get(next.sessionId);
    const batches = await db.batches.where('sessionId').equals(next.sessionId).toArray();
    const after = endedAfter(session, batches, context.nowMs);
    if (after) await w.put('sessions', after);
  });
}
