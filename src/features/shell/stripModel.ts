import { workingTime } from '@/core/resin';
import type { Shop } from '@/shop/shop';
import { type Area, batchStep, type Id, type WetSession } from '@/records';
import { clockText, spanText } from '../common/clockText';
import { areasOf, readViews, type CoatView, type PieceView } from '@/shop/coatView';
import { maskClocks } from '@/shop/prepView';
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
  /** Sorts the strip: what happens first stands first. */
  readonly atMs: number;
}

const WORKING: readonly CoatView['state'][] = [
  'wet',
  'set',
  'leathery',
  'recoat open',
  'sand first',
];

function sessionItems(shop: Shop, session: WetSession, nowMs: number): StripItem[] {
  const batch = shop.batches.find((b) => b.sessionId === session.id);
  const resin = shop.resins.find((r) => r.id === session.resinId);
  const coat = shop.coats.find((c) => c.id === session.coatIds[0]);
  const piece = shop.pieces.find((p) => p.id === coat?.pieceId);
  if (!batch || !resin || !piece) return [];
  const common = {
    key: session.id,
    href: `/wet/${session.id}`,
    title: piece.name,
    area: areasOf(shop, piece.id)[0] ?? null,
    state: 'mixed' as const,
  };
  if (batch.mixedMs === null)
    return [
      {
        ...common,
        text: `wet session · ${batchStep(batch)}`,
        left: 'go on',
        urgent: false,
        atMs: nowMs,
      },
    ];
  const massKg = (batch.aKg ?? batch.targetAKg) + (batch.bKg ?? batch.targetBKg);
  const endMs = batch.mixedMs + workingTime(resin.sheet, massKg, session.temperatureK) * 1000;
  return [
    {
      ...common,
      text: `${batchStep(batch)} · working time ends ${clockText(endMs, nowMs)}`,
      left: endMs > nowMs ? spanText(endMs - nowMs) : `over by ${spanText(nowMs - endMs)}`,
      urgent: endMs - nowMs < 10 * 60_000,
      atMs: Math.min(endMs, nowMs),
    },
  ];
}

function curingItem(
  { piece, areas, top }: PieceView,
  nowMs: number,
  busy: ReadonlySet<Id<'coat'>>,
): StripItem[] {
  if (!top?.clock || !WORKING.includes(top.state) || busy.has(top.coat.id)) return [];
  const { next } = top.clock;
  return [
    {
      key: top.coat.id,
      href: `/pieces/${piece.id}/cure`,
      title: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
      area: areas[0] ?? null,
      state: top.state,
      text: `${STATE_WORDS[top.state]} · ${nextWords(top)}${next ? ` ${clockText(next.atMs, nowMs)}` : ''}`,
      left: next ? spanText(next.atMs - nowMs) : '–',
      urgent: top.state === 'recoat open' && next !== null && next.atMs - nowMs < 3600_000,
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
function maskItems(shop: Shop, { piece, areas, top }: PieceView, nowMs: number): StripItem[] {
  return maskClocks(shop, piece, nowMs)
    .filter((m) => Number.isFinite(m.atMs))
    .map(({ task, phase, atMs }) => ({
      key: task.key,
      href: `/pieces/${piece.id}/prepare`,
      title: piece.count > 1 ? `${piece.name} × ${piece.count}` : piece.name,
      area: areas[0] ?? null,
      state: top?.state ?? 'planned',
      text: `${MASK_WORDS[phase]} ${clockText(atMs, nowMs)}`,
      left: phase === 'over' ? `over by ${spanText(nowMs - atMs)}` : spanText(atMs - nowMs),
      urgent: phase === 'over' || (phase !== 'on' && atMs - nowMs < 3600_000),
      atMs: phase === 'over' ? nowMs : atMs,
    }));
}

export interface Strip {
  readonly items: readonly StripItem[];
  /** Rows without a clock because they cannot be read. */
  readonly troubles: readonly RowTrouble[];
}

/** A clock for each wet batch, each mask that stands and each curing coat, what happens first in front. */
export function readStrip(shop: Shop, nowMs: number): Strip {
  const open = shop.sessions.filter((s) => s.endedMs === null);
  const wet = each('sessions', open, (session) => sessionItems(shop, session, nowMs));
  const busy = new Set(open.flatMap((s) => s.coatIds));
  const views = readViews(shop, nowMs);
  const viewOf = new Map(views.values.map((view) => [view.piece.id, view]));
  const clocks = each(
    'pieces',
    views.values.map((view) => view.piece),
    ({ id }) => {
      const view = viewOf.get(id);
      return view ? [...maskItems(shop, view, nowMs), ...curingItem(view, nowMs, busy)] : [];
    },
  );
  const items = [...wet.values, ...clocks.values].flat().sort((a, b) => a.atMs - b.atMs);
  return { items, troubles: [...wet.troubles, ...views.troubles, ...clocks.troubles] };
}

/** How the room's temperature became known: read at an instant, or only set. */
export function roomWords(
  { air, settings }: Pick<Shop, 'air' | 'settings'>,
  nowMs: number,
): string {
  const newest = air.at(-1);
  return newest?.temperatureK === settings.roomTemperatureK
    ? `room, read ${clockText(newest.fromMs, nowMs)}`
    : 'room, as set';
}

export const stripItems = (shop: Shop, nowMs: number): readonly StripItem[] =>
  readStrip(shop, nowMs).items;
