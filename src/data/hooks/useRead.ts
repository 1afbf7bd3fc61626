'use client';
import { liveQuery } from 'dexie';
import { startTransition, useEffect, useState } from 'react';
import { shopDb, type ShopDb } from '../db';

/** What a live read gave last, and why the newest one failed: what was read before stays. */
export interface LiveRead<T> {
  readonly value: T | null;
  readonly error: Error | null;
}

export const asError = (e: unknown): Error => (e instanceof Error ? e : new Error(String(e)));

/**
 * Reads from the shop and follows every tab's writes. A read that fails keeps what was read before.
 * @param read the query @param key what it depends on; another key reads anew
 */
export function useRead<T>(read: (db: ShopDb) => Promise<T>, key: string): LiveRead<T> {
  const [state, setState] = useState<LiveRead<T> & { readonly key: string }>({
    ...{ value: null, error: null, key },
  });
  useEffect(() => {
    const subscription = liveQuery(() => read(shopDb())).subscribe({
      // Drawn in slices: what was read may be long, and the page answers in between.
      next: (value) => startTransition(() => setState({ value, error: null, key })),
      error: (e) => setState((before) => ({ ...before, error: asError(e) })),
    });
    return () => subscription.unsubscribe();
    // The query is told by its key: a new function of the same query is no reason to read again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return state.key === key ? state : { value: null, error: null };
}
