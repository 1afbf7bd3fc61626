import { holdsBack, placeTasks, planPrep, type TaskRecord } from '..';
import type { PrepFacts } from '../facts';
import { HOUR, NOW } from './facts';

/** What was done: its rule, how many hours ago, and a result where one was asked. */
export type Done = readonly [rule: string, hoursAgo: number, result?: 'clean' | 'colour comes off'];

/** A piece at a moment, what was done to it, and what a finisher says of its next coat. */
export interface WrittenState {
  readonly what: string;
  readonly facts: PrepFacts;
  readonly done: readonly Done[];
  /** Rules that hold the next coat and wait for no other step themselves; none: it is ready. */
  readonly holds: readonly string[];
}

const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];

function recordsOf({ facts, done }: WrittenState): TaskRecord[] {
  const plan = planPrep(facts);
  const [next] = facts.coats.filter((c) => !c.poured).sort((a, b) => a.order - b.order);
  return done.flatMap(([rule, hoursAgo, result = null]) => {
    const asked = plan.filter((t) => t.rule === rule && t.coatId === next?.id);
    if (asked.length === 0) throw new Error(`nobody asks for ${rule}`);
    return asked.map(({ key, title, coatId, scope }): TaskRecord => ({
      ...{ key, rule, title, coatId, scope, result, state: 'done', reason: '', order: null },
      doneMs: NOW - hoursAgo * HOUR,
    }));
  });
}

/** Rules of the needed steps that hold the next coat of a piece back and wait for no other: where a finisher goes on. */
export function heldBy(state: WrittenState): string[] {
  const { facts } = state;
  const [next] = facts.coats.filter((c) => !c.poured).sort((a, b) => a.order - b.order);
  if (!next) throw new Error('no coat waits');
  const placed = placeTasks(facts, planPrep(facts), recordsOf(state), ROOM);
  const held = holdsBack(facts, placed, next.id);
  const causes = held.filter((t) => t.state !== 'blocked');
  if (held.length > 0 && causes.length === 0) throw new Error('held by nothing');
  return [...new Set(causes.map((t) => t.task.rule))].sort();
}
