import { refuseConflicts } from '../based';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { mergeRecord, mergeRows, type Based } from '../merge';
import type { Support } from '@/core/piece';
import type { Area, Coat, Defect, Id, Layer, Photo, Piece, TableName } from '@/records';
import { placedAreas } from '@/shop/placed';
import { followPlaces } from '@/shop/followPlaces';
import { act, type ActionContext, type Writer } from '../write';
import { coatRows, pieceRows } from './coats';
import { without } from './without';

const SURVEY_TABLES = [
  ...['pieces', 'areas', 'coats', 'layers', 'tasks', 'resins', 'defects', 'photos', 'room'],
] as TableName[];

export interface Survey {
  readonly name: string;
  readonly count: number;
  readonly support: Support;
  readonly note: string;
  readonly job: string;
  readonly dueMs: number | null;
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
): Area[] => placedAreas(areas).map((area) => ({ ...area, id: area.id ?? newId(), pieceId }));

/** The survey as the records have it. */
export const surveyOf = (piece: Piece, areas: readonly Area[]): Survey => {
  const { name, count, support, note, job, dueMs, use, marks, level, bellyM } = piece;
  return {
    ...{ name, count, support, note, job, dueMs, use, marks, level, bellyM },
    areas: areas.map((area) => without(area, 'pieceId')),
  };
};

/** What was surveyed here brought together with what was saved elsewhere since. */
function mergedSurvey(
  mine: Survey,
  theirs: Survey,
  { base, read = base, prefer = null }: Based<Survey>,
): Survey {
  const told = (s: Survey) => without(s, 'areas');
  const piece = mergeRecord(told(mine), told(theirs), {
    ...{ base: told(base), read: told(read), prefer },
  });
  const areas = mergeRows(mine.areas, theirs.areas, {
    ...{ base: base.areas, read: read.areas, prefer },
  });
  refuseConflicts([...piece.conflicts, ...areas.conflicts]);
  return { ...piece.value, areas: areas.value };
}

/** Writes a new piece with its areas and photos, and its entry of the log. */
async function putPiece(
  w: Writer,
  context: ActionContext,
  { areas, ...told }: Survey,
  photos: readonly NewPhoto[],
): Promise<Id<'piece'>> {
  const piece: Piece = {
    ...told,
    id: context.newId(),
    createdMs: context.nowMs,
    prep: {},
    up: 'front',
    turnedMs: null,
    closedMs: null,
  };
  await w.put('pieces', piece);
  for (const row of areaRows(context, piece.id, areas)) await w.put('areas', row);
  for (const row of photoRows(context, piece.id, photos)) await w.put('photos', row);
  await w.log('piece added', { pieceId: piece.id, text: piece.name });
  return piece.id;
}

/** Adds a piece with its areas, and the photos they were traced from. Returns the piece's id. */
export const addPiece = (
  db: ShopDb,
  context: ActionContext,
  survey: Survey,
  photos: readonly NewPhoto[] = [],
): Promise<Id<'piece'>> =>
  act(db, context, ['pieces', 'areas', 'photos'], (w) => putPiece(w, context, survey, photos));

/** Adds the pieces of a list: all of them or none. */
export const addPieces = (
  db: ShopDb,
  context: ActionContext,
  surveys: readonly Survey[],
): Promise<void> =>
  act(db, context, ['pieces', 'areas'], async (w) => {
    for (const survey of surveys) await putPiece(w, context, survey, []);
  });

/**
 * A piece like another one: its survey, and its coats and layers as a plan. Pictures stay with the first.
 * @returns the new piece's id
 * @throws StaleActionError when the piece is gone
 */
export function duplicatePiece(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  name: string,
): Promise<Id<'piece'>> {
  return act(db, context, SURVEY_TABLES, async (w) => {
    const { piece, areas, coats, layers } = await pieceRows(db, pieceId);
    const fresh = new Map<string, string>();
    const renamed = <I extends string>(id: I): I => {
      const known = fresh.get(id) ?? context.newId();
      fresh.set(id, known);
      return known as I;
    };
    const copy: Piece = {
      ...piece,
      ...{ id: renamed(piece.id), name: name.slice(0, 120) },
      ...{ createdMs: context.nowMs, level: null, up: 'front', turnedMs: null },
      // Its own story begins: it has not left, and is due when somebody says so.
      ...{ closedMs: null, dueMs: null },
    };
    await w.put('pieces', copy);
    // Faces come before the places that are part of them.
    for (const area of [...areas].sort(
      (a, b) => Number(a.partOf !== null) - Number(b.partOf !== null),
    ))
      await w.put('areas', {
        ...area,
        ...{ id: renamed(area.id), pieceId: copy.id },
        partOf: area.partOf && renamed(area.partOf),
        cuts: area.cuts.map((c) => ({ ...c, of: renamed(c.of), makes: renamed(c.makes) })),
        measured: area.measured.by === 'photo' ? { by: 'drawing' } : area.measured,
      });
    for (const coat of coats)
      await w.put('coats', {
        ...coat,
        ...{ id: renamed(coat.id), pieceId: copy.id, areaIds: coat.areaIds.map(renamed) },
        ...{
          batchId: null,
          mixedMs: null,
          pouredMs: null,
          coveredMs: null,
          learned: null,
          touches: [],
        },
      });
    for (const layer of layers)
      await w.put('layers', {
        ...layer,
        ...{ id: renamed(layer.id), pieceId: copy.id, areaIds: layer.areaIds.map(renamed) },
        over: layer.over && renamed(layer.over),
        state: layer.state.at === 'laid' ? { at: 'planned' } : layer.state,
      });
    await w.log('piece added', { pieceId: copy.id, text: `${copy.name}: like ${piece.name}` });
    return copy.id;
  });
}

