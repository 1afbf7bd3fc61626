'use client';
import { useSyncExternalStore } from 'react';
import type { SensorReading } from '@/devices/roomSensor';

/** What is known of the sensor that is followed. */
export interface SensorState {
  readonly name: string;
  readonly reached: boolean;
  readonly last: { readonly atMs: number; readonly reading: SensorReading } | null;
}

let state: SensorState | null = null;
const listeners = new Set<() => void>();

/** Told by the one that follows the sensor; null: none is followed. */
export function tellSensor(next: SensorState | null): void {
  state = next;
  for (const listener of listeners) listener();
}
export const sensorNow = (): SensorState | null => state;

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The sensor that is followed, as it stands. */
export const useSensor = (): SensorState | null =>
  useSyncExternalStore(subscribe, sensorNow, () => null);

/** A sensor that said nothing for so long is silent, ms. Judgement, no source. */
export const SILENT_MS = 5 * 60_000;
