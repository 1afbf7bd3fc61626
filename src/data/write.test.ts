import 'fake-indexeddb/auto';
import { planCoat } from './repos/coats';
import { saveResin } from './repos/bench';
import { contextAt, freshDb, shopWithCoat } from './test/shop';
import { exportShop } from './exchange/shopFile';
import { together } from './write';

describe('several acts as one', () => {
  it('all are stored, each with its entry of the log', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const [sheet] = await db.resins.toArray();
    if (!sheet) throw new Error('no resin');
    const entries = await db.log.count();
    const name = await together(db, async () => {
      await saveResin(db, contextAt(5), { ...sheet, note: 'winter stock' });
      await planCoat(db, contextAt(5), { ...coat, name: 'Second' });
      return 'done';
    });
    expect(name).toBe('done');
    expect(await db.coats.count()).toBe(2);
    expect((await db.log.count()) - entries).toBe(2);
  });
  it('one that fails leaves nothing of those before it', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const [sheet] = await db.resins.toArray();
    if (!sheet) throw new Error('no resin');
    const before = await exportShop(db, 0);
    const trying = together(db, async () => {
      await saveResin(db, contextAt(5), { ...sheet, note: 'winter stock' });
      await planCoat(db, contextAt(5), { ...coat, areaIds: [] });
    });
    await expect(trying).rejects.toThrow();
    expect(await exportShop(db, 0)).toEqual(before);
  });
});
