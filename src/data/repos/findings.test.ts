import 'fake-indexeddb/auto';
import { asId, plainCoat, TASKS, type Coat, type Id } from '@/records';
import type { ShopDb } from '../db';
import { findingState } from '@/shop/findings';
import { contextAt, freshDb, shopWithCoat, T0 } from '../test/shop';
import { kinds, poured } from '../test/wet';
import { writeLogNote } from './bench';
import { coverCoat } from './wet';
import { removeCoat, type NewCoat } from './coats';
import {
  answerTest,
  chooseRescue,
  dropRescue,
  lookAgain,
  noteCleanLook,
  noteDefect,
  type DefectNote,
  type RescuePlan,
} from './findings';
import { closePiece, openPieceAgain } from './leave';

const DAY = 24 * 60;

const noted = ({ pieceId, id }: Coat): DefectNote => ({
  ...{ pieceId, coatId: id, note: '', photo: null },
  kind: 'dimples',
});

/** Its mask is off. */
async function unmasked(db: ShopDb, coat: Coat, minutes: number): Promise<void> {
  const scope = [...coat.areaIds];
  const told = { title: 'Take the mask off', coatId: coat.id, state: 'done', scope } as const;
  await db.tasks.put({
    ...{ ...TASKS.defaults, id: asId('off'), pieceId: coat.pieceId, rule: 'unmask', ...told },
    key: `unmask:${coat.id}.${scope[0]}`,
    doneMs: T0 + minutes * 60_000,
  });
}

const planFor = (coat: Coat): RescuePlan => {
  const flood: NewCoat = {
    ...plainCoat(1.6e-3),
    ...{ pieceId: coat.pieceId, areaIds: coat.areaIds, kind: 'flood', name: 'Rescue flood' },
    resinId: coat.resinId,
  };
  const step = { kind: 'note', title: 'Sand into the spot', needed: true } as const;
  return {
    ...{ kind: 'sand and flood', coats: [flood] },
    steps: [{ ...step, areaIds: [], on: { at: 'next' }, labelS: 0 }],
  };
};

describe('findings', () => {
  it('keep place, size and tests; the log has each', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const at = { areaId: asId<'area'>(coat.areaIds[0] ?? ''), point: [0.01, 0.02] as const };
    const look = { allOver: false, count: 7, sizeM: 6e-3, depthM: 3e-4 };
    const id = await noteDefect(db, contextAt(100), { ...noted(coat), at, look });
    await answerTest(db, contextAt(101), id, 'follows what lies below', false);
    await answerTest(db, contextAt(102), id, 'follows what lies below', true);
    expect(await db.defects.get(id)).toMatchObject({
      ...{ at, look, answers: { 'follows what lies below': true } },
    });
    const told = await db.log.where('pieceId').equals(coat.pieceId).sortBy('seq');
    expect(told.filter((e) => e.kind === 'defect tested').map((e) => e.figures['answer'])).toEqual([
      ...['no', 'yes'],
    ]);
    expect(told.find((e) => e.kind === 'defect noted')?.figures).toEqual({
      ...{ count: 7, sizeM: 6e-3, depthM: 3e-4 },
    });
    await noteCleanLook(db, contextAt(103), coat.pieceId, coat.id, 4);
    expect(await kinds(db)).toContain('looked clean');
  });

  it('a rescue puts its coat and steps on the plan, and takes them off whole', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const id = await noteDefect(db, contextAt(100), noted(coat));
    const before = { coats: await db.coats.toArray(), tasks: await db.tasks.toArray() };
    await chooseRescue(db, contextAt(101), id, planFor(coat));
    const chosen = (await db.defects.get(id))?.rescue;
    expect(chosen).toMatchObject({ kind: 'sand and flood', chosenMs: T0 + 101 * 60_000 });
    const added = await db.coats.get(chosen?.coatIds[0] ?? asId<'coat'>(''));
    expect(added).toMatchObject({ name: 'Rescue flood', order: coat.order + 1, batchId: null });
    const [task] = await db.tasks.bulkGet([...(chosen?.taskIds ?? [])]);
    expect(task?.own?.on).toEqual({ at: 'coat', coatId: added?.id });
    await expect(chooseRescue(db, contextAt(102), id, planFor(coat))).rejects.toThrow(
      'rescue chosen already',
    );
    await dropRescue(db, contextAt(103), id);
    expect((await db.defects.get(id))?.rescue).toBeNull();
    expect(await db.coats.toArray()).toEqual(before.coats);
    expect(await db.tasks.toArray()).toEqual(before.tasks);
  });

  it('of which something was done stays on the plan', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const id = await noteDefect(db, contextAt(100), noted(coat));
    await chooseRescue(db, contextAt(101), id, planFor(coat));
    const [taskId] = (await db.defects.get(id))?.rescue?.taskIds ?? [];
    const task = await db.tasks.get(taskId ?? asId<'task'>(''));
    if (!task) throw new Error('no step');
    await db.tasks.put({ ...task, state: 'done', doneMs: T0 });
    await expect(dropRescue(db, contextAt(102), id)).rejects.toThrow('rescue begun');
    expect((await db.defects.get(id))?.rescue).not.toBeNull();
  });

  it('close by a later look alone, and open again by one that finds it still there', async () => {
    const db = freshDb();
    const { coat } = await poured(db);
    const id = await noteDefect(db, contextAt(100), noted(coat));
    const state = async () => {
      const defect = await db.defects.get(id);
      return defect && findingState(defect);
    };
    await chooseRescue(db, contextAt(101), id, { ...planFor(coat), coats: [] });
    expect(await state()).toBe('rescue chosen');
    const defect = await db.defects.get(id);
    if (!defect) throw new Error('gone');
    await db.defects.put({ ...defect, repairedMs: T0 });
    expect(await state()).toBe('look again');
    await lookAgain(db, contextAt(103), id, 'still there');
    expect(await state()).toBe('rescue chosen');
    await lookAgain(db, contextAt(104), id, 'gone');
    expect(await state()).toBe('closed');
    expect((await db.defects.get(id))?.looks.map((l) => l.found)).toEqual(['still there', 'gone']);
  });
});

