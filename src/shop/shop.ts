import equal from 'fast-deep-equal';
import {
  type Area,
  type Batch,
  type Coat,
  type Layer,
  type Lot,
  DEFAULT_SETTINGS,
  type Defect,
  LIVE_TABLES,
  type LiveTable,
  type Piece,
  type PrepRecord,
  RECORDS,
  type Resin,
  type Settings,
  type Swatch,
  type Tables,
  type Template,
  type WetSession,
} from '@/records';
import { roomOf, type Room } from './room';

/** All small tables of the shop as they are now, what is planned settled; log and photos are asked for where they are shown. */
export interface Shop {
  readonly settings: Settings;
  /** In the order they came to the bench. */
  readonly pieces: readonly Piece[];
  readonly areas: readonly Area[];
  /** By name. */
  readonly resins: readonly Resin[];
  /** Bottles of resins, by name. */
  readonly lots: readonly Lot[];
  /** Colours as recipes, by name. */
  readonly swatches: readonly Swatch[];
  /** From the ground up. */
  readonly coats: readonly Coat[];
  readonly layers: readonly Layer[];
  readonly sessions: readonly WetSession[];
  readonly batches: readonly Batch[];
  readonly defects: readonly Defect[];
  readonly tasks: readonly PrepRecord[];
  /** Lists of steps that the shop keeps, by name. */
  readonly templates: readonly Template[];
  /** The record of the room with its forecast. */
  readonly room: Room;
}

type Row<T extends LiveTable = LiveTable> = Tables[T];
export type ShopRows = { readonly [T in LiveTable]: readonly Tables[T][] };

/** What was read of one table: rows that are there, ids of rows that are gone. */
export interface TableChange {
  readonly rows: readonly Row[];
  readonly gone: readonly string[];
}
export type ShopChanges = { readonly [T in LiveTable]?: TableChange };

/** A shop with the rows it was made from, so that the next one shares all that did not change. */
export interface KeptShop {
  readonly rows: ShopRows;
  readonly shop: Shop;
}

function ordered<T extends LiveTable>(table: T, rows: readonly Tables[T][]): readonly Tables[T][] {
  const by = RECORDS[table].order as ((a: Tables[T], b: Tables[T]) => number) | undefined;
  return by ? [...rows].sort(by) : rows;
}

/** Coats with the film that is true now, each for the rows that it hangs on. */
export type Settle = (rows: ShopRows) => readonly Coat[];

export const sameRows = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a === b || (a.length === b.length && a.every((row, i) => row === b[i]));

/** Whole tables as the shop holds them, from any order of their rows. */
export const orderedRows = (tables: ShopRows): ShopRows =>
  Object.fromEntries(
    LIVE_TABLES.map((table) => [table, ordered(table, tables[table] as never)]),
  ) as ShopRows;

/**
 * The shop of ordered rows.
 * @param kept what was known before: settled coats that did not change stay the same objects @param settle as `settle.ts` has it
 */
export function shopOf(rows: ShopRows, kept: KeptShop | null, settle: Settle): KeptShop {
  const coats = settle(rows);
  const before = kept?.shop;
  const shop = {
    ...rows,
    settings: rows.settings[0] ?? DEFAULT_SETTINGS,
    room: roomOf(rows.room),
    coats: before && sameRows(before.coats, coats) ? before.coats : coats,
  };
  return { rows, shop };
}

/** The shop that whole tables make, in any order of their rows. */
export const keepShop = (tables: ShopRows, settle: Settle): KeptShop =>
  shopOf(orderedRows(tables), null, settle);

/** A table with its changes; itself when nothing in it is different. */
function changedTable<T extends LiveTable>(
  table: T,
  rows: readonly Tables[T][],
  { rows: fresh, gone }: TableChange,
): readonly Tables[T][] {
  const at = new Map(rows.map((row, i) => [row.id as string, i]));
  const next: Tables[T][] = [...rows];
  let moved = false;
  for (const row of fresh as readonly Tables[T][]) {
    const i = at.get(row.id);
    if (i !== undefined && equal(rows[i], row)) continue;
    if (i === undefined) next.push(row);
    else next[i] = row;
    moved = true;
  }
  const left = new Set(gone.filter((id) => at.has(id)));
  if (!moved && left.size === 0) return rows;
  return ordered(table, left.size > 0 ? next.filter((row) => !left.has(row.id)) : next);
}

/** Rows after changes: tables in which nothing is different stay the same, and so do all when none is. */
export function changedRows(before: ShopRows, changes: ShopChanges): ShopRows {
  const entries = LIVE_TABLES.map((table) => {
    const change = changes[table];
    return [table, change ? changedTable(table, before[table] as never, change) : before[table]];
  });
  const rows = Object.fromEntries(entries) as ShopRows;
  return LIVE_TABLES.every((table) => rows[table] === before[table]) ? before : rows;
}
