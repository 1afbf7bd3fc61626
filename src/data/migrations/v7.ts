import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;

/** What stays on each area has its own number: of coats from before it is taken as what was poured. */
const coat = (row: Row): Row => ({
  ...row,
  staysM: ((row['areaIds'] ?? []) as readonly unknown[]).map(() => row['thicknessM']),
});

export const v7: Migration = {
  version: 7,
  name: 'coats tell what stays on each area',
  stores: {},
  up: (tables) => ({ ...tables, coats: ((tables['coats'] ?? []) as Row[]).map(coat) }),
};
