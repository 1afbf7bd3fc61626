import 'fake-indexeddb/auto';
import { asId, LOTS, type Lot } from '@/records';
import { lotInUse, lotsOf } from '@/shop/lots';
import { contextAt, freshDb, shopWithCoat } from '../test/shop';
import { A, B, kinds, lastAct, sessionFor, started } from '../test/wet';
import { markLot, removeLot, saveLot } from './lots';
import { startSession } from './session';
import { undoAct } from './undoAct';
import { mixB, weighA } from './wet';

async function shelf() {
  const db = freshDb();
  const coat = await shopWithCoat(db);
  const lot = (name: string, more: Partial<Lot> = {}): Lot => ({
    ...LOTS.defaults,
    ...{ id: asId(name), resinId: coat.resinId, name, fullAKg: 1, fullBKg: 0.9, ...more },
  });
  for (const name of ['one', 'two']) await saveLot(db, contextAt(1), lot(name));
  const views = async () => {
    const [lots, batches, coats] = await Promise.all([
      db.lots.toArray(),
      db.batches.toArray(),
      db.coats.toArray(),
    ]);
    return { lots, batches, coats };
  };
  const mixFrom = (lotId: string | null) =>
    startSession(
      db,
      contextAt(10),
      sessionFor(coat, { lotId: lotId === null ? null : asId<'lot'>(lotId) }),
    );
  return { db, coat, lot, views, mixFrom };
}

describe('bottles', () => {
  it('a session opens the sealed one it takes, and what is weighed is out of it', async () => {
    const { db, coat, views, mixFrom } = await shelf();
    expect(lotInUse(await views(), coat.resinId)).toBeNull();
    await mixFrom('two');
    expect((await db.lots.get(asId<'lot'>('two')))?.openedMs).toBe(contextAt(10).nowMs);
    expect(lotInUse(await views(), coat.resinId)?.lot.name).toBe('two');
    const batch = (await db.batches.toArray())[0];
    if (!batch) throw new Error('no batch');
    expect(lotsOf(await views(), coat.resinId)[0]).toMatchObject({ left: { aKg: 1 }, coats: [] });
    await weighA(db, contextAt(11), batch.id, A);
    await mixB(db, contextAt(12), batch.id, B);
    const [used] = lotsOf(await views(), coat.resinId);
    expect(used?.left.aKg).toBeCloseTo(1 - A.kg, 12);
    expect(used?.left.bKg).toBeCloseTo(0.9 - B.kg, 12);
    expect(used?.coats.map((c) => c.id)).toEqual([coat.id]);
    expect(await kinds(db)).toEqual(expect.arrayContaining(['lot added', 'lot opened']));
  });
  it('with two open ones none is taken by itself; a used-up one is not mixed from', async () => {
    const { db, coat, views, mixFrom } = await shelf();
    await markLot(db, contextAt(2), asId('one'), 'openedMs');
    await markLot(db, contextAt(3), asId('two'), 'openedMs');
    expect(lotInUse(await views(), coat.resinId)).toBeNull();
    await markLot(db, contextAt(4), asId('two'), 'emptyMs');
    expect(lotInUse(await views(), coat.resinId)?.lot.name).toBe('one');
    await expect(mixFrom('two')).rejects.toMatchObject({ code: 'lot gone' });
    await expect(mixFrom('never')).rejects.toMatchObject({ code: 'lot gone' });
    expect(await db.sessions.count()).toBe(0);
    await expect(markLot(db, contextAt(5), asId('two'), 'emptyMs')).rejects.toMatchObject({
      code: 'lot gone',
    });
  });
  it('one that was mixed from stays on the list; one that was not may go', async () => {
    const { db, mixFrom } = await shelf();
    await mixFrom('one');
    await expect(removeLot(db, contextAt(20), asId('one'))).rejects.toMatchObject({
      code: 'lot gone',
    });
    await removeLot(db, contextAt(21), asId('two'));
    expect((await db.lots.toArray()).map((l) => l.name)).toEqual(['one']);
  });
});

describe('measured to a mark', () => {
  it('what was read off a mark is logged as a volume, and its reading comes back', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    await weighA(db, contextAt(11), batchId, { kg: 0.0575, by: 'to the mark' });
    const figures = (await db.log.filter((e) => e.kind === 'weighed A').first())?.figures;
    // 57.5 g at 1.15 g/ml.
    expect(figures).toEqual({ aM3: expect.closeTo(5e-5, 12), by: 'to the mark' });
    await undoAct(db, contextAt(12), batchId, await lastAct(db, batchId));
    expect((await db.batches.get(batchId))?.reading).toEqual({ part: 'A', kg: 0.0575 });
  });
});
