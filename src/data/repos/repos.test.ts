import { batchStep } from '../records/batchStep';
import type { Coat } from '../records/types';
import { contextAt, freshDb, shopWithCoat, TEST_RESIN } from '../test/shop';
import { InvalidRowError, act } from '../write';
import type { ShopDb } from '../db';
import {
  noteDefect,
  noteTemperature,
  repairDefect,
  saveResin,
  saveSettings,
  writeLogNote,
} from './bench';
import { DEFAULT_SETTINGS } from '../records/types';
import { changeCoat, planCoat, removeCoat } from './coats';
import {
  coverBatch,
  endStir,
  leaveSession,
  mixB,
  pourCoat,
  startSession,
  startStir,
  undoLast,
  weighA,
} from './wet';

const CUP = { aKg: 0.0575, bKg: 0.05, addedAKg: 0, errorShare: 0 };

async function started(db: ShopDb, coat: Coat) {
  const plan = {
    resinId: coat.resinId,
    coatIds: [coat.id],
    temperatureK: 295.15,
    targetM3: 1e-4,
    targetAKg: 0.0575,
    targetBKg: 0.05,
  };
  const sessionId = await startSession(db, contextAt(10), plan);
  const batch = await db.batches.where('sessionId').equals(sessionId).first();
  return { sessionId, batchId: batch?.id ?? '' };
}

async function poured(db: ShopDb) {
  const coat = await shopWithCoat(db);
  const ids = await started(db, coat);
  await weighA(db, contextAt(11), ids.batchId, 0.0575);
  await mixB(db, contextAt(12), ids.batchId, CUP);
  await startStir(db, contextAt(13), ids.batchId);
  await endStir(db, contextAt(17), ids.batchId);
  await pourCoat(db, contextAt(19), ids.batchId, coat.id);
  return { ...ids, coat };
}

const kinds = async (db: ShopDb) => (await db.log.orderBy('atMs').toArray()).map((e) => e.kind);

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
      'session started',
      'weighed A',
      'mixed',
      'stir started',
      'stirred',
      'poured',
      'covered',
    ]);
    expect(await db.coats.get(coat.id)).toMatchObject({
      pouredMs: 19 * 60_000,
      coveredMs: 25 * 60_000,
      history: [{ fromMs: 19 * 60_000, temperatureK: 295.15 }],
    });
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: 25 * 60_000 });
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
      await undoLast(db, contextAt(30 + i), batchId);
      const batch = await db.batches.get(batchId);
      if (batch) steps.push(batchStep(batch));
    }
    expect(steps).toEqual(['cover', 'pour', 'stirring', 'stir', 'weigh B', 'weigh A']);
    expect(await db.coats.get(coat.id)).toMatchObject({
      pouredMs: null,
      coveredMs: null,
      history: [],
    });
    expect(await db.sessions.get(sessionId)).toMatchObject({ endedMs: null });
    const undone = await db.log.where('kind').equals('undone').sortBy('atMs');
    expect(undone.map((e) => e.text)).toEqual([
      'covered',
      'poured',
      'stirred',
      'stir started',
      'mixed',
      'weighed A',
    ]);
    expect(new Set(undone.map((e) => e.aboutId)).size).toBe(6);
    await expect(undoLast(db, contextAt(40), batchId)).rejects.toThrow('no step');
  });

  it('lets a session be left before mixing, never after', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { sessionId } = await started(db, coat);
    await leaveSession(db, contextAt(12), sessionId);
    expect(await db.coats.get(coat.id)).toMatchObject({ batchId: null });
    const again = await started(db, coat);
    await weighA(db, contextAt(21), again.batchId, 0.05);
    await mixB(db, contextAt(22), again.batchId, CUP);
    await expect(leaveSession(db, contextAt(23), again.sessionId)).rejects.toThrow('already mixed');
  });

  it('does not take a coat that is already being mixed', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await started(db, coat);
    await expect(started(db, coat)).rejects.toMatchObject({ name: 'StaleActionError' });
  });
});

