import { checkCoatOrder } from '@/core/coat';
import { TABLE_NAMES, type Area, type Coat, type TableName } from '@/records/types';
import type { RowFault } from '@/records/validate';

/** Which field of which table names a row of which other table. */
const REFERENCES: readonly (readonly [TableName, string, TableName])[] = [
  ['areas', 'pieceId', 'pieces'],
  ['sessions', 'resinId', 'resins'],
  ['batches', 'sessionId', 'sessions'],
  ['batches', 'resinId', 'resins'],
  ['coats', 'pieceId', 'pieces'],
  ['coats', 'areaIds', 'areas'],
  ['coats', 'resinId', 'resins'],
  ['coats', 'batchId', 'batches'],
  ['defects', 'pieceId', 'pieces'],
  ['defects', 'coatId', 'coats'],
  ['tasks', 'pieceId', 'pieces'],
  ['photos', 'pieceId', 'pieces'],
  ['photos', 'defectId', 'defects'],
  ['log', 'pieceId', 'pieces'],
  ['log', 'sessionId', 'sessions'],
  ['log', 'batchId', 'batches'],
  ['log', 'aboutId', 'log'],
];

type Rows = readonly Record<string, unknown>[];

/** References inside a row: photos that an area was traced from, coats of a session that is not over. */
function innerFaults(
  tables: Readonly<Record<TableName, Rows>>,
  has: (table: TableName, id: unknown) => boolean,
): RowFault[] {
  const missing = (path: string, table: TableName, id: unknown): RowFault[] =>
    has(table, id) ? [] : [{ path, message: `No row ${String(id)} in ${table}.` }];
  const traced = tables.areas.flatMap((row, i) => {
    const measured = row['measured'] as Area['measured'];
    if (measured.by !== 'photo') return [];
    return (['photoId', 'planPhotoId'] as const).flatMap((field) =>
      missing(`tables.areas[${i}].measured.${field}`, 'photos', measured[field]),
    );
  });
  // A session that was left keeps naming its coats; one of them may have been taken off the plan since.
  const open = new Set(tables.sessions.filter((s) => s['endedMs'] === null).map((s) => s['id']));
  const mixed = (['sessions', 'batches'] as const).flatMap((table) =>
    tables[table].flatMap((row, i) =>
      open.has(table === 'sessions' ? row['id'] : row['sessionId'])
        ? (row['coatIds'] as unknown[]).flatMap((id, n) =>
            missing(`tables.${table}[${i}].coatIds[${n}]`, 'coats', id),
          )
        : [],
    ),
  );
  return [...traced, ...mixed];
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
  const dangling = REFERENCES.flatMap(([table, field, target]) =>
    tables[table].flatMap((row, i) =>
      [row[field]]
        .flat()
        .filter((id) => id !== null && !ids.get(target)?.has(id))
        .map((id) => ({
          path: `tables.${table}[${i}].${field}`,
          message: `No row ${String(id)} in ${target}.`,
        })),
    ),
  );
  const has = (table: TableName, id: unknown) => ids.get(table)?.has(id) ?? false;
  return [...doubles, ...dangling, ...innerFaults(tables, has), ...sequenceFaults(tables.log)];
}

/** Coats of a piece that cannot lie on each other: two in one place, or a poured one over one that is not. */
function orderFaults(coats: readonly Coat[]): RowFault[] {
  const pieces = [...new Set(coats.map((c) => c.pieceId))];
  return pieces.flatMap((pieceId) => {
    const own = coats.filter((c) => c.pieceId === pieceId);
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
