import { useEffect } from 'react';
import { ring } from '@/devices/alarm';
import { keepAwake } from '@/devices/awake';
import { alarmsOf, dueAt, stirTimes, type Alarm } from '@/core/wet';
import { useShop } from '@/data/hooks';
import type { WetView } from './model';

/** Which alarms this browser has told, by batch: no part of the shop. */
const keyOf = (batchId: string) => `bilamina-told-${batchId}`;
function toldBefore(batchId: string): readonly string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(batchId)) ?? '[]');
    return Array.isArray(kept) ? kept.filter((id): id is string => typeof id === 'string') : [];
  } catch {
    return [];
  }
}
function keepTold(batchId: string, ids: readonly string[]): void {
  try {
    localStorage.setItem(keyOf(batchId), JSON.stringify(ids.slice(-200)));
  } catch {
    // Without storage it is told again after a reload: better twice than never.
  }
}

/** Everything that a batch has to tell now: each is sounded once, and stands until it is done. */
export function useAlarms(view: WetView, nowMs: number): readonly Alarm[] {
  const { sound } = useShop().settings;
  const { done, batch, resin, workingEndsMs } = view;
  const { wantedS } = stirTimes(resin.sheet);
  const due = dueAt(alarmsOf(done, { wantedS, workingEndsMs }), nowMs);
  const ids = due.map((a) => a.id.replaceAll(' ', '-')).join(' ');
  useEffect(() => {
    const before = toldBefore(batch.id);
    const fresh = ids.split(' ').filter((id) => id !== '' && !before.includes(id));
    if (fresh.length === 0) return;
    keepTold(batch.id, [...before, ...fresh]);
    if (sound) ring();
  }, [ids, batch.id, sound]);
  return due;
}

/** The screen stays on while resin is wet. */
export function useAwake(): void {
  useEffect(() => keepAwake(), []);
}
