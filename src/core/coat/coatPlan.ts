import { reachOf, steepest, type Tilt } from '../geometry';
import { rootBetween, converged } from '../numeric';
import { isWall, type Support } from '../piece';
import { mixDensity, thickeningOf, type ResinSheet } from '../resin';
import { fail, ok, type Result } from '../result';
import { bellyShare } from './belly';
import { beneath, isBrushed, type BuildCoat, type OnArea } from './buildUp';
import type { BuildLayer } from './layer';
import { mixLength } from './domeOn';
import { filmShape } from './filmShape';
import { filmOnPart, freed, groundsOf, holds, soakOf, type Ground } from './ground';
import type { Cover, LedgerArea, LedgerInput, LedgerOverride, ReserveSchool } from './input';
import { beadOf } from './bead';
import { heldOn, intentThickness, RIM, wettingOf, type Intent, type IntentArea } from './intent';
import { coatLedger } from './ledger';
import { stays } from './lineParts';
import { edgeKinds, isFlat, ledgerArea, wallsOf, type PlanArea } from './planArea';
import { raisedBelow, withRaised } from './raisedLines';
import type { PlanWhole } from './wholes';

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
  /** Faces that are cut into places. */
  readonly wholes?: readonly PlanWhole[];
  /** Layers that are not resin. */
  readonly layers?: readonly BuildLayer[];
  readonly sheet: ResinSheet;
  /** Room that it is poured in, K; the sheet's own temperature when left out. */
  readonly roomK?: number | undefined;
  /** Areas whose pores are closed. */
  readonly sealed: ReadonlySet<string>;
  /** The survey found parts of its relief loose. */
  readonly looseRelief?: boolean;
}

/** What lies under the coat of a plan. */
export function beneathPlan(plan: PlanInput): ReadonlyMap<string, OnArea<BuildCoat>> {
  const before = under.get(plan) ?? beneath(plan.coat, plan.areas, plan.coats, plan.layers);
  under.set(plan, before);
  return before;
}
const under = new WeakMap<PlanInput, ReadonlyMap<string, OnArea<BuildCoat>>>();

const frees = (plan: PlanInput, ground: Ground): boolean =>
  plan.coats.some(
    (c) =>
      c.freesDams === true &&
      c.order < plan.coat.order &&
      ground.parts.some((p) => c.areaIds.includes(p.area.id)),
  );

const known = new WeakMap<PlanInput, readonly Ground[]>();

/** What the films of a coat lie on, lowest of each face first; remembered with the plan. */
export function plannedGrounds(plan: PlanInput): readonly Ground[] {
  const before = known.get(plan);
  if (before) return before;
  const raised = raisedBelow(plan);
  const grounds = groundsOf(plan.coat, plan.areas, plan.wholes ?? [], beneathPlan(plan)).map(
    (g) => {
      const edges = freed(g.edges, frees(plan, g));
      return withRaised(edges === g.edges ? g : { ...g, edges }, raised);
    },
  );
  known.set(plan, grounds);
  return grounds;
}

/** What an intention meets on the grounds of a coat. */
export function intentAreas(plan: PlanInput): IntentArea[] {
  const lengthM = mixLength(plan.sheet);
  return plannedGrounds(plan).map((ground) => ({
    shape: filmShape(ground.shape, wallsOf(ground), lengthM),
    edges: edgeKinds(ground),
    relief: ground.standing,
    belowM: ground.belowM,
    depthM: ground.kind === 'recess' ? ground.depthM : 0,
  }));
}

/** How a coat lies on an area: it fills a recess, domes where a rim holds it in, and is a film elsewhere. */
function coverOf(area: PlanArea, { coat, sheet }: PlanInput): Cover {
  if (area.kind === 'recess') return { by: 'recess' };
  const kinds = edgeKinds(area);
  const pinned = isFlat(area) && !isBrushed(coat) && coat.intent.by !== 'spread';
  if (!pinned || kinds.every(isWall)) return { by: 'film', holdsM: null };
  const domes = kinds.includes('doming') || coat.intent.by === 'dome';
  // A boundary on which nothing stands is no arris: the film ends there by itself, and nothing runs off.
  if (!kinds.includes('open')) return domes ? { by: 'dome' } : { by: 'film', holdsM: null };
  const lengthM = mixLength(sheet);
  const shape = filmShape(area.shape, wallsOf(area), lengthM);
  return { by: 'film', holdsM: heldOn(shape, RIM.safe, lengthM) };
}

