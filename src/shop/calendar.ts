import type { Id } from '@/records';
import { atInstant } from './instant';
import { careOf } from './finish';
import { dryingTasks, maskClocks } from './prepView';
import type { PieceView } from './coatView';
import type { Shop } from './shop';

/** What a date in a calendar is about. */
export type DateKind =
  'recoat' | 'handle' | 'warm load' | 'mask' | 'dry' | 'light use' | 'fully cured' | 'due';

/** One date that the shop knows of, by its clocks as they stand. */
export interface ShopDate {
  /** The same for the same thing however often it is told, so that a calendar moves what it has. */
  readonly uid: string;
  readonly kind: DateKind;
  readonly pieceId: Id<'piece'>;
  readonly piece: string;
  /** The coat or the step that it is about; empty where it is the piece. */
  readonly of: string;
  readonly startMs: number;
  /** Its end; the same as the start where it is an instant. */
  readonly endMs: number;
  /** How long before its end it is to be told, s; null: it is not told. */
  readonly warnS: number | null;
}

/** Before a window shuts, or a mask reaches its limit, there is time to mix. Judgement, no source. */
const WARN_S = 45 * 60;

function datesOf(shop: Shop, view: PieceView, nowMs: number): ShopDate[] {
  const { piece, coats, top } = view;
  const own = { pieceId: piece.id, piece: piece.name };
  const instant = (startMs: number) => ({ startMs, endMs: startMs, warnS: null });
  const windows = coats.flatMap(({ coat, clock }) =>
    (clock?.windows ?? []).flatMap((w): ShopDate[] => {
      // What lies under another coat is not recoated any more; masks have clocks of their own.
      if (w.kind === 'unmask' || coat.id !== top?.coat.id) return [];
      const uid = `${coat.id}-${w.kind.replaceAll(' ', '-')}`;
      const about = { uid, kind: w.kind, ...own, of: coat.name };
      return w.closesMs === null
        ? [{ ...about, ...instant(w.opensMs) }]
        : [{ ...about, startMs: w.opensMs, endMs: w.closesMs, warnS: WARN_S }];
    }),
  );
  const masks = maskClocks(shop, piece, nowMs).map(({ task, removal }): ShopDate => ({
    ...{ uid: `${piece.id}-${task.key}`, kind: 'mask', ...own, of: '' },
    ...{ startMs: removal.bestFromMs, endMs: removal.limitMs, warnS: WARN_S },
  }));
  const drying = dryingTasks(shop, piece, nowMs).flatMap(({ task, dry }): ShopDate[] =>
    dry
      ? [
          {
            ...{ uid: `${piece.id}-${task.key}-dry`, kind: 'dry', ...own, of: '' },
            ...instant(dry.dryMs),
          },
        ]
      : [],
  );
  const care = (careOf(view) ?? []).flatMap((line): ShopDate[] =>
    line.is === 'light use' || line.is === 'fully cured'
      ? [
          {
            ...{
              uid: `${piece.id}-${line.is.replaceAll(' ', '-')}`,
              kind: line.is,
              ...own,
              of: '',
            },
            ...instant(line.fromMs),
          },
        ]
      : [],
  );
  const due: ShopDate[] =
    piece.dueMs === null
      ? []
      : [{ uid: `${piece.id}-due`, kind: 'due', ...own, of: piece.job, ...instant(piece.dueMs) }];
  return [...windows, ...masks, ...drying, ...care, ...due];
}

/** Longest that a calendar reaches, ms: what no clock can say is not put into it. */
const REACH_MS = 366 * 86_400_000;

/**
 * Every date that is still to come or not yet over: recoat windows, masks, drying, handling, first use, cure, what is due.
 * Pieces that have left are not in it.
 */
export const shopDates = (shop: Shop, nowMs: number): readonly ShopDate[] =>
  atInstant(shop, nowMs)
    .pieces.filter(({ view }) => view.piece.closedMs === null)
    .flatMap(({ view }) => datesOf(shop, view, nowMs))
    .filter((d) => d.endMs > nowMs && d.startMs < nowMs + REACH_MS && d.endMs < nowMs + REACH_MS)
    .sort((a, b) => a.startMs - b.startMs);
