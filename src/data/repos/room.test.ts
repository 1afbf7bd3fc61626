import 'fake-indexeddb/auto';
import { type Coat, plainCoat, readingsOf, type RoomSource } from '@/records';
import { clockOf } from '@/shop/clockOf';
import { recordOf, roomAir, roomOf } from '@/shop/room';
import { contextAt, freshDb, makeReady, shopWithCoat, T0, TEST_RESIN } from '../test/shop';
import { poured, sessionFor, started } from '../test/wet';
import { InvalidRowError } from '../write';
import type { ShopDb } from '../db';
import { planCoat } from './coats';
import { addReadings, believeSource, noteRoom, takeReading } from './room';
import { endStir, mixB, pourCoat, startStir, weighA } from './wet';
import { leaveSession, startSession } from './session';

const MIN = 60_000;
const at = (minutes: number, temperatureK: number, humidity: number | null = null) => ({
  ...{ fromMs: T0 + minutes * MIN, temperatureK, humidity },
});
const roomNow = async (db: ShopDb) => roomOf(await db.room.orderBy('id').toArray());
const opens = async (db: ShopDb, coat: Coat) => {
  const row = (await db.coats.get(coat.id)) ?? coat;
  const clock = clockOf(row, TEST_RESIN.sheet, await roomNow(db), T0);
  return clock?.windows.find((w) => w.kind === 'recoat')?.opensMs ?? NaN;
};
const count = async (db: ShopDb) =>
  (await db.room.toArray()).reduce((n, d) => n + d.readMs.length, 0);

describe('a reading of the room is one act, wherever it was typed', () => {
  it('moves the clocks of what cures, and the shop’s own room', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const before = await opens(db, coat);
    await noteRoom(db, contextAt(90), at(90, 290.15, 0.7));
    expect(await opens(db, coat)).toBeGreaterThan(before + 60 * MIN);
    expect(roomAir(await roomNow(db))).toMatchObject({ temperatureK: 290.15, humidity: 0.7 });
    const entry = await db.log.orderBy('seq').last();
    expect(entry?.kind).toBe('air noted');
    expect(entry?.figures).toEqual({ ...at(90, 290.15), humidity: 0.7 });
  });
  it('stands in order of time; one for the same instant counts as it was noted last; an older one is not the room', async () => {
    const db = freshDb();
    await poured(db);
    const readings = await count(db);
    await noteRoom(db, contextAt(100), at(80, 291.15));
    await noteRoom(db, contextAt(100), at(50, 293.15));
    await noteRoom(db, contextAt(101), at(80, 290.15));
    const room = await roomNow(db);
    expect(room.steps.slice(-2).map((s) => s.temperatureK)).toEqual([293.15, 290.15]);
    // Both stand in the record.
    expect(await count(db)).toBe(readings + 3);
    await expect(noteRoom(db, contextAt(100), at(90, 400))).rejects.toBeInstanceOf(InvalidRowError);
    expect(await count(db)).toBe(readings + 3);
  });
  it('humidity that was not read is not logged as read, and what was known stays', async () => {
    const db = freshDb();
    await shopWithCoat(db);
    await noteRoom(db, contextAt(5), at(5, 294.15, 0.62));
    await noteRoom(db, contextAt(6), at(6, 293.15));
    expect(roomAir(await roomNow(db))).toMatchObject({ temperatureK: 293.15, humidity: 0.62 });
    expect((await db.log.orderBy('seq').last())?.figures).toEqual({
      fromMs: T0 + 6 * MIN,
      temperatureK: 293.15,
    });
  });
  it('beside a coat that stands apart it moves that coat alone, until the room is read again', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const before = await roomNow(db);
    await noteRoom(db, contextAt(60), { ...at(60, 301.15), coatId: coat.id });
    const room = await roomNow(db);
    expect(room.steps).toEqual(before.steps);
    expect(recordOf(room, coat.id).at(-1)).toMatchObject({ temperatureK: 301.15 });
    await noteRoom(db, contextAt(90), at(90, 290.15));
    const later = recordOf(await roomNow(db), coat.id).map((s) => s.temperatureK);
    expect(later.slice(-2)).toEqual([301.15, 290.15]);
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
      startSession(db, contextAt(minutes), sessionFor(second, { temperatureK }));
    const readings = await count(db);
    const same = await start(610, 295.15);
    expect(await count(db)).toBe(readings);
    await leaveSession(db, contextAt(611), same);
    await start(612, 291.15);
    expect(await count(db)).toBe(readings + 1);
    const log = await db.log.orderBy('seq').toArray();
    expect(log.slice(-2).map((e) => e.kind)).toEqual(['air noted', 'session started']);
  });
  it('the pour logs the room as it was read last, and the clock starts with the mix', async () => {
    const db = freshDb();
    const coat = await shopWithCoat(db);
    const { batchId } = await started(db, coat);
    await weighA(db, contextAt(11), batchId, { kg: 0.0575, by: 'read' });
    await mixB(db, contextAt(12), batchId, { kg: 0.05, by: 'read' });
    await startStir(db, contextAt(13), batchId);
    await noteRoom(db, contextAt(15), at(15, 289.15));
    await endStir(db, contextAt(18), batchId);
    await pourCoat(db, contextAt(20), batchId, coat.id);
    const entry = await db.log.orderBy('seq').last();
    expect(entry?.figures).toMatchObject({ temperatureK: 289.15 });
    expect(await db.coats.get(coat.id)).toMatchObject({ mixedMs: contextAt(12).nowMs });
  });
});

describe('readings of files and devices', () => {
  const source: RoomSource = { how: 'file', by: 'hall.csv', coatId: null, out: false };
  const reading = (minutes: number, temperatureK: number) => ({
    ...{ atMs: T0 + minutes * MIN, temperatureK, humidity: null, surfaceK: null, source },
  });
  it('are added once, over days, with one line of the log; a broken one is kept and not believed', async () => {
    const db = freshDb();
    const readings = [0, 700, 1500].map((m) => reading(m, 293.15));
    expect(await addReadings(db, contextAt(0), readings)).toBe(0);
    expect(await addReadings(db, contextAt(1), [...readings, reading(2000, 213.15)])).toBe(3);
    expect((await db.room.toArray()).map((d) => d.readMs.length).sort()).toEqual([2, 2]);
    expect((await roomNow(db)).last?.temperatureK).toBe(293.15);
    const log = await db.log.orderBy('seq').toArray();
    expect(log.map((e) => [e.kind, e.figures])).toEqual([
      ['readings added', { count: 3 }],
      ['readings added', { count: 1, twice: 3 }],
    ]);
  });
  it('are taken out again and put back, and stay in the record', async () => {
    const db = freshDb();
    await noteRoom(db, contextAt(0), at(0, 295.15));
    const sensor: RoomSource = { ...source, how: 'sensor', by: 'shelf' };
    await takeReading(db, contextAt(5), { ...reading(5, 280), source: sensor });
    expect(await db.log.count()).toBe(1);
    expect(roomAir(await roomNow(db)).temperatureK).toBe(280);
    await believeSource(db, contextAt(6), sensor, false);
    expect(roomAir(await roomNow(db)).temperatureK).toBe(295.15);
    expect((await db.room.toArray()).flatMap(readingsOf)).toHaveLength(2);
    await believeSource(db, contextAt(7), sensor, true);
    expect(roomAir(await roomNow(db)).temperatureK).toBe(280);
  });
});
