import { AREAS } from './area';
import { BATCHES } from './batch';
import { COATS } from './coat';
import { DEFECTS } from './defect';
import type { RecordDefinition } from './define';
import { DRAFTS } from './draft';
import { LAYERS } from './layer';
import { LOTS } from './lot';
import { LOG } from './logEntry';
import { PHOTOS } from './photo';
import { PIECES } from './piece';
import { RESINS } from './resin';
import { ROOM } from './room';
import { SESSIONS } from './session';
import { SHARES } from './share';
import { SETTINGS } from './settings';
import { SWATCHES } from './swatch';
import { TASKS } from './task';
import { TEMPLATES } from './template';

/** Every table of the shop. A new one is a file of its own and its name here. */
const ALL = [
  ...[SETTINGS, PIECES, AREAS, RESINS, LOTS, SWATCHES, COATS, LAYERS, SESSIONS, BATCHES],
  ...[DEFECTS, PHOTOS, TASKS, TEMPLATES, ROOM, DRAFTS, SHARES, LOG],
] as const;
type Definition = (typeof ALL)[number];

/** Every table and what stands in it. */
export type Tables = { [D in Definition as D['name']]: NonNullable<D['row']> };
export type TableName = Definition['name'];
/** The tables that are read whole and followed. */
export type LiveTable = Extract<Definition, { readonly live: true }>['name'];

/** What is known of each table. */
export const RECORDS = Object.fromEntries(ALL.map((d) => [d.name, d])) as unknown as {
  readonly [T in TableName]: RecordDefinition<Tables[T]> & { readonly name: T };
};

export const LIVE_TABLES = ALL.filter((d) => d.live).map((d) => d.name) as readonly LiveTable[];

/** Tables so that rows that are named come before those that name them. */
function inOrder(): TableName[] {
  const placed = new Set<TableName>();
  const place = (name: TableName) => {
    if (placed.has(name)) return;
    for (const { table, later } of RECORDS[name].references)
      if (table !== name && !later) place(table as TableName);
    placed.add(name);
  };
  for (const { name } of ALL) place(name);
  return [...placed];
}

/** Order in which tables are written and checked: referred-to rows first. */
export const TABLE_NAMES: readonly TableName[] = inOrder();
