import 'fake-indexeddb/auto';
import { asId } from '@/records';
import { piecePrep } from '@/shop/prepFacts';
import type { Coat } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { contextAt, freshDb, prepRows, shopWithCoat } from '../test/shop';
import { addTask, addTasks, dropTemplate, keepTemplate, stepsFrom, type NewTask } from './ownSteps';
import { doTask, doTasks } from './prep';
import type { TaskRef } from './taskRef';
import { noteSilicone } from './silicone';
import { turnPiece } from './turn';

async function bare(): Promise<{ db: ShopDb; coat: Coat }> {
  const db = freshDb();
  const coat = await shopWithCoat(db);
  await db.tasks.clear();
  return { db, coat };
}

async function refsAt(db: ShopDb, { pieceId }: Coat, minutes: number): Promise<TaskRef[]> {
  const piece = await db.pieces.get(pieceId);
  if (!piece) throw new Error('no piece');
  const { state } = piecePrep(piece, await prepRows(db), contextAt(minutes).nowMs);
  return state.tasks.map(({ task }) => ({ pieceId, task }));
}
const of = (refs: readonly TaskRef[], rule: string) => {
  const ref = refs.find((r) => r.task.rule === rule);
  if (!ref) throw new Error(`no ${rule}`);
  return ref;
};
const step = (title: string): NewTask => ({
  ...{ kind: 'note', title, needed: true, areaIds: [], labelS: 3600 },
  on: { at: 'last' },
});

describe('several steps in one act', () => {
  it('each has its record and its line of the log; one that was ticked elsewhere stops them all', async () => {
    const { db, coat } = await bare();
    const refs = await refsAt(db, coat, 5);
    const [mask, level, wipe] = ['mask', 'level', 'wipe'].map((rule) => of(refs, rule));
    if (!mask || !level || !wipe) throw new Error('no steps');
    const as = (ref: TaskRef) => ({ ref, doing: { seenMs: null } });
    await doTasks(db, contextAt(6), [mask, level].map(as));
    const rows = await db.tasks.toArray();
    expect(rows.map((r) => [r.rule, r.state, r.doneMs]).sort()).toEqual([
      ['level', 'done', contextAt(6).nowMs],
      ['mask', 'done', contextAt(6).nowMs],
    ]);
    expect((await db.log.orderBy('seq').toArray()).slice(-2).map((e) => e.kind)).toEqual([
      'prep done',
      'prep done',
    ]);
    const before = await db.log.count();
    await expect(doTasks(db, contextAt(7), [wipe, level].map(as))).rejects.toThrow(
      StaleActionError,
    );
    expect([await db.log.count(), await db.tasks.count()]).toEqual([before, 2]);
  });
  it('a tick in two tabs is one tick, and the second is told', async () => {
    const { db, coat } = await bare();
    const ref = of(await refsAt(db, coat, 5), 'mask');
    await doTask(db, contextAt(6), ref, { seenMs: null });
    await expect(doTask(db, contextAt(7), ref, { seenMs: null })).rejects.toMatchObject({
      code: 'done elsewhere',
      data: { atMs: contextAt(6).nowMs },
    });
    // Whoever has seen that tick may note another time.
    await doTask(db, contextAt(8), ref, { seenMs: contextAt(6).nowMs });
    expect((await db.tasks.toArray())[0]?.doneMs).toBe(contextAt(8).nowMs);
  });
  it('a second tap does not turn a piece back', async () => {
    const { db, coat } = await bare();
    await turnPiece(db, contextAt(5), coat.pieceId, 'back');
    await expect(turnPiece(db, contextAt(6), coat.pieceId, 'back')).rejects.toMatchObject({
      code: 'that side lies up already',
    });
    expect((await db.pieces.get(coat.pieceId))?.up).toBe('back');
  });
});

describe('lists of steps', () => {
  it('are kept in their order, put on another piece as the same steps, and forgotten', async () => {
    const { db, coat } = await bare();
    await expect(keepTemplate(db, contextAt(5), coat.pieceId, 'Rims')).rejects.toThrow(
      StaleActionError,
    );
    await addTask(db, contextAt(5), coat.pieceId, step('Oil'));
    await addTasks(db, contextAt(6), coat.pieceId, [
      step('Glue'),
      {
        ...{ kind: 'sand', title: 'Key', needed: false, areaIds: [...coat.areaIds] },
        ...{ fromGrit: 120, toGrit: 240, on: { at: 'coat', coatId: coat.id } },
      },
    ]);
    await keepTemplate(db, contextAt(7), coat.pieceId, 'Rims');
    const [list] = await db.templates.toArray();
    if (!list) throw new Error('no list');
    expect(list.steps.map((s) => [s.title, s.at])).toEqual([
      ['Oil', 'last'],
      ['Glue', 'last'],
      ['Key', 'next'],
    ]);
    expect(stepsFrom(list, undefined).map((s) => s.title)).toEqual(['Oil', 'Glue']);
    await addTasks(db, contextAt(8), coat.pieceId, stepsFrom(list, coat.areaIds[0]));
    const turns = (await db.tasks.toArray()).map((t) => t.own?.turn);
    expect(turns.sort()).toEqual([0, 1, 2, 3, 4, 5]);
    // One of that name is written over.
    await keepTemplate(db, contextAt(9), coat.pieceId, 'Rims');
    expect((await db.templates.toArray()).map((t) => t.steps.length)).toEqual([6]);
    await dropTemplate(db, contextAt(10), list.id);
    await expect(dropTemplate(db, contextAt(11), list.id)).rejects.toThrow(StaleActionError);
    expect(await db.tasks.count()).toBe(6);
  });
});

describe('silicone in a coat', () => {
  it('is noted and taken back, each with its line of the log', async () => {
    const { db, coat } = await bare();
    await noteSilicone(db, contextAt(5), coat.id, true);
    expect(await db.coats.get(coat.id)).toMatchObject({ silicone: true });
    await noteSilicone(db, contextAt(6), coat.id, false);
    await expect(noteSilicone(db, contextAt(7), asId('gone'), true)).rejects.toThrow(
      StaleActionError,
    );
    expect((await db.log.orderBy('seq').toArray()).slice(-2).map((e) => e.text)).toEqual([
      `${coat.name}: silicone in it`,
      `${coat.name}: no silicone in it`,
    ]);
  });
});
