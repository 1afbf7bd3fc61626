import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** A scale may be followed, colours are cut into cups by their swatches, findings have a place, losses are learned. */
export const v13: Migration = {
  version: 13,
  name: 'scale, cups of colour and swatches, places of findings, learned losses',
  stores: { swatches: 'id, resinId' },
  up: (tables) => ({
    ...tables,
    swatches: [],
    settings: rowsOf(tables['settings']).map((row) => ({
      ...row,
      ...{ scale: null, benchLook: 'paper', cupM3: null, losses: [] },
    })),
    batches: rowsOf(tables['batches']).map((row) => ({
      ...{ ...row, cups: [], tareKg: null },
      // Until now it was as much as was asked for, not read.
      events: rowsOf(row['events'] as unknown[]).map((e) =>
        e['is'] === 'added A' ? { ...e, by: 'assumed' } : e,
      ),
    })),
    defects: rowsOf(tables['defects']).map((row) => ({ ...row, at: null })),
    coats: rowsOf(tables['coats']).map((row) => ({
      ...row,
      colours: rowsOf(row['colours'] as unknown[]).map((c) => ({ ...c, swatchId: null })),
    })),
  }),
};
