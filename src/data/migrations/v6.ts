import type { Migration } from './migration';

/** Each index is written with every row: those that nothing asks for are gone. Rows stay as they are. */
export const v6: Migration = {
  version: 6,
  name: 'only the indexes that are asked',
  stores: {
    resins: 'id',
    pieces: 'id',
    sessions: 'id',
    coats: 'id, pieceId, batchId, pouredMs',
    log: 'id, seq, batchId',
  },
  up: (tables) => tables,
};
