import type { TableName } from '@/records';

interface Row {
  readonly id: string;
  readonly name?: string;
}

/** A row that cannot be shown: which one, and why. */
export class RowTrouble extends Error {
  override readonly name = 'RowTrouble';
  constructor(
    readonly table: TableName,
    readonly row: Row,
    override readonly cause: unknown,
  ) {
    super(cause instanceof Error ? cause.message : String(cause));
  }
}

/** What could be read from rows, and the rows that could not. */
export interface Tolerated<T> {
  readonly values: readonly T[];
  readonly troubles: readonly RowTrouble[];
}

/** Runs `read` on each row; one that fails is named and the others go on. */
export function each<R extends Row, T>(
  table: TableName,
  rows: readonly R[],
  read: (row: R) => T,
): Tolerated<T> {
  const values: T[] = [];
  const troubles: RowTrouble[] = [];
  for (const row of rows)
    try {
      values.push(read(row));
    } catch (error) {
      troubles.push(error instanceof RowTrouble ? error : new RowTrouble(table, row, error));
    }
  return { values, troubles };
}
