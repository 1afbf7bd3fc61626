import { laidMasks } from './prepFacts';
import { clockOf } from './clockOf';
import { findingState } from './findings';
import { byId } from './ofPiece';
import type { Room } from './room';
import {
  stateOf,
  type Batch,
  type Coat,
  type Defect,
  type PrepRecord,
  type Resin,
} from '@/records';

/** What keeps a piece from leaving. */
export type Unfinished =
  | { readonly is: 'in a session' | 'coat open'; readonly coat: Coat }
  | { readonly is: 'mask on' }
  | { readonly is: 'finding open'; readonly defect: Defect }
  | { readonly is: 'cures'; readonly coat: Coat; readonly fromMs: number };

/** Rows of one piece, with the batches, resins and room of the shop. */
export interface LeavingRows {
  readonly coats: readonly Coat[];
  readonly tasks: readonly PrepRecord[];
  readonly defects: readonly Defect[];
  readonly batches: readonly Batch[];
  readonly resins: readonly Resin[];
  readonly room: Room;
}

/**
 * Everything that keeps a piece from being closed, whatever order it is looked at in: a coat that is planned or in a
 * session, a mask that is on, a finding that is open, a film that does not bear handling.
 */
export function unfinished(rows: LeavingRows, nowMs: number): Unfinished[] {
  const { coats, tasks, defects, batches, resins, room } = rows;
  const wet = coats.filter((c) => {
    const batch = byId(batches, c.batchId);
    return c.batchId !== null && (!batch || stateOf(batch).step !== 'done');
  });
  const planned = coats.filter((c) => c.pouredMs === null && !wet.includes(c));
  const masked = laidMasks(tasks).some(
    (m) => m.takenOffMs === null && coats.some((c) => c.id === m.coatId),
  );
  const soft = coats.flatMap((coat): Unfinished[] => {
    const sheet = byId(resins, coat.resinId)?.sheet;
    const clock = sheet ? clockOf(coat, sheet, room, nowMs) : null;
    const fromMs = clock?.windows.find((w) => w.kind === 'handle')?.opensMs;
    return fromMs !== undefined && fromMs > nowMs ? [{ is: 'cures', coat, fromMs }] : [];
  });
  return [
    ...wet.map((coat) => ({ is: 'in a session', coat }) as const),
    ...planned.map((coat) => ({ is: 'coat open', coat }) as const),
    ...(masked ? [{ is: 'mask on' } as const] : []),
    ...defects
      .filter((d) => findingState(d) !== 'closed')
      .map((defect) => ({ is: 'finding open', defect }) as const),
    ...soft,
  ];
}
