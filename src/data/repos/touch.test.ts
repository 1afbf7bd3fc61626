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
  it('is not noted on what is not poured', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    await expect(noteTouch(db, contextAt(5), coat.id, 'hard')).rejects.toMatchObject({
      code: 'nothing to touch',
    });
  });
});
