'use client';
import { useEffect, useRef, useState } from 'react';
import type { ComputeOptions } from '@/workers/client';

export interface FileWork {
  /** What is being done, and how much of it, 0–1; null: nothing. */
  readonly busy: { readonly what: string; readonly share: number } | null;
  /** Why the last one failed; empty: it did not. */
  readonly trouble: string;
  /** Does one thing at a time; gives back whether it came to its end. */
  readonly run: (
    what: string,
    work: (options: ComputeOptions) => Promise<void>,
  ) => Promise<boolean>;
  readonly stop: () => void;
}

const isStopped = (error: unknown) => error instanceof Error && error.name === 'AbortError';

/** Long work with files: it shows how far it is, can be stopped, and what goes wrong is told where it was begun. */
export function useFileWork(): FileWork {
  const [busy, setBusy] = useState<FileWork['busy']>(null);
  const [trouble, setTrouble] = useState('');
  const under = useRef<AbortController | null>(null);
  useEffect(() => () => under.current?.abort(), []);
  const run: FileWork['run'] = async (what, work) => {
    if (under.current) return false;
    const control = new AbortController();
    under.current = control;
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
  return { busy, trouble, run, stop: () => under.current?.abort() };
}
