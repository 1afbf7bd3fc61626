'use client';
import { useState } from 'react';
import { useRead, type LiveRead } from '@/data/hooks';
import { countLog, newestOf } from '@/data/log';
import type { LogEntry } from '@/records';

/** What of the log is looked at. An entry that undoes another is newer than it, so it is among them too. */
export interface LogRead {
  /** Newest first. */
  readonly entries: readonly LogEntry[];
  readonly total: number;
}

/**
 * The newest entries of the log; all of them while there is something to search for. While more are read, what was
 * read before stays.
 * @param newest how many
 */
export function useLog(newest: number, searching: boolean): LiveRead<LogRead> {
  const [last, setLast] = useState<LogRead | null>(null);
  const { value, error } = useRead(
    async (db): Promise<LogRead> => {
      const [entries, total] = await Promise.all([
        newestOf(db, searching ? Infinity : newest),
        countLog(db),
      ]);
      return { entries, total };
    },
    searching ? 'all' : `newest ${newest}`,
  );
  if (value && value !== last) setLast(value);
  return { value: value ?? last, error };
}
