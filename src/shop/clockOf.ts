import { coatClock, type CoatClock, type ResinSheet } from '@/core/resin';
import type { Coat } from '@/records';

interface Known {
  readonly sheet: ResinSheet;
  readonly nowMs: number;
  readonly clock: CoatClock;
}

/** Strip, stages, preparation and screens ask for the same clocks at the same instant. */
const known = new WeakMap<Coat, Known>();

/** The clock of a poured coat; null before the pour. One that has fully cured stands. */
export function clockOf(coat: Coat, sheet: ResinSheet, nowMs: number): CoatClock | null {
  const { pouredMs, history } = coat;
  if (pouredMs === null) return null;
  const before = known.get(coat);
  const stands =
    before?.sheet === sheet &&
    (before.nowMs === nowMs || (before.clock.state === 'fully cured' && before.nowMs <= nowMs));
  if (before && stands) return before.clock;
  const clock = coatClock({ pouredMs, nowMs, history, sheet });
  known.set(coat, { sheet, nowMs, clock });
  return clock;
}
