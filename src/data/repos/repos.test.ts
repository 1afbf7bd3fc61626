import 'fake-indexeddb/auto';
import { contextAt, freshDb, shopWithCoat, TEST_RESIN } from '../test/shop';
import { A, kinds, poured, started } from '../test/wet';
import { InvalidRowError, act } from '../write';
import { saveResin, saveSettings, writeLogNote } from './bench';
import { noteDefect, repairDefect } from './findings';
import { asId, DEFAULT_SETTINGS } from '@/records';
import { changeCoat, planCoat, removeCoat } from './coats';
import { weighA } from './wet';

describe('one transaction', () => {
  it('a log entry that cannot be written takes the change back with it', async () => {
    const db = freshDb();
    const { batchId } = await started(db, await shopWithCoat(db));
    const entries = await db.log.count();
    db.log.hook('creating', () => {
      throw new Error('disk full');
    });
    await expect(weighA(db, contextAt(11), batchId, A)).rejects.toThrow('disk full');
    expect(await db.batches.get(batchId)).toMatchObject({ events: [] });
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
    const entry = await db.log.orderBy('seq').first();
    const id = entry?.id ?? asId<'log'>('');
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
    const entry = (await db.log.orderBy('seq').last()) ?? null;
    await writeLogNote(db, contextAt(9), 'it was 1.8 mm', entry);
    expect(await db.log.filter((e) => e.kind === 'correction').first()).toMatchObject({
      aboutId: entry?.id,
      pieceId: entry?.pieceId,
    });
    expect(await db.log.get(entry?.id ?? asId(''))).toEqual(entry);
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
