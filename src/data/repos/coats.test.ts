import 'fake-indexeddb/auto';
import { asId, type Coat, plainArea, plainCoat } from '@/records';
import type { ShopDb } from '../db';
import { contextAt, freshDb, shopWithCoat } from '../test/shop';
import { sessionFor } from '../test/wet';
import { changeSurvey } from './survey';
import { changeCoat, moveCoat, planCoats, removeCoat, type NewCoat } from './coats';
import { splitCoat } from './splitCoat';
import { startSession } from './session';

const glitter = { kind: 'flakes', greatestM: 2e-3, meanM: 1e-3, share: 0.3 } as const;

/** A shop whose face has relief and a recess, with its one planned flood of 1.6 mm. */
async function reliefShop() {
  const db = freshDb();
  const coat = await shopWithCoat(db);
  const piece = await db.pieces.get(coat.pieceId);
  const [face] = await db.areas.toArray();
  if (!piece || !face) throw new Error('no piece');
  const { name, count, support, note, job, dueMs, use, marks, level, bellyM } = piece;
  const told = { name, count, support, note, job, dueMs, use, marks, level, bellyM };
  const pit = {
    ...plainArea({ kind: 'disc', diameterM: 0.05 }, 0, ['tape wall'], 'recess'),
    depthM: 3e-3,
    id: null,
  };
  await changeSurvey(db, contextAt(4), piece.id, {
    ...told,
    areas: [{ ...face, relief: [glitter] }, pit],
  });
  return { db, coat, face, told };
}

const named = async (db: ShopDb, name: string): Promise<Coat> => {
  const coat = (await db.coats.toArray()).find((c) => c.name === name);
  if (!coat) throw new Error(`no ${name}`);
  return coat;
};
const stack = async (db: ShopDb) =>
  (await db.coats.orderBy('id').toArray())
    .sort((a, b) => a.order - b.order)
    .map((c) => [c.name, Math.round(c.thicknessM * 1e6) / 1e3] as const);

const plan = (coat: Coat, change: Partial<NewCoat>): NewCoat => ({
  ...plainCoat(1e-3),
  ...{ pieceId: coat.pieceId, areaIds: coat.areaIds, resinId: coat.resinId, name: 'Coat' },
  ...change,
});

describe('coats by intention', () => {
  it('several are planned in one go, each over the one below, with a line of the log for each', async () => {
    const { db, coat } = await reliefShop();
    await removeCoat(db, contextAt(5), coat.id);
    const ids = await planCoats(db, contextAt(6), [
      plan(coat, { name: 'Lock', kind: 'lock', intent: { by: 'given', thicknessM: 0.7e-3 } }),
      plan(coat, { name: 'Bury', intent: { by: 'bury', coverM: 0.5e-3 } }),
    ]);
    expect(ids).toHaveLength(2);
    // 2 mm of relief less 0.7 mm of lock, and 0.5 mm of cover.
    expect(await stack(db)).toEqual([
      ['Lock', 0.7],
      ['Bury', 1.8],
    ]);
    const log = (await db.log.toArray()).filter((e) => e.coatId && ids.includes(e.coatId));
    expect(log.map((e) => e.kind)).toEqual(['coat planned', 'coat planned']);
  });

  it('what lies above follows when a coat below changes, goes, or the survey finds higher relief', async () => {
    const { db, coat, face, told } = await reliefShop();
    await planCoats(db, contextAt(6), [
      plan(coat, { name: 'Bury', intent: { by: 'bury', coverM: 1e-3 } }),
    ]);
    expect(await stack(db)).toEqual([
      ['Flood 1', 1.6],
      ['Bury', 1.4],
    ]);
    await changeCoat(db, contextAt(7), coat.id, { intent: { by: 'given', thicknessM: 1e-3 } });
    expect((await named(db, 'Bury')).thicknessM).toBeCloseTo(2e-3, 9);
    const pit = (await db.areas.toArray()).find((a) => a.kind === 'recess');
    const taller = [{ ...glitter, greatestM: 5e-3 }];
    await changeSurvey(db, contextAt(8), coat.pieceId, {
      ...told,
      areas: [{ ...face, relief: taller }, ...(pit ? [pit] : [])],
    });
    expect((await named(db, 'Bury')).thicknessM).toBeCloseTo(5e-3, 9);
    await removeCoat(db, contextAt(9), coat.id);
    expect((await named(db, 'Bury')).thicknessM).toBeCloseTo(6e-3, 9);
  });

  it('an intention that cannot be met any more keeps its thickness', async () => {
    const { db, coat } = await reliefShop();
    const pit = (await db.areas.toArray()).find((a) => a.kind === 'recess');
    await planCoats(db, contextAt(6), [
      plan(coat, {
        name: 'Fill',
        kind: 'fill',
        areaIds: [pit?.id ?? asId('')],
        intent: { by: 'fill', belowM: 0 },
      }),
    ]);
    // The flood below levels over the open recess, so nothing is left of it to fill: the thickness stays as it was told.
    expect((await named(db, 'Fill')).thicknessM).toBeCloseTo(1e-3, 9);
    await moveCoat(db, contextAt(7), (await named(db, 'Fill')).id, -1);
    // Under the flood it has the whole 3 mm.
    expect(await stack(db)).toEqual([
      ['Fill', 3],
      ['Flood 1', 1.6],
    ]);
  });
});

