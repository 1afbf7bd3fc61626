import { useMemo } from 'react';
import { useRead } from '@/data/hooks';
import type { LogEntry } from '@/records';

/** Entries in which wet sessions were started, by session; null while they are read. */
export function useStarted(sessionIds: readonly string[]): ReadonlyMap<string, LogEntry> | null {
  const { value } = useRead(
    (db) =>
      db.log
        .where('sessionId')
        .anyOf([...sessionIds])
        .filter((e) => e.kind === 'session started')
        .toArray(),
    sessionIds.join(' '),
  );
  return useMemo(() => value && new Map(value.map((e) => [e.sessionId ?? '', e])), [value]);
}
