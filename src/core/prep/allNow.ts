import { dependsOn } from './order';
import { isByTick } from './task';
import { isSettled, type PlacedTask } from './taskStates';

/** Steps that write more than a tick: a result, a layer, a turn, a repair or a line. */
const SPECIAL = ['layer', 'put right', 'turn'];

/**
 * Steps that can be noted as done just now, together: those that are open, and those that wait for nothing but each
 * other. What has to dry first lets nothing after it through.
 * @param tasks in the order of the work
 */
export function allNow(tasks: readonly PlacedTask[]): readonly PlacedTask[] {
  const taken: PlacedTask[] = [];
  for (const placed of tasks) {
    const { task, state } = placed;
    const open = state === 'open' || state === 'redo' || state === 'blocked';
    if (!open || task.asksResult || !isByTick(task) || SPECIAL.includes(task.rule)) continue;
    const free = tasks.every(
      (p) =>
        p === placed ||
        !dependsOn(task, p.task) ||
        (isSettled(p) && p.state !== 'drying') ||
        (!p.task.needed && p.state !== 'drying') ||
        (taken.includes(p) && p.task.drying === null),
    );
    if (free && placed.problems.length === 0) taken.push(placed);
  }
  return taken;
}
