import { clockText } from '@/features/common/clockText';
import { nextWords, STATE_WORDS } from '@/features/common/stateWords';
import type { PlacedTask } from '@/core/prep';
import type { Ask, PieceAt } from '@/shop/instant';

type Prepare = Extract<Ask, { is: 'prepare' }>;
type NextCoat = Extract<Ask, { is: 'coat' }>;

/** What its next coat is held back by: steps to do, or only time. */
function heldWords({ coat, held, open }: Prepare, nowMs: number): string {
  const { name } = coat.coat;
  if (open.length > 0)
    return `${name}: ${open.length === 1 ? 'one step' : `${open.length} steps`} to prepare`;
  const [first] = held;
  const until = clockText(Math.max(...held.map((t) => t.untilMs ?? 0)), nowMs);
  return first
    ? `${name}: ${first.task.title.toLowerCase()}, ${first.state} until ${until}`
    : `${name} can be mixed`;
}

function coatWords({ coat, ground, atMs }: NextCoat, nowMs: number): string {
  const { name } = coat.coat;
  const at = clockText(atMs ?? nowMs, nowMs);
  switch (ground) {
    case 'free':
      return `${name} can be mixed`;
    case 'too soon':
      return `${name}: recoat opens ${at}`;
    case 'open':
      return `${name}: pour before ${at}, no sanding`;
    case 'shut':
      return `${name} can be mixed: it holds by what was sanded`;
  }
}

function waitWords(ask: Ask | undefined, nowMs: number): string {
  switch (ask?.is) {
    case 'plan':
      return 'Plan its first coat';
    case 'bubbles':
      return `Look it over for bubbles, since ${clockText(ask.fromMs, nowMs)}`;
    case 'put right':
      return ask.defects === 1 ? 'One defect to put right' : `${ask.defects} defects to put right`;
    case 'pour':
      return `${ask.coat.coat.name} is mixed: pour it`;
    case 'prepare':
      return heldWords(ask, nowMs);
    case 'coat':
      return coatWords(ask, nowMs);
    case 'mask':
      return ask.mask.phase === 'on'
        ? `Mask comes off from ${clockText(ask.mask.atMs, nowMs)}`
        : 'Take its mask off';
    case 'unmask':
      return `Take its mask off before ${clockText(ask.closesMs, nowMs)}`;
    case 'finish':
      return finishWords(ask.left, nowMs);
    case 'cure':
      return `${nextWords(ask.coat)} ${clockText(ask.atMs, nowMs)}`;
    case 'look again':
      return 'What was put right: look again';
    case 'gone':
      return `It left ${clockText(ask.atMs, nowMs)}`;
    case 'hand over':
    case undefined:
      return 'Nothing: ready to hand over';
  }
}

/** What is left once every coat lies. */
function finishWords(left: readonly PlacedTask[], nowMs: number): string {
  const [first] = left;
  const from = Math.min(...left.map((t) => t.untilMs ?? 0));
  if (from > nowMs && Number.isFinite(from)) return `Next step from ${clockText(from, nowMs)}`;
  return left.length === 1 ? `Still to do: ${first?.task.title}` : `${left.length} steps are left`;
}

/** What a piece is and what it waits for, in words, and the stage where that is done. */
export function pieceWords({ view, asks }: PieceAt, nowMs: number) {
  const { coats, top } = view;
  const [first] = asks;
  const waiting = first?.is === 'prepare' ? 'prepare' : 'coats';
  return {
    state:
      coats.length === 0
        ? 'surveyed'
        : top
          ? `${top.coat.name}: ${STATE_WORDS[top.state]}`
          : 'nothing poured yet',
    waits: waitWords(first, nowMs),
    stage: top ? 'cure' : waiting,
  } as const;
}
