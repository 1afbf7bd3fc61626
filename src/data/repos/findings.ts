import type { EvidenceCode, RescueKind } from '@/core/inspect';
import type { DefectKind } from '@/core/piece';
import {
  DEFECTS,
  NOT_LOOKED,
  type Coat,
  type Defect,
  type DefectLook,
  type Id,
  type LaterLook,
  type Photo,
} from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext, type Writer } from '../write';
import { coatRows, pieceRows, TABLES } from './coats';
import { newCoats, type NewCoat } from './newCoats';
import { ownRecord, type NewTask } from './ownSteps';

export interface DefectNote {
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  /** Where it is; left out where nobody pointed. */
  readonly at?: Defect['at'];
  readonly look?: DefectLook;
  readonly photo: Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'blob'> | null;
}

async function putPhoto(
  w: Writer,
  { pieceId, id: defectId }: Pick<Defect, 'pieceId' | 'id'>,
  photo: NonNullable<DefectNote['photo']>,
): Promise<void> {
  const { newId, nowMs: takenMs } = w.context;
  await w.put('photos', { ...photo, id: newId<'photo'>(), pieceId, defectId, takenMs });
  await w.log('photo added', { pieceId, text: photo.name });
}

/** Notes findings of one look, the photo with the first of them. Returns their ids. */
export function noteDefects(
  db: ShopDb,
  context: ActionContext,
  noted: readonly DefectNote[],
): Promise<Id<'defect'>[]> {
  return act(db, context, ['defects', 'photos'], async (w) => {
    const ids: Id<'defect'>[] = [];
    for (const { photo, at = null, look = NOT_LOOKED, ...rest } of noted) {
      const own = { ...rest, at, look, id: context.newId<'defect'>(), foundMs: context.nowMs };
      const defect: Defect = { ...DEFECTS.defaults, ...own };
      await w.put('defects', defect);
      const { pieceId, coatId } = defect;
      const figures = {
        ...(look.count !== null && { count: look.count }),
        ...(look.sizeM !== null && { sizeM: look.sizeM }),
        ...(look.depthM !== null && { depthM: look.depthM }),
      };
      const text = [defect.kind, defect.note].filter(Boolean).join(': ');
      await w.log('defect noted', { pieceId, coatId, text, figures });
      if (photo) await putPhoto(w, defect, photo);
      ids.push(defect.id);
    }
    return ids;
  });
}

/** Notes a defect, with its photo when there is one. */
export async function noteDefect(
  db: ShopDb,
  context: ActionContext,
  noted: DefectNote,
): Promise<Id<'defect'>> {
  const [id] = await noteDefects(db, context, [noted]);
  if (id === undefined) throw new Error('noteDefect: nothing was noted');
  return id;
}

/** @throws StaleActionError when it is gone */
async function foundDefect(db: ShopDb, defectId: Id<'defect'>): Promise<Defect> {
  const defect = await db.defects.get(defectId);
  if (!defect) throw new StaleActionError('finding gone');
  return defect;
}

/** It was put right by hand. */
export function repairDefect(
  db: ShopDb,
  context: ActionContext,
  defectId: Id<'defect'>,
): Promise<void> {
  return act(db, context, ['defects'], async (w) => {
    const defect = await db.defects.get(defectId);
    if (!defect || defect.repairedMs !== null)
      throw new StaleActionError('defect already repaired');
    await w.put('defects', { ...defect, repairedMs: context.nowMs });
    const { pieceId, coatId, kind } = defect;
    await w.log('defect repaired', { pieceId, coatId, text: kind });
  });
}

/** What a test on it found; the same test again replaces what it found before, and the log keeps both. */
export function answerTest(
  db: ShopDb,
  context: ActionContext,
  defectId: Id<'defect'>,
  test: EvidenceCode,
  so: boolean,
): Promise<void> {
  return act(db, context, ['defects'], async (w) => {
    const defect = await foundDefect(db, defectId);
    await w.put('defects', { ...defect, answers: { ...defect.answers, [test]: so } });
    const { pieceId, coatId, kind } = defect;
    const figures = { test, answer: so ? 'yes' : 'no' };
    await w.log('defect tested', { pieceId, coatId, text: kind, figures });
  });
}

