import type { ShopDb } from '../db';
import { DEFAULT_SETTINGS, type Id, type LogEntry, type Resin, type Settings } from '@/records';
import { act, type ActionContext } from '../write';
import { refuseConflicts } from '../based';
import { StaleActionError } from '../errors';
import { mergeRecord, type Based } from '../merge';

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
export type BenchSettings = Pick<
  Settings,
  'sound' | 'scale' | 'look' | 'hours' | 'benchLook' | 'cupM3' | 'losses' | 'hourly'
>;
export const benchSettings = ({
  sound,
  scale,
  look,
  hours,
  benchLook,
  cupM3,
  losses,
  hourly,
}: Settings): BenchSettings => ({
  ...{ sound, scale, look, hours, benchLook, cupM3, losses, hourly },
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
