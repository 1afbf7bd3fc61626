import type { Id } from '@/records';
import { unfinished } from '@/shop/leaving';
import { roomOf } from '@/shop/room';
import type { ShopDb } from '../db';
import { StaleActionError } from '../errors';
import { act, type ActionContext } from '../write';

const TABLES = [...(['pieces', 'coats', 'tasks', 'defects', 'batches', 'resins', 'room'] as const)];

/**
 * A piece leaves: its record is closed and read-only from then on.
 * @throws StaleActionError when it is gone, closed already, or something of it is unfinished
 */
export function closePiece(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
): Promise<void> {
  return act(db, context, TABLES, async (w) => {
    const piece = await db.pieces.get(pieceId);
    if (!piece) throw new StaleActionError('piece gone');
    if (piece.closedMs !== null) throw new StaleActionError('piece closed', { name: piece.name });
    const coats = await db.coats.where('pieceId').equals(pieceId).toArray();
    const tasks = await db.tasks.where('pieceId').equals(pieceId).toArray();
    const defects = await db.defects.where('pieceId').equals(pieceId).toArray();
    const batches = await db.batches.bulkGet(coats.flatMap((c) => c.batchId ?? []));
    const resins = await db.resins.toArray();
    const room = roomOf(await db.room.orderBy('id').toArray());
    const known = batches.filter((b) => b !== undefined);
    const rows = { coats, tasks, defects, batches: known, resins, room };
    const [first] = unfinished(rows, context.nowMs);
    if (first) throw new StaleActionError('piece not finished', { why: first.is });
    await w.put('pieces', { ...piece, closedMs: context.nowMs });
    await w.log('piece closed', { pieceId, text: piece.name });
  });
}

/**
 * A closed piece is opened again.
 * @throws StaleActionError when it is gone or open, or no reason is told
 */
export function openPieceAgain(
  db: ShopDb,
  context: ActionContext,
  pieceId: Id<'piece'>,
  reason: string,
): Promise<void> {
  return act(db, context, ['pieces'], async (w) => {
    const piece = await db.pieces.get(pieceId);
    if (!piece || piece.closedMs === null) throw new StaleActionError('piece gone');
    if (reason.trim() === '') throw new StaleActionError('waived without a reason');
    await w.put('pieces', { ...piece, closedMs: null });
    await w.log('piece opened again', { pieceId, text: `${piece.name}: ${reason.trim()}` });
  });
}
