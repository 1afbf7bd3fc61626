import type { AnyTables, Migration } from './migration';
import { v1 } from './v1';
import { v2 } from './v2';
import { v3 } from './v3';
import { v4 } from './v4';
import { v5 } from './v5';
import { v6 } from './v6';
import { v7 } from './v7';
import { v8 } from './v8';
import { v9 } from './v9';
import { v10 } from './v10';
import { v11 } from './v11';
import { v12 } from './v12';
import { v13 } from './v13';
import { v14 } from './v14';
import { v15 } from './v15';
import { v16 } from './v16';

export type { AnyTables, Migration };

/** All steps in order, without gaps. */
export const MIGRATIONS: readonly Migration[] = [
  ...[v1, v2, v3, v4, v5, v6, v7, v8, v9, v10, v11, v12, v13, v14, v15, v16],
];
export const SCHEMA_VERSION = MIGRATIONS.length;

/** Names of the tables that a version has. */
export const tablesOf = (version: number): string[] => {
  const stores = MIGRATIONS.filter((m) => m.version <= version).map((m) => m.stores);
  const last = Object.assign({}, ...stores) as Record<string, string | null>;
  return Object.keys(last).filter((name) => last[name] !== null);
};

/**
 * Brings tables of an older version up to date.
 * @param tables rows by table name @param version the version they were written by, 1…SCHEMA_VERSION
 * @param onStep told the name of each step that ran
 */
export function migrate(
  tables: AnyTables,
  version: number,
  onStep: (name: string) => void = () => undefined,
): AnyTables {
  return MIGRATIONS.filter((step) => step.version > version).reduce((current, step) => {
    onStep(step.name);
    return step.up(current);
  }, tables);
}