describe('places', () => {
  it('change by one; not past the ends, and never below a coat that is being mixed', async () => {
    const { db, coat } = await reliefShop();
    await planCoats(db, contextAt(6), [plan(coat, { name: 'Over' })]);
    const over = await named(db, 'Over');
    await moveCoat(db, contextAt(7), over.id, -1);
    expect((await stack(db)).map(([name]) => name)).toEqual(['Over', 'Flood 1']);
    await expect(moveCoat(db, contextAt(8), over.id, -1)).rejects.toThrow('no place to move to');
    await moveCoat(db, contextAt(9), over.id, 1);
    const entry = (await db.log.toArray()).findLast((e) => e.kind === 'coat changed');
    expect(entry?.text).toBe('Over over Flood 1');
    await db.coats.put({ ...coat, batchId: asId('b') });
    await expect(moveCoat(db, contextAt(10), over.id, -1)).rejects.toThrow('nothing goes below it');
    await expect(moveCoat(db, contextAt(10), coat.id, 1)).rejects.toThrow('not planned');
    expect((await stack(db)).map(([name]) => name)).toEqual(['Flood 1', 'Over']);
  });
});

describe('lifts', () => {
  it('a coat becomes one coat a lift; what lies above goes up, and the first locks', async () => {
    const { db, coat } = await reliefShop();
    await planCoats(db, contextAt(6), [plan(coat, { name: 'Gloss' })]);
    const id = await splitCoat(db, contextAt(7), coat.id, [0.7e-3, 2e-3, 2e-3]);
    expect(id).toBe(coat.id);
    expect(await stack(db)).toEqual([
      ['Flood 1, lift 1', 0.7],
      ['Flood 1, lift 2', 2],
      ['Flood 1, lift 3', 2],
      ['Gloss', 1],
    ]);
    expect((await named(db, 'Flood 1, lift 1')).kind).toBe('lock');
    expect((await named(db, 'Flood 1, lift 2')).kind).toBe('flood');
    expect((await db.log.toArray()).at(-1)?.text).toBe('Flood 1 in 3 lifts');
  });
  it('not of a coat that is being mixed, and none of it is kept', async () => {
    const { db, coat } = await reliefShop();
    await db.coats.put({ ...coat, batchId: asId('b') });
    const before = await db.coats.toArray();
    await expect(splitCoat(db, contextAt(7), coat.id, [1e-3, 1e-3])).rejects.toThrow('not planned');
    await expect(changeCoat(db, contextAt(7), coat.id, { name: 'x' })).rejects.toThrow(
      'not planned',
    );
    expect(await db.coats.toArray()).toEqual(before);
  });
});

describe('the plan and the bench', () => {
  it('a session is refused for a coat that is gone', async () => {
    const { db, coat } = await reliefShop();
    await removeCoat(db, contextAt(5), coat.id);
    await expect(startSession(db, contextAt(6), sessionFor(coat))).rejects.toThrow(
      'gone or being mixed',
    );
  });
  it('coats of two pieces are not planned as one', async () => {
    const { db, coat } = await reliefShop();
    const plans = [plan(coat, {}), plan(coat, { pieceId: asId('other') })];
    await expect(planCoats(db, contextAt(6), plans)).rejects.toThrow('planCoats');
  });
});
