import type { AirStep } from '../climate';
import { dryTime } from './drying';
import { dependsOn } from './order';
import type { PrepTask } from './task';
import { isSettled, type PlacedTask } from './taskStates';

/** When a coat could be poured at the earliest, and the step that decides it. */
export interface EarliestPour {
  readonly atMs: number;
  readonly by: PrepTask;
}

/**
 * The earliest instant at which everything that a coat waits for can be done, when every step is begun as soon as the
 * work allows: hands take no time, waits and drying do.
 * @param tasks that the coat waits for @param air the room's record; its last step goes on
 * @returns null when nothing has to be waited for; Infinity where something does not dry in this air
 * Source: longest path through the steps (critical path method, Kelley & Walker 1959, from memory).
 */
export function earliestPour(
  tasks: readonly PlacedTask[],
  nowMs: number,
  air: readonly AirStep[],
): EarliestPour | null {
  // Advice holds nothing back, but what was begun has to dry.
  const waitedFor = tasks.filter((p) => p.task.needed || p.state === 'drying');
  const ends = new Map<PrepTask, EarliestPour>();
  const endOf = (placed: PlacedTask): EarliestPour => {
    const { task, state, untilMs } = placed;
    const known = ends.get(task);
    if (known) return known;
    const own = (atMs: number): EarliestPour => ({ atMs, by: task });
    let end = own(nowMs);
    if (state === 'drying') end = own(untilMs ?? nowMs);
    else if (!isSettled(placed)) {
      const before = waitedFor.filter((p) => dependsOn(task, p.task)).map(endOf);
      const start = before.reduce((late, e) => (e.atMs > late.atMs ? e : late), own(nowMs));
      const waits = state === 'waiting' && untilMs !== null ? own(untilMs) : own(nowMs);
      end = waits.atMs > start.atMs ? waits : start;
      if (task.drying && Number.isFinite(end.atMs)) {
        const { dryMs } = dryTime(task.drying, end.atMs, air, end.atMs);
        if (dryMs > end.atMs) end = own(dryMs);
      }
    }
    ends.set(task, end);
    return end;
  };
  const last = waitedFor
    .map(endOf)
    .reduce<EarliestPour | null>(
      (late, e) => (late === null || e.atMs > late.atMs ? e : late),
      null,
    );
  return last && last.atMs > nowMs ? last : null;
}
