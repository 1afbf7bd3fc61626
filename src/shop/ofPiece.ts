import type { Id } from '@/records';

/** Rows of a table by their piece. A table that is read never changes, so it is sorted out once. */
const indexes = new WeakMap<object, ReadonlyMap<string, readonly unknown[]>>();

/** The rows of one piece, in the order of the table. */
export function ofPiece<R extends { readonly pieceId: Id<'piece'> }>(
  table: readonly R[],
  pieceId: string,
): readonly R[] {
  let index = indexes.get(table) as ReadonlyMap<string, readonly R[]> | undefined;
  if (!index) {
    const sorted = new Map<string, R[]>();
    for (const row of table) {
      const mates = sorted.get(row.pieceId);
      if (mates) mates.push(row);
      else sorted.set(row.pieceId, [row]);
    }
    index = sorted;
    indexes.set(table, index);
  }
  return index.get(pieceId) ?? NONE;
}

const NONE: readonly never[] = [];

const ids = new WeakMap<object, ReadonlyMap<string, unknown>>();

/** A row of a table by its id; the table is sorted out once. */
export function byId<R extends { readonly id: string }>(
  table: readonly R[],
  id: string | null | undefined,
): R | undefined {
  let index = ids.get(table) as ReadonlyMap<string, R> | undefined;
  if (!index) {
    index = new Map(table.map((row) => [row.id, row]));
    ids.set(table, index);
  }
  return id === null || id === undefined ? undefined : index.get(id);
}
