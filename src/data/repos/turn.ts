import { clockOf } from '@/shop/clockOf';
import { roomOf } from '@/shop/room';
import type { Id, Piece } from '@/records';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

/**
 * Turns a piece over: its other side lies up from now on.
 * @param wanted the side that is to lie up; the other one when left out
 * @throws StaleActionError when the piece is gone, that side lies up already, or a coat on it does not bear handling yet
 */
export function turnPiece(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  wanted?: Piece['up'],
): Promise<Piece['up']> {
  return act(db, context, ['pieces', 'coats', 'resins', 'room'], async (w) => {
    const piece = await db.pieces.get(pieceId);
    if (!piece) throw new StaleActionError('piece gone');
    // A second tap must not turn it back.
    if (piece.up === wanted) throw new StaleActionError('that side lies up already');
    const coats = await db.coats.where('pieceId').equals(pieceId).toArray();
    const resins = await db.resins.toArray();
    const room = roomOf(await db.room.orderBy('id').toArray());
    for (const coat of coats) {
      const sheet = resins.find((r) => r.id === coat.resinId)?.sheet;
      const clock = sheet ? clockOf(coat, sheet, room, context.nowMs) : null;
      const handle = clock?.windows.find((win) => win.kind === 'handle');
      if (handle && handle.opensMs > context.nowMs)
        throw new StaleActionError('too soft to turn', { name: coat.name, fromMs: handle.opensMs });
    }
    const up = piece.up === 'front' ? 'back' : 'front';
    await w.put('pieces', { ...piece, up, turnedMs: context.nowMs });
    await w.log('piece turned', { pieceId, text: up === 'back' ? 'back up' : 'face up' });
    return up;
  });
}
