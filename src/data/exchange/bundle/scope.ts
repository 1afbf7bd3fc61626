import { RECORDS, TABLE_NAMES, type TableName } from '@/records';
import { fieldValues } from '../links';
import type { AnyRow, Rows } from './digest';
import { sortUnits, UNIT_TABLES, unitOf, type UnitKey } from './units';

/** What a bundle is made of. */
export type BundleWhat =
  | { readonly kind: 'shop' }
  | { readonly kind: 'job'; readonly name: string }
  | { readonly kind: 'piece' | 'resin' | 'session' | 'template'; readonly id: string };

/** The units that were asked for by name. */
function seedsOf(rows: Rows, what: Exclude<BundleWhat, { kind: 'shop' }>): UnitKey[] {
  if (what.kind === 'job')
    return rows.pieces.filter((p) => p['job'] === what.name).map((p): UnitKey => `piece:${p.id}`);
  const session = rows.sessions.find((s) => what.kind === 'session' && s.id === what.id);
  const coats = (session?.['coatIds'] ?? []) as readonly string[];
  return [
    `${what.kind}:${what.id}`,
    ...rows.coats.filter((c) => coats.includes(c.id)).map((c) => unitOf('coats', c)),
  ];
}

/** Units that a row names: they have to come along, or it would name nothing. */
function namedBy(table: TableName, row: AnyRow, owners: Owners): UnitKey[] {
  const open = owners.openSessions.has(String(row[table === 'sessions' ? 'id' : 'sessionId']));
  const fields = [
    ...RECORDS[table].references,
    ...(open && (table === 'sessions' || table === 'batches')
      ? [{ field: 'coatIds', table: 'coats' }]
      : []),
  ];
  return fields.flatMap(({ field, table: target }) =>
    fieldValues(row, field).flatMap((id) => owners.units.get(`${target}:${String(id)}`) ?? []),
  );
}

interface Owners {
  readonly units: ReadonlyMap<string, UnitKey>;
  readonly openSessions: ReadonlySet<string>;
}

const ownersOf = (rows: Rows): Owners => ({
  units: new Map(
    UNIT_TABLES.flatMap((table) =>
      rows[table].map((row) => [`${table}:${row.id}`, unitOf(table, row)] as const),
    ),
  ),
  openSessions: new Set(rows.sessions.filter((s) => s['endedMs'] === null).map((s) => s.id)),
});

/** Entries that speak of units in the bundle, and of none that is not. */
function entriesOf(log: readonly AnyRow[], owners: Owners, units: ReadonlySet<UnitKey>): AnyRow[] {
  const speaks = log.filter((entry) => {
    const named = namedBy('log', entry, owners);
    return named.length > 0 && named.every((unit) => units.has(unit));
  });
  const ids = new Set(speaks.map((e) => e.id));
  return speaks.filter((e) => e['aboutId'] === null || ids.has(String(e['aboutId'])));
}

const DAY_MS = 86_400_000;

/** Days of the room that clocks of the pieces go by. */
function roomOf(rows: Rows, pieces: readonly AnyRow[]): readonly AnyRow[] {
  const since = Math.min(...pieces.map((p) => Number(p['createdMs'])));
  return rows.room.filter((day) => Number(day['dayMs']) > since - 2 * DAY_MS);
}

/**
 * The rows that make a bundle: the units asked for, all that they name, what the log says of them, and the days of the
 * room since. Nothing in it names a row that is not in it.
 */
export function scopeOf(rows: Rows, what: BundleWhat): Rows {
  if (what.kind === 'shop') return { ...rows, drafts: [], shares: [] };
  const units = sortUnits(rows);
  const owners = ownersOf(rows);
  const sessionsOf = new Map<UnitKey, Set<UnitKey>>();
  // A session that a piece was in is named by the log alone, once its coat is planned anew.
  for (const { pieceId, sessionId } of rows.log)
    if (pieceId && sessionId) {
      const piece: UnitKey = `piece:${String(pieceId)}`;
      const own = sessionsOf.get(piece) ?? new Set();
      sessionsOf.set(piece, own.add(`session:${String(sessionId)}`));
    }
  const wanted = new Set<UnitKey>();
  const open = seedsOf(rows, what);
  for (let unit = open.pop(); unit !== undefined; unit = open.pop()) {
    if (wanted.has(unit) || !units.has(unit)) continue;
    wanted.add(unit);
    open.push(...(sessionsOf.get(unit) ?? []));
    for (const { table, row } of units.get(unit) ?? []) open.push(...namedBy(table, row, owners));
  }
  const picked = Object.fromEntries(
    TABLE_NAMES.map((table) => [
      table,
      (UNIT_TABLES as readonly TableName[]).includes(table)
        ? rows[table].filter((row) => wanted.has(unitOf(table as 'pieces', row)))
        : [],
    ]),
  ) as unknown as Record<TableName, readonly AnyRow[]>;
  picked.log = entriesOf(rows.log, owners, wanted);
  picked.room = picked.pieces.length > 0 ? roomOf(rows, picked.pieces) : [];
  return picked;
}
