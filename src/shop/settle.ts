import type { Coat, Resin } from '@/records';
import { ofPiece } from './ofPiece';
import { planRoomK, roomOf } from './room';
import { settledCoats, type PieceRows } from './settled';
import { sameRows, type Settle } from './shop';

interface Settled extends PieceRows {
  readonly settled: readonly Coat[];
}
/** What was settled for a piece, with the rows that it hangs on; by the resins it was settled with. */
const known = new WeakMap<readonly Resin[], Map<string, Settled>>();

const sameBehind = (a: PieceRows, b: PieceRows): boolean =>
  a.piece === b.piece &&
  a.roomK === b.roomK &&
  sameRows(a.coats, b.coats) &&
  sameRows(a.areas, b.areas) &&
  sameRows(a.layers, b.layers) &&
  sameRows(a.tasks, b.tasks);

/** A row that cannot be read is left as it is: the views stumble over it next, and name it. */
function settledOr(rows: PieceRows): readonly Coat[] {
  try {
    return settledCoats(rows);
  } catch {
    return rows.coats;
  }
}

/** What is planned settled, piece by piece; a piece whose rows did not change keeps its coats. */
export const settle: Settle = ({ pieces, areas, coats, layers, resins, tasks, room }) => {
  const roomK = planRoomK(roomOf(room));
  const here = known.get(resins) ?? new Map<string, Settled>();
  known.set(resins, here);
  const own = new Map<Coat, Coat>();
  for (const piece of pieces) {
    const of: PieceRows = {
      ...{ piece, resins, roomK },
      coats: ofPiece(coats, piece.id),
      areas: ofPiece(areas, piece.id),
      layers: ofPiece(layers, piece.id),
      tasks: ofPiece(tasks, piece.id),
    };
    // What was mixed keeps the film that it was mixed for.
    if (of.coats.every((c) => c.batchId !== null)) continue;
    const before = here.get(piece.id);
    const settled = before && sameBehind(before, of) ? before.settled : settledOr(of);
    if (settled !== before?.settled) here.set(piece.id, { ...of, settled });
    const place = new Map(settled.map((coat) => [coat.id, coat]));
    for (const coat of of.coats) own.set(coat, place.get(coat.id) ?? coat);
  }
  return coats.map((coat) => own.get(coat) ?? coat);
};
