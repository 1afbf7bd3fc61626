import type { Shop } from '@/shop/shop';
import { batchStep, edgeKindsOf } from '@/records';
import { clockText } from '@/features/common/clockText';
import { ledgerOf, readViews, type CoatView, type PieceView } from '@/shop/coatView';
import { each, type RowTrouble, type Tolerated } from '@/features/common/trouble';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import type { Format } from '@/features/common/useFormat';
import { dryingTasks, holdsOf, maskClocks, wasMasked } from '@/shop/prepView';
import { maskToDos, prepareToDo } from './prepToDos';
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
  return (view.clock?.spans ?? [])
    .filter((span) => span.fromMs < untilMs)
    .map((span) => {
      const toMs = Math.min(span.toMs ?? Infinity, untilMs);
      const shuts = span.state === 'recoat open' && span.toMs !== null && toMs === span.toMs;
      return {
        key: `${view.coat.id}-${span.state}`,
        fill: STATE_FILL[span.state],
        label: STATE_WORDS[span.state],
        fromMs: span.fromMs,
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

/** Reads every piece; one that cannot be read is named and the others go on. */
function eachView<T>(shop: Shop, nowMs: number, read: (view: PieceView) => T): Tolerated<T> {
  const views = readViews(shop, nowMs);
  const rows = views.values.map((view) => ({ id: view.piece.id, name: view.piece.name, view }));
  const { values, troubles } = each('pieces', rows, ({ view }) => read(view));
  return { values, troubles: [...views.troubles, ...troubles] };
}

/** A lane for each piece with a coat that still changes or a layer that dries, in the order they need a hand. */
export function lanes(shop: Shop, nowMs: number, fromMs: number, toMs: number): Lane[] {
  return eachView(shop, nowMs, (v) => {
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
  }).values.filter((lane) => lane.bands.length > 0);
}

function sessionToDos(shop: Shop, nowMs: number): ToDo[] {
  return shop.sessions
    .filter((s) => s.endedMs === null)
    .flatMap((session) => {
      const batch = shop.batches.find((b) => b.sessionId === session.id);
      if (!batch) return [];
      const step = batchStep(batch);
      const names = shop.coats.filter((c) => session.coatIds.includes(c.id)).map((c) => c.name);
      return [
        {
          key: session.id,
          href: `/wet/${session.id}`,
          title: `Go on at the bench: ${step}`,
          detail: names.join(', '),
          dueMs: batch.mixedMs === null ? null : nowMs,
          fromMs: 0,
          urgent: true,
        },
      ];
    });
}

/** Without a record of its mask a dammed edge still asks for it, by the window of the resin's sheet. */
function unmaskToDo(shop: Shop, { piece, areas, top }: PieceView, nowMs: number): ToDo[] {
  const masked = areas.some((a) => edgeKindsOf(a).includes('dammed'));
  const window = top?.clock?.windows.find((w) => w.kind === 'unmask');
  if (!top || !masked || window?.status !== 'open' || window.closesMs === null) return [];
  if (wasMasked(shop, piece, top.coat.id)) return [];
  return [
    {
      key: `${piece.id}-unmask`,
      href: `/pieces/${piece.id}/cure`,
      title: `Take masks off, ${piece.name}`,
      detail: `Now it leaves no lip. After ${clockText(window.closesMs, nowMs)} warm it first, later cut and file.`,
      dueMs: window.closesMs,
      fromMs: window.opensMs,
      urgent: window.closesMs - nowMs < 3600_000,
    },
  ];
}

function coatToDo(shop: Shop, view: PieceView, nowMs: number, format: Format): ToDo[] {
  const { piece, top, upcoming } = view;
  if (!upcoming || upcoming.batch || view.openDefects > 0) return [];
  if (holdsOf(shop, piece, upcoming.coat.id, nowMs).length > 0) return [];
  const ledger = ledgerOf(upcoming);
  const volume = ledger.ok ? format.show(ledger.value.totalM3, 'volume').text : '';
  const base = {
    key: `${piece.id}-coat`,
    href: `/pieces/${piece.id}/coats`,
    title: `${upcoming.coat.name}, ${piece.name}`,
    urgent: false,
  };
  if (!top)
    return [
      { ...base, detail: `Mix ${volume} of ${upcoming.resin.name}.`, dueMs: null, fromMs: 0 },
    ];
  const recoat = top.clock?.windows.find((w) => w.kind === 'recoat');
  if (!recoat) return [];
  if (recoat.status === 'before')
    return [
      {
        ...base,
        detail: `${volume}. The recoat window is not open yet.`,
        dueMs: null,
        fromMs: recoat.opensMs,
      },
    ];
  if (recoat.status === 'open' && recoat.closesMs !== null) {
    const urgent = recoat.closesMs - nowMs < 2 * 3600_000;
    return [
      {
        ...base,
        urgent,
        detail: `${volume}, no sanding while the window is open.`,
        dueMs: recoat.closesMs,
        fromMs: 0,
      },
    ];
  }
  return [
    {
      ...base,
      detail: `${volume}. Sand what it will cover first: the window is shut.`,
      dueMs: null,
      fromMs: 0,
    },
  ];
}

function defectToDo({ piece, openDefects }: PieceView): ToDo[] {
  if (openDefects === 0) return [];
  return [
    {
      key: `${piece.id}-defect`,
      href: `/pieces/${piece.id}/inspect`,
      title: `Put right, ${piece.name}`,
      detail: openDefects === 1 ? 'One defect is open.' : `${openDefects} defects are open.`,
      dueMs: null,
      fromMs: 0,
      urgent: false,
    },
  ];
}

export interface Next {
  readonly toDos: readonly ToDo[];
  /** Pieces of which nothing can be said. */
  readonly troubles: readonly RowTrouble[];
}

/** What to do next, in order: what is wet, then what has a limit, then what can wait, then what cannot begin yet. */
export function nextOf(shop: Shop, nowMs: number, format: Format): Next {
  const { values, troubles } = eachView(shop, nowMs, (v) => [
    ...unmaskToDo(shop, v, nowMs),
    ...maskToDos(shop, v, nowMs),
    ...prepareToDo(shop, v, nowMs),
    ...defectToDo(v),
    ...coatToDo(shop, v, nowMs, format),
  ]);
  const all = [...sessionToDos(shop, nowMs), ...values.flat()];
  const rank = (t: ToDo) =>
    t.urgent && t.href.startsWith('/wet') ? 0 : t.fromMs > nowMs ? 3 : t.dueMs !== null ? 1 : 2;
  all.sort((a, b) => rank(a) - rank(b) || (a.dueMs ?? a.fromMs) - (b.dueMs ?? b.fromMs));
  return { toDos: all, troubles };
}

export const toDos = (shop: Shop, nowMs: number, format: Format): readonly ToDo[] =>
  nextOf(shop, nowMs, format).toDos;
