import { coatLedger, learnedLoss, type LearnedLoss, type LossSample } from '@/core/coat';
import type { CoatKind, Support } from '@/core/piece';
import { mixDensity } from '@/core/resin';
import { stateOf, type LossFactor } from '@/records';
import { ledgerInputOf, viewPiece } from './coatView';
import { byId } from './ofPiece';
import type { Shop } from './shop';

/** What coats of one kind on one support taught, beside what of it was accepted. */
export interface LossView {
  readonly support: Support;
  readonly kind: CoatKind;
  /** Null: too few cups were weighed before and after. */
  readonly learned: LearnedLoss | null;
  readonly pours: number;
  /** Run-off by what was used, m³ for each metre of open edge; null where none ran off. */
  readonly runOffM2: number | null;
  readonly accepted: LossFactor | null;
}

interface Pour extends LossSample {
  readonly support: Support;
  readonly kind: CoatKind;
  readonly runOffM2: number | null;
}

/** Pours whose cup was weighed before and after, each for one coat without colours. */
function poursOf(shop: Shop, nowMs: number): Pour[] {
  return shop.batches.flatMap((batch) =>
    stateOf(batch).used.flatMap(({ coatIds, kg }): Pour[] => {
      const [coatId, ...others] = coatIds;
      const coat = byId(shop.coats, coatId ?? null);
      const piece = byId(shop.pieces, coat?.pieceId ?? null);
      const seen = piece && viewPiece(shop, piece, nowMs).coats.find((c) => c.coat.id === coatId);
      if (!coat || !seen || others.length > 0 || coat.colours.length > 0) return [];
      const ledger = coatLedger({ ...ledgerInputOf(seen), learned: null });
      if (!ledger.ok) return [];
      const { pouredM3, lines } = ledger.value;
      const density = mixDensity(seen.resin.sheet);
      const metres = ledgerInputOf(seen)
        .areas.flatMap((a) => a.openEdges.map((e) => e.lengthM * a.count))
        .reduce((s, m) => s + m, 0);
      const ranM3 = lines.find((l) => l.id === 'run-off')?.volumeM3 ?? 0;
      const runOffM2 = ranM3 > 0 && metres > 0 ? (kg / density - pouredM3 + ranM3) / metres : null;
      return [
        {
          ...{ support: seen.piece.support, kind: coat.kind, runOffM2 },
          ...{ plannedKg: pouredM3 * density, usedKg: kg },
        },
      ];
    }),
  );
}

const middle = (list: readonly number[]): number | null =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? null;

/** What weighed cups taught, by support and kind of coat; what was accepted earlier stands there too. */
export function lossViews(shop: Shop, nowMs: number): readonly LossView[] {
  const pours = poursOf(shop, nowMs);
  const { losses } = shop.settings;
  const keys = new Map(
    [...losses, ...pours].map(({ support, kind }) => [`${support}/${kind}`, { support, kind }]),
  );
  return [...keys.values()].map(({ support, kind }) => {
    const own = pours.filter((p) => p.support === support && p.kind === kind);
    const learned = learnedLoss(own);
    return {
      ...{ support, kind, pours: own.length },
      learned: learned.ok ? learned.value : null,
      runOffM2: middle(own.flatMap((p) => p.runOffM2 ?? [])),
      accepted: losses.find((l) => l.support === support && l.kind === kind) ?? null,
    };
  });
}
