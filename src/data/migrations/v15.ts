import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** What was last handed to another machine is remembered; the whole application has a look and a clock of its own. */
export const v15: Migration = {
  version: 15,
  name: 'shares between machines; look and clock of the application',
  stores: { shares: 'id, atMs' },
  up: (tables) => ({
    ...tables,
    settings: rowsOf(tables['settings']).map((row) => ({ ...row, look: 'paper', hours: 'auto' })),
    shares: [],
  }),
};
