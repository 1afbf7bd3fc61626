import 'fake-indexeddb/auto';
import { asId, type Coat, plainCoat, stateOf, SWATCHES, type Swatch } from '@/records';
import { sessionAt } from '@/shop/instant';
import { contextAt, freshDb, makeReady, shopWithCoat, T0 } from '../test/shop';
import { A, B, kinds, lastAct, sessionFor, started } from '../test/wet';
import type { ShopDb } from '../db';
import { planCoat } from './coats';
import { closeSession, leaveSession, startSession, type NewSession } from './session';
import { removeSwatch, saveSwatch } from './swatches';
import { undoAct } from './undoAct';
import {
  coverCoat,
  cutCup,
  endStir,
  leaveCupOut,
  mixB,
  noteTare,
  pauseStir,
  pourCoat,
  resumeStir,
  startStir,
  weighA,
  weighCup,
} from './wet';

const MIN = 60_000;
const SCALE = { by: 'simulated scale' } as const;

/** Two pieces’ worth of coats as two batches of one session; the second is an art coat of another piece. */
async function twoBatches(db: ShopDb, more: Partial<NewSession['batches'][number]> = {}) {
  const coat = await shopWithCoat(db);
  const piece = await db.pieces.get(coat.pieceId);
  const areas = await db.areas.where('pieceId').equals(coat.pieceId).toArray();
  if (!piece) throw new Error('no piece');
  const pieceId = asId<'piece'>('other');
  await db.pieces.put({ ...piece, id: pieceId, name: 'Plaque' });
  for (const area of areas) await db.areas.put({ ...area, id: asId(`other-${area.id}`), pieceId });
  const otherId = await planCoat(db, contextAt(5), {
    ...{ ...plainCoat(1e-3), kind: 'art', pieceId, name: 'Colours', resinId: coat.resinId },
    areaIds: areas.map((a) => asId<'area'>(`other-${a.id}`)),
    colours: [{ name: 'teal', share: 0.2, swatchId: null }],
  });
  const other = (await db.coats.get(otherId)) as Coat;
  await makeReady(db, other, 8);
  const batch = { targetM3: 1e-4, targetAKg: A.kg, targetBKg: B.kg };
  const plan: NewSession = {
    ...{ resinId: coat.resinId, temperatureK: 295.15 },
    batches: [
      { ...batch, coatIds: [coat.id] },
      { ...batch, coatIds: [other.id], ...more },
    ],
    atHand: { there: ['covers'], missing: ['phone put away'] },
  };
  const sessionId = await startSession(db, contextAt(10), plan);
  const batches = await db.batches.where('sessionId').equals(sessionId).toArray();
  const [first, second] = [coat, other].map((c) => batches.find((b) => b.coatIds[0] === c.id)?.id);
  if (!first || !second) throw new Error('no batches');
  return { coat, other, sessionId, first, second };
}
async function mixed(
  db: ShopDb,
  batchId: Awaited<ReturnType<typeof twoBatches>>['first'],
  at: number,
) {
  await weighA(db, contextAt(at), batchId, A);
  await mixB(db, contextAt(at + 1), batchId, B);
  await startStir(db, contextAt(at + 2), batchId);
  await endStir(db, contextAt(at + 7), batchId);
}
const ended = async (db: ShopDb, id: string) => (await db.sessions.get(id as never))?.endedMs;
const state = async (db: ShopDb, id: string) => {
  const batch = await db.batches.get(id as never);
  if (!batch) throw new Error('no batch');
  return stateOf(batch);
};

