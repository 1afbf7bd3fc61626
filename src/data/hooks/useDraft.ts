'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { asId, type Id } from '@/records';
import { shopDb } from '../db';
import { dropDraft, keepDraft } from '../repos/drafts';

/** Typing rests so long before it is kept, ms. */
const REST_MS = 250;

/** A draft that was kept: null when there is none. */
export interface KeptDraft<T> {
  readonly value: T;
  readonly keptMs: number;
}

export interface DraftStore<T> {
  /** Undefined until the browser has answered. */
  readonly kept: KeptDraft<T> | null | undefined;
  /** Keeps what is typed now; soon, and at once when the page is hidden. */
  readonly keep: (value: T) => void;
  /** It was stored, or put back. */
  readonly drop: () => void;
}

/**
 * What is typed in a form, kept until it is stored or put back: over stages, a reload and a crash.
 * @param key what the draft is of @param pieceId the piece that it is about, if there is one
 */
export function useDraft<T>(key: string, pieceId: Id<'piece'> | null): DraftStore<T> {
  const id = asId<'draft'>(key);
  const [read, setRead] = useState<{ key: string; kept: KeptDraft<T> | null }>();
  useEffect(() => {
    let gone = false;
    const told = (kept: KeptDraft<T> | null) => !gone && setRead({ key, kept });
    shopDb()
      .drafts.get(asId<'draft'>(key))
      .then((row) => told(row ? { value: JSON.parse(row.json) as T, keptMs: row.keptMs } : null))
      // A draft that cannot be read is none; the form starts from what is stored.
      .catch(() => told(null));
    return () => {
      gone = true;
    };
  }, [key]);
  const waiting = useRef<{ timer: ReturnType<typeof setTimeout>; write: () => void } | null>(null);
  const flush = useCallback(() => {
    const { timer, write } = waiting.current ?? {};
    waiting.current = null;
    clearTimeout(timer);
    write?.();
  }, []);
  useEffect(() => {
    window.addEventListener('pagehide', flush);
    document.addEventListener('visibilitychange', flush);
    return () => {
      window.removeEventListener('pagehide', flush);
      document.removeEventListener('visibilitychange', flush);
      flush();
    };
  }, [flush]);
  const keep = useCallback(
    (value: T) => {
      clearTimeout(waiting.current?.timer);
      const write = () =>
        // What cannot be kept is still in the form.
        void keepDraft(shopDb(), {
          ...{ id, pieceId, keptMs: Date.now(), json: JSON.stringify(value) },
        }).catch(() => undefined);
      waiting.current = { timer: setTimeout(flush, REST_MS), write };
    },
    [flush, id, pieceId],
  );
  const drop = useCallback(() => {
    clearTimeout(waiting.current?.timer);
    waiting.current = null;
    void dropDraft(shopDb(), id).catch(() => undefined);
  }, [id]);
  const kept = read?.key === key ? read.kept : undefined;
  return useMemo(() => ({ kept, keep, drop }), [kept, keep, drop]);
}
