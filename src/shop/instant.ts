import type { PlacedTask } from '@/core/prep';
import { instantAtRipe, workingTime, type ResinSheet } from '@/core/resin';
import { nextRound, ROUND_MS, type BatchStep, type WetState } from '@/core/wet';
import { type Batch, type Coat, type Id, type Resin, stateOf, type WetSession } from '@/records';
import { readViews, viewPiece, type CoatView, type PieceView } from './coatView';
import { findingState } from './findings';
import { byId, ofPiece, ofSession } from './ofPiece';
import { holdsOf, leftSteps, maskClocks, wasMasked, type MaskClock } from './prepView';
import { airThen, type Room } from './room';
import { each, type RowTrouble, type Tolerated } from './rowTrouble';
import type { Shop } from './shop';

/** How the next coat finds the one below: none there, too soon, soft enough to bond, or hard and sanded. */
export type Ground = 'free' | 'too soon' | 'open' | 'shut';

/** One thing that a piece asks for, by code; what is said of it stands in the features. */
export type Ask =
  | { readonly is: 'plan' }
  /** A coat that lies in its first hour, its session over: it is to be looked over for bubbles, and at the latest when. */
  | {
      readonly is: 'bubbles';
      readonly coat: CoatView;
      readonly sessionId: Id<'session'>;
      readonly fromMs: number;
      readonly toMs: number;
    }
  | { readonly is: 'put right'; readonly defects: number }
  /** Findings whose rescue was carried out: a later look closes them. */
  | { readonly is: 'look again'; readonly findings: number }
  /** It is mixed. */
  | { readonly is: 'pour'; readonly coat: CoatView }
  /** Steps that hold the next coat back; `open` are those for a hand, the others want time. */
  | {
      readonly is: 'prepare';
      readonly coat: CoatView;
      readonly held: readonly PlacedTask[];
      readonly open: readonly PlacedTask[];
      /** When the coat below shuts its window, while it has not. */
      readonly closesMs: number | null;
    }
  | {
      readonly is: 'coat';
      readonly coat: CoatView;
      readonly ground: Ground;
      readonly atMs: number | null;
    }
  /** A mask that was noted. */
  | { readonly is: 'mask'; readonly mask: MaskClock }
  /** A mask that nobody noted, by the window of the sheet. */
  | { readonly is: 'unmask'; readonly opensMs: number; readonly closesMs: number }
  /** Every coat lies, and steps are left before it can go. */
  | { readonly is: 'finish'; readonly left: readonly PlacedTask[] }
  /** Only time. */
  | { readonly is: 'cure'; readonly coat: CoatView; readonly atMs: number }
  | { readonly is: 'hand over' }
  /** It has left, its record is closed. */
  | { readonly is: 'gone'; readonly atMs: number };
export type AskOf<I extends Ask['is']> = Extract<Ask, { readonly is: I }>;

export interface PieceAt {
  readonly view: PieceView;
  /** What it asks for first stands first. */
  readonly asks: readonly Ask[];
}

/** One batch of a wet session. */
export interface BatchAt {
  readonly batch: Batch;
  /** What was done with it so far. */
  readonly done: WetState;
  readonly step: BatchStep;
  readonly coats: readonly Coat[];
  /** What is in the cup, or will be, kg, and how long that can be worked, ms. */
  readonly massKg: number;
  readonly workingMs: number;
  /** When the mix can no longer be worked; null before it is mixed. */
  readonly workingEndsMs: number | null;
}

/** A wet session that is open, with the batch that comes first now. */
export interface SessionAt extends BatchAt {
  readonly session: WetSession;
  readonly resin: Resin;
  /** The room that it is worked in, K. */
  readonly roomK: number;
  /** All its batches, in the order in which they were planned. */
  readonly batches: readonly BatchAt[];
}

/** The shop at one instant: made once, and asked by strip, frame, Today and cards alike. */
export interface Instant {
  readonly nowMs: number;
  readonly pieces: readonly PieceAt[];
  readonly sessions: readonly SessionAt[];
  /** Rows of which nothing can be said. */
  readonly troubles: readonly RowTrouble[];
}

const recoatOf = (top: CoatView | null) => top?.clock?.windows.find((w) => w.kind === 'recoat');

