import 'fake-indexeddb/auto';
import { coatHolds, laidMasks, piecePrep } from '@/shop/prepFacts';
import type { ShopDb } from '../db';
import type { Coat } from '@/records';
import { contextAt, freshDb, makeReady, prepRows, shopWithCoat, T0 } from '../test/shop';
import { sessionFor } from '../test/wet';
import { changeCoat, planCoat } from './coats';
import { choosePieceSchools, doTask, limitSanding, moveTask, reopenTask, waiveTask } from './prep';
import type { TaskRef } from './taskRef';
import { addTask, removeTask } from './ownSteps';
import { StaleActionError } from '../errors';
import { noteRoom } from './room';
import { startSession } from './session';

/** A shop with one planned coat whose preparation is all open again. */
async function unprepared(): Promise<{ db: ShopDb; coat: Coat }> {
  const db = freshDb();
  const coat = await shopWithCoat(db);
  await db.tasks.clear();
  return { db, coat };
}

async function stateAt(db: ShopDb, coat: Coat, minutes: number) {
  const piece = await db.pieces.get(coat.pieceId);
  if (!piece) throw new Error('no piece');
  const rows = await prepRows(db);
  const { nowMs } = contextAt(minutes);
  const plan = piecePrep(piece, rows, nowMs);
  const held = coatHolds(piece, coat.id, rows, nowMs).map((t) => t.task.rule);
  const ref = (rule: string): TaskRef => {
    const task = plan.state.tasks.find((t) => t.task.rule === rule)?.task;
    if (!task) throw new Error(`no task ${rule}`);
    return { pieceId: piece.id, task };
  };
  return { plan, held, ref, rows };
}

const last = async (db: ShopDb) => (await db.log.toArray()).at(-1);

describe('the gate stands in the data too', () => {
  it('no session begins while a needed step is open; nothing is written', async () => {
    const { db, coat } = await unprepared();
    const before = await db.log.count();
    await expect(startSession(db, contextAt(10), sessionFor(coat))).rejects.toThrow(
      StaleActionError,
    );
    expect([await db.log.count(), await db.sessions.count()]).toEqual([before, 0]);
    await makeReady(db, coat, 10);
    await startSession(db, contextAt(11), sessionFor(coat));
    expect(await db.sessions.count()).toBe(1);
  });
  it('a waiver with a reason opens it, and the reason stands in the log', async () => {
    const { db, coat } = await unprepared();
    for (const rule of (await stateAt(db, coat, 5)).held)
      await waiveTask(db, contextAt(5), (await stateAt(db, coat, 5)).ref(rule), 'trial piece');
    expect((await stateAt(db, coat, 6)).held).toEqual([]);
    expect(await last(db)).toMatchObject({
      kind: 'prep waived',
      coatId: coat.id,
      text: expect.stringContaining('trial piece'),
    });
  });
  it('no waiver without a reason, nothing done in the future', async () => {
    const { db, coat } = await unprepared();
    const { ref } = await stateAt(db, coat, 5);
    await expect(waiveTask(db, contextAt(5), ref('wipe'), '  ')).rejects.toThrow('reason');
    const doneMs = contextAt(9).nowMs;
    await expect(doTask(db, contextAt(5), ref('wipe'), { doneMs })).rejects.toThrow('future');
    expect(await db.tasks.count()).toBe(0);
  });
});

describe('what happened to a task', () => {
  it('done, taken back, done again: one record, three lines of the log', async () => {
    const { db, coat } = await unprepared();
    const { ref } = await stateAt(db, coat, 5);
    for (const rule of ['mask', 'level']) await doTask(db, contextAt(4), ref(rule));
    await doTask(db, contextAt(5), ref('wipe'));
    expect((await stateAt(db, coat, 6)).held).not.toContain('wipe');
    await reopenTask(db, contextAt(6), ref('wipe'));
    expect((await stateAt(db, coat, 6)).held).toContain('wipe');
    await doTask(db, contextAt(7), ref('wipe'));
    await doTask(db, contextAt(8), ref('wipe'));
    expect((await db.tasks.toArray()).filter((t) => t.rule === 'wipe')).toHaveLength(1);
    const kinds = (await db.log.toArray()).map((e) => e.kind).slice(-4);
    expect(kinds).toEqual(['prep done', 'prep reopened', 'prep done', 'prep redone']);
  });
  it('a mask is known by its method, and by when it came off', async () => {
    const { db, coat } = await unprepared();
    const { ref } = await stateAt(db, coat, 5);
    await doTask(db, contextAt(5), ref('mask'), { method: 'latex' });
    const [mask] = laidMasks(await db.tasks.toArray());
    expect(mask).toMatchObject({ method: 'latex', laidMs: T0 + 300_000, takenOffMs: null });
    const off = `unmask:${mask?.coatId}.${mask?.areaId}`;
    const task = { key: off, rule: 'unmask', title: 'Off', coatId: null, scope: [] };
    await doTask(db, contextAt(9), { pieceId: coat.pieceId, task });
    expect(laidMasks(await db.tasks.toArray())[0]?.takenOffMs).toBe(T0 + 540_000);
  });
  it('a coat that changes or goes does not drop what was done', async () => {
    const { db, coat } = await unprepared();
    await makeReady(db, coat, 5);
    await changeCoat(db, contextAt(6), coat.id, { intent: { by: 'given', thicknessM: 2e-3 } });
    expect((await stateAt(db, coat, 6)).held).toEqual([]);
    await db.coats.delete(coat.id);
    const { plan } = await stateAt(db, coat, 7);
    expect(plan.state.kept.map((r) => r.rule)).toContain('wipe');
  });
  it('a second coat asks for its own steps', async () => {
    const { db, coat } = await unprepared();
    await makeReady(db, coat, 5);
    const id = await planCoat(db, contextAt(6), { ...coat, name: 'Flood 2' });
    const second = await db.coats.get(id);
    if (!second) throw new Error('no coat');
    expect((await stateAt(db, second, 6)).held).toContain('wipe');
    expect((await stateAt(db, coat, 6)).held).toEqual([]);
  });
});

