import type { ReliefKind } from '../piece';
import { ok, type Result } from '../result';
import { ledgerInput, plannedGrounds, type PlanInput } from './coatPlan';
import { planLifts, type Lift } from './lifts';
import type { PlanArea } from './planArea';
import { tallestRelief } from './relief';

/** Relief whose parts can move in wet resin. Common practice, no source. */
const LOOSE: readonly ReliefKind[] = ['fine glitter', 'flakes', 'stones', 'sand', 'plants'];

const isLoose = ({ id, relief }: PlanArea, { layers = [] }: PlanInput): boolean =>
  relief.some((r) => LOOSE.includes(r.kind)) ||
  layers.some((l) => l.kind === 'loose grains' && l.over === null && l.areaIds.includes(id));

/**
 * The lifts that a film is poured in on a piece: where relief is to be buried, none is thicker than open edges hold.
 * @param thicknessM film in all, m
 * @returns as `planLifts`
 * Source: `planLifts`, on the area with relief, or the first.
 */
export function liftsOf(plan: PlanInput, thicknessM: number): Result<readonly Lift[]> {
  const { coat, sheet } = plan;
  if (coat.line) return ok([{ thicknessM, topM: thicknessM, proud: 0, gentle: false }]);
  const on = plannedGrounds(plan);
  const area = on.find((a) => a.standing.length > 0) ?? on[0];
  const relief = area?.standing ?? [];
  const belowM = area?.belowM ?? 0;
  const under = ledgerInput(plan, thicknessM).areas[area ? on.indexOf(area) : 0];
  const holdsM =
    under?.cover.by === 'film' && under.openEdges.length > 0 ? under.cover.holdsM : null;
  const loose =
    belowM === 0 &&
    coat.kind !== 'lock' &&
    tallestRelief(relief) > 0 &&
    (on.some((g) => g.parts.some((p) => isLoose(p.area, plan))) || plan.looseRelief === true);
  const held = coat.intent.by === 'bury' ? (holdsM ?? Infinity) : Infinity;
  return planLifts({
    thicknessM,
    thinnestM: sheet.thinnestM,
    thickestM: Math.max(sheet.thinnestM, Math.min(sheet.thickestM, held)),
    ...{ belowM, relief, holdsM, loose },
  });
}
