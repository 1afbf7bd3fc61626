import type { Migration } from './migration';

/** Many entries of the log at once lie in pages; two keys went that nothing was looked up by. */
export const v16: Migration = {
  version: 16,
  name: 'many entries of the log at once lie in pages',
  stores: { log: 'id, seq, pieceId, sessionId', coats: 'id, pieceId, batchId' },
  unseen: { logPages: 'before, *pieceIds, *sessionIds' },
  up: (tables) => tables,
};
