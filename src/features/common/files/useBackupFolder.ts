'use client';
import { useEffect, useSyncExternalStore } from 'react';
import { canKeepFolder, chooseFolder, dropFolder, keptFolder, leaveFor } from '@/data/backupFolder';
import type { Folder, Leave } from '@/data/backupFolder';

export interface BackupFolder {
  /** The folder; null: none was chosen, undefined: the browser has not told yet. */
  readonly folder: Folder | null | undefined;
  readonly leave: Leave;
  /** Why the last write or choice failed; empty: it did not. */
  readonly trouble: string;
}

let state: BackupFolder = { folder: undefined, leave: 'prompt', trouble: '' };
const listeners = new Set<() => void>();
const NOTHING: BackupFolder = { folder: null, leave: 'denied', trouble: '' };

/** Tells every place that shows the folder. */
export function setBackupFolder(change: Partial<BackupFolder>): void {
  state = { ...state, ...change };
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

const words = (error: unknown) => (error instanceof Error ? error.message : String(error));
const showing = async (folder: Folder | null, ask = false) =>
  setBackupFolder({
    folder,
    leave: folder ? await leaveFor(folder, ask) : 'prompt',
    trouble: '',
  });

const tell = (work: Promise<void>) =>
  void work.catch((e: unknown) => setBackupFolder({ trouble: words(e) }));

/** Lets the user choose the folder; what was chosen stays when it is left. */
export const pickBackupFolder = () =>
  tell(chooseFolder().then((folder) => (folder ? showing(folder, true) : undefined)));
/** Asks the browser for leave again, after a tap: it forgets it when it is closed. */
export const allowBackupFolder = () => {
  if (state.folder) tell(showing(state.folder, true));
};
export const dropBackupFolder = () => tell(dropFolder().then(() => showing(null)));

let asked = false;

/** The folder into which backups go by themselves; the same for every place that asks. */
export function useBackupFolder(): BackupFolder {
  useEffect(() => {
    if (asked || !canKeepFolder()) return;
    asked = true;
    // A browser that keeps nothing has no folder, and says so by showing none.
    keptFolder().then(showing, () => setBackupFolder({ folder: null }));
  }, []);
  return useSyncExternalStore(
    subscribe,
    () => state,
    () => NOTHING,
  );
}
