import type { Shop } from '@/shop/shop';
import { clockText } from '@/features/common/clockText';
import { ledgerOf, type CoatView, type PieceView } from '@/shop/coatView';
import { atInstant, type AskOf, type PieceAt, type SessionAt } from '@/shop/instant';
import { each, type RowTrouble } from '@/features/common/trouble';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import type { Format } from '@/features/common/useFormat';
import { dryingTasks, maskClocks } from '@/shop/prepView';
import { finishToDo, maskToDo, prepareToDo } from './prepToDos';
import type { ToDo } from './toDo';

/** A band of one state in a lane. */
export interface Band {
  readonly key: string;
  readonly fill: string;
  readonly label: string;
  readonly fromMs: number;
  readonly toMs: number;
  /** Drawn as a line across the lane with words beside it, at the end of the band. */
  readonly endWords: string;
  /** Drawn beside the states of the coat: a layer that dries, a mask that stands. */
  readonly beside: boolean;
}

export interface Lane {
  readonly key: string;
  readonly href: string;
  readonly title: string;
  readonly bands: readonly Band[];
}

function coatBands(view: CoatView, untilMs: number, nowMs: number): Band[] {
  const { pouredMs } = view.coat;
  return (view.clock?.spans ?? [])
    .filter((span) => span.fromMs < untilMs)
    .map((span) => {
      const toMs = Math.min(span.toMs ?? Infinity, untilMs);
      const shuts = span.state === 'recoat open' && span.toMs !== null && toMs === span.toMs;
      return {
        key: `${view.coat.id}-${span.state}`,
        fill: STATE_FILL[span.state],
        label: STATE_WORDS[span.state],
        // Its clock runs from the mix; on the piece it lies from the pour on.
        fromMs: Math.max(span.fromMs, pouredMs ?? span.fromMs),
        toMs,
        endWords: shuts ? `shuts ${clockText(span.toMs ?? 0, nowMs)}` : '',
        beside: false,
      };
    });
}

/** Layers that dry, with the band of their clock. */
function dryingBands(shop: Shop, { piece, top }: PieceView, nowMs: number): Band[] {
  return dryingTasks(shop, piece, nowMs).flatMap(({ task, dry, record }) => {
    if (!dry || !Number.isFinite(dry.latestMs)) return [];
    const band = { key: task.key, beside: top !== null, endWords: '' };
    return [
      {
        ...band,
        fill: 'url(#drying)',
        label: 'drying',
        fromMs: record?.doneMs ?? nowMs,
        toMs: dry.dryMs,
        endWords: `dry ${clockText(dry.dryMs, nowMs)}`,
      },
      {
        ...band,
        key: `${task.key}-band`,
        fill: 'url(#state-closed)',
        label: 'perhaps still',
        fromMs: dry.dryMs,
        toMs: dry.latestMs,
      },
    ];
  });
}

/** Masks that stand: from when they come off to their limit. */
const maskBands = (shop: Shop, { piece }: PieceView, nowMs: number): Band[] =>
  maskClocks(shop, piece, nowMs).flatMap(({ task, removal }) =>
    Number.isFinite(removal.limitMs) && removal.limitMs > nowMs
      ? [
          {
            key: task.key,
            fill: 'url(#hatch-plastic)',
            label: 'mask',
            fromMs: removal.bestFromMs,
            toMs: removal.limitMs,
            endWords: `limit ${clockText(removal.limitMs, nowMs)}`,
            beside: true,
          },
        ]
      : [],
  );

/** A lane for each piece with a coat that still changes or a layer that dries, in the order they need a hand. */
export function lanes(shop: Shop, nowMs: number, fromMs: number, toMs: number): Lane[] {
  return atInstant(shop, nowMs)
    .pieces.map(({ view: v }) => {
      const poured = v.top?.state === 'fully cured' ? [] : v.coats.filter((c) => c.clock);
      const bands = [
        ...poured.flatMap((c, i) => coatBands(c, poured[i + 1]?.coat.pouredMs ?? Infinity, nowMs)),
        ...dryingBands(shop, v, nowMs),
        ...maskBands(shop, v, nowMs),
      ].filter((b) => b.toMs > fromMs && b.fromMs < toMs);
      const stage = poured.length > 0 ? 'cure' : 'prepare';
      return {
        key: v.piece.id,
        href: `/pieces/${v.piece.id}/${stage}`,
        title: v.piece.name,
        bands,
      };
    })
    .filter((lane) => lane.bands.length > 0);
}

const sessionToDo = ({ session, done, step, coats }: SessionAt, nowMs: number): ToDo => ({
  key: session.id,
  href: `/wet/${session.id}`,
  title: `Go on at the bench: ${step}`,
  detail: coats.map((c) => c.name).join(', '),
  dueMs: done.mixedMs === null ? null : nowMs,
  fromMs: 0,
  urgent: true,
});

const bubblesToDo = (
  { coat, sessionId, fromMs, toMs }: AskOf<'bubbles'>,
  { piece }: PieceView,
  nowMs: number,
): ToDo => ({
  key: `${piece.id}-bubbles`,
  href: `/wet/${sessionId}`,
  title: `Look for bubbles, ${piece.name}`,
  detail: `${coat.coat.name}, since ${clockText(fromMs, nowMs)}: what has not come out when it sets stays in.`,
  dueMs: toMs,
  fromMs,
  urgent: true,
});

