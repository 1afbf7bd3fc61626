import type { AirStep } from '../climate';
import { dryTime, type DryTime } from './drying';
import type { PrepFacts, RubResult } from './facts';
import { againOf, type Again, type AgainFacts, type DoneTask } from './again';
import { dependsOn, mustPrecede } from './order';
import { coatOrder } from './planPrep';
import type { PrepTask, ProblemName } from './task';

/** What was done about a task, or decided. */
export interface TaskRecord {
  readonly key: string;
  readonly rule: string;
  readonly title: string;
  readonly coatId: string | null;
  readonly state: 'open' | 'done' | 'waived';
  /** When it was done or waived, ms since the epoch. */
  readonly doneMs: number | null;
  /** Areas and edges it was done on. */
  readonly scope: readonly string[];
  /** Why it was waived. */
  readonly reason: string;
  readonly result: RubResult | null;
  /** The user's own place among the tasks; null: the plan's. */
  readonly order: number | null;
}

export type TaskState =
  'open' | 'blocked' | 'waiting' | 'later' | 'drying' | 'redo' | 'done' | 'waived' | 'skipped';

/** A task with what was done about it. */
export interface PlacedTask {
  readonly task: PrepTask;
  readonly record: TaskRecord | null;
  readonly state: TaskState;
  readonly problems: readonly ProblemName[];
  readonly dry: DryTime | null;
  /** Nothing to do until this instant, when it waits or dries. */
  readonly untilMs: number | null;
  /** The task that must come first: it is drying, waits, or is not done. */
  readonly blockedBy: PrepTask | null;
  /** Why what was done does not count any more. */
  readonly again: Again | null;
  /** Name of the coat that has to lie there first, when its turn comes later. */
  readonly after: string | null;
}

type Stated = Omit<PlacedTask, 'blockedBy' | 'after'>;

const SETTLED: readonly TaskState[] = ['done', 'waived', 'skipped'];
export const isSettled = (placed: Pick<PlacedTask, 'state'>): boolean =>
  SETTLED.includes(placed.state);

/** Two clocks of one machine may differ by this much before a tick counts as future, ms. */
const CLOCK_SLACK_MS = 60_000;

/** What a rule, a growth of its ground or a failed test makes of what was done. */
function faultOf(task: PrepTask, record: TaskRecord): Again | null {
  if (task.spoiled) return { why: task.spoiled };
  if (record.result === 'colour comes off') return { why: 'failed' };
  return task.scope.some((s) => !record.scope.includes(s)) ? { why: 'grown' } : null;
}

function stateOf(
  task: PrepTask,
  record: TaskRecord | null,
  done: readonly DoneTask[],
  facts: PlaceFacts,
  air: readonly AirStep[],
): Stated {
  const { nowMs } = facts;
  // One literal: thousands of these are made for the list of a day.
  const as = (
    state: TaskState,
    untilMs: number | null = null,
    dry: DryTime | null = null,
    again: Again | null = null,
    problems = task.problems,
  ): Stated => ({ task, record, state, problems, dry, untilMs, again });
  const waits = task.notBeforeMs !== null && task.notBeforeMs > nowMs;
  if (record?.state === 'waived') return as('waived');
  if (task.skippedUntilMs !== null)
    return waits ? as('waiting', task.notBeforeMs) : as('skipped', task.skippedUntilMs);
  if (record?.state === 'done') {
    const doneMs = record.doneMs ?? nowMs;
    if (doneMs > nowMs + CLOCK_SLACK_MS)
      return as('open', null, null, null, [...task.problems, 'done in the future']);
    const again = faultOf(task, record) ?? againOf({ task, doneMs }, done, facts);
    if (again) return as('redo', null, null, again);
    if (!task.drying) return as('done');
    const dry = dryTime(task.drying, doneMs, air, nowMs);
    if (dry.dryMs <= nowMs) return as('done', null, dry);
    const stuck = dry.rate === 0;
    const problems = stuck ? [...task.problems, 'air does not dry' as const] : task.problems;
    return as('drying', dry.dryMs, dry, null, problems);
  }
  return waits ? as('waiting', task.notBeforeMs) : as('open');
}

/**
 * Orders tasks by the user's own places as far as the work allows.
 * @param tasks in the plan's order @param placeOf the user's place, or null
 * Source: topological order (Kahn), taking the lowest place among those that may come next.
 */
