import type { AirStep } from '@/core/climate';
import {
  paceOf,
  readAt,
  ripeSeconds,
  timeline,
  type CoatClock,
  type Pace,
  type ResinSheet,
  type Timeline,
  type TimelineInput,
} from '@/core/resin';
import type { Coat } from '@/records';
import { recordOf, type Room } from './room';

interface Known {
  readonly sheet: ResinSheet;
  readonly record: readonly AirStep[];
  readonly told: Timeline;
  readonly nowMs: number;
  readonly clock: CoatClock;
}

/** Strip, stages, preparation and screens ask for the same clocks at the same instant. */
const known = new WeakMap<Coat, Known>();

/** A touch right after the pour counts from here, ripe s. */
const FIRST_S = 60;
interface KnownPace {
  readonly sheet: ResinSheet;
  readonly record: readonly AirStep[];
  readonly pace: Pace;
}
const paces = new WeakMap<Coat, KnownPace>();

/** When its clock started: part B met part A, and the age in the cup counts. */
export const startOf = ({ mixedMs, pouredMs }: Pick<Coat, 'mixedMs' | 'pouredMs'>) =>
  pouredMs === null ? null : Math.min(mixedMs ?? pouredMs, pouredMs);

/** How fast a coat ripens against its sheet, by its touches. */
export function coatPace(coat: Coat, sheet: ResinSheet, room: Room): Pace {
  const { touches } = coat;
  const record = recordOf(room, coat.id);
  const before = paces.get(coat);
  // Without a touch the room does not tell.
  if (before?.sheet === sheet && (before.record === record || touches.length === 0))
    return before.pace;
  const startMs = startOf(coat);
  const told = touches.map(({ found, atMs, on }) => ({
    ...{ found, on },
    ripeS: Math.max(FIRST_S, ripeSeconds(record, startMs ?? atMs, atMs, sheet)),
  }));
  const pace = paceOf(told, sheet.times, coat.learned);
  paces.set(coat, { sheet, record, pace });
  return pace;
}

/** What the timeline of a coat is made from; null before the pour. */
export function timelineInput(coat: Coat, sheet: ResinSheet, room: Room): TimelineInput | null {
  const startMs = startOf(coat);
  if (startMs === null) return null;
  const { factor, sigma } = coatPace(coat, sheet, room);
  const ahead = room.last && { fromMs: room.last.atMs, spreadK: room.forecast.spreadK };
  const history = recordOf(room, coat.id);
  return { startMs, history, sheet, ahead, pace: { factor, sigma } };
}

const cured = ({ clock, nowMs }: Known, laterMs: number): boolean =>
  clock.state === 'fully cured' && nowMs <= laterMs;

/** The clock of a poured coat in its room; null before the pour. One that has fully cured stands. */
export function clockOf(
  coat: Coat,
  sheet: ResinSheet,
  room: Room,
  nowMs: number,
): CoatClock | null {
  if (startOf(coat) === null) return null;
  const record = recordOf(room, coat.id);
  const before = known.get(coat);
  const same = before?.sheet === sheet && before.record === record;
  if (same && (before.nowMs === nowMs || cured(before, nowMs))) return before.clock;
  const input = same ? null : timelineInput(coat, sheet, room);
  const told = input ? timeline(input) : before?.told;
  if (!told) return null;
  const clock = readAt(told, nowMs);
  known.set(coat, { sheet, record, told, nowMs, clock });
  return clock;
}
