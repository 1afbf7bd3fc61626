import { checkMix, type MixCheck } from '@/core/resin';
import type { BatchStep } from '@/core/wet';
import type { Coat, Piece, Resin } from '@/records';
import { sessionAt, type SessionAt } from '@/shop/instant';
import { byId } from '@/shop/ofPiece';
import type { Shop } from '@/shop/shop';

export type WetView = Omit<SessionAt, 'coats'> & {
  readonly coats: readonly { readonly coat: Coat; readonly piece: Piece }[];
};

/** Everything that a wet session's screen shows, or null when there is no such session. */
export function wetView(shop: Shop, sessionId: string, nowMs: number): WetView | null {
  const session = byId(shop.sessions, sessionId);
  const at = session ? sessionAt(shop, session, nowMs) : null;
  if (!at) return null;
  const coats = at.coats.flatMap((coat) => {
    const piece = byId(shop.pieces, coat.pieceId);
    return piece ? [{ coat, piece }] : [];
  });
  return { ...at, coats };
}

/** What B should weigh now that A has been weighed: the ratio follows what is in the cup. */
export function wantedB({ batch, done, resin }: Pick<WetView, 'batch' | 'done' | 'resin'>): number {
  const aKg = done.aKg ?? batch.targetAKg;
  return checkMix(aKg, 0, resin.sheet).addBKg;
}

export interface RatioGauge {
  readonly check: MixCheck;
  /** Place of the marker on the gauge, 0 to 1; the right ratio is at one half. */
  readonly at: number;
  readonly tolerance: { readonly from: number; readonly to: number };
}

const GAUGE_SHARE = 0.1;

/** The ratio if the pouring stopped now, placed on a gauge of ±10 %. */
export function ratioGauge(aKg: number, bKg: number, resin: Resin): RatioGauge {
  const check = checkMix(aKg, bKg, resin.sheet);
  const place = (share: number) => 0.5 + Math.min(0.5, Math.max(-0.5, (share / GAUGE_SHARE) * 0.5));
  return { check, at: place(check.errorShare), tolerance: { from: place(-0.02), to: place(0.02) } };
}

export const WET_STEPS: readonly { readonly step: BatchStep; readonly word: string }[] = [
  { step: 'weigh A', word: 'weigh A' },
  { step: 'weigh B', word: 'weigh B' },
  { step: 'stir', word: 'stir' },
  { step: 'pour', word: 'pour' },
  { step: 'cover', word: 'cover' },
];
