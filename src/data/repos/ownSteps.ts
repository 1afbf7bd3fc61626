import type { OwnTask } from '@/core/prep';
import { asId, TASKS, type Id, type PrepRecord, type Template, type TemplateStep } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';
import type { TaskRef } from './taskRef';

/** A step of the user's own as it is typed: its key and its place follow. */
export type NewTask =
  | Omit<Extract<OwnTask, { kind: 'note' }>, 'key' | 'turn'>
  | Omit<Extract<OwnTask, { kind: 'sand' }>, 'key' | 'turn'>;

/** The record of a step of the user's own. */
export function ownRecord(
  { newId }: ActionContext,
  pieceId: Id<'piece'>,
  told: NewTask,
  turn: number,
): PrepRecord {
  const own: OwnTask = { ...told, key: newId(), turn };
  const rule = own.kind === 'sand' ? 'own sanding' : 'own note';
  return {
    ...TASKS.defaults,
    ...{ id: newId(), pieceId, key: `${rule}:${own.key}`, rule, title: own.title },
    ...{ coatId: null, state: 'open', doneMs: null, scope: [], own },
  };
}

/**
 * Adds tasks of the user's own, in their order, after those that are there.
 * @throws StaleActionError when the piece is gone
 */
export function addTasks(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  told: readonly NewTask[],
): Promise<void> {
  return act(db, context, ['pieces', 'tasks'], async (w) => {
    if (!(await db.pieces.get(pieceId))) throw new StaleActionError('piece gone');
    const rows = await db.tasks.where('pieceId').equals(pieceId).toArray();
    const last = Math.max(-1, ...rows.map((r) => r.own?.turn ?? -1));
    for (const [i, one] of told.entries()) {
      await w.put('tasks', ownRecord(context, pieceId, one, last + 1 + i));
      await w.log('prep added', { pieceId, text: one.title });
    }
  });
}

/** Adds a task of the user's own. */
export const addTask = (
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  told: NewTask,
): Promise<void> => addTasks(db, context, pieceId, [told]);

/** Takes a task of the user's own off the plan; one that was done stays in the log. */
export function removeTask(db: ShopDb, context: ActionContext, ref: TaskRef): Promise<void> {
  return act(db, context, ['tasks'], async (w) => {
    const rows = await db.tasks.where('pieceId').equals(ref.pieceId).toArray();
    const row = rows.find((r) => r.key === ref.task.key);
    if (!row?.own) throw new StaleActionError('not a step of your own');
    await db.tasks.delete(row.id);
    await w.log('prep removed', { pieceId: ref.pieceId, text: row.title });
  });
}

/** A step as a list keeps it: what is a coat of this piece is the next coat of another. */
const stepOf = (own: OwnTask): TemplateStep => {
  const { title, needed } = own;
  const base = { title, needed, at: own.on.at === 'last' ? ('last' as const) : ('next' as const) };
  return own.kind === 'note'
    ? { kind: 'note', ...base, labelS: own.labelS }
    : { kind: 'sand', ...base, fromGrit: own.fromGrit, toGrit: own.toGrit };
};

/**
 * Keeps the steps that the user added to a piece as a list of the shop; one of that name is written over.
 * @throws StaleActionError when the piece has no steps of the user's own
 */
export function keepTemplate(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  name: string,
): Promise<void> {
  return act(db, context, ['tasks', 'templates'], async (w) => {
    const rows = await db.tasks.where('pieceId').equals(pieceId).toArray();
    const own = rows.flatMap((r) => (r.own ? [r.own] : [])).sort((a, b) => a.turn - b.turn);
    if (own.length === 0) throw new StaleActionError('no steps to keep');
    const known = (await db.templates.toArray()).find((t) => t.name === name);
    const row: Template = {
      id: known?.id ?? asId(context.newId()),
      ...{ name, madeMs: context.nowMs, steps: own.map(stepOf) },
    };
    await w.put('templates', row);
    await w.log('list kept', { pieceId, text: name, figures: { steps: own.length } });
  });
}

/** Forgets a list; pieces that it was put on keep their steps. */
export function dropTemplate(
  db: ShopDb,
  context: ActionContext,
  templateId: Id<'template'>,
): Promise<void> {
  return act(db, context, ['templates'], async (w) => {
    const known = await db.templates.get(templateId);
    if (!known) throw new StaleActionError('list gone');
    await db.templates.delete(templateId);
    await w.log('list dropped', { text: known.name });
  });
}

/** The steps of a list for a piece: sanding goes on its first area. */
export const stepsFrom = (template: Template, areaId: string | undefined): NewTask[] =>
  template.steps.flatMap((step): NewTask[] => {
    const { title, needed, at } = step;
    const base = { title, needed, on: { at } };
    if (step.kind === 'note') return [{ ...base, kind: 'note', labelS: step.labelS, areaIds: [] }];
    const { fromGrit, toGrit } = step;
    return areaId === undefined
      ? []
      : [{ ...base, kind: 'sand', fromGrit, toGrit, areaIds: [areaId] }];
  });
