import 'fake-indexeddb/auto';
import { asId, type LogKind, stateOf } from '@/records';
import { contextAt, freshDb, shopWithCoat, T0 } from '../test/shop';
import { A, B, kinds, lastAct, poured, started } from '../test/wet';
import type { ShopDb } from '../db';
import { planCoat } from './coats';
import {
  addA,
  bubbleRound,
  coverCoat,
  discardMix,
  endStir,
  lookOver,
  mixB,
  noteReading,
  pourCoat,
  startStir,
  weighA,
} from './wet';
import { undoAct } from './undoAct';

describe('a wet session', () => {
  it('writes each step with its log entry, and the coat’s clock starts at the pour', async () => {
    const db = freshDb();
    const { batchId, sessionId, coat } = await poured(db);
    await coverCoat(db, contextAt(25), batchId, coat.id);
    expect(await kinds(db)).toEqual([
      'resin added',
      'piece added',
      'coat planned',
      'prep done',
      'prep done',
      'prep done',
      'air noted',
      'session started',
      'weighed A',
      'mixed',
      'stir started',
      'stirred',
      'poured',
      'covered',
    ]);
    expect(await db.coats.get(coat.id)).toMatchObject({
      pouredMs: T0 + 19 * 60_000,
      coveredMs: T0 + 25 * 60_000,
      mixedMs: T0 + 12 * 60_000,
    });
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: T0 + 25 * 60_000 });
  });

  it('refuses a step out of turn and changes nothing', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { batchId } = await started(db, coat);
    const before = await db.log.count();
    await expect(startStir(db, contextAt(11), batchId)).rejects.toMatchObject({
      name: 'StaleActionError',
    });
    await expect(coverCoat(db, contextAt(11), batchId, coat.id)).rejects.toMatchObject({
      name: 'StaleActionError',
    });
    expect(await db.log.count()).toBe(before);
  });

  it('undoes step by step back to the start; the log keeps both', async () => {
    const db = freshDb();
    const { batchId, coat, sessionId } = await poured(db);
    await coverCoat(db, contextAt(25), batchId, coat.id);
    const steps: string[] = [];
    for (let i = 0; i < 6; i += 1) {
      await undoAct(db, contextAt(30 + i), batchId, await lastAct(db, batchId));
      const batch = await db.batches.get(batchId);
      if (batch) steps.push(stateOf(batch).step);
    }
    expect(steps).toEqual(['cover', 'pour', 'stirring', 'stir', 'weigh B', 'weigh A']);
    expect(await db.coats.get(coat.id)).toMatchObject({
      pouredMs: null,
      coveredMs: null,
      mixedMs: null,
    });
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: null });
    const undone = await db.log.filter((e) => e.kind === 'undone').sortBy('seq');
    expect(undone.map((e) => e.text)).toEqual([
      'covered',
      'poured',
      'stirred',
      'stir started',
      'mixed',
      'weighed A',
    ]);
    expect(new Set(undone.map((e) => e.aboutId)).size).toBe(6);
    expect(await lastAct(db, batchId)).toBe('');
    await expect(undoAct(db, contextAt(40), batchId, asId('none'))).rejects.toThrow(
      'already taken back',
    );
  });

  it('does not take a coat that is already being mixed', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await started(db, coat);
    await expect(started(db, coat)).rejects.toMatchObject({ name: 'StaleActionError' });
  });
});

/** Where the batch stands, folded from what was done. */
async function folded(db: ShopDb, batchId: string) {
  const batch = await db.batches.get(asId<'batch'>(batchId));
  if (!batch) throw new Error('no batch');
  return { ...stateOf(batch), reading: batch.reading, events: batch.events };
}

