import { thicknessOf } from './coatFacts';
import type { Area, Coat, Resin } from '@/records';

/** Rows with the film that came of them: the same row gives the same object while its film is the same. */
const known = new WeakMap<Coat, Coat>();

function withFilm(coat: Coat, thicknessM: number): Coat {
  if (Math.abs(thicknessM - coat.thicknessM) <= 1e-9) return coat;
  const before = known.get(coat);
  if (before?.thicknessM === thicknessM) return before;
  const settled = { ...coat, thicknessM };
  known.set(coat, settled);
  return settled;
}

/**
 * Coats of one piece from the ground up, each with the film that is true now. What is planned follows from its
 * intention on the survey, the sheet and what lies below, however long ago its row was written; what is being mixed
 * or poured keeps the film that it was mixed for. Where an intention cannot be met the film of the row stays, and the
 * screen says why.
 * @param coats of one piece @param areas all areas of that piece
 */
export function settledCoats(
  coats: readonly Coat[],
  areas: readonly Area[],
  resins: readonly Resin[],
): Coat[] {
  const laid = [...coats].sort((a, b) => a.order - b.order);
  for (const [i, coat] of laid.entries()) {
    const sheet = resins.find((r) => r.id === coat.resinId)?.sheet;
    if (coat.batchId !== null || !sheet) continue;
    const found = thicknessOf(coat, areas, laid, sheet);
    if (found.ok) laid[i] = withFilm(coat, found.value);
  }
  return laid;
}
