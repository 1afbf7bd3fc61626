import {
  checkInput as checksOf,
  ledgerInput as ledgerOfPlan,
  plannedFilm,
  plannedGrounds,
  staysOfFilm,
  type BuildCoat,
  type BuildLayer,
  type CheckInput,
  type Ground,
  type Ledger,
  type LedgerInput,
  type PlanCoat,
  type PlanInput,
  type PlannedFilm,
} from '@/core/coat';
import type { ResinSheet } from '@/core/resin';
import type { Result } from '@/core/result';
import type { Area, Coat, Piece, PrepRecord } from '@/records';

/** A piece as its coats are planned on it. */
export interface PlanGround {
  readonly piece: Pick<Piece, 'count' | 'support' | 'level' | 'bellyM'>;
  /** All places and uncut areas of the piece, the faces that are cut, and all coats and layers. */
  readonly areas: readonly Area[];
  readonly wholes: readonly Area[];
  readonly layers: readonly BuildLayer[];
  readonly coats: readonly BuildCoat[];
  /** Areas whose pores Prepare has closed. */
  readonly sealed: ReadonlySet<string>;
  /** Room that it is poured in, K; left out: the sheet’s own. */
  readonly roomK?: number | undefined;
}

/** Areas whose pores Prepare has closed; a face that was sealed before it was cut is so in all its places. */
export function sealedAreas(
  tasks: readonly PrepRecord[],
  areas: readonly Pick<Area, 'id' | 'partOf'>[],
): Set<string> {
  const done = tasks.filter((t) => t.rule === 'seal' && t.state === 'done');
  const sealed = new Set(done.flatMap((t) => t.scope));
  for (const { id, partOf } of areas) if (partOf !== null && sealed.has(partOf)) sealed.add(id);
  return sealed;
}

/** A coat on its piece as the computation takes it. */
export const planOf = <C extends PlanCoat>(
  coat: C,
  { piece, areas, wholes, layers, coats, sealed, roomK }: PlanGround,
  sheet: ResinSheet,
): PlanInput<C> => ({
  coat,
  piece: {
    count: piece.count,
    support: piece.support,
    tilt: piece.level?.tilt ?? null,
    bellyM: piece.bellyM,
  },
  ...{ areas, wholes, layers, coats, sheet, sealed, roomK },
  looseRelief: areas.some(
    (a) => coat.areaIds.includes(a.id) && a.damage.some((d) => d.kind === 'loose relief'),
  ),
});

/** Film that a coat's intention comes to on this piece, or what stands against it. */
export const filmOf = (
  coat: PlanCoat,
  ground: PlanGround,
  sheet: ResinSheet,
): Result<PlannedFilm> => plannedFilm(planOf(coat, ground, sheet));

/** A coat of a film of its own, with what stays of it. */
export const withFilm = <C extends PlanCoat>(
  coat: C,
  thicknessM: number,
  ground: PlanGround,
  sheet: ResinSheet,
): C & PlannedFilm => ({
  ...coat,
  thicknessM,
  staysM: staysOfFilm(planOf(coat, ground, sheet), thicknessM),
});

/** A coat on its piece as the ledger takes it: what lies below it, and what stands in it. */
export const ledgerInput = (
  coat: PlanCoat & Pick<Coat, 'thicknessM'>,
  ground: PlanGround,
  sheet: ResinSheet,
): LedgerInput => ledgerOfPlan(planOf(coat, ground, sheet), coat.thicknessM);

/** What the films of a coat lie on: areas, and places of a face that hang together. */
export const groundsUnder = (
  coat: PlanCoat,
  ground: PlanGround,
  sheet: ResinSheet,
): readonly Ground[] => plannedGrounds(planOf(coat, ground, sheet));

/** A coat on its piece as the film checks take it. */
export const checkInput = (
  coat: PlanCoat & PlannedFilm,
  ground: PlanGround,
  sheet: ResinSheet,
  ledger: Ledger | null,
  roomTemperatureK: number,
): CheckInput => checksOf(planOf(coat, ground, sheet), coat, ledger, roomTemperatureK);
