import 'fake-indexeddb/auto';
import { asId, SWATCHES, type Swatch } from '@/records';
import { contextAt, freshDb, shopWithCoat, T0 } from '../test/shop';
import { kinds } from '../test/wet';
import { removeSwatch, saveSwatch, trySwatch } from './swatches';

const MIN = 60_000;

describe('swatches', () => {
  it('are added, tried and removed; planned coats keep the colour’s name', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const swatch: Swatch = {
      ...{ ...SWATCHES.defaults, id: asId('sw'), resinId: coat.resinId, name: 'teal', parts: [] },
    } as unknown as Swatch;
    await saveSwatch(db, contextAt(3), swatch);
    const colours = [{ name: 'teal', share: 0.2, swatchId: swatch.id }];
    await db.coats.put({ ...coat, colours });
    const seen = { overBlack: 0.2, overWhite: 0.4 };
    await trySwatch(db, contextAt(4), swatch.id, {
      ...{ resinId: coat.resinId, lotId: null, filmM: null, seen, remark: 'sheer' },
    });
    expect((await db.swatches.get(swatch.id))?.trials).toMatchObject([
      { atMs: T0 + 4 * MIN, seen },
    ]);
    await saveSwatch(db, contextAt(5), { ...swatch, remark: 'kept' });
    await removeSwatch(db, contextAt(6), swatch.id);
    expect((await db.coats.get(coat.id))?.colours).toEqual([
      { name: 'teal', share: 0.2, swatchId: null },
    ]);
    const told = (await kinds(db)).filter((k) => k.startsWith('swatch'));
    expect(told).toEqual(['swatch added', 'swatch tried', 'swatch changed', 'swatch removed']);
    await expect(removeSwatch(db, contextAt(7), swatch.id)).rejects.toThrow('swatch gone');
    await expect(
      saveSwatch(db, contextAt(8), { ...swatch, resinId: asId('none') }),
    ).rejects.toThrow('swatch gone');
  });
});
