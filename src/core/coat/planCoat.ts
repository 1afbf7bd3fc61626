import { splitMix, thickeningOf, workingTime } from '../resin';
import { ok, type Result } from '../result';
import { filmChecks, type CheckInput, type FilmCheck } from './checks';
import {
  ledgerInput,
  plannedFilm,
  plannedGrounds,
  type PlanCoat,
  type PlanInput,
  type PlannedFilm,
} from './coatPlan';
import { coatLedger, type Ledger } from './ledger';
import { liftsOf } from './liftsOf';
import type { Lift } from './lifts';

/** A coat worked out from its intention. */
export interface CoatPlan extends PlannedFilm {
  readonly ledger: Ledger;
  /** How many pours it takes; why not, where no split fits the sheet. */
  readonly lifts: Result<readonly Lift[]>;
  readonly checks: readonly FilmCheck[];
}

/** A coat on its piece as the film checks take it, with what its ledger says. */
export function checkInput(
  plan: PlanInput,
  film: PlannedFilm,
  ledger: Ledger | null,
  roomTemperatureK: number | null,
): CheckInput {
  const { coat, piece, sheet } = plan;
  const split = ledger ? splitMix(ledger.totalM3, sheet) : null;
  const workingS =
    split?.ok && roomTemperatureK !== null
      ? workingTime(sheet, split.value.totalKg, roomTemperatureK)
      : null;
  return {
    coat: {
      ...film,
      kind: coat.kind,
      intent: coat.intent,
      areaIds: coat.areaIds,
      restS: coat.restS,
    },
    areas: plannedGrounds(plan),
    count: piece.count,
    support: piece.support,
    tilt: piece.tilt,
    sheet,
    law: thickeningOf(sheet, plan.roomK),
    runsOffM3: ledger?.lines.find((l) => l.id === 'run-off')?.volumeM3 ?? 0,
    workingS,
  };
}

/**
 * A coat from what it is to do to what is mixed: film poured and left, ledger, lifts and checks.
 * @param plan piece, areas, coats below, resin and intention @param roomTemperatureK of the room, K; null: not known
 * @returns lengths in m, volumes in m³; faults as `plannedFilm` and `coatLedger` tell them
 * Source: each part names its own.
 */
export function planCoat<C extends PlanCoat>(
  plan: PlanInput<C>,
  roomTemperatureK: number | null,
): Result<CoatPlan> {
  const film = plannedFilm(plan);
  if (!film.ok) return film;
  const ledger = coatLedger(ledgerInput(plan, film.value.thicknessM));
  if (!ledger.ok) return ledger;
  const input = checkInput(plan, film.value, ledger.value, roomTemperatureK);
  return ok({
    ...film.value,
    ledger: ledger.value,
    lifts: liftsOf(plan, film.value.thicknessM),
    checks: plannedGrounds(plan).length > 0 && !plan.coat.line ? filmChecks(input) : [],
  });
}
