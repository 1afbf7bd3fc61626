const NONE: readonly never[] = [];

/** Looks rows of a table up by what they belong to. A table that is read never changes, so it is sorted out once. */
function rowsBy<K extends string>(key: K) {
  type Row = { readonly [N in K]: string };
  const indexes = new WeakMap<object, ReadonlyMap<string, readonly unknown[]>>();
  return <R extends Row>(table: readonly R[], owner: string): readonly R[] => {
    let index = indexes.get(table) as ReadonlyMap<string, readonly R[]> | undefined;
    if (!index) {
      const sorted = new Map<string, R[]>();
      for (const row of table) {
        const mates = sorted.get(row[key]);
        if (mates) mates.push(row);
        else sorted.set(row[key], [row]);
      }
      index = sorted;
      indexes.set(table, index);
    }
    return index.get(owner) ?? NONE;
  };
}

/** The rows of one piece, in the order of the table. */
export const ofPiece = rowsBy('pieceId');
/** The rows of one wet session, in the order of the table. */
export const ofSession = rowsBy('sessionId');

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
