import type { Migration } from './migration';

type Row = Readonly<Record<string, unknown>>;
const rowsOf = (rows: readonly unknown[] | undefined): readonly Row[] => (rows ?? []) as Row[];

/** Findings have a size, tests, later looks and a rescue; pieces are closed when they have left. */
export const v14: Migration = {
  version: 14,
  name: 'findings with their looks, tests and rescues; pieces that are closed',
  // What was noted of one piece, or of one session, is read without the rest of the log.
  stores: { log: 'id, seq, batchId, pieceId, sessionId' },
  up: (tables) => ({
    ...tables,
    settings: rowsOf(tables['settings']).map((row) => ({ ...row, hourly: null })),
    pieces: rowsOf(tables['pieces']).map((row) => ({ ...row, closedMs: null })),
    defects: rowsOf(tables['defects']).map((row) => ({
      ...row,
      look: { allOver: null, count: null, sizeM: null, depthM: null },
      ...{ answers: {}, looks: [], rescue: null },
    })),
  }),
};
