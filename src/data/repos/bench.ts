import type { ShopDb } from '../db';
import { coatRows, pieceRows } from './coats';
import {
  DEFAULT_SETTINGS,
  type Area,
  type Coat,
  type Defect,
  type DefectKind,
  type Id,
  type LogEntry,
  type Photo,
  type Piece,
  type Resin,
  type Settings,
  type Support,
} from '../records/types';
import { act, type ActionContext } from '../write';
import { ActionError, StaleActionError, type FieldConflict } from '../errors';
import { mergeRecord, mergeRows, type Prefer } from '../merge';

export interface Survey {
  readonly name: string;
  readonly count: number;
  readonly support: Support;
  readonly note: string;
  readonly use: Piece['use'];
  readonly marks: Piece['marks'];
  readonly level: Piece['level'];
  readonly bellyM: number;
  /** At least the face. An id of null is a new area. */
  readonly areas: readonly SurveyedArea[];
}

export type SurveyedArea = Omit<Area, 'id' | 'pieceId'> & { readonly id: Area['id'] | null };

/** Rows of a survey's areas. (A loop of its own over them would leave the transaction's zone.) */
const areaRows = (
  { newId }: ActionContext,
  pieceId: Id<'piece'>,
  areas: readonly SurveyedArea[],
): Area[] => areas.map((area) => ({ ...area, id: area.id ?? newId(), pieceId }));

/** What a change was made from, and which side wins where another changed the same field meanwhile. */
export interface Based<T> {
  readonly base: T;
  readonly prefer?: Prefer;
}

function refuseConflicts(fields: readonly FieldConflict[]): void {
  if (fields.length > 0) throw new ActionError('conflict', { fields });
}

/** The survey as the records have it. */
export const surveyOf = (piece: Piece, areas: readonly Area[]): Survey => {
  const { name, count, support, note, use, marks, level, bellyM } = piece;
  return {
    ...{ name, count, support, note, use, marks, level, bellyM },
    areas: areas.map(({ pieceId: _pieceId, ...area }) => area),
  };
};

/** What was surveyed here brought together with what was saved elsewhere since. */
function mergedSurvey(mine: Survey, theirs: Survey, { base, prefer }: Based<Survey>): Survey {
  const { areas: _mine, ...told } = mine;
  const { areas: _base, ...was } = base;
  const { areas: _theirs, ...now } = theirs;
  const piece = mergeRecord(was, told, now, prefer);
  const areas = mergeRows(base.areas, mine.areas, theirs.areas, prefer);
  refuseConflicts([...piece.conflicts, ...areas.conflicts]);
  return { ...piece.value, areas: areas.value };
}

/** Adds a piece with its areas, and the photos they were traced from. Returns the piece's id. */
export function addPiece(
  db: ShopDb,
  context: ActionContext,
  survey: Survey,
  photos: readonly NewPhoto[] = [],
): Promise<Id<'piece'>> {
  return act(db, context, ['pieces', 'areas', 'photos'], async (w) => {
    const { areas, ...told } = survey;
    const piece: Piece = { ...told, id: context.newId(), createdMs: context.nowMs, prep: {} };
    await w.put('pieces', piece);
    for (const row of areaRows(context, piece.id, areas)) await w.put('areas', row);
    for (const row of photoRows(context, piece.id, photos)) await w.put('photos', row);
    await w.log('piece added', { pieceId: piece.id, text: piece.name });
    return piece.id;
  });
}

/** A picture that belongs to a survey; its id is known before it is stored. */
export type NewPhoto = Omit<Photo, 'pieceId' | 'defectId' | 'takenMs'>;

const photoRows = (
  { nowMs }: ActionContext,
  pieceId: Id<'piece'>,
  photos: readonly NewPhoto[],
): Photo[] => photos.map((photo) => ({ ...photo, pieceId, defectId: null, takenMs: nowMs }));

