import { useMemo } from 'react';
import { useRead } from '@/data/hooks';
import { entriesAbout } from '@/data/log';
import type { LogEntry } from '@/records';

/** Entries in which wet sessions were started, by session; null while they are read. */
export function useStarted(sessionIds: readonly string[]): ReadonlyMap<string, LogEntry> | null {
  const { value } = useRead(
    async (db) =>
      (await entriesAbout(db, { sessionIds })).filter((e) => e.kind === 'session started'),
    sessionIds.join(' '),
  );
  return useMemo(() => value && new Map(value.map((e) => [e.sessionId ?? '', e])), [value]);
}
