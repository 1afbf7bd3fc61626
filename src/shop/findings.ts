import {
  flattenPath,
  insideRing,
  nearestOnSegment,
  shapePath,
  shapeSides,
  type Point,
  type Shape,
} from '@/core/geometry';
import { diagnose, evidenceOf, type Diagnosis, type FaultLook, type FilmNow } from '@/core/inspect';
import type { Coat, Defect, LogEntry } from '@/records';
import { clockOf } from './clockOf';
import { historyOf } from './history';
import { byId, ofPiece } from './ofPiece';
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

/** Where a point lies against the outline of its area. */
export interface PlaceOn {
  /** Outside it: it was pointed at beside the piece. */
  readonly outside: boolean;
  /** To the nearest point of the outline, m, and the side that is on, from 0. */
  readonly edgeM: number;
  readonly side: number;
}

/** Where a point lies against an outline. */
export function placeOn(shape: Shape, point: Point): PlaceOn {
  const ring = flattenPath(shapePath(shape), POINTED_M, 2000);
  const near = (a: Point, b: Point) => {
    const [x, y] = nearestOnSegment(point, a, b);
    return Math.hypot(x - point[0], y - point[1]);
  };
  const sides = shapeSides(shape).map((side) =>
    side.length < 2 ? Infinity : Math.min(...side.slice(1).map((b, i) => near(side[i] ?? b, b))),
  );
  const edgeM = ring.reduce(
    (least, a, i) => Math.min(least, near(a, ring[(i + 1) % ring.length] ?? a)),
    Infinity,
  );
  return {
    ...{ outside: !insideRing(point, ring), edgeM },
    side: sides.indexOf(Math.min(...sides)),
  };
}

/** Where a finding lies on its area; null: no place was told, or its area is gone. */
export function placeOf(shop: Pick<Shop, 'areas'>, { at }: Pick<Defect, 'at'>): PlaceOn | null {
  const area = at ? byId(shop.areas, at.areaId) : undefined;
  return at && area ? placeOn(area.shape, at.point) : null;
}

/** Where a finding sits and how much of it there is; a place beside the piece tells nothing. */
export function lookOf(shop: Pick<Shop, 'areas'>, defect: Pick<Defect, 'at' | 'look'>): FaultLook {
  const place = placeOf(shop, defect);
  const { allOver, count } = defect.look;
  return { edgeM: place && !place.outside ? place.edgeM : null, allOver, count };
}

/** Coats that were poured over a finding since, the oldest first. */
export const laidOver = (shop: Pick<Shop, 'coats'>, defect: Defect): readonly Coat[] => {
  const own = byId(shop.coats, defect.coatId)?.areaIds ?? [];
  const areas = new Set<string>(defect.at ? [defect.at.areaId] : own);
  return ofPiece(shop.coats, defect.pieceId)
    .filter((c) => (c.pouredMs ?? 0) > defect.foundMs && c.areaIds.some((id) => areas.has(id)))
    .sort((a, b) => (a.pouredMs ?? 0) - (b.pouredMs ?? 0));
};

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
