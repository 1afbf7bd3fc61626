import { createStore, del, get, set } from 'idb-keyval';

/** What the browser says of a folder: it may be written, it asks first, or it was refused. */
export type Leave = 'granted' | 'prompt' | 'denied';

/** A folder of this machine, with the leave that TypeScript’s own types do not know yet (File System Access, WICG draft). */
export interface Folder extends FileSystemDirectoryHandle {
  queryPermission?(wanted: { mode: 'readwrite' }): Promise<Leave>;
  requestPermission?(wanted: { mode: 'readwrite' }): Promise<Leave>;
}
type Picker = (options: { id: string; mode: 'readwrite' }) => Promise<Folder>;

const KEY = 'folder';
/** Beside the shop: the way to a folder belongs to this machine, and is never in a file. */
const store = () => createStore('bilamina-backup', 'folder');

const picker = (): Picker | null =>
  typeof window !== 'undefined' && 'showDirectoryPicker' in window
    ? (window.showDirectoryPicker as Picker)
    : null;

/** Whether this browser lets a page write into a folder. */
export const canKeepFolder = (): boolean => picker() !== null;

/** Stands while a folder was chosen: without it nothing is opened, and nothing is made, to look for one. */
const CHOSEN = 'bilamina-backup';

/** The folder that was chosen on this machine; null: none. */
export const keptFolder = async (): Promise<Folder | null> =>
  canKeepFolder() && localStorage.getItem(CHOSEN) !== null
    ? ((await get<Folder>(KEY, store())) ?? null)
    : null;

/** Lets the user choose a folder. @returns null when it was left @throws what the browser says */
export async function chooseFolder(): Promise<Folder | null> {
  const pick = picker();
  if (!pick) return null;
  try {
    const folder = await pick.call(window, { id: 'backup', mode: 'readwrite' });
    await set(KEY, folder, store());
    localStorage.setItem(CHOSEN, 'yes');
    return folder;
  } catch (error) {
    if (error instanceof Error && error.name === 'AbortError') return null;
    throw error;
  }
}

/** Forgets the folder; what lies in it stays. */
export const dropFolder = (): Promise<void> => {
  localStorage.removeItem(CHOSEN);
  return del(KEY, store());
};

/** What may be done in the folder now; `ask`: the user has just tapped, and may be asked. */
export async function leaveFor(folder: Folder, ask = false): Promise<Leave> {
  const wanted = { mode: 'readwrite' } as const;
  const now = (await folder.queryPermission?.(wanted)) ?? 'granted';
  return now === 'granted' || !ask ? now : ((await folder.requestPermission?.(wanted)) ?? now);
}

/** Writes a file whole; one of that name is replaced only once the new one stands. @throws what the browser says */
export async function writeInto(folder: Folder, name: string, content: Blob): Promise<void> {
  const file = await folder.getFileHandle(name, { create: true });
  const into = await file.createWritable();
  try {
    await into.write(content);
    await into.close();
  } catch (error) {
    await into.abort().catch(() => undefined);
    throw error;
  }
}
