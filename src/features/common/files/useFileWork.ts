'use client';
import { useEffect, useRef, useState } from 'react';
import type { ComputeOptions } from '@/workers/client';

export interface FileWork {
  /** What is being done, and how much of it, 0–1; null: nothing. */
  readonly busy: { readonly what: string; readonly share: number } | null;
  /** Why the last one failed; empty: it did not. */
  readonly trouble: string;
  /** Does one thing at a time; gives back whether it came to its end. What is only read ends when its page is left. */
  readonly run: (
    what: string,
    work: (options: ComputeOptions) => Promise<void>,
    is?: 'reading' | 'writing',
  ) => Promise<boolean>;
  readonly stop: () => void;
}

const isStopped = (error: unknown) => error instanceof Error && error.name === 'AbortError';

/** Null for what a hand stopped; every other failure stays one. */
export const unlessStopped = <T>(work: Promise<T>): Promise<T | null> =>
  work.catch((error: unknown) => {
    if (isStopped(error)) return null;
    throw error;
  });

/** Long work with files: it shows how far it is, can be stopped, and what goes wrong is told where it was begun. */
export function useFileWork(): FileWork {
  const [busy, setBusy] = useState<FileWork['busy']>(null);
  const [trouble, setTrouble] = useState('');
  const under = useRef<{ readonly control: AbortController; readonly writes: boolean } | null>(
    null,
  );
  useEffect(() => () => void (under.current?.writes || under.current?.control.abort()), []);
  const run: FileWork['run'] = async (what, work, is = 'reading') => {
    if (under.current) return false;
    const control = new AbortController();
    under.current = { control, writes: is === 'writing' };
    setTrouble('');
    setBusy({ what, share: 0 });
    try {
      await work({
        signal: control.signal,
        onProgress: (share) => setBusy({ what, share }),
      });
      return true;
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      if (!isStopped(error)) setTrouble(`${what} did not work: ${reason}. Nothing was changed.`);
      return false;
    } finally {
      under.current = null;
      setBusy(null);
    }
  };
  return { busy, trouble, run, stop: () => under.current?.control.abort() };
}
