'use client';
import { useEffect, useState } from 'react';

export interface StorageState {
  readonly usedBytes: number | null;
  readonly quotaBytes: number | null;
  /** The browser promised not to clear it by itself. */
  readonly persisted: boolean;
}

/** What the browser says of its storage for this address. */
export function useStorage(): StorageState {
  const [state, setState] = useState<StorageState>({
    ...{ usedBytes: null, quotaBytes: null, persisted: false },
  });
  useEffect(() => {
    let gone = false;
    const ask = async () => {
      const [estimate, persisted] = await Promise.all([
        navigator.storage?.estimate?.() ?? {},
        navigator.storage?.persisted?.() ?? false,
      ]);
      if (gone) return;
      setState({
        usedBytes: estimate.usage ?? null,
        quotaBytes: estimate.quota ?? null,
        persisted,
      });
    };
    // A browser that does not tell leaves it unknown, and the screen says so.
    ask().catch(() => undefined);
    return () => {
      gone = true;
    };
  }, []);
  return state;
}

let asked = false;

/** Asks the browser, once, to keep the data until the user clears it. It may say no: Settings tells. */
export function askToPersist(): void {
  if (asked) return;
  asked = true;
  navigator.storage?.persist?.().catch(() => undefined);
}