describe('nothing is logged that was not done', () => {
  /** Two coats in one batch that is stirred, as two pieces of one mix would have. */
  async function twoCoats() {
    const db = freshDb();
    const first = await shopWithCoat(db);
    const secondId = await planCoat(db, contextAt(4), { ...first, name: 'Flood 2' });
    const { batchId, sessionId } = await started(db, first);
    await db.coats.update(secondId, { batchId });
    await db.batches.update(batchId, { coatIds: [first.id, secondId] });
    await weighA(db, contextAt(11), batchId, A);
    await mixB(db, contextAt(12), batchId, B);
    await startStir(db, contextAt(13), batchId);
    await endStir(db, contextAt(17), batchId);
    return { db, first, secondId, batchId, sessionId };
  }
  const entry = async (db: ShopDb, kind: LogKind) =>
    (await db.log.filter((e) => e.kind === kind).sortBy('seq')).at(-1);

  it('a weight that nobody read is stored as assumed, one that was read as read', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, { kg: 0.0575, by: 'assumed' });
    expect(await folded(db, batchId)).toMatchObject({ aKg: 0.0575, aBy: 'assumed' });
    expect((await entry(db, 'weighed A'))?.figures).toEqual({ aKg: 0.0575, by: 'assumed' });
    await mixB(db, contextAt(12), batchId, B);
    expect(await folded(db, batchId)).toMatchObject({ bBy: 'read' });
    // Millilitres to grams: 1 : 1 by volume at 1.15 and 1.00 is 50 g of B to 57.5 g of A.
    expect((await entry(db, 'mixed'))?.figures).toMatchObject({ bKg: 0.05, by: 'read' });
    expect(Number((await entry(db, 'mixed'))?.figures['ratioErrorShare'])).toBeCloseTo(0, 12);
  });

  it('a stir under the least of the sheet is logged as short, with both times', async () => {
    for (const [minutes, short] of [
      [1, 'short'],
      [2, undefined],
    ] as const) {
      const db = freshDb();
      const { batchId } = await started(db, await shopWithCoat(db));
      await weighA(db, contextAt(11), batchId, A);
      await mixB(db, contextAt(12), batchId, B);
      await startStir(db, contextAt(13), batchId);
      await endStir(db, contextAt(13 + minutes), batchId);
      const figures = (await entry(db, 'stirred'))?.figures;
      expect(figures).toMatchObject({ stirredS: 60 * minutes, leastS: 120 });
      expect(figures?.['short']).toBe(short);
    }
  });

  it('a reading is kept, belongs to its part, and comes back when the weighing is undone', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    const before = await db.log.count();
    await noteReading(db, contextAt(11), batchId, { part: 'A', kg: 0.058 });
    await noteReading(db, contextAt(11), batchId, { part: 'B', kg: 1 });
    expect(await folded(db, batchId)).toMatchObject({ reading: { part: 'A', kg: 0.058 } });
    expect(await db.log.count()).toBe(before);
    await weighA(db, contextAt(12), batchId, { kg: 0.058, by: 'read' });
    expect(await folded(db, batchId)).toMatchObject({ reading: null });
    await undoAct(db, contextAt(13), batchId, await lastAct(db, batchId));
    expect(await folded(db, batchId)).toMatchObject({
      ...{ aKg: null, aBy: null },
      reading: { part: 'A', kg: 0.058 },
    });
  });

  it('part A added after B is an act of its own, assumed, and can be taken back', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, A);
    await noteReading(db, contextAt(12), batchId, { part: 'B', kg: 0.055 });
    await addA(db, contextAt(12), batchId, { kg: 0.00575, by: 'assumed' });
    await addA(db, contextAt(12), batchId, { kg: 0.001, by: 'assumed' });
    expect(await folded(db, batchId)).toMatchObject({
      ...{ addedAKg: 0.00675, aBy: 'assumed' },
      reading: { part: 'B', kg: 0.055 },
    });
    await undoAct(db, contextAt(13), batchId, await lastAct(db, batchId));
    expect(await folded(db, batchId)).toMatchObject({ aBy: 'assumed' });
    await undoAct(db, contextAt(13), batchId, await lastAct(db, batchId));
    const batch = await folded(db, batchId);
    expect(batch).toMatchObject({ aBy: 'read', reading: { part: 'B' } });
    expect(batch.aKg).toBeCloseTo(0.0575, 12);
    expect(batch.addedAKg).toBeCloseTo(0, 12);
  });

  it('each coat is covered by itself; with the last one the session ends, and undone it goes on', async () => {
    const { db, first, secondId, batchId, sessionId } = await twoCoats();
    await pourCoat(db, contextAt(18), batchId, first.id);
    await coverCoat(db, contextAt(20), batchId, first.id);
    expect(await folded(db, batchId)).toMatchObject({ step: 'pour' });
    await pourCoat(db, contextAt(21), batchId, secondId);
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: null });
    await coverCoat(db, contextAt(25), batchId, secondId);
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: contextAt(25).nowMs });
    const last = await lastAct(db, batchId);
    const outcomes = await Promise.allSettled([
      undoAct(db, contextAt(26), batchId, last),
      undoAct(db, contextAt(26), batchId, last),
    ]);
    expect(outcomes.map((o) => o.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await db.log.filter((e) => e.kind === 'undone').count()).toBe(1);
    expect(await db.coats.get(secondId)).toMatchObject({ coveredMs: null });
    expect((await db.coats.get(first.id))?.coveredMs).not.toBeNull();
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: null });
    // Next the coat that was poured last goes, by the order of writing.
    await undoAct(db, contextAt(27), batchId, await lastAct(db, batchId));
    expect(await db.coats.get(secondId)).toMatchObject({ pouredMs: null });
    expect((await db.coats.get(first.id))?.pouredMs).not.toBeNull();
  });

  it('what is thrown away frees the coats that got nothing, says why, and can be taken back', async () => {
    const { db, first, secondId, batchId, sessionId } = await twoCoats();
    await pourCoat(db, contextAt(18), batchId, first.id);
    await discardMix(db, contextAt(60), batchId, 'too late');
    expect(await db.coats.get(secondId)).toMatchObject({ batchId: null, pouredMs: null });
    expect(await folded(db, batchId)).toMatchObject({ step: 'cover' });
    expect((await entry(db, 'discarded'))?.figures).toEqual({ why: 'too late' });
    const away = await lastAct(db, batchId);
    await undoAct(db, contextAt(61), batchId, away);
    expect(await db.coats.get(secondId)).toMatchObject({ batchId });
    await discardMix(db, contextAt(62), batchId, 'spilt');
    await coverCoat(db, contextAt(63), batchId, first.id);
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: contextAt(63).nowMs });
    await expect(discardMix(db, contextAt(64), batchId, 'spilt')).rejects.toMatchObject({
      code: 'batch moved on',
    });
  });

  it('thrown away is not taken back once a coat is mixed anew', async () => {
    const { db, first, batchId } = await twoCoats();
    await discardMix(db, contextAt(20), batchId, 'ratio is off');
    const away = await lastAct(db, batchId);
    const fresh = await db.coats.get(first.id);
    await db.coats.put({ ...(fresh ?? first), batchId: asId('another') });
    await expect(undoAct(db, contextAt(21), batchId, away)).rejects.toThrow('since');
    expect((await db.coats.get(first.id))?.batchId).toBe('another');
  });

  it('rounds for bubbles and looks stand in the log under their coat, also after its cover', async () => {
    const { db, first, batchId } = await twoCoats();
    await expect(bubbleRound(db, contextAt(17), batchId, first.id, 'torch')).rejects.toThrow();
    await pourCoat(db, contextAt(18), batchId, first.id);
    await coverCoat(db, contextAt(20), batchId, first.id);
    await bubbleRound(db, contextAt(24), batchId, first.id, 'warm air');
    await lookOver(db, contextAt(25), batchId, first.id);
    expect((await folded(db, batchId)).rounds.get(first.id)).toHaveLength(2);
    expect(await entry(db, 'bubble round')).toMatchObject({
      ...{ coatId: first.id, text: first.name, figures: { by: 'warm air' } },
    });
    // Every event is an entry of the log under the same id, and no other act is told of the batch.
    const { events } = await folded(db, batchId);
    const told = await db.log.filter((e) => e.batchId === batchId).sortBy('seq');
    expect(told.filter((e) => e.kind !== 'session started').map((e) => [e.id, e.kind])).toEqual(
      events.map((e) => [e.id, e.is]),
    );
  });

  it('a clock set back does not change what undo takes back', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(60), batchId, A);
    await mixB(db, contextAt(5), batchId, B);
    await startStir(db, contextAt(1), batchId);
    await undoAct(db, contextAt(0), batchId, await lastAct(db, batchId));
    expect(await entry(db, 'undone')).toMatchObject({ text: 'stir started' });
    await undoAct(db, contextAt(0), batchId, await lastAct(db, batchId));
    expect(await entry(db, 'undone')).toMatchObject({ text: 'mixed' });
    expect(await folded(db, batchId)).toMatchObject({ mixedMs: null, aKg: A.kg });
  });

  it('an act that is not the newest is not taken back', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, A);
    const weighed = await lastAct(db, batchId);
    await mixB(db, contextAt(12), batchId, B);
    await expect(undoAct(db, contextAt(13), batchId, weighed)).rejects.toThrow('since');
    expect(await folded(db, batchId)).toMatchObject({ aKg: A.kg, bKg: B.kg });
  });
});
