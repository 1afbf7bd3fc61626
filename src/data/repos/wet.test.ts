import { asId, batchStep, type LogKind } from '@/records';
import { contextAt, freshDb, shopWithCoat, T0 } from '../test/shop';
import { A, B, kinds, lastAct, poured, started } from '../test/wet';
import type { ShopDb } from '../db';
import { planCoat } from './coats';
import { leaveSession } from './session';
import {
  addA,
  coverBatch,
  endStir,
  mixB,
  noteReading,
  pourCoat,
  startStir,
  undoAct,
  weighA,
} from './wet';

describe('a wet session', () => {
  it('writes each step with its log entry, and the coat’s clock starts at the pour', async () => {
    const db = freshDb();
    const { batchId, sessionId, coat } = await poured(db);
    await coverBatch(db, contextAt(25), batchId);
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
    const { batchId } = await started(db, await shopWithCoat(db));
    const before = await db.log.count();
    await expect(startStir(db, contextAt(11), batchId)).rejects.toMatchObject({
      name: 'StaleActionError',
    });
    await expect(coverBatch(db, contextAt(11), batchId)).rejects.toMatchObject({
      name: 'StaleActionError',
    });
    expect(await db.log.count()).toBe(before);
  });

  it('undoes step by step back to the start; the log keeps both', async () => {
    const db = freshDb();
    const { batchId, coat, sessionId } = await poured(db);
    await coverBatch(db, contextAt(25), batchId);
    const steps: string[] = [];
    for (let i = 0; i < 6; i += 1) {
      await undoAct(db, contextAt(30 + i), batchId, await lastAct(db, batchId));
      const batch = await db.batches.get(batchId);
      if (batch) steps.push(batchStep(batch));
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

  it('lets a session be left before mixing, never after', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { sessionId } = await started(db, coat);
    await leaveSession(db, contextAt(12), sessionId);
    expect(await db.coats.get(coat.id)).toMatchObject({ batchId: null });
    const again = await started(db, coat);
    await weighA(db, contextAt(21), again.batchId, A);
    await mixB(db, contextAt(22), again.batchId, B);
    await expect(leaveSession(db, contextAt(23), again.sessionId)).rejects.toThrow('already mixed');
  });

  it('does not take a coat that is already being mixed', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await started(db, coat);
    await expect(started(db, coat)).rejects.toMatchObject({ name: 'StaleActionError' });
  });
});

describe('nothing is logged that was not done', () => {
  const entry = async (db: ShopDb, kind: LogKind) =>
    (await db.log.filter((e) => e.kind === kind).sortBy('seq')).at(-1);

  it('a weight that nobody read is stored as assumed, one that was read as read', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, { kg: 0.0575, by: 'assumed' });
    expect(await db.batches.get(batchId)).toMatchObject({ aKg: 0.0575, aBy: 'assumed' });
    expect((await entry(db, 'weighed A'))?.figures).toEqual({ aKg: 0.0575, by: 'assumed' });
    await mixB(db, contextAt(12), batchId, B);
    expect(await db.batches.get(batchId)).toMatchObject({ bBy: 'read' });
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
    expect(await db.batches.get(batchId)).toMatchObject({ reading: { part: 'A', kg: 0.058 } });
    expect(await db.log.count()).toBe(before);
    await weighA(db, contextAt(12), batchId, { kg: 0.058, by: 'read' });
    expect(await db.batches.get(batchId)).toMatchObject({ reading: null });
    await undoAct(db, contextAt(13), batchId, await lastAct(db, batchId));
    expect(await db.batches.get(batchId)).toMatchObject({
      ...{ aKg: null, aBy: null },
      reading: { part: 'A', kg: 0.058 },
    });
  });

  it('part A added after B is an act of its own, assumed, and can be taken back', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, A);
    await noteReading(db, contextAt(12), batchId, { part: 'B', kg: 0.055 });
    await addA(db, contextAt(12), batchId, 0.00575);
    await addA(db, contextAt(12), batchId, 0.001);
    expect(await db.batches.get(batchId)).toMatchObject({
      ...{ addedAKg: 0.00675, aBy: 'assumed' },
      reading: { part: 'B', kg: 0.055 },
    });
    await undoAct(db, contextAt(13), batchId, await lastAct(db, batchId));
    expect(await db.batches.get(batchId)).toMatchObject({ aBy: 'assumed' });
    await undoAct(db, contextAt(13), batchId, await lastAct(db, batchId));
    const batch = await db.batches.get(batchId);
    expect(batch).toMatchObject({ aBy: 'read', reading: { part: 'B' } });
    expect(batch?.aKg).toBeCloseTo(0.0575, 12);
    expect(batch?.addedAKg).toBeCloseTo(0, 12);
  });

  it('two coats covered together are taken back together; undone twice at once only once', async () => {
    const db = freshDb();
    const first = await shopWithCoat(db);
    const secondId = await planCoat(db, contextAt(4), { ...first, name: 'Flood 2' });
    await db.coats.update(secondId, { batchId: null });
    const { batchId, sessionId } = await started(db, first);
    // A second coat of the same batch, as two pieces of one mix would have.
    await db.coats.update(secondId, { batchId });
    await weighA(db, contextAt(11), batchId, A);
    await mixB(db, contextAt(12), batchId, B);
    await startStir(db, contextAt(13), batchId);
    await endStir(db, contextAt(17), batchId);
    await pourCoat(db, contextAt(18), batchId, first.id);
    await pourCoat(db, contextAt(19), batchId, secondId);
    await coverBatch(db, contextAt(25), batchId);
    const act1 = await lastAct(db, batchId);
    const outcomes = await Promise.allSettled([
      undoAct(db, contextAt(26), batchId, act1),
      undoAct(db, contextAt(26), batchId, act1),
    ]);
    expect(outcomes.map((o) => o.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await db.log.filter((e) => e.kind === 'undone').count()).toBe(2);
    for (const coat of await db.coats.toArray())
      expect([coat.pouredMs !== null, coat.coveredMs]).toEqual([true, null]);
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: null });
    // Next the coat that was poured last goes, by the order of writing.
    await undoAct(db, contextAt(27), batchId, await lastAct(db, batchId));
    expect(await db.coats.get(secondId)).toMatchObject({ pouredMs: null });
    expect((await db.coats.get(first.id))?.pouredMs).not.toBeNull();
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
    expect(await db.batches.get(batchId)).toMatchObject({ mixedMs: null, aKg: A.kg });
  });

  it('an act that is not the newest is not taken back', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, A);
    const weighed = await lastAct(db, batchId);
    await mixB(db, contextAt(12), batchId, B);
    await expect(undoAct(db, contextAt(13), batchId, weighed)).rejects.toThrow('since');
    expect(await db.batches.get(batchId)).toMatchObject({ aKg: A.kg, bKg: B.kg });
  });

  it('a session is left once', async () => {
    const db = freshDb();
    const { sessionId } = await started(db, await shopWithCoat(db));
    const both = await Promise.allSettled([
      leaveSession(db, contextAt(12), sessionId),
      leaveSession(db, contextAt(12), sessionId),
    ]);
    expect(both.map((o) => o.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await db.log.filter((e) => e.kind === 'session left').count()).toBe(1);
  });
});
