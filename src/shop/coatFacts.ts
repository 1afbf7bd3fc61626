import {
  checkInput as checksOf,
  ledgerInput as ledgerOfPlan,
  plannedFilm,
  staysOfFilm,
  type BuildCoat,
  type CheckInput,
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
  /** All areas and all coats of the piece. */
  readonly areas: readonly Area[];
  readonly coats: readonly BuildCoat[];
  /** Areas whose pores Prepare has closed. */
  readonly sealed: ReadonlySet<string>;
}

/** Areas whose pores Prepare has closed. */
export const sealedAreas = (tasks: readonly PrepRecord[]): Set<string> =>
  new Set(tasks.filter((t) => t.rule === 'seal' && t.state === 'done').flatMap((t) => t.scope));

/** A coat on its piece as the computation takes it. */
export const planOf = <C extends PlanCoat>(
  coat: C,
  { piece, areas, coats, sealed }: PlanGround,
  sheet: ResinSheet,
): PlanInput<C> => ({
  coat,
  piece: {
    count: piece.count,
    support: piece.support,
    tilt: piece.level?.tilt ?? null,
    bellyM: piece.bellyM,
  },
  ...{ areas, coats, sheet, sealed },
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

/** A coat on its piece as the film checks take it. */
export const checkInput = (
  coat: PlanCoat & PlannedFilm,
  ground: PlanGround,
  sheet: ResinSheet,
  ledger: Ledger | null,
  roomTemperatureK: number,
): CheckInput => checksOf(planOf(coat, ground, sheet), coat, ledger, roomTemperatureK);
