import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** Of old resin nothing was asked but its age: its kind is not known, and it was taken to be hard. */
const surface = (row: Row): Row => ({
  ...row,
  resin: row['kind'] === 'old resin' ? { kind: 'not known', state: 'hard' } : null,
});

/** Old resin has a kind and a state; a piece knows when it was turned last; a resin says what it is declared for. */
export const v9: Migration = {
  version: 9,
  name: 'old resin told whole, and when a piece was turned',
  stores: {},
  up: (tables) => ({
    ...tables,
    pieces: rowsOf(tables['pieces']).map((row) => ({ ...row, turnedMs: null })),
    resins: rowsOf(tables['resins']).map((row) => ({
      ...row,
      declared: { serviceK: null, food: null, uvStable: null },
    })),
    areas: rowsOf(tables['areas']).map((row) => ({
      ...row,
      surface: surface((row['surface'] ?? {}) as Row),
    })),
  }),
};
