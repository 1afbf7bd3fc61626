import type { Shape } from '@/core/geometry';
import type { ShopDb } from '../db';
import type {
  Area,
  Coat,
  Defect,
  DefectKind,
  EdgeKind,
  Id,
  LogEntry,
  Photo,
  Piece,
  Resin,
  Settings,
  Support,
} from '../records/types';
import { act, type ActionContext } from '../write';
import { StaleActionError } from './wet';

export interface Survey {
  readonly name: string;
  readonly count: number;
  readonly support: Support;
  readonly note: string;
  readonly shape: Shape;
  readonly edgeHeightM: number;
  readonly edgeKinds: readonly EdgeKind[];
}

/** Adds a piece with its face. Returns the piece's id. */
export function addPiece(db: ShopDb, context: ActionContext, survey: Survey): Promise<Id<'piece'>> {
  return act(db, context, ['pieces', 'areas'], async (w) => {
    const { name, count, support, note, shape, edgeHeightM, edgeKinds } = survey;
    const piece: Piece = {
      id: context.newId(),
      name,
      count,
      support,
      note,
      createdMs: context.nowMs,
    };
    await w.put('pieces', piece);
    await w.put('areas', {
      id: context.newId(),
      pieceId: piece.id,
      name: 'Face',
      shape,
      edgeHeightM,
      edgeKinds,
    });
    await w.log('piece added', { pieceId: piece.id, text: name });
    return piece.id;
  });
}

/** Saves a piece's survey: the piece and its face. */
export function changePiece(
  db: ShopDb,
  context: ActionContext,
  piece: Piece,
  area: Area,
): Promise<void> {
  return act(db, context, ['pieces', 'areas'], async (w) => {
    await w.put('pieces', piece);
    await w.put('areas', area);
    await w.log('piece changed', { pieceId: piece.id, text: piece.name });
  });
}

/** Plans a coat on top of those there are. Returns its id. */
export function planCoat(
  db: ShopDb,
  context: ActionContext,
  plan: Omit<Coat, 'id' | 'order' | 'batchId' | 'pouredMs' | 'coveredMs' | 'history'>,
): Promise<Id<'coat'>> {
  return act(db, context, ['coats'], async (w) => {
    const below = await db.coats.where('pieceId').equals(plan.pieceId).toArray();
    const coat: Coat = {
      ...plan,
      id: context.newId(),
      order: Math.max(0, ...below.map((c) => c.order)) + 1,
      batchId: null,
      pouredMs: null,
      coveredMs: null,
      history: [],
    };
    await w.put('coats', coat);
    await w.log('coat planned', {
      pieceId: plan.pieceId,
      coatId: coat.id,
      text: plan.name,
      figures: { thicknessM: plan.thicknessM },
    });
    return coat.id;
  });
}

/** Changes a coat that is still planned. */
export function changeCoat(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  change: Partial<Pick<Coat, 'thicknessM' | 'name' | 'reserve' | 'resinId' | 'restS' | 'kind'>>,
): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    if (!coat || coat.batchId !== null)
      throw new StaleActionError('Only a planned coat can be changed.');
    const next = { ...coat, ...change };
    await w.put('coats', next);
    await w.log('coat changed', {
      pieceId: coat.pieceId,
      coatId,
      text: next.name,
      figures: { thicknessM: next.thicknessM },
    });
  });
}

/** Takes a planned coat off the plan. */
export function removeCoat(db: ShopDb, context: ActionContext, coatId: Id<'coat'>): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    if (!coat || coat.batchId !== null)
      throw new StaleActionError('Only a planned coat can be removed.');
    await db.coats.delete(coatId);
    await w.log('coat removed', { pieceId: coat.pieceId, text: coat.name });
  });
}

/** The room around a curing coat is warmer or colder from an instant on; all its windows move. */
export function noteTemperature(
  db: ShopDb,
  context: ActionContext,
  coatId: Id<'coat'>,
  step: Coat['history'][number],
): Promise<void> {
  return act(db, context, ['coats'], async (w) => {
    const coat = await db.coats.get(coatId);
    if (!coat || coat.pouredMs === null)
      throw new StaleActionError('This coat has not been poured.');
    const kept = coat.history.filter((s) => s.fromMs !== step.fromMs);
    const history = [...kept, step].sort((a, b) => a.fromMs - b.fromMs);
    await w.put('coats', { ...coat, history });
    await w.log('room temperature', {
      pieceId: coat.pieceId,
      coatId,
      text: coat.name,
      figures: { temperatureK: step.temperatureK, fromMs: step.fromMs },
    });
  });
}

export interface DefectNote {
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  readonly photo: Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'blob'> | null;
}

/** Notes a defect, with its photo when there is one. */
export function noteDefect(
  db: ShopDb,
  context: ActionContext,
  noted: DefectNote,
): Promise<Id<'defect'>> {
  return act(db, context, ['defects', 'photos'], async (w) => {
    const { photo, ...rest } = noted;
    const defect: Defect = {
      ...rest,
      id: context.newId(),
      foundMs: context.nowMs,
      repairedMs: null,
    };
    await w.put('defects', defect);
    await w.log('defect noted', {
      pieceId: defect.pieceId,
      coatId: defect.coatId,
      text: [defect.kind, defect.note].filter(Boolean).join(': '),
    });
    if (photo) {
      const { pieceId, id: defectId } = defect;
      await w.put('photos', {
        ...photo,
        id: context.newId(),
        pieceId,
        defectId,
        takenMs: context.nowMs,
      });
      await w.log('photo added', { pieceId, text: photo.name });
    }
    return defect.id;
  });
}

export function repairDefect(
  db: ShopDb,
  context: ActionContext,
  defectId: Id<'defect'>,
): Promise<void> {
  return act(db, context, ['defects'], async (w) => {
    const defect = await db.defects.get(defectId);
    if (!defect || defect.repairedMs !== null)
      throw new StaleActionError('This defect is already repaired.');
    await w.put('defects', { ...defect, repairedMs: context.nowMs });
    await w.log('defect repaired', {
      pieceId: defect.pieceId,
      coatId: defect.coatId,
      text: defect.kind,
    });
  });
}

export function saveResin(db: ShopDb, context: ActionContext, resin: Resin): Promise<void> {
  return act(db, context, ['resins'], async (w) => {
    const known = await db.resins.get(resin.id);
    await w.put('resins', resin);
    await w.log(known ? 'resin changed' : 'resin added', { text: resin.name });
  });
}

/** Settings are not a wet action and not part of the log. */
export function saveSettings(
  db: ShopDb,
  context: ActionContext,
  settings: Settings,
): Promise<void> {
  return act(db, context, ['settings'], (w) => w.put('settings', settings));
}

/** Adds a note, or a correction of an earlier entry, to the log. */
export function writeLogNote(
  db: ShopDb,
  context: ActionContext,
  text: string,
  about: LogEntry | null,
): Promise<void> {
  return act(db, context, [], async (w) => {
    const { pieceId = null, coatId = null, batchId = null, sessionId = null } = about ?? {};
    const aboutId = about?.id ?? null;
    await w.log(about ? 'correction' : 'note', {
      text,
      pieceId,
      coatId,
      batchId,
      sessionId,
      aboutId,
    });
  });
}
