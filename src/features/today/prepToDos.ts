import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import type { AskOf } from '@/shop/instant';
import type { MaskClock } from '@/shop/prepView';
import type { ToDo } from './toDo';

const SOON_MS = 3_600_000;

/** What is left once every coat lies. */
export function finishToDo({ left }: AskOf<'finish'>, { piece }: PieceView, nowMs: number): ToDo {
  const [first] = left;
  const from = Math.min(...left.map((t) => t.untilMs ?? 0));
  const more = left.length > 1 ? `, and ${left.length - 1} more` : '';
  return {
    key: `${piece.id}-finish`,
    href: `/pieces/${piece.id}/prepare`,
    title: `Finish ${piece.name}`,
    detail: `${first?.task.title ?? ''}${more}.`,
    ...{ dueMs: null, fromMs: from > nowMs ? from : 0, urgent: false },
  };
}

function maskDetail({ phase, removal }: MaskClock, nowMs: number): string {
  const limit = Number.isFinite(removal.limitMs)
    ? ` Limit ${clockText(removal.limitMs, nowMs)}.`
    : '';
  switch (phase) {
    case 'on':
      return `It stays on until then.${limit}`;
    case 'best':
      return `Now it leaves no lip.${limit}`;
    case 'late':
      return `Its best moment is over: warm it first.${limit}`;
    case 'over':
      return `Past its limit since ${clockText(removal.limitMs, nowMs)}: open it for what to do now.`;
  }
}

/** A mask that has to come off: from when, until when, and an alarm once the limit has passed. */
export function maskToDo({ mask }: AskOf<'mask'>, { piece }: PieceView, nowMs: number): ToDo {
  const { phase, removal, atMs, task } = mask;
  const over = phase === 'over';
  return {
    key: task.key,
    href: `/pieces/${piece.id}/prepare`,
    title: over ? `Mask past its limit, ${piece.name}` : `Take masks off, ${piece.name}`,
    detail: maskDetail(mask, nowMs),
    dueMs: phase === 'on' ? null : Number.isFinite(atMs) ? atMs : null,
    fromMs: phase === 'on' ? removal.bestFromMs : 0,
    urgent: over || (phase !== 'on' && atMs - nowMs < SOON_MS),
  };
}

/** Needed steps before the next coat of a piece; masks have a line of their own. */
export function prepareToDo(ask: AskOf<'prepare'>, { piece }: PieceView, nowMs: number): ToDo[] {
  const { coat, closesMs } = ask;
  const held = ask.held.filter((t) => !t.task.removal);
  const open = ask.open.filter((t) => !t.task.removal);
  if (held.length === 0) return [];
  const waits = held.flatMap((t) => (t.untilMs === null ? [] : [t.untilMs]));
  const steps = held.length === 1 ? 'one step' : `${held.length} steps`;
  // What has to dry comes first: the rest waits for it.
  const first = [...open].sort((a, b) => Number(!a.task.drying) - Number(!b.task.drying));
  const names = (open.length > 0 ? first : held).slice(0, 2).map((t) => t.task.title.toLowerCase());
  const more = held.length > names.length ? `, and ${held.length - names.length} more` : '';
  return [
    {
      key: `${piece.id}-prepare`,
      href: `/pieces/${piece.id}/prepare`,
      title: `Prepare ${coat.coat.name}, ${piece.name}`,
      detail: `${steps}: ${names.join(', ')}${more}.`,
      dueMs: open.length > 0 ? closesMs : null,
      // A mask that has to come off first is a line of its own.
      fromMs: ask.open.length > 0 || waits.length === 0 ? 0 : Math.min(...waits),
      urgent: closesMs !== null && closesMs - nowMs < 2 * SOON_MS,
      makesWait: open.some((t) => t.task.drying !== null),
    },
  ];
}
