import type { ScaleState } from '@/devices/scaleLink';

/** What a scale tells of the part that is poured in. Masses in kg. */
export type LiveReading =
  /** Nothing can be read off it. `lastKg` is what it showed of the part. */
  | {
      readonly is: 'away';
      readonly why: 'reaching' | 'lost' | 'asleep' | 'overloaded';
      readonly lastKg: number | null;
    }
  /** Nothing is known of the cup on it. */
  | { readonly is: 'untared'; readonly grossKg: number; readonly steady: boolean }
  /** Less lies on it than the cup and what is in it: it was moved, or counts from a new zero. */
  | { readonly is: 'too light'; readonly grossKg: number; readonly steady: boolean }
  | {
      readonly is: 'weight';
      readonly kg: number;
      readonly grossKg: number;
      readonly steady: boolean;
    };

/** So many steps less than nothing are still nothing. Judgement, no source. */
const ZERO_STEPS = 3;

/**
 * What the scale tells of the part that is poured in now.
 * @param tareKg what it showed with the empty cup; null: not tared @param baseKg what is in the cup already, kg
 */
export function liveReading(state: ScaleState, tareKg: number | null, baseKg: number): LiveReading {
  const netOf = (grossKg: number) => grossKg - (tareKg ?? 0) - baseKg;
  switch (state.is) {
    case 'reaching':
      return { is: 'away', why: 'reaching', lastKg: null };
    case 'over':
      return { is: 'away', why: 'overloaded', lastKg: null };
    case 'lost': {
      const known = state.lastKg !== null && tareKg !== null;
      const lastKg = known ? Math.max(0, netOf(state.lastKg)) : null;
      return { is: 'away', why: state.asleep ? 'asleep' : 'lost', lastKg };
    }
    case 'live': {
      const { kg: grossKg, steady, stepKg } = state;
      if (tareKg === null) return { is: 'untared', grossKg, steady };
      const kg = netOf(grossKg);
      if (kg < -ZERO_STEPS * stepKg) return { is: 'too light', grossKg, steady };
      return { is: 'weight', kg: Math.max(0, kg), grossKg, steady };
    }
  }
}

/** The tare that makes a scale go on from what is in the cup: after it was moved, or counts from a new zero. */
export const tareFor = (grossKg: number, inCupKg: number): number => grossKg - inCupKg;