/** A picture that belongs to a survey; its id is known before it is stored. */
export type NewPhoto = Omit<Photo, 'pieceId' | 'defectId' | 'takenMs'>;

const photoRows = (
  { nowMs }: ActionContext,
  pieceId: Id<'piece'>,
  photos: readonly NewPhoto[],
): Photo[] => photos.map((photo) => ({ ...photo, pieceId, defectId: null, takenMs: nowMs }));

/** A coat on the places that its areas were cut into, with what stays of it there; null where it cannot follow. */
function coatOn(coat: Coat, before: readonly Area[], after: readonly Area[]): Coat | null {
  const on = followPlaces(coat.areaIds, before, after);
  if (!on || on.length === 0) return null;
  if (on.length === coat.areaIds.length && on.every(({ id }) => coat.areaIds.includes(id)))
    return coat;
  const staysM = on.map(({ was }) => coat.staysM[coat.areaIds.indexOf(was)] ?? coat.thicknessM);
  return { ...coat, areaIds: on.map(({ id }) => id), staysM };
}

function layerOn(layer: Layer, before: readonly Area[], after: readonly Area[]): Layer | null {
  const on = followPlaces(layer.areaIds, before, after);
  if (!on || on.length === 0) return null;
  return on.length === layer.areaIds.length && on.every(({ id }) => layer.areaIds.includes(id))
    ? layer
    : { ...layer, areaIds: on.map(({ id }) => id) };
}

/** A finding on the place that its area became; without a place where there is none. */
function findingOn(defect: Defect, before: readonly Area[], after: readonly Area[]): Defect {
  const { at } = defect;
  if (!at || after.some((a) => a.id === at.areaId)) return defect;
  const [on] = followPlaces([at.areaId], before, after) ?? [];
  return { ...defect, at: on ? { ...at, areaId: on.id } : null };
}

/**
 * Saves a piece's survey. Areas that are gone from it are deleted; one that a coat lies or is planned on
 * must stay. Pictures that no area names any more go as well.
 * @param based what it was made from: what others changed since is kept
 * @returns the survey as it is stored now
 * @throws StaleActionError when the piece is gone or a needed area would go; ActionError `conflict`
 */
export function changeSurvey(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  survey: Survey,
  photos: readonly NewPhoto[] = [],
  based: Based<Survey> | null = null,
): Promise<Survey> {
  return act(db, context, SURVEY_TABLES, async (w) => {
    const piece = await db.pieces.get(pieceId);
    if (!piece) throw new StaleActionError('piece gone');
    const before = await db.areas.where('pieceId').equals(pieceId).toArray();
    const { areas, ...told } = based
      ? mergedSurvey(survey, surveyOf(piece, before), based)
      : survey;
    const gone = before.filter((a) => !areas.some((b) => b.id === a.id));
    const coats = await db.coats.where('pieceId').equals(pieceId).toArray();
    const layers = await db.layers.where('pieceId').equals(pieceId).toArray();
    const stored = areaRows(context, pieceId, areas);
    const refuse = () => {
      throw new StaleActionError('area needed', { name: gone[0]?.name ?? told.name });
    };
    const moved = coats.map((c) => coatOn(c, before, stored) ?? refuse());
    const movedLayers = layers.map((l) => layerOn(l, before, stored) ?? refuse());
    await db.areas.bulkDelete(gone.map((a) => a.id));
    await w.put('pieces', { ...piece, ...told });
    for (const row of photoRows(context, pieceId, photos)) await w.put('photos', row);
    for (const row of stored) await w.put('areas', row);
    const named = new Set(areas.flatMap(photosOf));
    await db.photos.bulkDelete(before.flatMap(photosOf).filter((id) => !named.has(id)));
    const findings = await db.defects.where('pieceId').equals(pieceId).toArray();
    for (const row of findings.map((d) => findingOn(d, before, stored)))
      if (!findings.includes(row)) await w.put('defects', row);
    for (const row of movedLayers.filter((l) => !layers.includes(l))) await w.put('layers', row);
    for (const row of moved.filter((c) => !coats.includes(c))) await w.put('coats', row);
    const rows = await pieceRows(db, pieceId);
    for (const row of coatRows(rows, rows.coats)) await w.put('coats', row);
    await w.log('piece changed', { pieceId, text: told.name });
    return surveyOf({ ...piece, ...told }, stored);
  });
}

/** The pictures that an area was traced from. */
const photosOf = ({ measured }: Pick<Area, 'measured'>): Id<'photo'>[] =>
  measured.by === 'photo' ? [measured.photoId, measured.planPhotoId] : [];
