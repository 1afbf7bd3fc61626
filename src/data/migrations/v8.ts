import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** A wall of a face was of tape, and was masked so; that of a recess is its own rim. */
const edge = (row: Row, kind: unknown): Row => ({
  ...row,
  kind: row['kind'] !== 'dammed' ? row['kind'] : kind === 'recess' ? 'own rim' : 'tape wall',
  wallM: null,
});

const area = (row: Row): Row => ({
  ...row,
  edges: rowsOf(row['edges'] as unknown[]).map((e) => edge(e, row['kind'])),
  cuts: [],
  partOf: null,
  bare: false,
});

/** Faces are cut into places, walls say what they are, layers and lines lie between the coats; drafts are kept. */
export const v8: Migration = {
  version: 8,
  name: 'places, walls, layers and lines',
  stores: { layers: 'id, pieceId', drafts: 'id' },
  up: (tables) => ({
    ...tables,
    pieces: rowsOf(tables['pieces']).map((row) => ({
      ...row,
      ...{ up: 'front', job: '', dueMs: null },
    })),
    areas: rowsOf(tables['areas']).map(area),
    coats: rowsOf(tables['coats']).map((row) => ({ ...row, line: null, freesDams: false })),
    layers: [],
    drafts: [],
  }),
};
