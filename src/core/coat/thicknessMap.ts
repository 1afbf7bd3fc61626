import type { Point } from '../geometry';
import type { FilmField } from './filmField';
import type { LedgerArea, LedgerInput } from './input';
import { lineContext, stays } from './lineParts';
import { wedgeM } from './rimLines';

/** What lies over the even film of a map. */
export interface FilmOver {
  /** Mean film that stays, m. */
  readonly thicknessM: number;
  /** What a tilt adds to the mean film, m, and the direction in which it gets thicker; nothing at the high end. */
  readonly wedgeM: number;
  readonly downhill: Point;
  /** What the belly of a canvas adds to the mean film, m. */
  readonly bellyMeanM: number;
}

export interface FilmMap {
  /** Film on each cell, m; 0 outside. */
  readonly filmM: Float64Array;
  readonly greatestM: number;
  readonly volumeM3: number;
}

/** What lies on an area of a ledger over its even film; `downhill` is the survey's. */
export function filmOver(area: LedgerArea, input: LedgerInput): Omit<FilmOver, 'downhill'> {
  return {
    thicknessM: stays(area, input.thicknessM),
    wedgeM: wedgeM(area, lineContext(input)),
    bellyMeanM: area.belly ? area.belly.sagM * area.belly.share : 0,
  };
}

/** Weighted mean over the cells of a field. */
function meanOf({ rooms }: FilmField, value: (i: number) => number): number {
  let [sum, room] = [0, 0];
  for (let i = 0; i < rooms.length; i += 1) {
    const r = rooms[i] as number;
    if (r === 0) continue;
    sum += r * value(i);
    room += r;
  }
  return sum / room;
}

/**
 * The thickness of a coat on each cell of a field.
 * @param field from `filmField` @param over lengths in m, >= 0
 * @returns m, and their integral, m³
 * Source: the film of the field, a plane wedge from the high end down, and the sag of an even load scaled to its mean;
 *   what each adds is the same as on the ledger.
 */
export function filmMap(field: FilmField, over: FilmOver): FilmMap {
  const { columns, cellM, originM, shares, rooms } = field;
  const place = (i: number): Point => [
    originM[0] + (i % columns) * cellM,
    originM[1] + Math.floor(i / columns) * cellM,
  ];
  const along = (i: number) => {
    const [x, y] = place(i);
    return x * over.downhill[0] + y * over.downhill[1];
  };
  const middle = meanOf(field, along);
  let highEnd = middle;
  for (let i = 0; i < rooms.length; i += 1)
    if ((rooms[i] as number) > 0) highEnd = Math.min(highEnd, along(i));
  const reach = middle - highEnd;
  const [halfX, halfY] = [(columns * cellM) / 2, (shares.length / columns / 2) * cellM];
  const [midX, midY] = [originM[0] - cellM / 2 + halfX, originM[1] - cellM / 2 + halfY];
  const sag = (i: number) => {
    const [x, y] = place(i);
    return Math.max(0, 1 - ((x - midX) / halfX) ** 2) * Math.max(0, 1 - ((y - midY) / halfY) ** 2);
  };
  const sagMean = meanOf(field, sag);
  let [greatestM, volumeM3] = [0, 0];
  const filmM = shares.map((share, i) => {
    const room = rooms[i] as number;
    if (room === 0) return 0;
    const wedge = reach > 0 ? (over.wedgeM * (along(i) - highEnd)) / reach : over.wedgeM;
    const film = over.thicknessM * share + wedge + (over.bellyMeanM * sag(i)) / sagMean;
    greatestM = Math.max(greatestM, film);
    volumeM3 += room * film * cellM ** 2;
    return film;
  });
  return { filmM, greatestM, volumeM3 };
}