/**
 * Saves a piece's survey. Areas that are gone from it are deleted; one that a coat lies or is planned on
 * must stay. Pictures that no area names any more go as well.
 * @param based what it was made from: what others changed since is kept
 * @throws StaleActionError when the piece is gone or a needed area would go; ActionError `conflict`
 */
export function changeSurvey(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  survey: Survey,
  photos: readonly NewPhoto[] = [],
  based: Based<Survey> | null = null,
): Promise<void> {
  return act(db, context, ['pieces', 'areas', 'coats', 'resins', 'photos'], async (w) => {
    const piece = await db.pieces.get(pieceId);
    if (!piece) throw new StaleActionError('This piece is no longer there.');
    const before = await db.areas.where('pieceId').equals(pieceId).toArray();
    const { areas, ...told } = based
      ? mergedSurvey(survey, surveyOf(piece, before), based)
      : survey;
    const gone = before.filter((a) => !areas.some((b) => b.id === a.id));
    const coats = await db.coats.where('pieceId').equals(pieceId).toArray();
    const needed = gone.find((a) => coats.some((c) => c.areaIds.includes(a.id)));
    if (needed)
      throw new StaleActionError(`${needed.name} cannot go: a coat lies or is planned on it.`);
    await db.areas.bulkDelete(gone.map((a) => a.id));
    await w.put('pieces', { ...piece, ...told });
    for (const row of photoRows(context, pieceId, photos)) await w.put('photos', row);
    for (const row of areaRows(context, pieceId, areas)) await w.put('areas', row);
    const named = new Set(areas.flatMap(photosOf));
    await db.photos.bulkDelete(before.flatMap(photosOf).filter((id) => !named.has(id)));
    const rows = await pieceRows(db, pieceId);
    for (const row of coatRows(rows, rows.coats)) await w.put('coats', row);
    await w.log('piece changed', { pieceId, text: told.name });
  });
}

/** The pictures that an area was traced from. */
const photosOf = ({ measured }: Pick<Area, 'measured'>): Id<'photo'>[] =>
  measured.by === 'photo' ? [measured.photoId, measured.planPhotoId] : [];

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

/**
 * Saves a data sheet; what others changed since `based` is kept.
 * @throws ActionError `conflict`
 */
export function saveResin(
  db: ShopDb,
  context: ActionContext,
  resin: Resin,
  based: Based<Resin> | null = null,
): Promise<void> {
  return act(db, context, ['resins'], async (w) => {
    const known = await db.resins.get(resin.id);
    const merged = known && based ? mergeRecord(based.base, resin, known, based.prefer) : null;
    refuseConflicts(merged?.conflicts ?? []);
    await w.put('resins', merged?.value ?? resin);
    await w.log(known ? 'resin changed' : 'resin added', { text: resin.name });
  });
}

/**
 * Settings are not a wet action and not part of the log; but the room's air is: a new reading of it goes
 * into the room's record, which every drying clock follows. What others changed since `based` is kept.
 * @throws ActionError `conflict`
 */
export function saveSettings(
  db: ShopDb,
  context: ActionContext,
  mine: Settings,
  based: Based<Settings> | null = null,
): Promise<void> {
  return act(db, context, ['settings', 'air'], async (w) => {
    const known = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
    const merged = based ? mergeRecord(based.base, mine, known, based.prefer) : null;
    refuseConflicts(merged?.conflicts ?? []);
    const settings = merged?.value ?? mine;
    await w.put('settings', settings);
    const { roomTemperatureK: temperatureK, roomHumidity: humidity } = settings;
    if (known.roomTemperatureK === temperatureK && known.roomHumidity === humidity) return;
    await w.put('air', { id: context.newId(), fromMs: context.nowMs, temperatureK, humidity });
    await w.log('air noted', { figures: { temperatureK, humidity } });
  });
}

/** The whole shop was saved to a file: the reminder begins anew. */
export function noteBackup(db: ShopDb, context: ActionContext): Promise<void> {
  return act(db, context, ['settings'], async (w) => {
    const known = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
    await w.put('settings', { ...known, lastBackupMs: context.nowMs });
  });
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
