import type { TableName } from '@/records';
import type { AnyRow, Rows } from './digest';

/** What a hand calls one thing, with all rows that are part of it. */
export type UnitKind = 'piece' | 'resin' | 'session' | 'template' | 'settings' | 'room';
export type UnitKey = `${UnitKind}:${string}`;

const key = (kind: UnitKind, id: unknown): UnitKey => `${kind}:${String(id)}`;

/** Tables that a bundle carries unit by unit: the log goes entry by entry, drafts and shares stay where they are. */
export const UNIT_TABLES = [
  ...([
    'settings',
    'resins',
    'lots',
    'swatches',
    'pieces',
    'areas',
    'sessions',
    'batches',
  ] as const),
  ...(['coats', 'layers', 'defects', 'photos', 'tasks', 'templates', 'room'] as const),
];
export type UnitTable = (typeof UNIT_TABLES)[number];

/** The unit that a row is part of. */
export function unitOf(table: UnitTable, row: AnyRow): UnitKey {
  switch (table) {
    case 'settings':
      return 'settings:shop';
    case 'room':
      return 'room:all';
    case 'templates':
      return key('template', row.id);
    case 'resins':
      return key('resin', row.id);
    case 'lots':
    case 'swatches':
      return key('resin', row['resinId']);
    case 'sessions':
      return key('session', row.id);
    case 'batches':
      return key('session', row['sessionId']);
    case 'pieces':
      return key('piece', row.id);
    case 'areas':
    case 'coats':
    case 'layers':
    case 'defects':
    case 'photos':
    case 'tasks':
      return key('piece', row['pieceId']);
  }
}

export const kindOf = (unit: UnitKey): UnitKind => unit.slice(0, unit.indexOf(':')) as UnitKind;
export const idOf = (unit: UnitKey): string => unit.slice(unit.indexOf(':') + 1);

/** Every row of every unit. */
export function sortUnits(
  rows: Rows,
): ReadonlyMap<UnitKey, readonly { readonly table: UnitTable; readonly row: AnyRow }[]> {
  const units = new Map<UnitKey, { table: UnitTable; row: AnyRow }[]>();
  for (const table of UNIT_TABLES)
    for (const row of rows[table]) {
      const unit = unitOf(table, row);
      const own = units.get(unit);
      if (own) own.push({ table, row });
      else units.set(unit, [{ table, row }]);
    }
  return units;
}

/** Address of a row among all tables, as shares keep it. */
export const addressOf = (table: TableName, id: string): string => `${table}:${id}`;
