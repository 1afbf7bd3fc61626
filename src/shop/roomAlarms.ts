import { dewMargin, DEW_MARGIN_K } from '@/core/prep';
import { USUAL_ROOM_K } from '@/core/resin';
import type { Coat, Piece, Resin } from '@/records';
import { pieceViews, type CoatView } from './coatView';
import { airAt } from './prepFacts';
import { recordOf } from './room';
import type { Shop } from './shop';

/** What the room does to a coat that still cures. */
export type RoomAlarm = {
  readonly coat: Coat;
  readonly piece: Piece;
  readonly resin: Resin;
} & (
  | {
      readonly is: 'too cold' | 'too warm';
      readonly temperatureK: number;
      readonly limitK: number;
      /** The sheet says nothing of its room: the usual one is taken. */
      readonly usual: boolean;
      /** When it will be; null: it is so now. */
      readonly fromMs: number | null;
    }
  | { readonly is: 'near dew'; readonly marginK: number; readonly read: boolean }
);

/** So far ahead a cold night is told, ms. Judgement, no source. */
const AHEAD_MS = 14 * 3_600_000;
/** States in which cold can still spoil a film, and those in which its surface takes water. Common practice, no source. */
const SOFT: readonly string[] = ['wet', 'set', 'leathery', 'recoat open', 'sand first'];
const BLUSHES: readonly string[] = ['wet', 'set', 'leathery', 'recoat open'];

function rangeAlarm(shop: Shop, view: CoatView, nowMs: number): RoomAlarm[] {
  const { coat, piece, resin } = view;
  const limits = resin.declared.curesK ?? USUAL_ROOM_K;
  const usual = resin.declared.curesK === null;
  const steps = recordOf(shop.room, coat.id);
  const at = Math.max(
    0,
    steps.findLastIndex((s) => s.fromMs <= nowMs),
  );
  // What is to come is told only where the record knows the room's day.
  const ahead = shop.room.forecast.byPattern ? nowMs + AHEAD_MS : nowMs;
  for (const [i, { fromMs, temperatureK }] of steps.slice(at).entries()) {
    if (i > 0 && fromMs > ahead) break;
    const cold = temperatureK < limits.min;
    if (!cold && !(temperatureK > limits.max)) continue;
    const is = cold ? 'too cold' : 'too warm';
    const limitK = cold ? limits.min : limits.max;
    const when = fromMs <= nowMs ? null : fromMs;
    return [{ is, temperatureK, limitK, usual, fromMs: when, coat, piece, resin }];
  }
  return [];
}

function dewAlarm(shop: Shop, { coat, piece, resin, state }: CoatView, nowMs: number): RoomAlarm[] {
  const air = airAt(shop.room, nowMs);
  const margin = air && BLUSHES.includes(state) ? dewMargin({ air }) : null;
  return margin && margin.marginK < DEW_MARGIN_K
    ? [{ is: 'near dew', marginK: margin.marginK, read: margin.read, coat, piece, resin }]
    : [];
}

/** What the room does to coats that still cure; nothing where nobody read it. */
export function roomAlarms(shop: Shop, nowMs: number): readonly RoomAlarm[] {
  if (shop.room.last === null) return [];
  return pieceViews(shop, nowMs).flatMap((view) =>
    view.coats
      .filter((c) => c.clock !== null && SOFT.includes(c.state))
      .flatMap((c) => [...rangeAlarm(shop, c, nowMs), ...dewAlarm(shop, c, nowMs)]),
  );
}
