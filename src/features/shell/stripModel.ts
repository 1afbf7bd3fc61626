import type { Shop } from '@/shop/shop';
import type { Area, Id } from '@/records';
import { clockText, spanText } from '../common/clockText';
import { areasOf, type CoatView } from '@/shop/coatView';
import { atInstant, type BatchAt, type PieceAt, type SessionAt } from '@/shop/instant';
import { byId } from '@/shop/ofPiece';
import { nextWords, STATE_WORDS } from '../common/stateWords';
import { each, type RowTrouble } from '../common/trouble';

/** One clock on the bench strip. */
export interface StripItem {
  readonly key: string;
  readonly href: string;
  readonly title: string;
  readonly area: Area | null;
  readonly state: CoatView['state'];
  readonly text: string;
  readonly left: string;
  readonly urgent: boolean;
  /** Its `left` is told in seconds. */
  readonly ticks: boolean;
  /** Sorts the strip: what happens first stands first. */
  readonly atMs: number;
}

/** Below two minutes seconds are told; a little before that the strip must look each second. */
const ticks = (leftMs: number): boolean => Math.abs(leftMs) < 130_000;

const WORKING: readonly CoatView['state'][] = [
  'wet',
  'set',
  'leathery',
  'recoat open',
  'sand first',
];

/** A clock for each batch whose resin is mixed; where there is none, the session itself. */
function sessionItems(shop: Shop, here: SessionAt, nowMs: number): StripItem[] {
  const live = here.batches.filter((b) => b.done.mixedMs !== null && b.step !== 'done');
  const shown = live.length > 0 ? live : [here];
  return shown.flatMap((batch) => batchItem(shop, here, batch, nowMs));
}

function batchItem(
  shop: Shop,
  { session }: SessionAt,
  { batch, step, workingEndsMs: endMs, coats }: BatchAt,
  nowMs: number,
): StripItem[] {
  const piece = byId(shop.pieces, coats[0]?.pieceId ?? null);
  if (!piece) return [];
  const common = {
    key: batch.id,
    href: `/wet/${session.id}`,
    title: piece.name,
    area: areasOf(shop, piece.id)[0] ?? null,
    state: 'mixed' as const,
  };
  if (endMs === null)
    return [
      {
        ...common,
        text: `wet session · ${step}`,
        left: 'go on',
        urgent: false,
        ticks: false,
        atMs: nowMs,
      },
    ];
  return [
    {
      ...common,
      text: `${step} · working time ends ${clockText(endMs, nowMs)}`,
      left: endMs > nowMs ? spanText(endMs - nowMs) : `over by ${spanText(nowMs - endMs)}`,
      urgent: endMs - nowMs < 10 * 60_000,
      ticks: ticks(endMs - nowMs),
      atMs: Math.min(endMs, nowMs),
    },
  ];
}

function curingItem(
  { view: { piece, drawn, top }, asks }: PieceAt,
  nowMs: number,
  busy: ReadonlySet<Id<'coat'>>,
): StripItem[] {
  if (!top?.clock || !WORKING.includes(top.state) || busy.has(top.coat.id)) return [];
  const bubbles = asks.find((ask) => ask.is === 'bubbles');
  if (bubbles)
    return [
      {
        ...{ key: top.coat.id, href: `/wet/${bubbles.sessionId}`, title: piece.name },
        ...{ area: drawn[0] ?? null, state: top.state, text: 'look it over for bubbles' },
        left: `since ${clockText(bubbles.fromMs, nowMs)}`,
        urgent: nowMs >= bubbles.toMs,
        ticks: false,
        atMs: nowMs,
      },
    ];
  const { next } = top.clock;
  return [
    {
      key: top.coat.id,
      href: `/pieces/${piece.id}/cure`,
      title: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
      area: drawn[0] ?? null,
      state: top.state,
      text: `${STATE_WORDS[top.state]} · ${nextWords(top)}${next ? ` ${clockText(next.atMs, nowMs)}` : ''}`,
      left: next ? spanText(next.atMs - nowMs) : '–',
      urgent: top.state === 'recoat open' && next !== null && next.atMs - nowMs < 3600_000,
      ticks: next !== null && ticks(next.atMs - nowMs),
      atMs: next?.atMs ?? Infinity,
    },
  ];
}

const MASK_WORDS = {
  on: 'mask on · comes off',
  best: 'take the mask off · best until',
  late: 'mask: warm it, pull it · limit',
  over: 'mask past its limit',
} as const;

/** A clock for each mask that stands: its moment, then its limit. */
function maskItems({ view, asks }: PieceAt, nowMs: number): StripItem[] {
  const { piece, drawn, top } = view;
  return asks.flatMap((ask) => {
    if (ask.is !== 'mask' || !Number.isFinite(ask.mask.atMs)) return [];
    const { task, phase, atMs } = ask.mask;
    return [
      {
        key: task.key,
        href: `/pieces/${piece.id}/prepare`,
        title: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
        area: drawn[0] ?? null,
        state: top?.state ?? 'planned',
        text: `${MASK_WORDS[phase]} ${clockText(atMs, nowMs)}`,
        left: phase === 'over' ? `over by ${spanText(nowMs - atMs)}` : spanText(atMs - nowMs),
        urgent: phase === 'over' || (phase !== 'on' && atMs - nowMs < 3600_000),
        ticks: ticks(atMs - nowMs),
        atMs: phase === 'over' ? nowMs : atMs,
      },
    ];
  });
}

export interface Strip {
  readonly items: readonly StripItem[];
  /** Rows without a clock because they cannot be read. */
  readonly troubles: readonly RowTrouble[];
}

/** A clock for each wet batch, each mask that stands and each curing coat, what happens first in front. */
export function readStrip(shop: Shop, nowMs: number): Strip {
  const { pieces, sessions, troubles } = atInstant(shop, nowMs);
  const busy = new Set(sessions.flatMap((s) => s.session.coatIds));
  const rows = pieces.map((here) => ({ ...here.view.piece, here }));
  const clocks = each('pieces', rows, ({ here }) => [
    ...maskItems(here, nowMs),
    ...curingItem(here, nowMs, busy),
  ]);
  const items = [
    ...sessions.flatMap((here) => sessionItems(shop, here, nowMs)),
    ...clocks.values.flat(),
  ].sort((a, b) => a.atMs - b.atMs);
  return { items, troubles: [...troubles, ...clocks.troubles] };
}

export const stripItems = (shop: Shop, nowMs: number): readonly StripItem[] =>
  readStrip(shop, nowMs).items;
