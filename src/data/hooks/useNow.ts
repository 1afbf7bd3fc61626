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

/** What has just been read may be younger than the time that was told last: the next look tells it anew. */
export function tellAnew(): void {
  now = 0;
  told.clear();
}

/** How often a page looks anew that shows minutes, ms, and one that shows seconds. */
const BEAT_MS = 10_000;
export const SECOND_MS = 1000;

/**
 * The time of the wall clock, ms since the epoch: anew after each step, when the shop was read, and when the tab is
 * shown again.
 * @param stepMs how seldom it is told
 */
export function useNow(stepMs = BEAT_MS): number {
  const look = () => (stepMs <= 1000 ? read() : readTo(stepMs));
  return useSyncExternalStore(subscribe, look, look);
}