/** A later look: gone closes it, still there opens it again. */
export function lookAgain(
  db: ShopDb,
  context: ActionContext,
  defectId: Id<'defect'>,
  found: LaterLook,
): Promise<void> {
  return act(db, context, ['defects'], async (w) => {
    const defect = await foundDefect(db, defectId);
    const gone = found === 'gone';
    await w.put('defects', {
      ...defect,
      looks: [...defect.looks, { atMs: context.nowMs, found }],
      repairedMs: gone ? (defect.repairedMs ?? context.nowMs) : null,
    });
    const { pieceId, coatId, kind } = defect;
    await w.log('defect looked at', { pieceId, coatId, text: kind, figures: { found } });
  });
}

/** The whole piece was looked over in raking light, and nothing is wrong. */
export function noteCleanLook(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  coatId: Id<'coat'> | null,
  looks: number,
): Promise<void> {
  return act(db, context, [], async (w) => {
    await w.log('looked clean', { pieceId, coatId, figures: { looks } });
  });
}

/** What a rescue puts on the plan of its piece. */
export interface RescuePlan {
  readonly kind: RescueKind;
  readonly coats: readonly NewCoat[];
  readonly steps: readonly NewTask[];
}

/**
 * Chooses a way back: its coats and its steps go on the plan, linked to the finding.
 * @throws StaleActionError when one was chosen already, or a coat above is being mixed
 */
export function chooseRescue(
  db: ShopDb,
  context: ActionContext,
  defectId: Id<'defect'>,
  plan: RescuePlan,
): Promise<void> {
  return act(db, context, [...TABLES, 'defects'], async (w) => {
    const defect = await foundDefect(db, defectId);
    if (defect.rescue) throw new StaleActionError('rescue chosen already');
    const { pieceId, coatId } = defect;
    const rows = await pieceRows(db, pieceId);
    // It goes on what lies, below all that is only planned.
    const { added, lifted } = newCoats(context, rows.coats, plan.coats);
    for (const row of coatRows(rows, [...lifted, ...added])) await w.put('coats', row);
    for (const { id, name, thicknessM } of added)
      await w.log('coat planned', { pieceId, coatId: id, text: name, figures: { thicknessM } });
    const last = Math.max(-1, ...rows.tasks.map((r) => r.own?.turn ?? -1));
    const first = added[0]?.id;
    const tasks = plan.steps.map((step, i) =>
      ownRecord(
        context,
        pieceId,
        first ? { ...step, on: { at: 'coat', coatId: first } } : step,
        last + 1 + i,
      ),
    );
    for (const row of tasks) await w.put('tasks', row);
    for (const { title } of tasks) await w.log('prep added', { pieceId, text: title });
    const chosen = { kind: plan.kind, chosenMs: context.nowMs };
    const [coatIds, taskIds] = [added.map((c) => c.id), tasks.map((t) => t.id)];
    await w.put('defects', { ...defect, rescue: { ...chosen, coatIds, taskIds } });
    await w.log('rescue chosen', { pieceId, coatId, text: `${defect.kind}: ${plan.kind}` });
  });
}

const notPoured = (coat: Coat | undefined): coat is Coat => coat !== undefined && !coat.batchId;

/**
 * Takes a chosen way back off again, with its coats and its steps, as long as nothing of it was done.
 * @throws StaleActionError when a coat of it is mixed or poured, or a step of it was done
 */
export function dropRescue(
  db: ShopDb,
  context: ActionContext,
  defectId: Id<'defect'>,
): Promise<void> {
  return act(db, context, [...TABLES, 'defects'], async (w) => {
    const defect = await foundDefect(db, defectId);
    const { rescue, pieceId, coatId } = defect;
    if (!rescue) throw new StaleActionError('finding gone');
    const rows = await pieceRows(db, pieceId);
    const own = rows.coats.filter((c) => rescue.coatIds.includes(c.id));
    const steps = rows.tasks.filter((t) => rescue.taskIds.includes(t.id));
    if (!own.every(notPoured) || steps.some((t) => t.state !== 'open'))
      throw new StaleActionError('rescue begun');
    const next = rows.coats.filter((c) => !rescue.coatIds.includes(c.id));
    for (const { id, name } of own) {
      await db.coats.delete(id);
      await w.log('coat removed', { pieceId, coatId: id, text: name });
    }
    for (const row of coatRows(rows, next)) await w.put('coats', row);
    for (const { id, title } of steps) {
      await db.tasks.delete(id);
      await w.log('prep removed', { pieceId, text: title });
    }
    await w.put('defects', { ...defect, rescue: null });
    await w.log('rescue dropped', { pieceId, coatId, text: `${defect.kind}: ${rescue.kind}` });
  });
}