describe('one transaction', () => {
  it('a log entry that cannot be written takes the change back with it', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    const entries = await db.log.count();
    db.log.hook('creating', () => {
      throw new Error('disk full');
    });
    await expect(weighA(db, contextAt(11), batchId, 0.05)).rejects.toThrow('disk full');
    expect(await db.batches.get(batchId)).toMatchObject({ aKg: null });
    expect(await db.log.count()).toBe(entries);
  });

  it('a row that breaks its schema is not written, nor anything before it', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const bad = act(db, contextAt(3), ['pieces', 'coats'], async (w) => {
      await w.put('coats', { ...coat, name: 'changed' });
      await w.put('coats', { ...coat, thicknessM: -1 });
    });
    await expect(bad).rejects.toBeInstanceOf(InvalidRowError);
    expect(await db.coats.get(coat.id)).toMatchObject({ name: 'Flood 1' });
  });

  it('the log only grows', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    const entry = await db.log.orderBy('atMs').first();
    const id = entry?.id ?? '';
    await expect(db.log.update(id, { text: 'forged' })).rejects.toThrow('append-only');
    await expect(db.log.delete(id)).rejects.toThrow('append-only');
    await expect(db.log.clear()).rejects.toThrow('append-only');
    expect(await db.log.get(id)).toEqual(entry);
  });
});

describe('bench records', () => {
  it('a coat can be changed and removed while planned, not once it is mixed', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await changeCoat(db, contextAt(3), coat.id, {
      intent: { by: 'given', thicknessM: 2e-3 },
    });
    expect(await db.coats.get(coat.id)).toMatchObject({ thicknessM: 2e-3 });
    const second = await planCoat(db, contextAt(4), { ...coat, name: 'Flood 2' });
    expect(await db.coats.get(second)).toMatchObject({ order: 2 });
    await removeCoat(db, contextAt(5), second);
    expect(await db.coats.count()).toBe(1);
    await started(db, coat);
    await expect(changeCoat(db, contextAt(20), coat.id, { name: 'Other' })).rejects.toThrow(
      'planned',
    );
    await expect(removeCoat(db, contextAt(20), coat.id)).rejects.toThrow('planned');
  });

  it('room temperatures are kept in order of time; one for the same instant is replaced', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const note = (fromMin: number, temperatureK: number) =>
      noteTemperature(db, contextAt(100), coat.id, { fromMs: fromMin * 60_000, temperatureK });
    await note(80, 291.15);
    await note(50, 293.15);
    await note(80, 290.15);
    const history = (await db.coats.get(coat.id))?.history;
    expect(history?.map((s) => s.temperatureK)).toEqual([295.15, 293.15, 290.15]);
    await expect(note(90, 400)).rejects.toBeInstanceOf(InvalidRowError);
  });

  it('defects are noted with their photo and repaired once', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const photo = {
      name: 'a.jpg',
      widthPx: 10,
      heightPx: 8,
      blob: new Blob(['x'], { type: 'image/jpeg' }),
    };
    const id = await noteDefect(db, contextAt(60), {
      pieceId: coat.pieceId,
      coatId: coat.id,
      kind: 'bubbles',
      note: 'rim',
      photo,
    });
    expect(await db.photos.where('defectId').equals(id).count()).toBe(1);
    await repairDefect(db, contextAt(70), id);
    await expect(repairDefect(db, contextAt(71), id)).rejects.toThrow('already');
    expect((await kinds(db)).slice(-3)).toEqual(['defect noted', 'photo added', 'defect repaired']);
  });

  it('a correction points at its entry and leaves it alone', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    const entry = (await db.log.orderBy('atMs').last()) ?? null;
    await writeLogNote(db, contextAt(9), 'it was 1.8 mm', entry);
    expect(await db.log.where('kind').equals('correction').first()).toMatchObject({
      aboutId: entry?.id,
      pieceId: entry?.pieceId,
    });
    expect(await db.log.get(entry?.id ?? '')).toEqual(entry);
  });

  it('a changed sheet is logged as a change; settings are validated', async () => {
    const db = freshDb();
    await saveResin(db, contextAt(0), TEST_RESIN);
    await saveResin(db, contextAt(1), { ...TEST_RESIN, note: 'new lot' });
    expect(await kinds(db)).toEqual(['resin added', 'resin changed']);
    const shut = { ...DEFAULT_SETTINGS, closesMin: 60 };
    await expect(saveSettings(db, contextAt(2), shut)).rejects.toBeInstanceOf(InvalidRowError);
  });
});
