import {
  coatClock,
  paceOf,
  ripeSeconds,
  type CoatClock,
  type Pace,
  type ResinSheet,
} from '@/core/resin';
import type { Coat } from '@/records';

interface Known {
  readonly sheet: ResinSheet;
  readonly nowMs: number;
  readonly clock: CoatClock;
}

/** Strip, stages, preparation and screens ask for the same clocks at the same instant. */
const known = new WeakMap<Coat, Known>();

/** A touch right after the pour counts from here, ripe s. */
const FIRST_S = 60;
const paces = new WeakMap<Coat, { readonly sheet: ResinSheet; readonly pace: Pace }>();

/** How fast a coat ripens against its sheet, by its touches. */
export function coatPace(coat: Coat, sheet: ResinSheet): Pace {
  const { pouredMs, history, touches } = coat;
  const before = paces.get(coat);
  if (before?.sheet === sheet) return before.pace;
  const told = touches.map(({ found, atMs }) => ({
    found,
    ripeS: Math.max(FIRST_S, ripeSeconds(history, pouredMs ?? atMs, atMs, sheet)),
  }));
  const pace = paceOf(told, sheet.times);
  paces.set(coat, { sheet, pace });
  return pace;
}

/** The clock of a poured coat; null before the pour. One that has fully cured stands. */
export function clockOf(coat: Coat, sheet: ResinSheet, nowMs: number): CoatClock | null {
  const { pouredMs, history } = coat;
  if (pouredMs === null) return null;
  const before = known.get(coat);
  const stands =
    before?.sheet === sheet &&
    (before.nowMs === nowMs || (before.clock.state === 'fully cured' && before.nowMs <= nowMs));
  if (before && stands) return before.clock;
  const { factor, sigma } = coatPace(coat, sheet);
  const clock = coatClock({ pouredMs, nowMs, history, sheet, pace: { factor, sigma } });
  known.set(coat, { sheet, nowMs, clock });
  return clock;
}