describe('steps of one’s own, order, line and schools', () => {
  it('a needed step holds the coat back until it is done or removed', async () => {
    const { db, coat } = await unprepared();
    await makeReady(db, coat, 5);
    await addTask(db, contextAt(6), coat.pieceId, {
      kind: 'note',
      title: 'Ask the client',
      needed: true,
      areaIds: [],
      on: { at: 'next' },
      labelS: 0,
    });
    const { held, ref } = await stateAt(db, coat, 7);
    expect(held).toEqual(['own note']);
    await removeTask(db, contextAt(8), ref('own note'));
    expect((await stateAt(db, coat, 8)).held).toEqual([]);
    expect(await last(db)).toMatchObject({ kind: 'prep removed', text: 'Ask the client' });
    await expect(removeTask(db, contextAt(9), ref('own note'))).rejects.toThrow(StaleActionError);
  });
  it('own sanding keeps the line it is limited to', async () => {
    const { db, coat } = await unprepared();
    await addTask(db, contextAt(6), coat.pieceId, {
      kind: 'sand',
      title: 'Key the face',
      needed: true,
      on: { at: 'next' },
      areaIds: [...coat.areaIds],
      fromGrit: 120,
      toGrit: 240,
    });
    const whole = await stateAt(db, coat, 7);
    await limitSanding(db, contextAt(7), whole.ref('own sanding'), { side: 'right', atM: 0 });
    const half = await stateAt(db, coat, 8);
    const area = (s: typeof half) =>
      s.plan.state.tasks.find((t) => t.task.rule === 'own sanding')?.task.sanding?.areaM2 ?? 0;
    // Half of 300 × 200 mm.
    expect(area(whole)).toBeCloseTo(0.06, 9);
    expect(area(half)).toBeCloseTo(0.03, 9);
  });
  it('a moved task keeps its place', async () => {
    const { db, coat } = await unprepared();
    const { plan, ref } = await stateAt(db, coat, 5);
    const refs = plan.state.tasks.map(({ task }) => ({ pieceId: coat.pieceId, task }));
    const warm = refs.findIndex((r) => r.task.rule === 'warm air');
    const swapped = [...refs];
    [swapped[warm], swapped[warm + 1]] = [refs[warm + 1]!, refs[warm]!];
    await moveTask(db, contextAt(6), swapped, ref('warm air'));
    expect(await db.tasks.count()).toBe(refs.length);
    expect((await stateAt(db, coat, 7)).plan.state.tasks.length).toBe(refs.length);
    expect(await last(db)).toMatchObject({ kind: 'prep changed' });
  });
  it('schools of a piece change its plan at once', async () => {
    const { db, coat } = await unprepared();
    await choosePieceSchools(db, contextAt(6), coat.pieceId, { mask: 'PVA glue' });
    const { plan } = await stateAt(db, coat, 7);
    const mask = plan.state.tasks.find((t) => t.task.rule === 'mask')?.task;
    expect(mask).toMatchObject({ mask: 'PVA glue', drying: { labelS: 86_400 } });
  });
  it('new air becomes the room and moves every drying clock', async () => {
    const { db, coat } = await unprepared();
    await choosePieceSchools(db, contextAt(5), coat.pieceId, { mask: 'PVA glue' });
    await doTask(db, contextAt(6), (await stateAt(db, coat, 6)).ref('mask'), {
      method: 'PVA glue',
    });
    const until = async () =>
      (await stateAt(db, coat, 20)).plan.state.tasks.find((t) => t.state === 'drying')?.untilMs ??
      NaN;
    const before = await until();
    const { nowMs: fromMs } = contextAt(10);
    await noteRoom(db, contextAt(10), { fromMs, temperatureK: 293.15, humidity: 0.75 });
    expect(await until()).toBeGreaterThan(before + 12 * 3_600_000);
    expect(await last(db)).toMatchObject({ kind: 'air noted', figures: { humidity: 0.75 } });
  });
});
