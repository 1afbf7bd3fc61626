import type { HalfPlane } from '@/core/geometry';
import type { MaskMethod, PrepSchools, RubResult } from '@/core/prep';
import type { ShopDb } from '../db';
import { asId, type Id, type LogKind, type Piece, type PrepRecord, TASKS } from '@/records';
import { act, type ActionContext } from '../write';
import type { TaskRef } from './taskRef';
import { StaleActionError } from '../errors';
import { repairDefect } from './findings';
import { changeLayer } from './layers';
import { turnPiece } from './turn';

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
  /** When it was last done as the user saw it, null: never. Left out: whatever stands there is written over. */
  readonly seenMs?: number | null;
}

/** @throws StaleActionError when it was ticked elsewhere since the user looked */
function refuseSeen(doneMs: number | null, { seenMs }: Doing): void {
  if (seenMs !== undefined && doneMs !== null && doneMs !== seenMs)
    throw new StaleActionError('done elsewhere', { atMs: doneMs });
}

/** What a tick changes of the record of a task. */
function doneChange(
  { task: { title, coatId, scope } }: TaskRef,
  known: PrepRecord | undefined,
  doneMs: number,
  { result, method = null }: Doing,
): Change {
  return {
    log: known?.state === 'done' ? 'prep redone' : 'prep done',
    text: result ? `${title}: ${result}` : title,
    change: {
      ...{ title, coatId: coatId === null ? null : asId<'coat'>(coatId), scope, method },
      ...{ state: 'done', doneMs, reason: '', result: result ?? null },
    },
    figures: { doneMs },
  };
}

/**
 * A task is done, or done again.
 * @throws StaleActionError when it is said to be done in the future, or was ticked elsewhere since the user looked
 */
export async function doTask(
  db: ShopDb,
  context: ActionContext,
  ref: TaskRef,
  doing: Doing = {},
): Promise<void> {
  const { doneMs = context.nowMs } = doing;
  if (doneMs > context.nowMs) throw new StaleActionError('done in the future');
  // That a layer was laid stands in its own row.
  if (ref.task.rule === 'layer') {
    const state = { at: 'laid', laidMs: doneMs, dryMs: null } as const;
    return changeLayer(db, context, layerIdOf(ref), { state });
  }
  if (ref.task.rule === 'put right')
    return repairDefect(db, context, asId(ref.task.key.slice('put right:'.length)));
  if (ref.task.rule === 'turn')
    return turnPiece(db, context, ref.pieceId, ref.task.up ?? undefined).then(() => undefined);
  return changeTask(db, context, ref, (known) => {
    refuseSeen(known?.state === 'done' ? known.doneMs : null, doing);
    return doneChange(ref, known, doneMs, doing);
  });
}

/**
 * Several tasks are done now, of one piece or of many: all of them in one act, or none.
 * @throws StaleActionError when one of them was ticked elsewhere since the user looked
 */
export function doTasks(
  db: ShopDb,
  context: ActionContext,
  all: readonly { readonly ref: TaskRef; readonly doing: Omit<Doing, 'doneMs'> }[],
): Promise<void> {
  return act(db, context, ['pieces', 'tasks'], async (w) => {
    for (const { ref, doing } of all) {
      const known = await db.tasks
        .where('pieceId')
        .equals(ref.pieceId)
        .filter((r) => r.key === ref.task.key)
        .first();
      refuseSeen(known?.state === 'done' ? known.doneMs : null, doing);
      const { log, text, change, figures = {} } = doneChange(ref, known, context.nowMs, doing);
      await w.put('tasks', { ...blank(context, ref), ...known, ...change });
      await w.log(log, { pieceId: ref.pieceId, coatId: coatOf(ref.task), text, figures });
    }
  });
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