describe('several batches in one session', () => {
  it('each goes its own way, and the session ends with the last', async () => {
    const db = freshDb();
    const { coat, other, sessionId, first, second } = await twoBatches(db);
    await mixed(db, first, 11);
    // The second is begun while the first is still poured.
    await weighA(db, contextAt(19), second, A);
    await pourCoat(db, contextAt(20), first, coat.id);
    await coverCoat(db, contextAt(25), first, coat.id);
    expect(await ended(db, sessionId)).toBeNull();
    await mixB(db, contextAt(26), second, B);
    await startStir(db, contextAt(27), second);
    await endStir(db, contextAt(32), second);
    await pourCoat(db, contextAt(35), second, other.id);
    await coverCoat(db, contextAt(40), second, other.id);
    expect(await ended(db, sessionId)).toBe(T0 + 40 * MIN);
    // A cover taken back opens the session again.
    await undoAct(db, contextAt(41), second, await lastAct(db, second));
    expect(await ended(db, sessionId)).toBeNull();
    expect(await db.coats.get(other.id)).toMatchObject({ coveredMs: null });
    const entry = await db.log.filter((e) => e.kind === 'session started').first();
    expect(entry?.figures).toMatchObject({
      ...{ batches: 2, atHand: 'covers', notAtHand: 'phone put away' },
      targetM3: 2e-4,
    });
  });
  it('no coat is in two of them', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const plan = sessionFor(coat);
    const twice = { ...plan, batches: [...plan.batches, ...plan.batches] };
    await expect(startSession(db, contextAt(10), twice)).rejects.toThrow('gone or being mixed');
    expect(await db.batches.count()).toBe(0);
  });
  it('what presses comes up by itself: resin that is mixed, then what lies open, then the next', async () => {
    const db = freshDb();
    const { coat, sessionId, first, second } = await twoBatches(db);
    const shown = async (chosen: string | null = null) => {
      const [sessions, resins, coats, batches] = await Promise.all([
        db.sessions.toArray(),
        db.resins.toArray(),
        db.coats.toArray(),
        db.batches.toArray(),
      ]);
      const steps = [{ fromMs: T0, temperatureK: 295.15, humidity: null }];
      const shop = { sessions, resins, coats, batches, room: { steps } };
      const session = sessions.find((s) => s.id === sessionId);
      return session && sessionAt(shop as never, session, T0 + 60 * MIN, chosen)?.batch.id;
    };
    expect(await shown()).toBe(first);
    expect(await shown(second)).toBe(second);
    await weighA(db, contextAt(11), second, A);
    await mixB(db, contextAt(12), second, B);
    expect(await shown()).toBe(second);
    await startStir(db, contextAt(13), second);
    await endStir(db, contextAt(18), second);
    await mixed(db, first, 20);
    await pourCoat(db, contextAt(30), first, coat.id);
    // The first lies open, the second is still in its cup.
    expect(await shown()).toBe(second);
    await coverCoat(db, contextAt(31), first, coat.id);
    expect(await shown(first)).toBe(second);
  });
});

describe('a session that is left', () => {
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
  it('a session is left once', async () => {
    const db = freshDb();
    const { sessionId } = await started(db, await shopWithCoat(db));
    const both = await Promise.allSettled([
      leaveSession(db, contextAt(12), sessionId),
      leaveSession(db, contextAt(12), sessionId),
    ]);
    expect(both.map((o) => o.status).sort()).toEqual(['fulfilled', 'rejected']);
    expect(await db.log.filter((e) => e.kind === 'left').count()).toBe(1);
  });
  it('what is not mixed is planned again, the rest goes on; taken back, it is to be mixed again', async () => {
    const db = freshDb();
    const { coat, other, sessionId, first, second } = await twoBatches(db);
    await mixed(db, first, 11);
    await leaveSession(db, contextAt(20), sessionId);
    expect([await ended(db, sessionId), (await state(db, second)).step]).toEqual([null, 'done']);
    expect(await db.coats.get(other.id)).toMatchObject({ batchId: null });
    await expect(leaveSession(db, contextAt(21), sessionId)).rejects.toThrow('already mixed');
    await undoAct(db, contextAt(22), second, await lastAct(db, second));
    expect(await db.coats.get(other.id)).toMatchObject({ batchId: second });
    await leaveSession(db, contextAt(23), sessionId);
    await pourCoat(db, contextAt(24), first, coat.id);
    await coverCoat(db, contextAt(25), first, coat.id);
    expect(await ended(db, sessionId)).toBe(T0 + 25 * MIN);
  });
  it('is closed the next morning with what is known, and no more', async () => {
    const db = freshDb();
    const { coat, other, sessionId, first, second } = await twoBatches(db);
    await mixed(db, first, 11);
    await pourCoat(db, contextAt(20), first, coat.id);
    await mixed(db, second, 30);
    await closeSession(db, contextAt(900), sessionId);
    expect(await ended(db, sessionId)).toBe(T0 + 900 * MIN);
    // What was poured keeps its clock, and nobody says when it was covered.
    const stands = await db.coats.get(coat.id);
    expect(stands).toMatchObject({ pouredMs: T0 + 20 * MIN, coveredMs: null, batchId: first });
    expect(await db.coats.get(other.id)).toMatchObject({ batchId: null, pouredMs: null });
    const left = await db.log.filter((e) => e.kind === 'left').toArray();
    expect(left.map((e) => e.figures)).toEqual(
      expect.arrayContaining([
        { stood: 'poured', coverNotTold: 'Flood 1' },
        { stood: 'mixed, not poured' },
      ]),
    );
    const events = (await db.batches.toArray()).flatMap((b) => b.events.map((e) => e.id));
    for (const { id } of left) expect(events).toContain(id);
    await expect(closeSession(db, contextAt(901), sessionId)).rejects.toThrow('session left');
  });
});

