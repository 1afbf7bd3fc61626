import type { Shop } from '@/shop/shop';

const DAY_MS = 86_400_000;
/** A backup older than this is old. Judgement, no source: a week of work is what one would not do again. */
export const OLD_BACKUP_MS = 7 * DAY_MS;

export interface BackupWords {
  readonly text: string;
  readonly old: boolean;
}

/** Age of the last backup in words, and whether it is time for another. */
export function backupWords(lastMs: number | null, nowMs: number): BackupWords {
  if (lastMs === null) return { text: 'No backup was made yet.', old: true };
  const days = Math.floor(Math.max(0, nowMs - lastMs) / DAY_MS);
  const age = days === 0 ? 'less than a day' : days === 1 ? 'one day' : `${days} days`;
  return { text: `The last backup is ${age} old.`, old: nowMs - lastMs >= OLD_BACKUP_MS };
}

/** Words when a backup is due: the last is old, or own work of more than a day has none. Null otherwise. */
export function backupReminder(
  { settings, pieces }: Pick<Shop, 'settings' | 'pieces'>,
  nowMs: number,
): string | null {
  const { text, old } = backupWords(settings.lastBackupMs, nowMs);
  const since = settings.lastBackupMs ?? Math.min(...pieces.map((p) => p.createdMs + DAY_MS));
  return old && pieces.length > 0 && nowMs >= since ? text : null;
}

/** Bytes in the unit that suits them: `2.4 MB`. */
export function bytesText(bytes: number): string {
  const [value, unit] =
    bytes < 1e6 ? [bytes / 1e3, 'kB'] : bytes < 1e9 ? [bytes / 1e6, 'MB'] : [bytes / 1e9, 'GB'];
  return `${value < 10 ? value.toFixed(1) : value.toFixed(0)} ${unit}`;
}
