import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** How a sheet was filled in from a label: its note said so, and these densities were taken. */
const FROM_LABEL = /^From its label:/;
const TAKEN = { A: 1100, B: 1000 } as const;

/** A sheet that was filled in from a label told no densities; where they still are those that were taken, it says so. */
function withAssumed(row: Row): Row {
  const sheet = row['sheet'] as Row;
  if (!FROM_LABEL.test(String(row['note']))) return row;
  const assumedDensity = [
    ...(sheet['densityAKgM3'] === TAKEN.A ? ['A'] : []),
    ...(sheet['densityBKgM3'] === TAKEN.B ? ['B'] : []),
  ];
  return assumedDensity.length > 0 ? { ...row, sheet: { ...sheet, assumedDensity } } : row;
}

/** Bottles have lots, densities may be assumed, and a touch tells what was touched: until now always the coat. */
export const v12: Migration = {
  version: 12,
  name: 'lots, assumed densities, what was touched',
  stores: { lots: 'id, resinId' },
  up: (tables) => ({
    ...tables,
    lots: [],
    batches: rowsOf(tables['batches']).map((row) => ({ ...row, lotId: null })),
    resins: rowsOf(tables['resins']).map(withAssumed),
    coats: rowsOf(tables['coats']).map((row) => ({
      ...row,
      touches: rowsOf(row['touches'] as unknown[]).map((touch) => ({ ...touch, on: 'coat' })),
    })),
  }),
};
