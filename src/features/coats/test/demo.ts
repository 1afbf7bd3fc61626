import type { Coat } from '@/records';
import { ledgerOf, pieceViews, type CoatView, type PieceView } from '@/shop/coatView';
import { demoView, NOW } from '@/features/test/shop';

export const shop = demoView();
export const views = pieceViews(shop, NOW);

/** A piece of the demo shop by its name. */
export function onPiece(name: string): PieceView {
  const view = views.find((v) => v.piece.name === name);
  if (!view) throw new Error(name);
  return view;
}

/** A coat of the demo shop by its name on a piece. */
export function coatOf(piece: string, name: string): CoatView {
  const coat = onPiece(piece).coats.find((c) => c.coat.name === name);
  if (!coat) throw new Error(`${piece}: ${name}`);
  return coat;
}

/** What a coat takes, as it is or changed. */
export function ledger(view: CoatView, change: Partial<Coat> = {}) {
  const read = ledgerOf(view, change);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return read.value;
}
