import { reachOf, steepest, type Tilt } from '../geometry';
import { rootBetween, converged } from '../numeric';
import type { Support } from '../piece';
import { mixDensity, type ResinSheet } from '../resin';
import { fail, ok, type Result } from '../result';
import { bellyShare } from './belly';
import { beneath, filmAreas, isBrushed, type BuildCoat, type OnArea } from './buildUp';
import { mixLength } from './domeOn';
import { filmShape } from './filmShape';
import type { Cover, LedgerArea, LedgerInput, LedgerOverride, ReserveSchool } from './input';
import { heldOn, intentThickness, RIM, wettingOf, type Intent, type IntentArea } from './intent';
import { coatLedger } from './ledger';
import { stays } from './lineParts';
import { edgeKinds, isFlat, ledgerArea, wallsOf, type PlanArea } from './planArea';
import { SOAK_M } from './soak';

/** A coat as it is planned. */
export interface PlanCoat extends Omit<BuildCoat, 'thicknessM' | 'staysM'> {
  readonly intent: Intent;
  readonly restS: number;
  readonly reserve: ReserveSchool;
  readonly overrides: readonly LedgerOverride[];
}

/** The piece that it goes on. */
export interface PlanPiece {
  /** Pieces alike. */
  readonly count: number;
  readonly support: Support;
  /** As it was read on the propped piece; null: it was not. */
  readonly tilt: Tilt | null;
  /** How far the middle of a canvas hangs, m. */
  readonly bellyM: number;
}

/** Everything that a coat's volume follows from. */
export interface PlanInput<C extends PlanCoat = PlanCoat> {
  readonly coat: C;
  readonly piece: PlanPiece;
  /** All areas and all coats of the piece. */
  readonly areas: readonly PlanArea[];
  readonly coats: readonly BuildCoat[];
  readonly sheet: ResinSheet;
  /** Areas whose pores are closed. */
  readonly sealed: ReadonlySet<string>;
  /** The survey found parts of its relief loose. */
  readonly looseRelief?: boolean;
}

type Beneath = ReadonlyMap<string, OnArea<BuildCoat>>;
const surfaceOf = (below: Beneath, id: string): number => below.get(id)?.surfaceM ?? 0;

/** What an intention meets on the areas of a coat. */
export function intentAreas(plan: PlanInput): IntentArea[] {
  const below = beneath(plan.coat, plan.areas, plan.coats);
  const lengthM = mixLength(plan.sheet);
  return filmAreas(plan.coat, plan.areas).map((area) => ({
    shape: filmShape(area.shape, wallsOf(area), lengthM),
    edges: edgeKinds(area),
    relief: area.relief,
    belowM: surfaceOf(below, area.id),
    depthM: area.kind === 'recess' ? area.depthM : 0,
  }));
}

/** How a coat lies on an area: it fills a recess, domes where a rim holds it in, and is a film elsewhere. */
function coverOf(area: PlanArea, { coat, sheet }: PlanInput): Cover {
  if (area.kind === 'recess') return { by: 'recess' };
  const kinds = edgeKinds(area);
  const pinned = isFlat(area) && !isBrushed(coat) && coat.intent.by !== 'spread';
  if (!pinned || kinds.every((k) => k === 'dammed')) return { by: 'film', holdsM: null };
  if (!kinds.includes('open')) return { by: 'dome' };
  const lengthM = mixLength(sheet);
  const shape = filmShape(area.shape, wallsOf(area), lengthM);
  return { by: 'film', holdsM: heldOn(shape, RIM.safe, lengthM) };
}

/** An area under a coat as the ledger takes it. */
function areaUnder(area: PlanArea, plan: PlanInput, below: Beneath): LedgerArea {
  const { coat, piece, areas, sealed } = plan;
  const flat = ledgerArea(area, piece.count);
  const belowM = surfaceOf(below, area.id);
  const isFace = area.kind === 'face';
  const thin = isBrushed(coat);
  const pits = areas
    .filter((a) => a.kind === 'recess')
    .map((a) => ({
      areaM2: ledgerArea(a, 1).areaM2,
      depthM: Math.max(0, a.depthM - surfaceOf(below, a.id)),
    }));
  const takesLevel = isFlat(area) && !thin && below.get(area.id)?.levelled !== true;
  return {
    ...flat,
    openEdges: isFlat(area) ? edgesUnder(flat.openEdges, plan) : [],
    cover: coverOf(area, plan),
    dammedM: isFlat(area) && !thin ? flat.dammedM : 0,
    belowM,
    relief: area.relief,
    soakM: belowM > 0 || sealed.has(area.id) ? 0 : SOAK_M[area.porosity],
    pits: isFace && !thin ? pits.filter((p) => p.depthM > 0) : [],
    wedge: takesLevel && piece.tilt ? wedgeOn(area, piece.tilt) : null,
    belly:
      takesLevel && isFace && piece.bellyM > 0
        ? { sagM: piece.bellyM, share: bellyShare(area.shape) }
        : null,
  };
}

