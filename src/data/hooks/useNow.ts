'use client';
import { useSyncExternalStore } from 'react';

let now = 0;
let timer: ReturnType<typeof setInterval> | undefined;
const listeners = new Set<() => void>();

function tick(): void {
  now = Date.now();
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  if (listeners.size === 1) {
    timer = setInterval(tick, 1000);
    document.addEventListener('visibilitychange', tick);
  }
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    clearInterval(timer);
    document.removeEventListener('visibilitychange', tick);
  };
}

const read = (): number => (now === 0 || listeners.size === 0 ? (now = Date.now()) : now);

/** The time of the wall clock, ms since the epoch, once a second and when the tab is shown again. */
export function useNow(): number {
  return useSyncExternalStore(subscribe, read, read);
}
