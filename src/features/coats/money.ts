import type { Explanation } from '@/core/explain';
import { coatCost, leftOverPlan, type CoatCost, type Ledger } from '@/core/coat';
import { mixDensity } from '@/core/resin';
import type { Shop } from '@/shop/shop';
import type { Piece } from '@/records';
import { ledgerOf, pieceViews, type CoatView, type PieceView } from '@/shop/coatView';
import { holdsOf } from '@/shop/prepView';

/** What a coat costs; null while its resin has no price or it has no ledger. */
export function costOf(
  view: CoatView,
  ledger: Ledger | null,
  consumables: number,
): CoatCost | null {
  const { price, sheet } = view.resin;
  if (!price || !ledger) return null;
  return coatCost({
    totalM3: ledger.totalM3,
    wasteM3: ledger.wasteM3,
    densityKgM3: mixDensity(sheet),
    price,
    consumables,
  });
}

export interface JobCost {
  readonly total: number;
  readonly wasteShare: number;
  /** Coats whose resin has no price. */
  readonly unknown: readonly string[];
  readonly explanation: Explanation;
}

/** What all coats of a piece cost, for the whole set. */
export function jobCost(
  view: Pick<PieceView, 'coats'>,
  selectedId: string,
  selected: Ledger | null,
  consumables: number,
): JobCost {
  const costs = view.coats.map((c) => {
    const own = ledgerOf(c);
    const ledger = c.coat.id === selectedId ? selected : own.ok ? own.value : null;
    return { name: c.coat.name, cost: costOf(c, ledger, consumables) };
  });
  const known = costs.flatMap(({ cost }) => (cost ? [cost] : []));
  const total = known.reduce((sum, c) => sum + c.total, 0);
  const waste = known.reduce((sum, c) => sum + c.total * c.wasteShare, 0);
  return {
    total,
    wasteShare: total > 0 ? waste / total : 0,
    unknown: costs.filter(({ cost }) => !cost).map(({ name }) => name),
    explanation: {
      title: 'Cost of all coats',
      formula: 'sum over the coats of the piece, all pieces of the set',
      inputs: costs.flatMap(({ name, cost }, i) =>
        cost
          ? [
              {
                label: `${i + 1}. ${name}, your currency`,
                value: Number(cost.total.toFixed(2)),
                quantity: 'number',
                source: 'computed',
              } as const,
            ]
          : [],
      ),
      source: 'Each coat’s own cost opens on its own page.',
    },
  };
}

export interface FillerWords {
  readonly pieceId: string;
  readonly text: string;
  readonly volumeM3: number;
  readonly ready: boolean;
}

/** A planned coat of another piece, of the same resin. */
interface Waiting {
  readonly piece: Piece;
  readonly coatName: string;
  readonly eachM3: number;
  readonly ready: boolean;
}

/** Which other pieces wait for the resin of a coat, with what each takes from a cup that is wet already. */
export function waitingFor(
  shop: Shop,
  view: Pick<CoatView, 'piece' | 'resin'>,
  nowMs: number,
): Waiting[] {
  return pieceViews(shop, nowMs).flatMap(({ piece, upcoming }) => {
    if (!upcoming || upcoming.batch || piece.id === view.piece.id) return [];
    if (upcoming.resin.id !== view.resin.id) return [];
    const ledger = ledgerOf(upcoming);
    if (!ledger.ok) return [];
    // No cup film and no reserve of its own.
    const eachM3 = ledger.value.byArea.reduce((s, a) => s + a.volumeM3, 0) / piece.count;
    const ready = holdsOf(shop, piece, upcoming.coat.id, nowMs).length === 0;
    return eachM3 > 0 ? [{ piece, coatName: upcoming.coat.name, eachM3, ready }] : [];
  });
}

/** What is left of a batch, shared out among those that wait, the ready ones first. */
export function leftOver(
  waiting: readonly Waiting[],
  leftM3: number,
): { readonly fillers: readonly FillerWords[]; readonly restM3: number } {
  const fillers: FillerWords[] = [];
  let restM3 = leftM3;
  for (const ready of [true, false]) {
    const of = waiting.filter((w) => w.ready === ready);
    const { takes, restM3: after } = leftOverPlan(
      restM3,
      of.map((w) => ({ id: w.piece.id, eachM3: w.eachM3, count: w.piece.count })),
    );
    restM3 = after;
    for (const { id, pieces, volumeM3 } of takes) {
      const found = of.find((w) => w.piece.id === id);
      if (!found) continue;
      const { name, count } = found.piece;
      const set = count === 1 ? name : `${pieces} of ${count} ${name}`;
      fillers.push({ pieceId: id, text: `${set}, ${found.coatName}`, volumeM3, ready });
    }
  }
  return { fillers, restM3 };
}