const unmaskToDo = (
  { opensMs, closesMs }: AskOf<'unmask'>,
  { piece }: PieceView,
  nowMs: number,
): ToDo => ({
  key: `${piece.id}-unmask`,
  href: `/pieces/${piece.id}/cure`,
  title: `Take masks off, ${piece.name}`,
  detail: `Now it leaves no lip. After ${clockText(closesMs, nowMs)} warm it first, later cut and file.`,
  dueMs: closesMs,
  fromMs: opensMs,
  urgent: closesMs - nowMs < 3600_000,
});

/** A coat that nothing holds back; one on a piece with a defect waits for that. */
function coatToDo(
  { coat, ground, atMs }: AskOf<'coat'>,
  { piece, openDefects }: PieceView,
  nowMs: number,
  format: Format,
): ToDo[] {
  if (openDefects > 0) return [];
  const ledger = ledgerOf(coat);
  const volume = ledger.ok ? format.show(ledger.value.totalM3, 'volume').text : '';
  const base = {
    key: `${piece.id}-coat`,
    href: `/pieces/${piece.id}/coats`,
    title: `${coat.coat.name}, ${piece.name}`,
    ...{ urgent: false, dueMs: null, fromMs: 0 },
  };
  switch (ground) {
    case 'free':
      return [{ ...base, detail: `Mix ${volume} of ${coat.resin.name}.` }];
    case 'too soon':
      return [
        {
          ...base,
          detail: `${volume}. The recoat window is not open yet.`,
          fromMs: atMs ?? nowMs,
        },
      ];
    case 'open':
      return [
        {
          ...base,
          urgent: (atMs ?? Infinity) - nowMs < 2 * 3600_000,
          detail: `${volume}, no sanding while the window is open.`,
          dueMs: atMs,
        },
      ];
    case 'shut':
      return [
        { ...base, detail: `${volume}. The recoat window is shut: it holds by what was sanded.` },
      ];
  }
}

const defectToDo = ({ defects }: AskOf<'put right'>, { piece }: PieceView): ToDo => ({
  key: `${piece.id}-defect`,
  href: `/pieces/${piece.id}/inspect`,
  title: `Put right, ${piece.name}`,
  detail: defects === 1 ? 'One defect is open.' : `${defects} defects are open.`,
  ...{ dueMs: null, fromMs: 0, urgent: false },
});

const lookToDo = ({ findings }: AskOf<'look again'>, { piece }: PieceView): ToDo => ({
  key: `${piece.id}-look`,
  href: `/pieces/${piece.id}/inspect`,
  title: `Look again, ${piece.name}`,
  detail: 'What was put right is closed by a look in raking light.',
  ...{ dueMs: null, fromMs: 0, urgent: false },
  ...(findings > 1 && { detail: `${findings} findings were put right: a look closes them.` }),
});

function toDosOf({ view, asks }: PieceAt, nowMs: number, format: Format): ToDo[] {
  return asks.flatMap((ask) => {
    switch (ask.is) {
      case 'bubbles':
        return [bubblesToDo(ask, view, nowMs)];
      case 'unmask':
        return [unmaskToDo(ask, view, nowMs)];
      case 'mask':
        return [maskToDo(ask, view, nowMs)];
      case 'prepare':
        return prepareToDo(ask, view, nowMs);
      case 'put right':
        return [defectToDo(ask, view)];
      case 'look again':
        return [lookToDo(ask, view)];
      case 'coat':
        return coatToDo(ask, view, nowMs, format);
      case 'finish':
        return [finishToDo(ask, view, nowMs)];
      // A mixed coat has its session above; the rest asks for nobody today.
      case 'pour':
      case 'plan':
      case 'cure':
      case 'hand over':
      case 'gone':
        return [];
    }
  });
}

export interface Next {
  readonly toDos: readonly ToDo[];
  /** Pieces of which nothing can be said. */
  readonly troubles: readonly RowTrouble[];
}

/** What to do next, in order: what is wet, then what has a limit, then what can wait, then what cannot begin yet. */
export function nextOf(shop: Shop, nowMs: number, format: Format): Next {
  const instant = atInstant(shop, nowMs);
  const rows = instant.pieces.map((here) => ({ ...here.view.piece, here }));
  const { values, troubles } = each('pieces', rows, ({ here }) => toDosOf(here, nowMs, format));
  const all = [...instant.sessions.map((s) => sessionToDo(s, nowMs)), ...values.flat()];
  const rank = (t: ToDo) =>
    t.urgent && t.href.startsWith('/wet') ? 0 : t.fromMs > nowMs ? 3 : t.dueMs !== null ? 1 : 2;
  const waits = (t: ToDo) => Number(t.makesWait !== true);
  all.sort(
    (a, b) =>
      rank(a) - rank(b) || (a.dueMs ?? a.fromMs) - (b.dueMs ?? b.fromMs) || waits(a) - waits(b),
  );
  return { toDos: all, troubles: [...instant.troubles, ...troubles] };
}

export const toDos = (shop: Shop, nowMs: number, format: Format): readonly ToDo[] =>
  nextOf(shop, nowMs, format).toDos;
