import type { Migration } from './migration';

/** The first schema: nothing to bring forward. */
export const v1: Migration = {
  version: 1,
  name: 'first tables',
  stores: {
    settings: 'id',
    resins: 'id, name',
    pieces: 'id, name, createdMs',
    areas: 'id, pieceId',
    sessions: 'id, startedMs',
    batches: 'id, sessionId',
    coats: 'id, pieceId, resinId, batchId, pouredMs',
    defects: 'id, pieceId, coatId',
    photos: 'id, pieceId, defectId',
    log: 'id, atMs, pieceId, coatId, batchId, sessionId, kind',
  },
  up: (tables) => tables,
};
