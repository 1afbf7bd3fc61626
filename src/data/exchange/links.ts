import { checkCoatOrder } from '@/core/coat';
import { type Coat, RECORDS, TABLE_NAMES, type TableName } from '@/records';
import type { RowFault } from '@/records/validate';
import { ofPiece } from '@/shop/ofPiece';

type Rows = readonly Record<string, unknown>[];

/** What a field of a row holds, by its path with dots; a list along the way is gone through. */
function held(row: Record<string, unknown>, path: readonly string[]): readonly unknown[] {
  let values: readonly unknown[] = [row];
  for (const key of path)
    values = values.flatMap((value) => (value as Record<string, unknown> | null)?.[key] ?? []);
  return values;
}

/** What a field of a row names, by its path with dots. */
export const fieldValues = (row: Record<string, unknown>, field: string): readonly unknown[] =>
  held(row, field.split('.'));

/** Coats of sessions that are not over: one that was left keeps naming its coats, and one may be gone since. */
function openFaults(tables: Readonly<Record<TableName, Rows>>, coats: ReadonlySet<unknown>) {
  const open = new Set(tables.sessions.filter((s) => s['endedMs'] === null).map((s) => s['id']));
  return (['sessions', 'batches'] as const).flatMap((table) =>
    tables[table].flatMap((row, i) =>
      open.has(table === 'sessions' ? row['id'] : row['sessionId'])
        ? (row['coatIds'] as unknown[]).flatMap((id, n) =>
            coats.has(id)
              ? []
              : [
                  {
                    path: `tables.${table}[${i}].coatIds[${n}]`,
                    message: `No row ${String(id)} in coats.`,
                  },
                ],
          )
        : [],
    ),
  );
}

/** Places in the order of the log, each once. */
function sequenceFaults(log: Rows): RowFault[] {
  const seen = new Set<unknown>();
  return log.flatMap((row, i) => {
    const { seq } = row;
    if (!seen.has(seq)) return (seen.add(seq), []);
    return [{ path: `tables.log[${i}].seq`, message: 'Two entries claim the same place.' }];
  });
}

/** Faults between rows of a shop: ids twice, references to nothing, places of the log or of coats claimed twice. */
export function linkFaults(tables: Readonly<Record<TableName, Rows>>): RowFault[] {
  const references = referenceFaults(tables);
  return references.length > 0
    ? references
    : orderFaults(tables.coats as unknown as readonly Coat[]);
}

function referenceFaults(tables: Readonly<Record<TableName, Rows>>): RowFault[] {
  const ids = new Map(TABLE_NAMES.map((t) => [t, new Set(tables[t].map((row) => row['id']))]));
  const doubles = TABLE_NAMES.filter((t) => ids.get(t)?.size !== tables[t].length).map((t) => ({
    path: `tables.${t}`,
    message: 'Two rows have the same id.',
  }));
  const dangling = TABLE_NAMES.flatMap((table) =>
    RECORDS[table].references.flatMap(({ field, table: target }) => {
      const path = field.split('.');
      return tables[table].flatMap((row, i) =>
        held(row, path)
          .filter((id) => !ids.get(target as TableName)?.has(id))
          .map((id) => ({
            path: `tables.${table}[${i}].${field}`,
            message: `No row ${String(id)} in ${target}.`,
          })),
      );
    }),
  );
  const open = openFaults(tables, ids.get('coats') ?? new Set());
  return [...doubles, ...dangling, ...open, ...sequenceFaults(tables.log)];
}

/** Coats of a piece that cannot lie on each other: two in one place, or a poured one over one that is not. */
function orderFaults(coats: readonly Coat[]): RowFault[] {
  const pieces = [...new Set(coats.map((c) => c.pieceId))];
  return pieces.flatMap((pieceId) => {
    const own = ofPiece(coats, pieceId);
    const placed = checkCoatOrder(
      own.map((c) => ({ order: c.order, poured: c.pouredMs !== null })),
    );
    return placed.ok
      ? []
      : placed.issues.map((issue) => ({
          path: `tables.coats[${coats.indexOf(own[Number(issue.path[0])] as Coat)}].order`,
          message:
            issue.code === 'out-of-order'
              ? 'A poured coat cannot lie on one that is not poured.'
              : 'Two coats of this piece claim the same place.',
        }));
  });
}