/** Open edges of a face; where their band is an area of the coat itself, it is not wetted twice. */
function edgesUnder(open: LedgerArea['openEdges'], { coat, areas }: PlanInput) {
  const band = areas.some((a) => a.kind === 'edge band' && coat.areaIds.includes(a.id));
  return band ? open.map((edge) => ({ ...edge, areaM2: 0 })) : open;
}

function wedgeOn(area: PlanArea, tilt: Tilt): LedgerArea['wedge'] {
  const { slope } = steepest(tilt);
  return slope > 0 ? { slope, ...reachOf(area.shape, [tilt.alongX, tilt.alongY]) } : null;
}

/** A coat of a film on its piece as the ledger takes it: what lies below it, and what stands in it. */
export function ledgerInput(plan: PlanInput, thicknessM: number): LedgerInput {
  const { coat, areas, coats, sheet } = plan;
  const below = beneath(coat, areas, coats);
  return {
    areas: filmAreas(coat, areas).map((area) => areaUnder(area, plan, below)),
    thicknessM,
    densityKgM3: mixDensity(sheet),
    law: sheet,
    restS: coat.restS,
    reserve: coat.reserve,
    edges: wettingOf(
      coat.intent,
      coat.kind === 'edge' ? 'edge' : isBrushed(coat) ? 'brushed' : 'poured',
    ),
    coverage: coat.coverage,
    overrides: coat.overrides,
  };
}

/** Film of a coat: what is poured, and what stays on each of its areas, m. */
export interface PlannedFilm {
  readonly thicknessM: number;
  readonly staysM: readonly number[];
}

/** Film for which the ledger comes to a volume: it grows with it. */
function filmOfMix(plan: PlanInput, volumeM3: number): Result<number> {
  const { thinnestM, thickestM } = plan.sheet;
  const input = ledgerInput(plan, thinnestM);
  const total = (thicknessM: number): number => {
    const ledger = coatLedger({ ...input, thicknessM });
    return ledger.ok ? ledger.value.totalM3 : NaN;
  };
  const [least, most] = [total(thinnestM), total(thickestM)];
  if (!(volumeM3 >= least && volumeM3 <= most))
    return fail({
      code: 'does-not-fit',
      path: ['volumeM3'],
      value: volumeM3,
      allowed: { ...(least > 0 && { min: least }), ...(most > 0 && { max: most }) },
    });
  const found = rootBetween(
    (t) => total(t) - volumeM3,
    { x: thinnestM, y: least - volumeM3 },
    { x: thickestM, y: most - volumeM3 },
    { tolerance: 1e-9 * volumeM3 },
  );
  return ok(converged(found, 'filmOfMix'));
}

/**
 * Film that a coat's intention comes to on its piece, or what stands against it.
 * @returns m; faults as `intentThickness` tells them, and `does-not-fit` where a volume makes no film that the sheet allows
 * Source: `intentThickness`, and for a volume the ledger turned round.
 */
export function plannedFilm(plan: PlanInput): Result<PlannedFilm> {
  const { intent } = plan.coat;
  const on = intentAreas(plan);
  const found =
    intent.by === 'mix' && on.length > 0
      ? filmOfMix(plan, intent.volumeM3)
      : intentThickness(intent, on, mixLength(plan.sheet));
  return found.ok ? ok({ thicknessM: found.value, staysM: staysOfFilm(plan, found.value) }) : found;
}

/** What stays of a film on each area of a coat, m, in the order of the areas. */
export function staysOfFilm(plan: PlanInput, thicknessM: number): readonly number[] {
  const on = filmAreas(plan.coat, plan.areas);
  const edgeOnly = plan.coat.kind === 'edge';
  return plan.coat.areaIds.map((id) => {
    const area = on.find((a) => a.id === id);
    if (!area || edgeOnly) return thicknessM;
    const openEdges = isFlat(area) ? ledgerArea(area, 1).openEdges : [];
    return stays({ cover: coverOf(area, plan), openEdges }, thicknessM);
  });
}
