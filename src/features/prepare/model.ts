import type { Id } from '@/records';
import {
  coatOrder,
  earliestPour,
  holdsBack,
  mustPrecede,
  type EarliestPour,
  type PlacedTask,
  type PrepTask,
} from '@/core/prep';
import type { PiecePrep } from '@/shop/prepFacts';
import type { TaskRef } from '@/data/repos/taskRef';
import { CLOCK_ASKED, readClock } from '../common/readClock';

/** Tasks before one coat, and whether they hold it back. */
export interface TaskGroup {
  readonly coatId: string | null;
  /** Name of the coat that waits; empty when none does. */
  readonly coat: string;
  readonly title: string;
  readonly tasks: readonly PlacedTask[];
  /** Needed steps that hold the coat back; 0: ready. */
  readonly held: number;
  /** The lowest coat that is not poured yet. */
  readonly next: boolean;
  /** When it could be poured at the earliest, and what decides that; null: nothing has to be waited for. */
  readonly earliest: EarliestPour | null;
}

/** The path of a piece, coat by coat; what waits for no coat stands first when it is about what lies there now. */
export function taskGroups({ facts, state, air }: PiecePrep): TaskGroup[] {
  const waiting = facts.coats.filter((c) => c.poured === null).sort((a, b) => a.order - b.order);
  const groups = waiting.map((coat, i): TaskGroup => ({
    coatId: coat.id,
    coat: coat.name,
    title: `Before ${coat.name}`,
    tasks: state.tasks.filter((t) => t.task.coatId === coat.id),
    held: holdsBack(facts, state, coat.id).length,
    next: i === 0,
    earliest:
      i === 0
        ? earliestPour(
            state.tasks.filter((t) => t.task.coatId === coat.id),
            facts.nowMs,
            air,
          )
        : null,
  }));
  const unbound = (title: string, tasks: readonly PlacedTask[]): TaskGroup[] =>
    tasks.length > 0
      ? [{ coatId: null, coat: '', title, tasks, held: 0, next: false, earliest: null }]
      : [];
  const free = state.tasks.filter((t) => t.task.coatId === null);
  const isLast = ({ task }: PlacedTask) => task.step === 'after';
  const title = facts.coats.length === 0 ? 'Before the first coat' : 'On the coat that lies there';
  return [
    ...unbound(
      title,
      free.filter((t) => !isLast(t)),
    ),
    ...groups,
    ...unbound('After the last coat', free.filter(isLast)),
  ];
}

export const refOf = (pieceId: Id<'piece'>, task: PrepTask): TaskRef => ({ pieceId, task });

/** Tasks in a new order, or null when the work does not leave that free. */
export function movedOrder(
  { facts, state }: PiecePrep,
  key: string,
  by: -1 | 1,
): readonly PrepTask[] | null {
  const tasks = state.tasks.map((t) => t.task);
  const at = tasks.findIndex((t) => t.key === key);
  const [here, there] = [tasks[at], tasks[at + by]];
  if (!here || !there) return null;
  const [first, then] = by === 1 ? [here, there] : [there, here];
  if (mustPrecede(first, then, coatOrder(facts.coats)) || first.coatId !== then.coatId) return null;
  const moved = [...tasks];
  moved[at] = there;
  moved[at + by] = here;
  return moved;
}

/** Reads when a task was done: never in the future. */
export function readDoneAt(text: string, nowMs: number): { atMs: number } | { error: string } {
  const atMs = readClock(text, nowMs);
  if (atMs === null) return { error: CLOCK_ASKED };
  if (atMs > nowMs) return { error: 'That is still to come: note a step when it is done.' };
  return { atMs };
}
