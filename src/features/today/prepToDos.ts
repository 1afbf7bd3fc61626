import type { Shop } from '@/shop/shop';
import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import { holdsOf, maskClocks, type MaskClock } from '@/shop/prepView';
import type { ToDo } from './toDo';

const SOON_MS = 3_600_000;

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

/** Masks that have to come off: from when, until when, and an alarm once the limit has passed. */
export function maskToDos(shop: Shop, { piece }: PieceView, nowMs: number): ToDo[] {
  return maskClocks(shop, piece, nowMs).map((mask) => {
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
  });
}

/** Needed steps before the next coat of a piece, or nothing when it is ready. */
export function prepareToDo(shop: Shop, view: PieceView, nowMs: number): ToDo[] {
  const { piece, upcoming, top } = view;
  if (!upcoming || upcoming.batch) return [];
  const held = holdsOf(shop, piece, upcoming.coat.id, nowMs).filter((t) => !t.task.removal);
  if (held.length === 0) return [];
  const now = held.filter((t) => t.state === 'open' || t.state === 'redo');
  const waits = held.flatMap((t) => (t.untilMs === null ? [] : [t.untilMs]));
  const recoat = top?.clock?.windows.find((w) => w.kind === 'recoat');
  const closes = recoat && recoat.status !== 'shut' ? recoat.closesMs : null;
  const steps = held.length === 1 ? 'one step' : `${held.length} steps`;
  const names = (now.length > 0 ? now : held).slice(0, 2).map((t) => t.task.title.toLowerCase());
  const more = held.length > names.length ? `, and ${held.length - names.length} more` : '';
  return [
    {
      key: `${piece.id}-prepare`,
      href: `/pieces/${piece.id}/prepare`,
      title: `Prepare ${upcoming.coat.name}, ${piece.name}`,
      detail: `${steps}: ${names.join(', ')}${more}.`,
      dueMs: now.length > 0 ? closes : null,
      fromMs: now.length > 0 ? 0 : Math.min(...waits),
      urgent: closes !== null && closes - nowMs < 2 * SOON_MS,
    },
  ];
}