function groundOf(top: CoatView | null): Pick<AskOf<'coat'>, 'ground' | 'atMs'> {
  const recoat = recoatOf(top);
  if (!recoat) return { ground: 'free', atMs: null };
  if (recoat.status === 'before') return { ground: 'too soon', atMs: recoat.opensMs };
  return recoat.status === 'open' && recoat.closesMs !== null
    ? { ground: 'open', atMs: recoat.closesMs }
    : { ground: 'shut', atMs: null };
}

/** What the next coat waits for. */
function coatAsk(shop: Shop, { piece, top, upcoming }: PieceView, nowMs: number): Ask[] {
  if (!upcoming) return [];
  if (upcoming.state === 'mixed') return [{ is: 'pour', coat: upcoming }];
  if (upcoming.batch) return [];
  const held = holdsOf(shop, piece, upcoming.coat.id, nowMs);
  if (held.length === 0) return [{ is: 'coat', coat: upcoming, ...groundOf(top) }];
  const recoat = recoatOf(top);
  const closesMs = recoat && recoat.status !== 'shut' ? recoat.closesMs : null;
  const open = held.filter((t) => t.state === 'open' || t.state === 'redo');
  return [{ is: 'prepare', coat: upcoming, held, open, closesMs }];
}

/** A wall of tape asks for its mask by the window of the resin’s sheet where nobody noted one. */
function unmaskAsk(shop: Shop, { piece, areas, top }: PieceView): Ask[] {
  const window = top?.clock?.windows.find((w) => w.kind === 'unmask');
  if (!top || window?.status !== 'open' || window.closesMs === null) return [];
  const masked = areas.some((a) => a.edges.some((e) => e.kind === 'tape wall'));
  if (!masked || wasMasked(shop, piece, top.coat.id)) return [];
  return [{ is: 'unmask', opensMs: window.opensMs, closesMs: window.closesMs }];
}

function finishAsk(shop: Shop, { piece, upcoming }: PieceView, nowMs: number): Ask[] {
  const left = upcoming ? [] : leftSteps(shop, piece, nowMs);
  return left.length > 0 ? [{ is: 'finish', left }] : [];
}

function lookAsk(shop: Shop, { piece }: PieceView): Ask[] {
  const own = ofPiece(shop.defects, piece.id);
  const findings = own.filter((d) => findingState(d) === 'look again').length;
  return findings > 0 ? [{ is: 'look again', findings }] : [];
}

/** While its session is open, that leads. */
function bubblesAsk(shop: Shop, { top }: PieceView, nowMs: number): readonly AskOf<'bubbles'>[] {
  if (!top?.batch) return [];
  const { sessionId } = top.batch;
  if (byId(shop.sessions, sessionId)?.endedMs === null) return [];
  const round = nextRound(stateOf(top.batch), top.coat.id);
  const firstHour = nowMs < (top.coat.pouredMs ?? nowMs) + ROUND_MS.last;
  return round && firstHour && nowMs >= round.fromMs
    ? [{ is: 'bubbles', coat: top, sessionId, ...round }]
    : [];
}

function asksOf(shop: Shop, view: PieceView, nowMs: number): readonly Ask[] {
  const { coats, openDefects, piece, top } = view;
  if (piece.closedMs !== null) return [{ is: 'gone', atMs: piece.closedMs }];
  if (coats.length === 0) return [{ is: 'plan' }];
  const next = top?.clock?.next;
  const asks: Ask[] = [
    ...bubblesAsk(shop, view, nowMs),
    ...(openDefects > 0 ? [{ is: 'put right', defects: openDefects } as const] : []),
    ...lookAsk(shop, view),
    ...coatAsk(shop, view, nowMs),
    ...maskClocks(shop, piece, nowMs).map((mask) => ({ is: 'mask', mask }) as const),
    ...unmaskAsk(shop, view),
    ...finishAsk(shop, view, nowMs),
    ...(top && next ? [{ is: 'cure', coat: top, atMs: next.atMs } as const] : []),
  ];
  return asks.length > 0 ? asks : [{ is: 'hand over' }];
}

