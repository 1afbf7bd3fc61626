'use client';
import { useEffect, useRef, useState } from 'react';
import type { Outcome } from '@/data/hooks';
import type { ComputeOptions } from '@/workers/client';

export interface FileWork {
  /** What is being done, and how much of it, 0–1; null: nothing. */
  readonly busy: { readonly what: string; readonly share: number } | null;
  /** Why the last one failed; empty: it did not. */
  readonly trouble: string;
  /** That a hand stopped the last one; empty: none did. */
  readonly stopped: string;
  /** Does one thing at a time; gives back whether it came to its end. What is only read ends when its page is left. */
  readonly run: (
    what: string,
    work: (options: ComputeOptions) => Promise<void>,
    is?: 'reading' | 'writing',
  ) => Promise<boolean>;
  readonly stop: () => void;
}

const isStopped = (error: unknown) => error instanceof Error && error.name === 'AbortError';

/** What is stored by an act, for which a hand that stopped it is no failure: null. */
export const unlessStopped = <T>(work: Promise<T>): Promise<T | null> =>
  work.catch((error: unknown) => {
    if (isStopped(error)) return null;
    throw error;
  });

/** What such an act stored; null when it failed, which is told where acts are. @throws an AbortError when a hand stopped it */
export function storedBy<T>(outcome: Outcome<T | null>): T | null {
  if (!outcome.ok) return null;
  if (outcome.value === null) throw new DOMException('Stopped', 'AbortError');
  return outcome.value;
}

/** Long work with files: it shows how far it is, can be stopped, and what goes wrong is told where it was begun. */
export function useFileWork(): FileWork {
  const [busy, setBusy] = useState<FileWork['busy']>(null);
  const [trouble, setTrouble] = useState('');
  const [stopped, setStopped] = useState('');
  const under = useRef<{ readonly control: AbortController; readonly writes: boolean } | null>(
    null,
  );
  useEffect(() => () => void (under.current?.writes || under.current?.control.abort()), []);
  const run: FileWork['run'] = async (what, work, is = 'reading') => {
    if (under.current) return false;
    const control = new AbortController();
    under.current = { control, writes: is === 'writing' };
    setTrouble('');
    setStopped('');
    setBusy({ what, share: 0 });
    try {
      await work({
        signal: control.signal,
        onProgress: (share) => setBusy({ what, share }),
      });
      return true;
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      if (isStopped(error)) setStopped(`${what} was stopped: nothing was changed.`);
      else setTrouble(`${what} did not work: ${reason}. Nothing was changed.`);
      return false;
    } finally {
      under.current = null;
      setBusy(null);
    }
  };
  return { busy, trouble, stopped, run, stop: () => under.current?.control.abort() };
}
