import { leftInLot, type PartsKg } from '@/core/resin';
import { type Batch, type Coat, type Id, type Lot, stateOf } from '@/records';
import type { Shop } from './shop';

/** Bottles with what is left in them and what was mixed from them. */
export interface LotView {
  readonly lot: Lot;
  readonly left: PartsKg;
  /** Batches that something was weighed for. */
  readonly batches: readonly Batch[];
  /** What was poured, or is to be, from those. */
  readonly coats: readonly Coat[];
}

type Rows = Pick<Shop, 'lots' | 'batches' | 'coats'>;

/** Lots of a resin: open ones first, the one opened last in front; then the sealed, then the empty. */
export function lotsOf({ lots, batches, coats }: Rows, resinId: Id<'resin'>): LotView[] {
  const place = ({ emptyMs, openedMs }: Lot) => (emptyMs !== null ? 2 : openedMs === null ? 1 : 0);
  return lots
    .filter((lot) => lot.resinId === resinId)
    .map((lot) => {
      const own = batches.filter((b) => b.lotId === lot.id && stateOf(b).aKg !== null);
      const ids = new Set<string>(own.map((b) => b.id));
      return {
        lot,
        left: leftInLot({ aKg: lot.fullAKg, bKg: lot.fullBKg }, own.map(stateOf)),
        batches: own,
        coats: coats.filter((c) => c.batchId !== null && ids.has(c.batchId)),
      };
    })
    .sort(
      ({ lot: a }, { lot: b }) =>
        place(a) - place(b) || (b.openedMs ?? 0) - (a.openedMs ?? 0) || (a.name < b.name ? -1 : 1),
    );
}

/** The bottles in use: the only open lot of a resin; null where none or several are open. */
export function lotInUse(rows: Rows, resinId: Id<'resin'>): LotView | null {
  const open = lotsOf(rows, resinId).filter(
    ({ lot }) => lot.openedMs !== null && lot.emptyMs === null,
  );
  return open.length === 1 ? (open[0] ?? null) : null;
}
