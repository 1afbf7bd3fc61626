import 'fake-indexeddb/auto';
import { Dexie, RangeSet } from 'dexie';
import { asId } from '@/records';
import { settle } from '@/shop/settle';
import { keepShop, type KeptShop } from '@/shop/shop';
import { contextAt, freshDb, shopWithCoat } from './test/shop';
import { followShop } from './changes';
import type { ShopDb } from './db';
import { changeCoat, planCoat, removeCoat } from './repos/coats';
import { noteRoom } from './repos/room';

/** Follows a shop; `until` waits for a shop that is as asked. */
function follow(db: ShopDb, start: KeptShop | null = null, read?: () => void) {
  const told: KeptShop[] = [];
  const much: boolean[] = [];
  const failed: unknown[] = [];
  const waits = new Set<() => void>();
  const { end, caughtUp } = followShop(
    db,
    {
      next: (kept, isMuch) => {
        told.push(kept);
        much.push(isMuch);
        waits.forEach((look) => look());
      },
      ...(read && { read }),
      error: (e) => failed.push(e),
    },
    start,
  );
  const until = (fits: (kept: KeptShop) => boolean) =>
    new Promise<KeptShop>((resolve) => {
      const look = () => {
        const last = told.at(-1);
        if (!last || !fits(last)) return;
        waits.delete(look);
        resolve(last);
      };
      waits.add(look);
      look();
    });
  return { told, much, failed, end, until, caughtUp };
}

/** Rows that Dexie hands out from now on, by table. */
function countReads(db: ShopDb): Record<string, number> {
  const counts: Record<string, number> = {};
  for (const table of db.tables)
    table.hook('reading', (row) => {
      counts[table.name] = (counts[table.name] ?? 0) + 1;
      return row as object;
    });
  return counts;
}

