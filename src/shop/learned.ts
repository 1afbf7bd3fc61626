import { learnedOf, type Learned, type Pace } from '@/core/resin';
import type { Coat, Resin } from '@/records';
import { coatPace } from './clockOf';
import type { Room } from './room';
import type { Shop } from './shop';

interface Known {
  readonly room: Room;
  readonly byResin: Map<Resin, Learned | null>;
}
const known = new WeakMap<readonly Coat[], Known>();

/** Pace of each touched batch by its touches alone; coats of one batch are one witness, the one most touched. */
function batchesOf({ coats, room }: Pick<Shop, 'coats' | 'room'>, resin: Resin): Pace[] {
  const batches = new Map<string, Coat>();
  for (const coat of coats) {
    const { resinId, pouredMs, touches, batchId, id } = coat;
    if (resinId !== resin.id || pouredMs === null || touches.length === 0) continue;
    if (resin.learnsFromMs !== null && pouredMs < resin.learnsFromMs) continue;
    const key = batchId ?? id;
    if ((batches.get(key)?.touches.length ?? 0) < touches.length) batches.set(key, coat);
  }
  return [...batches.values()].map((coat) =>
    coatPace(coat.learned ? asTold(coat) : coat, resin.sheet, room),
  );
}

const told = new WeakMap<Coat, Coat>();
/** The coat as if nothing had been learned before it: each batch tells its own. */
function asTold(coat: Coat): Coat {
  const alone = told.get(coat) ?? { ...coat, learned: null };
  told.set(coat, alone);
  return alone;
}

/** What the touched batches of this shop have told of a resin; null while they tell nothing. */
export function learnedPace(shop: Pick<Shop, 'coats' | 'room'>, resin: Resin): Learned | null {
  const before = known.get(shop.coats);
  const here: Known = before?.room === shop.room ? before : { room: shop.room, byResin: new Map() };
  known.set(shop.coats, here);
  const found = here.byResin.get(resin);
  if (found !== undefined) return found;
  const learned = learnedOf(batchesOf(shop, resin));
  here.byResin.set(resin, learned);
  return learned;
}
