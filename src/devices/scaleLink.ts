import type { Scale } from './scale';

/** What is known of a scale that is followed. Masses in kg as they lie on its pan. */
export type ScaleState =
  | { readonly is: 'reaching' }
  | { readonly is: 'live'; readonly kg: number; readonly steady: boolean; readonly stepKg: number }
  | { readonly is: 'over' }
  /** Out of reach, or asleep; what it showed last. */
  | { readonly is: 'lost'; readonly asleep: boolean; readonly lastKg: number | null };

/** A scale that nothing is heard of for so long is lost, ms. */
const SILENT_MS = 2000;

export interface ScaleLink {
  readonly state: () => ScaleState;
  readonly subscribe: (listener: () => void) => () => void;
  /** Tries to reach it again. */
  readonly again: () => void;
}

/** Follows a scale while somebody looks at it; a store for the screen. */
export function scaleLink(scale: Scale): ScaleLink {
  const listeners = new Set<() => void>();
  let state: ScaleState = { is: 'reaching' };
  let end: (() => void) | null = null;
  let silence: ReturnType<typeof setTimeout> | undefined;
  let lastKg: number | null = null;
  let stepKg = 0.0001;
  const say = (next: ScaleState) => {
    state = next;
    for (const listener of listeners) listener();
  };
  const lose = (asleep: boolean) => {
    clearTimeout(silence);
    say({ is: 'lost', asleep, lastKg });
  };
  const watchSilence = () => {
    clearTimeout(silence);
    silence = setTimeout(() => lose(false), SILENT_MS);
  };
  const start = () => {
    end?.();
    state = { is: 'reaching' };
    end = scale.follow({
      onLine: (line) => {
        watchSilence();
        if (line.is === 'hello') stepKg = line.stepKg;
        else if (line.is === 'over') say({ is: 'over' });
        else if (line.is === 'off') lose(true);
        else {
          lastKg = line.kg;
          say({ is: 'live', kg: line.kg, steady: line.steady, stepKg });
        }
      },
      onLost: () => lose(false),
    });
  };
  return {
    state: () => state,
    subscribe: (listener) => {
      listeners.add(listener);
      if (listeners.size === 1) start();
      return () => {
        listeners.delete(listener);
        if (listeners.size > 0) return;
        clearTimeout(silence);
        end?.();
        end = null;
      };
    },
    again: () => {
      start();
      say(state);
    },
  };
}