describe('following the shop', () => {
  it('one write reads the rows it wrote and no whole table', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const more = await Promise.all(
      [5, 6, 7, 8].map((m) => planCoat(db, contextAt(m), { ...coat, name: `Flood ${m}` })),
    );
    const { until, end } = follow(db);
    const before = await until((k) => k.shop.coats.length === 5);
    const counts = countReads(db);
    await db.coats.update(more[3] ?? asId(''), { name: 'Glaze' });
    const after = await until((k) => k.shop.coats.some((c) => c.name === 'Glaze'));
    // The update reads the row it changes, and the follower reads it once more.
    expect(counts['coats']).toBeLessThanOrEqual(2);
    expect(Object.keys(counts)).toEqual(['coats']);
    expect(after.shop.areas).toBe(before.shop.areas);
    expect(after.shop.coats[0]).toBe(before.shop.coats[0]);
    end();
  });
  it('rows that are removed go, rows of other tables come', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { until, end } = follow(db);
    await until((k) => k.shop.coats.length === 1);
    await removeCoat(db, contextAt(5), coat.id);
    expect((await until((k) => k.shop.coats.length === 0)).shop.pieces).toHaveLength(1);
    const { nowMs: fromMs } = contextAt(6);
    await noteRoom(db, contextAt(6), { fromMs, temperatureK: 290.15, humidity: null });
    const { shop } = await until((k) => k.shop.room.last !== null);
    expect(shop.room.steps).toEqual([{ fromMs, temperatureK: 290.15, humidity: 0.5 }]);
    end();
  });
  it('a table that is cleared or replaced is read whole', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { until, end } = follow(db);
    await until((k) => k.shop.tasks.length > 0);
    await db.tasks.clear();
    await until((k) => k.shop.tasks.length === 0);
    await db.transaction('rw', db.coats, async () => {
      await db.coats.clear();
      await db.coats.bulkAdd([{ ...coat, id: asId('other') }]);
    });
    expect((await until((k) => k.shop.coats[0]?.id === 'other')).shop.coats).toHaveLength(1);
    end();
  });
  it('a large table comes in parts, each row once and in order', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const ids = Array.from({ length: 1000 }, (_, n) =>
      asId<'coat'>(`x${String(n).padStart(4, '0')}`),
    );
    await db.coats.bulkAdd(ids.map((id) => ({ ...coat, id })));
    const { until, end } = follow(db);
    const { rows } = await until((k) => k.shop.coats.length > 0);
    expect(rows.coats.map((c) => c.id)).toEqual([coat.id, ...ids].sort());
    end();
  });
  it('many pieces that come at once are settled as one by one, and told as much', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { until, told, much, end } = follow(db);
    await until((k) => k.shop.coats.length === 1);
    const [piece] = await db.pieces.toArray();
    const areas = await db.areas.toArray();
    if (!piece) throw new Error('no piece');
    await db.transaction('rw', db.pieces, db.areas, db.coats, async () => {
      for (let n = 0; n < 120; n += 1) {
        const pieceId = asId<'piece'>(`p${n}`);
        const at = (id: string) => asId<'area'>(`${id}-${n}`);
        await db.pieces.add({ ...piece, id: pieceId });
        await db.areas.bulkAdd(areas.map((a) => ({ ...a, id: at(a.id), pieceId })));
        // Its stored film is wrong: a plan's film follows from what it is to do.
        const own = { id: asId<'coat'>(`c${n}`), pieceId, areaIds: coat.areaIds.map(at) };
        await db.coats.add({ ...coat, ...own, intent: { by: 'natural' }, thicknessM: 9e-3 });
      }
    });
    const { shop, rows } = await until((k) => k.shop.coats.length === 121);
    expect(shop.coats).toEqual(keepShop(rows, settle).shop.coats);
    expect(new Set(shop.coats.filter((c) => c.id !== coat.id).map((c) => c.thicknessM)).size).toBe(
      1,
    );
    expect(shop.coats.some((c) => c.thicknessM === 9e-3)).toBe(false);
    expect(much).toEqual([...told.slice(1).map(() => false), true]);
    end();
  });
  it('a read that fails is told once; followed anew, the change comes', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const first = follow(db);
    const before = await first.until((k) => k.shop.coats.length === 1);
    const real = db.table.bind(db);
    db.table = () => {
      throw new Error('the disk hiccups');
    };
    await db.coats.update(coat.id, { name: 'Glaze' });
    await new Promise((r) => setTimeout(r, 50));
    expect(first.failed).toEqual([expect.objectContaining({ message: 'the disk hiccups' })]);
    db.table = real;
    const again = follow(db, before);
    const after = await again.until((k) => k.shop.coats[0]?.name === 'Glaze');
    expect(after.shop.pieces).toEqual(before.shop.pieces);
    expect(first.told).toHaveLength(1);
    again.end();
  });
  it('who waits until it has caught up finds every commit told, also of a write that came during a read', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { told, until, caughtUp, end } = follow(db);
    await until((k) => k.shop.coats.length === 1);
    await caughtUp();
    const names = ['Glaze', 'Seal', 'Flood'];
    for (const name of names) void db.coats.update(coat.id, { name });
    await db.coats.update(coat.id, { name: 'Last' });
    await caughtUp();
    expect(told.at(-1)?.shop.coats[0]?.name).toBe('Last');
    const before = told.length;
    // Photos are not of the shop that is followed.
    await db.photos.clear();
    await caughtUp();
    expect(told).toHaveLength(before);
    void db.coats.update(coat.id, { name: 'Too late' });
    end();
    await caughtUp();
    expect(told).toHaveLength(before);
  });
  it('who waits is not held up by commits that come after', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    // Another hand changes the coat whenever it was read.
    let others = 0;
    const theirs = { [`idb://${db.name}/coats/`]: new RangeSet().addKey(coat.id) };
    const read = () => {
      if (others === 0) return;
      others -= 1;
      Dexie.on.storagemutated.fire(theirs);
    };
    const { told, until, caughtUp, end } = follow(db, null, read);
    await until((k) => k.shop.coats.length === 1);
    others = 20;
    await db.coats.update(coat.id, { name: 'Mine' });
    await caughtUp();
    expect(told.at(-1)?.shop.coats[0]?.name).toBe('Mine');
    expect(others).toBeGreaterThan(10);
    // A table that is read anew takes its time: nobody waits for that.
    others = 0;
    await caughtUp();
    const before = told.length;
    await db.coats.clear();
    await caughtUp();
    expect(told).toHaveLength(before);
    end();
  });
  it('nothing is told after its end', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { told, until, end } = follow(db);
    await until((k) => k.shop.coats.length === 1);
    end();
    await changeCoat(db, contextAt(5), coat.id, { name: 'Glaze' });
    await new Promise((r) => setTimeout(r, 30));
    expect(told).toHaveLength(1);
  });
});
