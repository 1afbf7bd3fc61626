import { checkMix, type MixCheck } from '@/core/resin';
import type { BatchStep } from '@/core/wet';
import type { Batch, Coat, Piece, Resin } from '@/records';
import { sessionAt, type BatchAt, type SessionAt } from '@/shop/instant';
import { byId } from '@/shop/ofPiece';
import type { Shop } from '@/shop/shop';

/** A coat at the bench, with its piece. */
export interface WetCoat {
  readonly coat: Coat;
  readonly piece: Piece;
}

export type WetView = Omit<SessionAt, 'coats'> & {
  /** Coats of the batch that is looked at, and of all batches. */
  readonly coats: readonly WetCoat[];
  readonly all: readonly WetCoat[];
};

/**
 * Everything that a wet session's screen shows, or null when there is no such session.
 * @param chosenId the batch that is looked at; null: the one that comes first
 */
export function wetView(
  shop: Shop,
  sessionId: string,
  nowMs: number,
  chosenId: string | null = null,
): WetView | null {
  const session = byId(shop.sessions, sessionId);
  const at = session ? sessionAt(shop, session, nowMs, chosenId) : null;
  if (!at) return null;
  // Lines are drawn when the mix is thick enough for them to stay: after everything else.
  const last = (coat: Coat) => (coat.kind === 'line' ? 1 : 0);
  const withPiece = (coats: readonly Coat[]) =>
    [...coats]
      .sort((a, b) => last(a) - last(b))
      .flatMap((coat) => {
        const piece = byId(shop.pieces, coat.pieceId);
        return piece ? [{ coat, piece }] : [];
      });
  const all = withPiece(at.batches.flatMap((b) => b.coats));
  return { ...at, coats: withPiece(at.coats), all };
}

/** The view of another batch of the same session. */
export const viewOf = (view: WetView, batch: BatchAt): WetView => ({
  ...view,
  ...batch,
  coats: view.all.filter((c) => batch.batch.coatIds.includes(c.coat.id)),
});

/** A session in which nobody did anything for so long was left standing, ms. Judgement, no source. */
const FORGOTTEN_MS = 8 * 3600_000;

/** Since when a session was left standing; null: it is worked on. */
export function forgottenSince({ session, batches }: WetView, nowMs: number): number | null {
  const acts = batches.flatMap((b) => b.batch.events.map((e) => e.atMs));
  const last = Math.max(session.startedMs, ...acts);
  return session.endedMs === null && nowMs - last > FORGOTTEN_MS ? last : null;
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

/** The steps of a batch in their order, in the words of how it is measured. */
export const wetSteps = ({
  measure,
  cups,
}: Pick<Batch, 'measure' | 'cups'>): readonly {
  readonly step: BatchStep;
  readonly word: string;
}[] => {
  const verb = measure === 'weight' ? 'weigh' : 'measure';
  return [
    { step: 'weigh A', word: `${verb} A` },
    { step: 'weigh B', word: `${verb} B` },
    { step: 'stir', word: 'stir' },
    ...(cups.length > 0 ? [{ step: 'cups', word: 'colours' } as const] : []),
    { step: 'pour', word: 'pour' },
    { step: 'cover', word: 'cover' },
  ];
};
