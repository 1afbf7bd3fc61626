import type { ShopDb } from '../db';
import type { DefectKind } from '@/core/piece';
import {
  DEFAULT_SETTINGS,
  type Defect,
  type Id,
  type LogEntry,
  type Photo,
  type Resin,
  type Settings,
} from '@/records';
import { act, type ActionContext } from '../write';
import { refuseConflicts } from '../based';
import { StaleActionError } from '../errors';
import { mergeRecord, type Based } from '../merge';

export interface DefectNote {
  readonly pieceId: Id<'piece'>;
  readonly coatId: Id<'coat'> | null;
  readonly kind: DefectKind;
  readonly note: string;
  /** Where it is; left out where nobody pointed. */
  readonly at?: Defect['at'];
  readonly photo: Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'blob'> | null;
}

/** Notes a defect, with its photo when there is one. */
export function noteDefect(
  db: ShopDb,
  context: ActionContext,
  noted: DefectNote,
): Promise<Id<'defect'>> {
  return act(db, context, ['defects', 'photos'], async (w) => {
    const { photo, at = null, ...rest } = noted;
    const defect: Defect = {
      ...{ ...rest, at },
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
        id: context.newId<'photo'>(),
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
      throw new StaleActionError('defect already repaired');
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
): Promise<Resin> {
  return act(db, context, ['resins'], async (w) => {
    const known = await db.resins.get(resin.id);
    const merged = known && based ? mergeRecord(resin, known, based) : null;
    refuseConflicts(merged?.conflicts ?? []);
    const stored = merged?.value ?? resin;
    await w.put('resins', stored);
    await w.log(known ? 'resin changed' : 'resin added', { text: resin.name });
    return stored;
  });
}

/**
 * Settings are not a wet action and not part of the log. What others changed since `based` is kept.
 * @throws ActionError `conflict`
 */
export function saveSettings(
  db: ShopDb,
  context: ActionContext,
  mine: Settings,
  based: Based<Settings> | null = null,
): Promise<Settings> {
  return act(db, context, ['settings'], async (w) => {
    const known = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
    const merged = based ? mergeRecord(mine, known, based) : null;
    refuseConflicts(merged?.conflicts ?? []);
    const settings = merged?.value ?? mine;
    await w.put('settings', settings);
    return settings;
  });
}

/** The device that reads the room is chosen, or let go. */
export function chooseSensor(
  db: ShopDb,
  context: ActionContext,
  sensor: Settings['sensor'],
): Promise<void> {
  return act(db, context, ['settings'], async (w) => {
    const known = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
    await w.put('settings', { ...known, sensor });
  });
}

/** What is chosen at the bench and not in the form of the settings: sound, scale, look, largest cup, losses that were accepted. */
export type BenchSettings = Pick<Settings, 'sound' | 'scale' | 'benchLook' | 'cupM3' | 'losses'>;
export const benchSettings = ({
  sound,
  scale,
  benchLook,
  cupM3,
  losses,
}: Settings): BenchSettings => ({
  ...{ sound, scale, benchLook, cupM3, losses },
});

export function chooseAtBench(
  db: ShopDb,
  context: ActionContext,
  change: Partial<BenchSettings>,
): Promise<void> {
  return act(db, context, ['settings'], async (w) => {
    const known = (await db.settings.get('shop')) ?? DEFAULT_SETTINGS;
    await w.put('settings', { ...known, ...change });
  });
}

/** What touches taught of a resin counts no more: another lot, another maker. Its coats keep what they were poured with. */
export function forgetLearned(
  db: ShopDb,
  context: ActionContext,
  resinId: Id<'resin'>,
): Promise<void> {
  return act(db, context, ['resins'], async (w) => {
    const resin = await db.resins.get(resinId);
    if (!resin) throw new StaleActionError('resin gone');
    await w.put('resins', { ...resin, learnsFromMs: context.nowMs });
    await w.log('resin changed', { text: `${resin.name}: what was learned is put aside` });
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