/** When a mix can no longer be worked: the sheet's time for its mass, gone through in the room as it is and will be. */
function workingEnd(sheet: ResinSheet, massKg: number, room: Room, fromMs: number): number {
  const ripeS = workingTime(sheet, massKg, sheet.referenceTemperatureK);
  return instantAtRipe(room.steps, fromMs, ripeS, sheet);
}

function batchAt(shop: Shop, batch: Batch, { sheet }: Resin, nowMs: number): BatchAt {
  const done = stateOf(batch);
  const massKg = (done.aKg ?? batch.targetAKg) + (done.bKg ?? batch.targetBKg);
  const fromMs = done.mixedMs ?? nowMs;
  const endsMs = workingEnd(sheet, massKg, shop.room, fromMs);
  return {
    ...{ batch, done, step: done.step, massKg, workingMs: endsMs - fromMs },
    coats: batch.coatIds.flatMap((id) => byId(shop.coats, id) ?? []),
    workingEndsMs: done.mixedMs === null ? null : endsMs,
  };
}

/** What comes first: mixed resin that is poured, then what lies open, then what is mixed next. */
const FIRST: readonly BatchStep[] = [
  ...(['pour', 'cups', 'stirring', 'stir', 'cover', 'weigh B', 'weigh A', 'done'] as const),
];

/**
 * A session as it stands; null when its batches or its resin are gone.
 * @param chosenId the batch that is looked at, while something is left to be done with it
 */
export function sessionAt(
  shop: Shop,
  session: WetSession,
  nowMs: number,
  chosenId: string | null = null,
): SessionAt | null {
  const resin = byId(shop.resins, session.resinId);
  if (!resin) return null;
  const place = ({ coatIds: [id] }: Batch) => (id ? session.coatIds.indexOf(id) : -1);
  const batches = [...ofSession(shop.batches, session.id)]
    .sort((a, b) => place(a) - place(b))
    .map((batch) => batchAt(shop, batch, resin, nowMs));
  const chosen = batches.find((b) => b.batch.id === chosenId && b.step !== 'done');
  const [first] = [...batches].sort((a, b) => FIRST.indexOf(a.step) - FIRST.indexOf(b.step));
  const here = chosen ?? first;
  if (!here) return null;
  const roomK = airThen(shop.room.steps, nowMs).temperatureK;
  return { ...here, session, resin, roomK, batches };
}

/** A piece with what it asks for. */
export const pieceAt = (shop: Shop, view: PieceView, nowMs: number): PieceAt => ({
  view,
  asks: asksOf(shop, view, nowMs),
});

/** Longest that they are made in one go before the page may answer, ms. */
const BREATH_MS = 25;

/**
 * Makes what is known of the pieces of a large shop ahead, so that the first screen does not make them all at once.
 * @param nowMs the clock @param breathe lets the page answer
 */
export async function warmShop(
  shop: Shop,
  nowMs: () => number,
  breathe: () => Promise<unknown>,
): Promise<void> {
  let since = nowMs();
  for (const piece of shop.pieces) {
    // One that cannot be read is named when it is shown.
    each('pieces', [piece], () => pieceAt(shop, viewPiece(shop, piece, nowMs()), nowMs()));
    if (nowMs() - since < BREATH_MS) continue;
    await breathe();
    since = nowMs();
  }
}

const known = new WeakMap<Shop, Instant>();

/** @returns what there is at an instant; a row that cannot be read is named and the others go on */
export function atInstant(shop: Shop, nowMs: number): Instant {
  const before = known.get(shop);
  if (before?.nowMs === nowMs) return before;
  const views = readViews(shop, nowMs);
  const rows = views.values.map((view) => ({ id: view.piece.id, name: view.piece.name, view }));
  const pieces: Tolerated<PieceAt> = each('pieces', rows, ({ view }) => pieceAt(shop, view, nowMs));
  const open = shop.sessions.filter((s) => s.endedMs === null);
  const sessions = each('sessions', open, (session) => sessionAt(shop, session, nowMs));
  const instant: Instant = {
    nowMs,
    pieces: pieces.values,
    sessions: sessions.values.filter((s) => s !== null),
    troubles: [...views.troubles, ...pieces.troubles, ...sessions.troubles],
  };
  known.set(shop, instant);
  return instant;
}