describe('what is told while it is mixed', () => {
  it('a pause is no stir, and is logged', async () => {
    const db = freshDb();
    const { first } = await twoBatches(db);
    await weighA(db, contextAt(11), first, A);
    await mixB(db, contextAt(12), first, B);
    await startStir(db, contextAt(13), first);
    await pauseStir(db, contextAt(14), first);
    await expect(endStir(db, contextAt(15), first)).rejects.toThrow('moved on');
    await expect(pauseStir(db, contextAt(15), first)).rejects.toThrow('moved on');
    await resumeStir(db, contextAt(16), first);
    await endStir(db, contextAt(19), first);
    const stirred = await db.log.filter((e) => e.kind === 'stirred').first();
    expect(stirred?.figures).toMatchObject({ stirredS: 240, pausedS: 120 });
  });
  it('colours are cut one by one before the pour; silicone in one marks its coat', async () => {
    const db = freshDb();
    const swatch: Swatch = {
      ...{ ...SWATCHES.defaults, id: asId('sw'), resinId: asId('resin-1'), name: 'teal' },
      ...{ parts: [{ name: 'paste', form: 'paste', share: 0.04 }], siliconeDrops: 2 },
    } as Swatch;
    const { other, second } = await twoBatches(db, { cups: [] });
    await saveSwatch(db, contextAt(10), swatch);
    const cups = ['teal', 'rust'].map((colour) => ({ coatId: other.id, colour, kg: 0.02 }));
    const row = await db.batches.get(second);
    if (!row) throw new Error('no batch');
    await db.batches.put({ ...row, cups });
    const colours = [{ name: 'teal', share: 0.2, swatchId: swatch.id }];
    await db.coats.put({ ...((await db.coats.get(other.id)) as Coat), colours });
    await mixed(db, second, 11);
    const teal = { coatId: other.id, colour: 'teal' };
    await expect(pourCoat(db, contextAt(20), second, other.id)).rejects.toThrow('moved on');
    await cutCup(db, contextAt(20), second, { ...teal, kg: 0.0213, ...SCALE });
    await expect(
      cutCup(db, contextAt(21), second, { ...teal, kg: 0.02, by: 'read' }),
    ).rejects.toThrow('moved on');
    expect(await db.coats.get(other.id)).toMatchObject({ silicone: true });
    await leaveCupOut(db, contextAt(22), second, { coatId: other.id, colour: 'rust' });
    await pourCoat(db, contextAt(23), second, other.id);
    const cut = await db.log.filter((e) => e.kind === 'cup cut').first();
    expect(cut?.figures).toEqual({ cupKg: 0.0213, by: 'simulated scale', colour: 'teal' });
    await expect(removeSwatch(db, contextAt(24), swatch.id)).rejects.toThrow('swatch gone');
  });
  it('what left the cup between two weighings is what the piece got', async () => {
    const db = freshDb();
    const { coat, first } = await twoBatches(db);
    await mixed(db, first, 11);
    await weighCup(db, contextAt(19), first, { kg: 0.12, ...SCALE });
    await pourCoat(db, contextAt(20), first, coat.id);
    await weighCup(db, contextAt(21), first, { kg: 0.031, by: 'read' });
    expect((await state(db, first)).used).toEqual([
      { coatIds: [coat.id], kg: expect.closeTo(0.089, 12) },
    ]);
    // Taken back, nothing is known of it; a cup that got heavier tells nothing of what was poured.
    await undoAct(db, contextAt(22), first, await lastAct(db, first));
    expect((await state(db, first)).used).toEqual([]);
    await weighCup(db, contextAt(23), first, { kg: 0.2, by: 'read' });
    expect(await state(db, first)).toMatchObject({ used: [], cupKg: 0.2 });
    const entries = await db.log.filter((e) => e.kind === 'cup weighed').toArray();
    const used = entries.sort((a, b) => a.seq - b.seq).map((e) => e.figures['usedKg'] ?? null);
    expect(used).toEqual([null, expect.closeTo(0.089, 12), null]);
  });
  it('the tare of a scale is kept with the batch and is no act', async () => {
    const db = freshDb();
    const { first } = await twoBatches(db);
    const before = await kinds(db);
    await noteTare(db, contextAt(11), first, 0.0124);
    expect((await db.batches.get(first))?.tareKg).toBe(0.0124);
    expect(await kinds(db)).toEqual(before);
  });
});