describe('a piece that leaves', () => {
  const why = (error: unknown) => (error as { data: { why: string } }).data.why;
  const refusedFor = (db: ReturnType<typeof freshDb>, minutes: number, pieceId: Id<'piece'>) =>
    closePiece(db, contextAt(minutes), pieceId).then(() => null, why);

  it('is held by all that is unfinished, whatever was ticked first', async () => {
    const db = freshDb();
    const planned = await shopWithCoat(db);
    expect(await refusedFor(db, 5, planned.pieceId)).toBe('coat open');
    const other = freshDb();
    const { coat, batchId } = await poured(other);
    expect(await refusedFor(other, 60, coat.pieceId)).toBe('in a session');
    await coverCoat(other, contextAt(61), batchId, coat.id);
    expect(await refusedFor(other, 62, coat.pieceId)).toBe('mask on');
    await unmasked(other, coat, 62);
    expect(await refusedFor(other, 63, coat.pieceId)).toBe('cures');
    const id = await noteDefect(other, contextAt(63), noted(coat));
    expect(await refusedFor(other, 30 * DAY, coat.pieceId)).toBe('finding open');
    await lookAgain(other, contextAt(64), id, 'gone');
    expect(await refusedFor(other, 30 * DAY, coat.pieceId)).toBeNull();
  });

  it('that is gone, or has left already, does not leave', async () => {
    const db = freshDb();
    await expect(closePiece(db, contextAt(1), asId('nowhere'))).rejects.toThrow('piece gone');
    await expect(openPieceAgain(db, contextAt(1), asId('nowhere'), 'why')).rejects.toThrow(
      'piece gone',
    );
    const { coat, batchId } = await poured(db);
    await coverCoat(db, contextAt(61), batchId, coat.id);
    await unmasked(db, coat, 62);
    await closePiece(db, contextAt(30 * DAY), coat.pieceId);
    await expect(closePiece(db, contextAt(31 * DAY), coat.pieceId)).rejects.toThrow('piece closed');
  });

  it('is read-only until it is opened again with a reason; notes still go in', async () => {
    const db = freshDb();
    const { coat, batchId } = await poured(db);
    const { pieceId } = coat;
    await coverCoat(db, contextAt(61), batchId, coat.id);
    await unmasked(db, coat, 62);
    await closePiece(db, contextAt(30 * DAY), pieceId);
    await expect(noteDefect(db, contextAt(31 * DAY), noted(coat))).rejects.toThrow('piece closed');
    expect(await db.defects.count()).toBe(0);
    await expect(removeCoat(db, contextAt(31 * DAY), coat.id)).rejects.toThrow();
    await writeLogNote(db, contextAt(31 * DAY), 'its client rang', null);
    await expect(openPieceAgain(db, contextAt(31 * DAY), pieceId, ' ')).rejects.toThrow('reason');
    await openPieceAgain(db, contextAt(31 * DAY), pieceId, 'a chip at the rim');
    await noteDefect(db, contextAt(31 * DAY), noted(coat));
    expect(await kinds(db)).toEqual(
      expect.arrayContaining(['piece closed', 'note', 'piece opened again', 'defect noted']),
    );
  });
});
