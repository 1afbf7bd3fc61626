import { type Coat, DEFAULT_SETTINGS, plainCoat } from '@/records';
import { contextAt, freshDb, makeReady, shopWithCoat, T0, TEST_RESIN } from '../test/shop';
import { poured, started } from '../test/wet';
import { InvalidRowError } from '../write';
import type { ShopDb } from '../db';
import { saveSettings } from './bench';
import { planCoat } from './coats';
import { noteRoom } from './room';
import { endStir, mixB, pourCoat, startStir, weighA } from './wet';
import { leaveSession, startSession } from './session';

const MIN = 60_000;
const at = (minutes: number, temperatureK: number, humidity: number | null = null) => ({
  ...{ fromMs: T0 + minutes * MIN, temperatureK, humidity },
});
const historyOf = async (db: ShopDb, coat: Coat) =>
  (await db.coats.get(coat.id))?.history.map((s) => [(s.fromMs - T0) / MIN, s.temperatureK]);
const roomOf = async (db: ShopDb) => {
  const { roomTemperatureK, roomHumidity } = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
  return [roomTemperatureK, roomHumidity];
};

describe('a reading of the room is one act, wherever it was typed', () => {
  it('moves the clocks of what cures, the record of the room and the shop’s own room', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    await noteRoom(db, contextAt(90), at(90, 290.15, 0.7));
    expect((await historyOf(db, coat))?.at(-1)).toEqual([90, 290.15]);
    expect(await db.air.orderBy('fromMs').last()).toMatchObject(at(90, 290.15, 0.7));
    expect(await roomOf(db)).toEqual([290.15, 0.7]);
    const entry = await db.log.orderBy('seq').last();
    expect(entry).toMatchObject({ kind: 'air noted', text: coat.name });
    expect(entry?.figures).toEqual({ ...at(90, 290.15), humidity: 0.7 });
  });
  it('readings are kept in order of time; one for the same instant is replaced; an older one is not the room', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    await noteRoom(db, contextAt(100), at(80, 291.15));
    await noteRoom(db, contextAt(100), at(50, 293.15));
    await noteRoom(db, contextAt(100), at(80, 290.15));
    expect((await historyOf(db, coat))?.map(([, k]) => k)).toEqual([295.15, 293.15, 290.15]);
    expect(await roomOf(db)).toEqual([290.15, DEFAULT_SETTINGS.roomHumidity]);
    await expect(noteRoom(db, contextAt(100), at(90, 400))).rejects.toBeInstanceOf(InvalidRowError);
    expect(await historyOf(db, coat)).toHaveLength(3);
  });
  it('humidity that was not read is not logged as read, and what was known stays', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    await noteRoom(db, contextAt(5), at(5, 294.15, 0.62));
    await noteRoom(db, contextAt(6), at(6, 293.15));
    expect(await roomOf(db)).toEqual([293.15, 0.62]);
    expect((await db.log.orderBy('seq').last())?.figures).toEqual({
      fromMs: T0 + 6 * MIN,
      temperatureK: 293.15,
    });
  });
  it('before the pour it moves nothing of the coat; a coat that has fully cured keeps its record', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const own = await historyOf(db, coat);
    await noteRoom(db, contextAt(60), at(1, 280.15));
    expect(await historyOf(db, coat)).toEqual(own);
    const cured = (TEST_RESIN.sheet.times.fullS / 60) * 3;
    await noteRoom(db, contextAt(cured), at(cured, 280.15));
    expect(await historyOf(db, coat)).toEqual(own);
  });
  it('typed in Settings it moves the clocks too', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    await saveSettings(db, contextAt(70), { ...DEFAULT_SETTINGS, roomTemperatureK: 288.15 });
    expect((await historyOf(db, coat))?.at(-1)).toEqual([70, 288.15]);
  });
  it('at the start of a session: another room is read, the same one is not', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const next = await planCoat(db, contextAt(60), {
      ...{ ...plainCoat(1e-3), pieceId: coat.pieceId, areaIds: coat.areaIds },
      ...{ name: 'Flood 2', resinId: coat.resinId },
    });
    const second = await db.coats.get(next);
    if (!second) throw new Error('no coat');
    await makeReady(db, second, 609);
    const start = (minutes: number, temperatureK: number) =>
      startSession(db, contextAt(minutes), {
        ...{ resinId: coat.resinId, coatIds: [next], temperatureK },
        ...{ targetM3: 1e-4, targetAKg: 0.05, targetBKg: 0.05 },
      });
    const readings = await db.air.count();
    const same = await start(610, 295.15);
    expect(await db.air.count()).toBe(readings);
    await leaveSession(db, contextAt(611), same);
    await start(612, 291.15);
    expect(await db.air.count()).toBe(readings + 1);
    expect((await historyOf(db, coat))?.at(-1)).toEqual([612, 291.15]);
    const log = await db.log.orderBy('seq').toArray();
    expect(log.slice(-2).map((e) => e.kind)).toEqual(['air noted', 'session started']);
  });
  it('a coat starts in the room as it was last read, not as it was when its session began', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { batchId } = await started(db, coat);
    await weighA(db, contextAt(11), batchId, { kg: 0.0575, by: 'read' });
    await mixB(db, contextAt(12), batchId, { kg: 0.05, by: 'read' });
    await startStir(db, contextAt(13), batchId);
    await noteRoom(db, contextAt(15), at(15, 289.15));
    await endStir(db, contextAt(18), batchId);
    await pourCoat(db, contextAt(20), batchId, coat.id);
    expect(await historyOf(db, coat)).toEqual([[20, 289.15]]);
  });
});
