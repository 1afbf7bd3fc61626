import type { Migration } from './migration';

interface CoatV3 {
  readonly thicknessM: number;
}

/** Coats get an intention, pieces a belly, resins a price, the shop a currency. */
export const v4: Migration = {
  version: 4,
  name: 'coats by intention, and what they cost',
  stores: {},
  up: (tables) => ({
    ...tables,
    settings: (tables['settings'] ?? []).map((row) => ({
      ...(row as object),
      currency: '£',
      consumables: 1.2,
    })),
    pieces: (tables['pieces'] ?? []).map((row) => ({ ...(row as object), bellyM: 0 })),
    resins: (tables['resins'] ?? []).map((row) => ({ ...(row as object), price: null })),
    coats: (tables['coats'] ?? []).map((row) => ({
      ...(row as object),
      intent: { by: 'given', thicknessM: (row as CoatV3).thicknessM },
      coverage: 1,
      overrides: [],
      colours: [],
    })),
  }),
};
