'use client';
import { useState } from 'react';
import { useRead, type LiveRead } from '@/data/hooks';
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
      const log = db.log.orderBy('seq').reverse();
      const [entries, total] = await Promise.all([
        (searching ? log : log.limit(newest)).toArray(),
        db.log.count(),
      ]);
      return { entries, total };
    },
    searching ? 'all' : `newest ${newest}`,
  );
  if (value && value !== last) setLast(value);
  return { value: value ?? last, error };
}