export function orderTasks(
  tasks: readonly PrepTask[],
  placeOf: (task: PrepTask) => number | null,
  precedes: (first: PrepTask, then: PrepTask) => boolean,
): PrepTask[] {
  const place = new Map(tasks.map((t, i) => [t, placeOf(t) ?? i]));
  const left = [...tasks];
  const ordered: PrepTask[] = [];
  while (left.length > 0) {
    const free = left.filter((t) => !left.some((other) => other !== t && precedes(other, t)));
    const next = (free.length > 0 ? free : left).reduce((best, t) =>
      (place.get(t) ?? 0) < (place.get(best) ?? 0) ? t : best,
    );
    ordered.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return ordered;
}

/**
 * The coat that is poured before this task's turn: a lower one on the same areas.
 * @param waiting coats that are not poured, highest first
 */
function coatBefore(waiting: PrepFacts['coats'], task: PrepTask): string | null {
  if (task.step === 'after') return waiting[0]?.name ?? null;
  const own = waiting.find((c) => c.id === task.coatId);
  if (!own) return null;
  const lower = waiting.find(
    (c) =>
      c.order < own.order &&
      // A piece is turned for a coat when those of its other side are poured.
      (task.step === 'turn' || c.areaIds.some((id) => task.areaIds.includes(id))),
  );
  return lower?.name ?? null;
}

/** A piece is levelled once for all its coats: the latest level counts for each that has none of its own. */
function levelledBefore(task: PrepTask, records: readonly TaskRecord[]): TaskRecord | null {
  if (task.rule !== 'level') return null;
  const levels = records.filter((r) => r.rule === 'level' && r.state === 'done');
  const last = levels.sort((a, b) => (a.doneMs ?? 0) - (b.doneMs ?? 0)).at(-1);
  return last ? { ...last, key: task.key, scope: task.scope } : null;
}

const isCleaned = ({ task, state }: PlacedTask): boolean =>
  task.step === 'wipe' && state === 'done';

/** Of those that must come first the one that is waited for longest; the last of them when none has a clock. */
function longest(first: readonly Stated[], then: PrepTask): Stated | undefined {
  let late: Stated | undefined;
  for (const s of first)
    if ((late === undefined || (s.untilMs ?? 0) >= (late.untilMs ?? 0)) && dependsOn(then, s.task))
      late = s;
  return late;
}

type PlaceFacts = AgainFacts;

/** A plan with its state at one instant. */
export interface PrepState {
  readonly tasks: readonly PlacedTask[];
  /** Done or waived once, and not asked for any more by survey and coats. */
  readonly kept: readonly TaskRecord[];
}

/**
 * Lays what was done over the plan.
 * @param facts those the plan was made from @param tasks of `planPrep` @param records of this piece
 * @param air the room's record, at least one step
 * @returns tasks in their order with states; records that the plan no longer asks for are kept apart
 */
export function placeTasks(
  facts: PlaceFacts,
  tasks: readonly PrepTask[],
  records: readonly TaskRecord[],
  air: readonly AirStep[],
): PrepState {
  const byKey = new Map(records.map((r) => [r.key, r]));
  const orderOf = coatOrder(facts.coats);
  const precedes = (a: PrepTask, b: PrepTask) => mustPrecede(a, b, orderOf);
  const moved = records.some((r) => r.order !== null);
  const ordered = moved
    ? orderTasks(tasks, (t) => byKey.get(t.key)?.order ?? null, precedes)
    : tasks;
  const recordOf = (task: PrepTask) => byKey.get(task.key) ?? levelledBefore(task, records);
  const done = tasks.flatMap((task): DoneTask[] => {
    const record = recordOf(task);
    return record?.state === 'done' && record.doneMs !== null
      ? [{ task, doneMs: record.doneMs }]
      : [];
  });
  const stated = ordered.map((task) => stateOf(task, recordOf(task), done, facts, air));
  const first = new Map<string | null, Stated[]>();
  for (const s of stated) {
    if (s.state !== 'drying' && (!s.task.needed || isSettled(s))) continue;
    const mates = first.get(s.task.coatId);
    if (mates) mates.push(s);
    else first.set(s.task.coatId, [s]);
  }
  const waiting = facts.coats.filter((c) => c.poured === null).sort((a, b) => b.order - a.order);
  const placed = stated.map((s): PlacedTask => {
    const { state, untilMs } = s;
    const as = (
      now: TaskState,
      until: number | null,
      blockedBy: PrepTask | null,
      after: string | null,
    ): PlacedTask => ({
      task: s.task,
      record: s.record,
      state: now,
      problems: s.problems,
      dry: s.dry,
      untilMs: until,
      blockedBy,
      again: s.again,
      after,
    });
    if (state === 'waived' || state === 'skipped') return as(state, untilMs, null, null);
    const after = coatBefore(waiting, s.task);
    if (after !== null)
      return state === 'done' ? as(state, untilMs, null, null) : as('later', untilMs, null, after);
    if (state === 'drying') return as(state, untilMs, null, null);
    const under = longest(first.get(s.task.coatId) ?? [], s.task);
    const ownWait = state === 'waiting' && untilMs !== null ? untilMs : -Infinity;
    return under && (under.untilMs === null || under.untilMs > ownWait)
      ? as('blocked', under.untilMs, under.task, null)
      : as(state, untilMs, null, null);
  });
  const asked = new Set(tasks.map((t) => t.key));
  const kept = records.filter((r) => r.state !== 'open' && !asked.has(r.key));
  // What was cleaned can wait under its cover; before that there is nothing to keep.
  const clean = new Set(placed.flatMap((p) => (isCleaned(p) ? [p.task.coatId] : [])));
  const shown = placed.filter(
    (p) => p.task.rule !== 'covered' || p.state !== 'open' || clean.has(p.task.coatId),
  );
  return { tasks: shown, kept };
}

/**
 * What holds a coat back: needed tasks before it that are neither done, waived nor skipped.
 * @param coatId a coat that is not poured yet
 */
export function holdsBack(
  facts: Pick<PrepFacts, 'coats'>,
  { tasks }: PrepState,
  coatId: string,
): PlacedTask[] {
  const orderOf = coatOrder(facts.coats);
  return tasks.filter(
    (t) => t.task.needed && !isSettled(t) && orderOf(t.task.coatId) <= orderOf(coatId),
  );
}
