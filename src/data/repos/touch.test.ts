import 'fake-indexeddb/auto';
import { asId } from '@/records';
import { clockOf } from '@/shop/clockOf';
import { roomOf } from '@/shop/room';
import { contextAt, freshDb, shopWithCoat, T0 } from '../test/shop';
import { noteTouch, takeTouchBack } from './touch';

async function poured() {
  const db = freshDb();
  const coat = await shopWithCoat(db);
  await db.coats.put({ ...coat, mixedMs: T0, pouredMs: T0 });
  return { db, id: coat.id };
}

describe('a touch of a coat', () => {
  it('moves its clock, stands in the log, and can be taken back', async () => {
    const { db, id } = await poured();
    const resin = (await db.resins.toArray())[0];
    if (!resin) throw new Error('no resin');
    const opens = async () => {
      const coat = await db.coats.get(id);
      const clock = coat && clockOf(coat, resin.sheet, roomOf([]), contextAt(1200).nowMs);
      return clock?.windows.find((w) => w.kind === 'recoat')?.opensMs ?? NaN;
    };
    const before = await opens();
    const late = resin.sheet.times.leatheryS / 60 + 120;
    await noteTouch(db, contextAt(late), id, 'strings');
    expect(await opens()).toBeGreaterThan(before);
    await takeTouchBack(db, contextAt(late + 1), id, contextAt(late).nowMs);
    expect(await opens()).toBe(before);
    const log = await db.log.orderBy('seq').toArray();
    expect(log.slice(-2).map((e) => e.kind)).toEqual(['touch noted', 'touch taken back']);
    await expect(
      takeTouchBack(db, contextAt(late + 2), id, contextAt(late).nowMs),
    ).rejects.toMatchObject({ code: 'already taken back' });
  });
  it('a witness cup speaks for every coat that was poured from its batch, and is taken back from all', async () => {
    const { db, id } = await poured();
    const [coat] = await db.coats.toArray();
    if (!coat) throw new Error('no coat');
    const batchId = asId<'batch'>('one');
    const mate = { ...coat, batchId, id: asId<'coat'>('mate') };
    await db.coats.bulkPut([
      { ...coat, batchId },
      mate,
      { ...mate, id: asId<'coat'>('dry'), mixedMs: null, pouredMs: null },
      { ...mate, id: asId<'coat'>('other'), batchId: asId<'batch'>('two') },
    ]);
    await noteTouch(db, contextAt(500), id, 'tacky', 'witness cup');
    const touched = async () =>
      (await db.coats.toArray()).filter((c) => c.touches.length > 0).map((c) => c.id);
    expect((await touched()).sort()).toEqual([id, 'mate'].sort());
    const log = await db.log.orderBy('seq').toArray();
    expect(log.filter((e) => e.kind === 'touch noted').map((e) => e.text)).toEqual([
      expect.stringContaining('witness cup: tacky'),
      expect.stringContaining('witness cup: tacky'),
    ]);
    await takeTouchBack(db, contextAt(501), mate.id, contextAt(500).nowMs);
    expect(await touched()).toEqual([]);
  });
  it('the same finding within a minute is a second tap, not a second witness', async () => {
    const { db, id } = await poured();
    for (const minute of [500, 500.5, 501.2]) await noteTouch(db, contextAt(minute), id, 'tacky');
    await noteTouch(db, contextAt(501.3), id, 'leathery');
    const coat = await db.coats.get(id);
    expect(coat?.touches.map((t) => t.found)).toEqual(['tacky', 'tacky', 'leathery']);
  });
  it('is not noted on what is not poured', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await expect(noteTouch(db, contextAt(5), coat.id, 'hard')).rejects.toMatchObject({
      code: 'nothing to touch',
    });
  });
});
