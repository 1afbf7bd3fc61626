'use client';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { shopDb } from '@/data/db';
import type { LogEntry } from '@/data/records/types';

/** The whole log, newest first; null while it is read. */
export function useLog(): readonly LogEntry[] | null {
  const [entries, setEntries] = useState<readonly LogEntry[] | null>(null);
  useEffect(() => {
    const subscription = liveQuery(() =>
      shopDb().log.orderBy('atMs').reverse().toArray(),
    ).subscribe({ next: setEntries });
    return () => subscription.unsubscribe();
  }, []);
  return entries;
}
