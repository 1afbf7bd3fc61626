import { flattenPath, nearestOnSegment, shapePath, type Point, type Shape } from '@/core/geometry';
import { diagnose, evidenceOf, type Diagnosis, type FaultLook, type FilmNow } from '@/core/inspect';
import type { Coat, Defect, LogEntry } from '@/records';
import { clockOf } from './clockOf';
import { historyOf } from './history';
import { byId } from './ofPiece';
import type { Shop } from './shop';

/** Where a finding stands, by what was done about it. */
export type FindingState = 'open' | 'rescue chosen' | 'look again' | 'closed';

/** A finding is closed once it is put right, and by a later look where a rescue was chosen for it. */
export function findingState({ repairedMs, rescue, looks }: Defect): FindingState {
  if (repairedMs === null) return rescue ? 'rescue chosen' : 'open';
  return rescue && looks.at(-1)?.found !== 'gone' ? 'look again' : 'closed';
}

/** A curve is flattened to this, m: nobody points nearer. */
const POINTED_M = 2e-4;

/** How near a point of an area is to its outline, m. */
export function fromEdge(shape: Shape, point: Point): number {
  const ring = flattenPath(shapePath(shape), POINTED_M, 2000);
  return ring.reduce((nearest, a, i) => {
    const [x, y] = nearestOnSegment(point, a, ring[(i + 1) % ring.length] ?? a);
    return Math.min(nearest, Math.hypot(x - point[0], y - point[1]));
  }, Infinity);
}

/** Where a finding sits and how much of it there is. */
export function lookOf(shop: Shop, { at, look }: Defect): FaultLook {
  const area = at ? byId(shop.areas, at.areaId) : undefined;
  return {
    edgeM: at && area ? fromEdge(area.shape, at.point) : null,
    ...{ allOver: look.allOver, count: look.count },
  };
}

/**
 * Why a finding came about, by what the shop noted of its coat.
 * @param started entry of the log in which the session of its coat was started; left out: not read
 */
export function causesOf(shop: Shop, defect: Defect, started?: LogEntry): Diagnosis {
  const coat = byId(shop.coats, defect.coatId);
  const look = lookOf(shop, defect);
  const history = coat ? historyOf(shop, coat, defect.foundMs, started) : undefined;
  return diagnose(defect.kind, evidenceOf(history, look, defect.answers));
}

const STICKY: readonly Defect['kind'][] = ['soft spot', 'tacky all over'];
const SOFT: readonly string[] = ['set', 'leathery', 'recoat open'];

/** The film that a finding is in, as a finger finds it now. */
export function filmNow(
  { resins, room }: Shop,
  coat: Coat | undefined,
  kind: Defect['kind'],
  nowMs: number,
): FilmNow {
  const sheet = byId(resins, coat?.resinId)?.sheet;
  const clock = coat && sheet ? clockOf(coat, sheet, room, nowMs) : null;
  if (!clock) return 'none';
  if (clock.state === 'wet') return 'wet';
  if (STICKY.includes(kind)) return 'sticky';
  return SOFT.includes(clock.state) ? 'soft' : 'hard';
}
