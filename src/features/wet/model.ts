import { checkMix, workingTime, type MixCheck } from '@/core/resin';
import type { Shop } from '@/shop/shop';
import {
  type Batch,
  batchStep,
  type BatchStep,
  type Coat,
  type Piece,
  type Resin,
  type WetSession,
} from '@/records';

export interface WetView {
  readonly session: WetSession;
  readonly batch: Batch;
  readonly resin: Resin;
  readonly coats: readonly { readonly coat: Coat; readonly piece: Piece }[];
  readonly step: BatchStep;
  readonly massKg: number;
  readonly workingMs: number;
  /** When the working time ends; null before part B is in. */
  readonly workingEndsMs: number | null;
}

/** Everything that a wet session's screen shows, or null when there is no such session. */
export function wetView(shop: Shop, sessionId: string): WetView | null {
  const session = shop.sessions.find((s) => s.id === sessionId);
  const batch = shop.batches.find((b) => b.sessionId === sessionId);
  const resin = shop.resins.find((r) => r.id === session?.resinId);
  if (!session || !batch || !resin) return null;
  const coats = session.coatIds.flatMap((id) => {
    const coat = shop.coats.find((c) => c.id === id);
    const piece = shop.pieces.find((p) => p.id === coat?.pieceId);
    return coat && piece ? [{ coat, piece }] : [];
  });
  const massKg = (batch.aKg ?? batch.targetAKg) + (batch.bKg ?? batch.targetBKg);
  const workingMs = workingTime(resin.sheet, massKg, session.temperatureK) * 1000;
  return {
    session,
    batch,
    resin,
    coats,
    step: batchStep(batch),
    massKg,
    workingMs,
    workingEndsMs: batch.mixedMs === null ? null : batch.mixedMs + workingMs,
  };
}

/** What B should weigh now that A has been weighed: the ratio follows what is in the cup. */
export function wantedB({ batch, resin }: Pick<WetView, 'batch' | 'resin'>): number {
  const aKg = batch.aKg ?? batch.targetAKg;
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
