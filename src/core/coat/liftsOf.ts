import type { ReliefKind } from '../piece';
import type { Result } from '../result';
import { beneath, filmAreas } from './buildUp';
import { ledgerInput, type PlanInput } from './coatPlan';
import { planLifts, type Lift } from './lifts';
import { tallestRelief } from './relief';

/** Relief whose parts can move in wet resin. Common practice, no source. */
const LOOSE: readonly ReliefKind[] = ['fine glitter', 'flakes', 'stones', 'sand', 'plants'];

/**
 * The lifts that a film is poured in on a piece: where relief is to be buried, none is thicker than open edges hold.
 * @param thicknessM film in all, m
 * @returns as `planLifts`
 * Source: `planLifts`, on the area with relief, or the first.
 */
export function liftsOf(plan: PlanInput, thicknessM: number): Result<readonly Lift[]> {
  const { coat, areas, coats, sheet } = plan;
  const on = filmAreas(coat, areas);
  const area = on.find((a) => a.relief.length > 0) ?? on[0];
  const relief = area?.relief ?? [];
  const belowM = area ? (beneath(coat, areas, coats).get(area.id)?.surfaceM ?? 0) : 0;
  const under = ledgerInput(plan, thicknessM).areas[area ? on.indexOf(area) : 0];
  const holdsM =
    under?.cover.by === 'film' && under.openEdges.length > 0 ? under.cover.holdsM : null;
  const loose =
    belowM === 0 &&
    coat.kind !== 'lock' &&
    tallestRelief(relief) > 0 &&
    (relief.some((r) => LOOSE.includes(r.kind)) || plan.looseRelief === true);
  const held = coat.intent.by === 'bury' ? (holdsM ?? Infinity) : Infinity;
  return planLifts({
    thicknessM,
    thinnestM: sheet.thinnestM,
    thickestM: Math.max(sheet.thinnestM, Math.min(sheet.thickestM, held)),
    ...{ belowM, relief, holdsM, loose },
  });
}