/** A ground under a coat as the ledger takes it. */
function areaUnder(ground: Ground, plan: PlanInput): LedgerArea {
  const { coat, piece, areas, sealed } = plan;
  const below = beneathPlan(plan);
  const flat = ledgerArea(ground, piece.count);
  const isFace = ground.kind === 'face';
  const thin = isBrushed(coat);
  const pits = areas
    .filter((a) => a.kind === 'recess' && holds(ground, a))
    .map((a) => ({
      areaM2: ledgerArea(a, 1).areaM2,
      depthM: Math.max(0, a.depthM - (below.get(a.id)?.surfaceM ?? 0)),
    }));
  const levelled = ground.parts.every((p) => below.get(p.area.id)?.levelled === true);
  const takesLevel = isFlat(ground) && !thin && !levelled;
  return {
    ...flat,
    openEdges: isFlat(ground) && coat.kind !== 'line' ? edgesUnder(flat.openEdges, plan) : [],
    cover: coverOf(ground, plan),
    dammedM: isFlat(ground) && !thin ? flat.dammedM : 0,
    belowM: ground.belowM,
    relief: ground.standing,
    soakM: soakOf(ground, below, sealed),
    pits: isFace && !thin ? pits.filter((p) => p.depthM > 0) : [],
    wedge: takesLevel && piece.tilt ? wedgeOn(ground, piece.tilt) : null,
    belly:
      takesLevel && isFace && piece.bellyM > 0
        ? { sagM: piece.bellyM, share: bellyShare(ground.shape) }
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
  const { coat, sheet } = plan;
  return {
    areas: plannedGrounds(plan).map((ground, i) => ({
      ...areaUnder(ground, plan),
      ...(i === 0 && coat.line && { line: beadOf(coat.line, mixLength(sheet)) }),
    })),
    thicknessM,
    densityKgM3: mixDensity(sheet),
    law: thickeningOf(sheet, plan.roomK),
    restS: coat.restS,
    reserve: coat.reserve,
    edges: wettingOf(coat.intent, wetsBy(coat)),
    coverage: coat.coverage,
    overrides: coat.overrides,
  };
}

const wetsBy = (coat: Pick<PlanCoat, 'kind'>): Parameters<typeof wettingOf>[1] =>
  coat.kind === 'edge' || coat.kind === 'line' ? coat.kind : isBrushed(coat) ? 'brushed' : 'poured';

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
  const { intent, line } = plan.coat;
  if (line) {
    const thicknessM = beadOf(line, mixLength(plan.sheet)).heightM;
    return ok({ thicknessM, staysM: plan.coat.areaIds.map(() => thicknessM) });
  }
  const on = intentAreas(plan);
  const found =
    intent.by === 'mix' && on.length > 0
      ? filmOfMix(plan, intent.volumeM3)
      : intentThickness(intent, on, mixLength(plan.sheet));
  return found.ok ? ok({ thicknessM: found.value, staysM: staysOfFilm(plan, found.value) }) : found;
}

/** What stays of a film on each area of a coat, m, in the order of the areas. */
export function staysOfFilm(plan: PlanInput, thicknessM: number): readonly number[] {
  const grounds = plannedGrounds(plan);
  const edgeOnly = plan.coat.kind === 'edge' || plan.coat.kind === 'line';
  return plan.coat.areaIds.map((id) => {
    const ground = grounds.find((g) => g.parts.some((p) => p.area.id === id));
    const part = ground?.parts.find((p) => p.area.id === id);
    if (!ground || !part || edgeOnly) return thicknessM;
    const openEdges = isFlat(ground) ? ledgerArea(ground, 1).openEdges : [];
    return filmOnPart(part, stays({ cover: coverOf(ground, plan), openEdges }, thicknessM));
  });
}
