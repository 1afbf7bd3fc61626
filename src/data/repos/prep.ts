import type { HalfPlane } from '@/core/geometry';
import type { MaskMethod, OwnTask, PrepSchools, PrepTask, RubResult } from '@/core/prep';
import type { ShopDb } from '../db';
import { asId, type Id, type LogKind, type Piece, type PrepRecord, TASKS } from '@/records';
import { act, type ActionContext } from '../write';
import { StaleActionError } from '../errors';
import { repairDefect } from './bench';
import { changeLayer } from './layers';
import { turnPiece } from './turn';

/** The task of a plan that an action is about. */
export interface TaskRef {
  readonly pieceId: Id<'piece'>;
  readonly task: Pick<PrepTask, 'key' | 'rule' | 'title' | 'coatId' | 'scope'>;
}

interface Change {
  readonly log: LogKind;
  readonly text: string;
  readonly change: Partial<Omit<PrepRecord, 'id' | 'pieceId' | 'key'>>;
  readonly figures?: Record<string, number | string>;
}

const coatOf = ({ coatId }: TaskRef['task']): Id<'coat'> | null =>
  coatId === null ? null : asId(coatId);

/** The record of a task that nothing happened to yet. */
const blank = ({ newId }: ActionContext, { pieceId, task }: TaskRef): PrepRecord => ({
  ...TASKS.defaults,
  id: newId(),
  pieceId,
  key: task.key,
  rule: task.rule,
  title: task.title,
  coatId: coatOf(task),
  state: 'open',
  doneMs: null,
  scope: [],
});

/** Writes what happened to a task, on its record or a new one, with its log entry. */
function changeTask(
  db: ShopDb,
  context: ActionContext,
  { pieceId, task }: TaskRef,
  changeOf: (known: PrepRecord | undefined) => Change,
): Promise<void> {
  return act(db, context, ['pieces', 'tasks'], async (w) => {
    if (!(await db.pieces.get(pieceId))) throw new StaleActionError('piece gone');
    const known = await db.tasks
      .where('pieceId')
      .equals(pieceId)
      .filter((r) => r.key === task.key)
      .first();
    const { log, text, change, figures = {} } = changeOf(known);
    await w.put('tasks', { ...blank(context, { pieceId, task }), ...known, ...change });
    await w.log(log, { pieceId, coatId: coatOf(task), text, figures });
  });
}

export interface Doing {
  /** When it was done; now when it is not told. */
  readonly doneMs?: number;
  readonly result?: RubResult;
  readonly method?: MaskMethod | null;
}

/**
 * A task is done, or done again.
 * @throws StaleActionError when it is said to be done in the future
 */
export function doTask(
  db: ShopDb,
  context: ActionContext,
  ref: TaskRef,
  { doneMs = context.nowMs, result, method = null }: Doing = {},
): Promise<void> {
  if (doneMs > context.nowMs) return Promise.reject(new StaleActionError('done in the future'));
  const { title, coatId, scope } = ref.task;
  // That a layer was laid stands in its own row.
  if (ref.task.rule === 'layer')
    return changeLayer(db, context, layerIdOf(ref), {
      state: { at: 'laid', laidMs: doneMs, dryMs: null },
    });
  if (ref.task.rule === 'put right')
    return repairDefect(db, context, asId(ref.task.key.slice('put right:'.length)));
  if (ref.task.rule === 'turn') return turnPiece(db, context, ref.pieceId).then(() => undefined);
  return changeTask(db, context, ref, (known) => ({
    log: known?.state === 'done' ? 'prep redone' : 'prep done',
    text: result ? `${title}: ${result}` : title,
    change: {
      title,
      coatId,
      scope,
      method,
      state: 'done',
      doneMs,
      reason: '',
      result: result ?? null,
    },
    figures: { doneMs },
  }));
}

/** A needed task is left out, and why: the reason stands in the log. */
export function waiveTask(
  db: ShopDb,
  context: ActionContext,
  ref: TaskRef,
  reason: string,
): Promise<void> {
  const { title, coatId, scope } = ref.task;
  if (reason.trim() === '') return Promise.reject(new StaleActionError('waived without a reason'));
  return changeTask(db, context, ref, () => ({
    log: 'prep waived',
    text: `${title}: ${reason}`,
    change: { title, coatId, scope, state: 'waived', doneMs: context.nowMs, reason, result: null },
  }));
}

/** A tick or a waiver is taken back. */
export async function reopenTask(db: ShopDb, context: ActionContext, ref: TaskRef): Promise<void> {
  const layer = ref.task.rule === 'layer' ? await db.layers.get(layerIdOf(ref)) : undefined;
  if (layer?.state.at === 'laid')
    return changeLayer(db, context, layer.id, { state: { at: 'planned' } });
  return changeTask(db, context, ref, () => ({
    log: 'prep reopened',
    text: ref.task.title,
    change: { state: 'open', doneMs: null, reason: '', result: null },
  }));
}

const layerIdOf = ({ task }: TaskRef): Id<'layer'> => asId(task.key.slice('layer:'.length));

/** Sanding goes only on one side of a line, or everywhere again. */
export const limitSanding = (
  db: ShopDb,
  context: ActionContext,
  ref: TaskRef,
  limit: HalfPlane | null,
): Promise<void> =>
  changeTask(db, context, ref, () => ({
    log: 'prep changed',
    text: limit ? `${ref.task.title}: only ${limit.side} a line` : `${ref.task.title}: all of it`,
    change: { limit },
    figures: limit ? { atM: limit.atM } : {},
  }));

/** A new order of the tasks, as far as the work leaves it free. */
export function moveTask(
  db: ShopDb,
  context: ActionContext,
  refs: readonly TaskRef[],
  moved: TaskRef,
): Promise<void> {
  return act(db, context, ['tasks'], async (w) => {
    const known = await db.tasks.where('pieceId').equals(moved.pieceId).toArray();
    for (const [order, { pieceId, task }] of refs.entries()) {
      const record = known.find((r) => r.key === task.key);
      await w.put('tasks', { ...(record ?? blank(context, { pieceId, task })), order });
    }
    const { pieceId, task } = moved;
    await w.log('prep changed', { pieceId, coatId: coatOf(task), text: `${task.title}: moved` });
  });
}

export type NewTask =
  Omit<Extract<OwnTask, { kind: 'note' }>, 'key'> | Omit<Extract<OwnTask, { kind: 'sand' }>, 'key'>;

/** Adds a task of the user's own. */
export function addTask(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  told: NewTask,
): Promise<void> {
  const own: OwnTask = { ...told, key: context.newId() };
  const rule = own.kind === 'sand' ? 'own sanding' : 'own note';
  const task = { key: `${rule}:${own.key}`, rule, title: own.title, coatId: null, scope: [] };
  return changeTask(db, context, { pieceId, task }, () => ({
    log: 'prep added',
    text: own.title,
    change: { own },
  }));
}

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

/** Schools of one piece where it differs from the shop. */
export function choosePieceSchools(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  prep: Partial<PrepSchools>,
): Promise<void> {
  return act(db, context, ['pieces'], async (w) => {
    const piece: Piece | undefined = await db.pieces.get(pieceId);
    if (!piece) throw new StaleActionError('piece gone');
    await w.put('pieces', { ...piece, prep });
    await w.log('prep changed', { pieceId, text: Object.values(prep).join(', ') || 'as the shop' });
  });
}
