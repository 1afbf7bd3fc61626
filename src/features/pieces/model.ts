import type { PlacedTask } from '@/core/prep';
import type { PieceView } from '@/shop/coatView';
import { clockText } from '@/features/common/clockText';
import { nextWords, STATE_WORDS } from '@/features/common/stateWords';

/** What its next coat is held back by: steps to do, or only time. */
function heldWords(coat: string, held: readonly PlacedTask[], nowMs: number): string | null {
  const [first] = held;
  if (!first) return null;
  const open = held.filter((t) => t.state === 'open' || t.state === 'redo');
  if (open.length > 0)
    return `${coat}: ${open.length === 1 ? 'one step' : `${open.length} steps`} to prepare`;
  const until = Math.max(...held.map((t) => t.untilMs ?? 0));
  return `${coat}: ${first.task.title.toLowerCase()}, ${first.state} until ${clockText(until, nowMs)}`;
}

/** What a piece is and what it waits for, in words. */
export function pieceWords(
  view: PieceView,
  nowMs: number,
  held: readonly PlacedTask[] = [],
): { state: string; waits: string } {
  const { top, upcoming, openDefects } = view;
  if (view.coats.length === 0) return { state: 'surveyed', waits: 'Plan its first coat' };
  const state = top ? `${top.coat.name}: ${STATE_WORDS[top.state]}` : 'nothing poured yet';
  if (openDefects > 0)
    return {
      state,
      waits: openDefects === 1 ? 'One defect to put right' : `${openDefects} defects to put right`,
    };
  if (upcoming?.state === 'mixed')
    return { state, waits: `${upcoming.coat.name} is mixed: pour it` };
  const blocked = upcoming && heldWords(upcoming.coat.name, held, nowMs);
  if (blocked) return { state, waits: blocked };
  const next = top?.clock?.next;
  if (!top || !next)
    return {
      state,
      waits: upcoming ? `${upcoming.coat.name} can be mixed` : 'Nothing: ready to hand over',
    };
  if (upcoming && top.state === 'recoat open')
    return {
      state,
      waits: `${upcoming.coat.name}: pour before ${clockText(next.atMs, nowMs)}, no sanding`,
    };
  if (upcoming && (top.state === 'sand first' || top.state === 'hard'))
    return { state, waits: `${upcoming.coat.name}: sand first, the recoat window is shut` };
  return { state, waits: `${nextWords(top)} ${clockText(next.atMs, nowMs)}` };
}
