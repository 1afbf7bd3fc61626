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

/** The time as it was last told, by how seldom it is told. */
const told = new Map<number, number>();

/** The time to a step: told anew once the step is over, or when the clock is set back. */
function readTo(stepMs: number): number {
  const time = read();
  const last = told.get(stepMs);
  if (last !== undefined && time >= last && time - last < stepMs) return last;
  told.set(stepMs, time);
  return time;
}

/**
 * The time of the wall clock, ms since the epoch, and when the tab is shown again.
 * @param stepMs how seldom it is told; once a second when left out
 */
export function useNow(stepMs = 1000): number {
  const look = () => (stepMs <= 1000 ? read() : readTo(stepMs));
  return useSyncExternalStore(subscribe, look, look);
}
