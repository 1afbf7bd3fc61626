import type { Area, Coat, Layer, Piece, PrepRecord, Resin } from '@/records';
import { placesIn } from './places';
import { filmOf, sealedAreas, type PlanGround } from './coatFacts';

/** Rows with the film that came of them: the same row gives the same object while its film is the same. */
const known = new WeakMap<Coat, Coat>();

const alike = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((m, i) => Math.abs(m - (b[i] ?? NaN)) <= 1e-9);

function settledAs(coat: Coat, thicknessM: number, staysM: readonly number[]): Coat {
  if (Math.abs(thicknessM - coat.thicknessM) <= 1e-9 && alike(staysM, coat.staysM)) return coat;
  const before = known.get(coat);
  if (before?.thicknessM === thicknessM && alike(before.staysM, staysM)) return before;
  const settled = { ...coat, thicknessM, staysM };
  known.set(coat, settled);
  return settled;
}

/** All rows of one piece that its films hang on. */
export interface PieceRows {
  readonly piece: Piece;
  readonly areas: readonly Area[];
  readonly coats: readonly Coat[];
  readonly layers: readonly Layer[];
  readonly tasks: readonly PrepRecord[];
  readonly resins: readonly Resin[];
  /** Room that is planned with, K. */
  readonly roomK?: number | undefined;
}

/**
 * Coats of one piece from the ground up, each with the film that is true now. What is planned follows from its
 * intention on the survey, the sheet and what lies below, however long ago its row was written; what is being mixed
 * or poured keeps the film that it was mixed for. Where an intention cannot be met the film of the row stays, and the
 * screen says why.
 */
export function settledCoats({
  piece,
  areas: rows,
  coats,
  layers,
  tasks,
  resins,
  roomK,
}: PieceRows): Coat[] {
  const laid = [...coats].sort((a, b) => a.order - b.order);
  const { areas, wholes } = placesIn(rows);
  const sealed = sealedAreas(tasks, areas);
  for (const [i, coat] of laid.entries()) {
    const sheet = resins.find((r) => r.id === coat.resinId)?.sheet;
    if (coat.batchId !== null || !sheet) continue;
    const ground: PlanGround = { piece, areas, wholes, layers, coats: laid, sealed, roomK };
    const found = filmOf(coat, ground, sheet);
    if (found.ok) laid[i] = settledAs(coat, found.value.thicknessM, found.value.staysM);
    else if (coat.staysM.length !== coat.areaIds.length)
      laid[i] = settledAs(
        coat,
        coat.thicknessM,
        coat.areaIds.map(() => coat.thicknessM),
      );
  }
  return laid;
}
