import type { Tilt } from '@/core/geometry';

/** A device that tells how far the piece it lies on is out of level. */
export interface Inclinometer {
  readonly name: string;
  /** Shown wherever its readings are shown. */
  readonly simulated: boolean;
  /** Reads once. Rejects with a sentence for the user when there is nothing to read. */
  read(signal?: AbortSignal): Promise<Tilt>;
}

const GIVE_UP_MS = 3000;

/** This tablet or telephone itself, laid flat on the piece with its top to the back. */
export const ownSensor: Inclinometer = {
  name: 'this device, laid on the piece',
  simulated: false,
  read: (signal) =>
    new Promise((resolve, reject) => {
      const stop = () => {
        clearTimeout(timer);
        window.removeEventListener('deviceorientation', hear);
      };
      const hear = ({ beta, gamma }: DeviceOrientationEvent) => {
        if (beta === null || gamma === null) return;
        stop();
        const slope = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
        // Beta lifts the top, gamma lowers the right side.
        resolve({ alongX: -slope(gamma), alongY: slope(beta) });
      };
      const timer = setTimeout(() => {
        stop();
        reject(new Error('This device has no tilt sensor, or it may not be read.'));
      }, GIVE_UP_MS);
      signal?.addEventListener('abort', stop);
      window.addEventListener('deviceorientation', hear);
    }),
};

/** Stands in for a sensor: always finds the same invented tilt. */
export const simulatedInclinometer: Inclinometer = {
  name: 'simulated sensor',
  simulated: true,
  read: () => Promise.resolve({ alongX: 0.0021, alongY: -0.0009 }),
};

export const INCLINOMETERS: readonly Inclinometer[] = [ownSensor, simulatedInclinometer];
