import type { TurnPiece } from './sideTurns';

/** Where a run of pieces stands: distance, and what it has turned before and after the corner there, rad. */
interface Station {
  readonly atM: number;
  readonly beforeRad: number;
  readonly afterRad: number;
}

function stationsOf(pieces: readonly TurnPiece[]): Station[] {
  const found: Station[] = [{ atM: 0, beforeRad: 0, afterRad: 0 }];
  let [atM, turned] = [0, 0];
  for (const { lengthM, bendRad, cornerRad } of pieces) {
    atM += lengthM;
    found.push({ atM, beforeRad: turned + bendRad, afterRad: turned + bendRad + cornerRad });
    turned += bendRad + cornerRad;
  }
  return found;
}

/** What a run has turned up to a place; at a corner before or after it. */
function turnedAt(stations: readonly Station[], m: number, side: 'before' | 'after'): number {
  let [low, next] = [0, stations.length];
  while (low < next) {
    const middle = (low + next) >> 1;
    if ((stations[middle]?.atM ?? Infinity) >= m - 1e-12) next = middle;
    else low = middle + 1;
  }
  const [a, b] = [stations[next - 1], stations[next]];
  if (!b) return stations.at(-1)?.afterRad ?? 0;
  if (Math.abs(b.atM - m) <= 1e-12) return side === 'before' ? b.beforeRad : b.afterRad;
  if (!a) return 0;
  return a.afterRad + ((b.beforeRad - a.afterRad) * (m - a.atM)) / (b.atM - a.atM);
}

/**
 * Curvature of the straightest stretch of a run, 1/m, + where it is convex.
 * @param pieces in order, from `sideTurns` @param closed they go all round @param windowM length of a stretch, m, > 0
 * @returns the least mean curvature of any stretch of that length; of all of it where it is shorter
 * Source: turning over length, at every place where a stretch begins or ends at the end of a piece.
 */
export function leastCurvature(
  pieces: readonly TurnPiece[],
  closed: boolean,
  windowM: number,
): number {
  const lengthM = pieces.reduce((sum, p) => sum + p.lengthM, 0);
  const corner = closed ? 0 : (pieces.at(-1)?.cornerRad ?? 0);
  const turned = pieces.reduce((sum, p) => sum + p.bendRad + p.cornerRad, 0) - corner;
  if (lengthM <= windowM) return turned / lengthM;
  const stations = stationsOf(closed ? [...pieces, ...pieces] : pieces);
  const endM = closed ? 2 * lengthM : lengthM;
  const starts = stations
    .flatMap(({ atM }) => [atM, atM - windowM])
    .filter((m) => m >= 0 && m + windowM <= endM + 1e-12);
  return starts.reduce((least, m) => {
    const turn = turnedAt(stations, m + windowM, 'before') - turnedAt(stations, m, 'after');
    return Math.min(least, turn / windowM);
  }, Infinity);
}
