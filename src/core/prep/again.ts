import type { PrepFacts } from './facts';
import { dependsOn } from './order';
import type { PrepStep, PrepTask } from './task';

/** Why what was done does not count any more. */
export type Again =
  | { readonly why: 'grown' | 'failed' | 'spoiled' | 'out of level' | 'not declared' | 'too damp' }
  /** A step that must come before it was done after it. */
  | { readonly why: 'step since'; readonly title: string; readonly atMs: number }
  | { readonly why: 'poured since'; readonly title: string; readonly atMs: number }
  | { readonly why: 'repaired since'; readonly title: string; readonly atMs: number }
  | { readonly why: 'turned since'; readonly atMs: number }
  | { readonly why: 'too long ago'; readonly holdsMs: number };

const HOUR_MS = 3_600_000;
/** How long a step holds on an uncovered piece, ms. Judgement, no source. */
export const HOLDS_MS: Readonly<Partial<Record<PrepStep, number>>> = {
  wipe: 4 * HOUR_MS,
  warm: 4 * HOUR_MS,
  level: 24 * HOUR_MS,
};
/** Steps that a pour on the same ground undoes; masks, props and level stand through it. Common practice, no source. */
const POUR_SPOILS: readonly PrepStep[] = ['degrease', 'loose', 'sand', 'dust', 'wipe', 'warm'];
/** Steps that a piece loses when it is turned over. Common practice, no source. */
const TURN_SPOILS: readonly PrepStep[] = ['dust', 'props', 'level', 'wipe', 'warm'];

/** Steps that a repair on the same ground undoes. Common practice, no source. */
const REPAIR_SPOILS: readonly PrepStep[] = ['sand', 'dust', 'mask', 'level', 'wipe', 'warm'];

/** How long what was cleaned holds under a cover, ms. Judgement, no source. */
const COVERED_MS = 24 * HOUR_MS;
const COVER_KEEPS: readonly PrepStep[] = ['wipe', 'warm'];

/** Whether the cover went on over what had been cleaned, within the time that that holds open. */
const covers = ({ task, doneMs }: DoneTask, cleaned: PrepTask, cleanedMs: number): boolean =>
  task.rule === 'covered' &&
  task.coatId === cleaned.coatId &&
  doneMs >= cleanedMs &&
  doneMs - cleanedMs <= (HOLDS_MS[cleaned.step] ?? Infinity);

/** A task that was done, and when. */
export interface DoneTask {
  readonly task: PrepTask;
  readonly doneMs: number;
}

export type AgainFacts = Pick<PrepFacts, 'nowMs' | 'coats' | 'turnedMs' | 'repaired'>;

/**
 * What has spoiled a task since it was done: a step that must come before it, a pour, a turn, or time.
 * @param others tasks of the same piece that were done @returns null while it counts
 * Source: common practice, no source; the hours are judgement.
 */
export function againOf(
  { task, doneMs }: DoneTask,
  others: readonly DoneTask[],
  { nowMs, coats, turnedMs = null, repaired = [] }: AgainFacts,
): Again | null {
  const since = others
    .filter((o) => o.doneMs > doneMs && dependsOn(task, o.task))
    .sort((a, b) => b.doneMs - a.doneMs)[0];
  if (since) return { why: 'step since', title: since.task.title, atMs: since.doneMs };
  if (POUR_SPOILS.includes(task.step)) {
    const pours = coats.flatMap(({ id, name, areaIds, poured }) =>
      poured && id !== task.coatId && poured.pouredMs > doneMs
        ? [{ name, areaIds, atMs: poured.pouredMs }]
        : [],
    );
    const pour = pours.find((p) => p.areaIds.some((id) => task.areaIds.includes(id)));
    if (pour) return { why: 'poured since', title: pour.name, atMs: pour.atMs };
  }
  const repair = repaired.find(
    (r) =>
      r.atMs > doneMs &&
      REPAIR_SPOILS.includes(task.step) &&
      r.areaIds.some((id) => task.areaIds.includes(id)),
  );
  if (repair) return { why: 'repaired since', title: repair.kind, atMs: repair.atMs };
  if (TURN_SPOILS.includes(task.step) && turnedMs !== null && turnedMs > doneMs)
    return { why: 'turned since', atMs: turnedMs };
  const covered = COVER_KEEPS.includes(task.step) && others.some((o) => covers(o, task, doneMs));
  const holdsMs = covered ? COVERED_MS : HOLDS_MS[task.step];
  return holdsMs !== undefined && nowMs - doneMs > holdsMs
    ? { why: 'too long ago', holdsMs }
    : null;
}
