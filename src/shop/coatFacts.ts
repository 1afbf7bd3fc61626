import {
  beneath,
  domeOn,
  domeShapeOf,
  filmAreas,
  intentThickness,
  isBrushed,
  mixLength,
  RIM,
  type BuildCoat,
  type CheckInput,
  type Cover,
  type IntentArea,
  type LedgerArea,
  type LedgerInput,
  LEVELLED_M,
  SOAK_M,
} from '@/core/coat';
import { shapeBox, steepest } from '@/core/geometry';
import { mixDensity, type ResinSheet } from '@/core/resin';
import type { Result } from '@/core/result';
import { type Area, type Coat, edgeKindsOf, ledgerArea, type Piece, type Resin } from '@/records';

/** What an intention meets on the areas of a coat. */
export function intentAreas(
  coat: Pick<Coat, 'kind' | 'areaIds' | 'order'>,
  areas: readonly Area[],
  coats: readonly BuildCoat[],
): IntentArea[] {
  const below = beneath(coat, areas, coats);
  return filmAreas(coat, areas).map((area) => ({
    shape: domeShapeOf(area.shape),
    edges: edgeKindsOf(area),
    relief: area.relief,
    belowM: below.get(area.id)?.surfaceM ?? 0,
    depthM: area.kind === 'recess' ? area.depthM : 0,
  }));
}

/** Film that a coat's intention comes to on this piece, m, or what stands against it. */
export const thicknessOf = (
  coat: Pick<Coat, 'kind' | 'areaIds' | 'order' | 'intent'>,
  areas: readonly Area[],
  coats: readonly BuildCoat[],
  sheet: ResinSheet,
): Result<number> =>
  intentThickness(coat.intent, intentAreas(coat, areas, coats), mixLength(sheet));

export interface CoatFacts {
  readonly coat: Omit<Coat, 'id'> & { readonly id: string | null };
  readonly piece: Piece;
  /** All areas and all coats of the piece. */
  readonly areas: readonly Area[];
  readonly coats: readonly BuildCoat[];
  readonly resin: Pick<Resin, 'sheet'>;
  /** Areas whose pores Prepare has closed. */
  readonly sealed: ReadonlySet<string>;
}

/** How a coat lies on an area: it fills a recess, domes where every edge ends so, and is a film elsewhere. */
function coverOf(area: Area, coat: Pick<Coat, 'kind'>, sheet: ResinSheet): Cover {
  if (area.kind === 'recess') return { by: 'recess' };
  const kinds = edgeKindsOf(area);
  if (area.kind === 'face' && !isBrushed(coat) && kinds.every((k) => k === 'doming'))
    return { by: 'dome' };
  if (area.kind !== 'face' || !kinds.includes('open')) return { by: 'film', holdsM: null };
  const held = domeOn({ ...domeShapeOf(area.shape), discM: null }, RIM.safe, mixLength(sheet));
  return { by: 'film', holdsM: held.meanM };
}

/** An area under a coat as the ledger takes it. */
function areaUnder(area: Area, facts: CoatFacts, below: CheckInput['beneath']): LedgerArea {
  const { coat, piece, areas, resin } = facts;
  const flat = ledgerArea(area, piece.count);
  const belowM = below.get(area.id)?.surfaceM ?? 0;
  const isFace = area.kind === 'face';
  const thin = isBrushed(coat);
  const { widthM, heightM } = shapeBox(area.shape);
  const pits = areas
    .filter((a) => a.kind === 'recess')
    .map((a) => ({
      areaM2: ledgerArea(a, 1).areaM2,
      depthM: Math.max(0, a.depthM - (below.get(a.id)?.surfaceM ?? 0)),
    }));
  const slope = piece.level ? steepest(piece.level.tilt).slope : 0;
  return {
    ...flat,
    openEdges: isFace ? flat.openEdges : [],
    cover: coverOf(area, coat, resin.sheet),
    dammedM: isFace && !thin ? flat.dammedM : 0,
    belowM,
    relief: area.relief,
    soakM: belowM > 0 || facts.sealed.has(area.id) ? 0 : SOAK_M[area.porosity],
    pits: isFace && !thin ? pits.filter((p) => p.depthM > 0) : [],
    ...(belowM < LEVELLED_M &&
      !thin &&
      isFace && {
        wedge: { lengthM: Math.max(widthM, heightM), slope },
        bellyM: piece.bellyM,
      }),
  };
}

/** A coat on its piece as the ledger takes it: what lies below it, and what stands in it. */
export function ledgerInput(facts: CoatFacts): LedgerInput {
  const { coat, areas, coats, resin } = facts;
  const below = beneath(coat, areas, coats);
  return {
    areas: filmAreas(coat, areas).map((area) => areaUnder(area, facts, below)),
    thicknessM: coat.thicknessM,
    densityKgM3: mixDensity(resin.sheet),
    law: resin.sheet,
    restS: coat.restS,
    reserve: coat.reserve,
    edgesOnly: coat.kind === 'edge',
    coverage: coat.coverage,
    overrides: coat.overrides,
  };
}

/** A coat on its piece as the film checks take it. `mask`: the linear dome’s mean as it was solved on the outline. */
export function checkInput(facts: CoatFacts, mask: number | null): CheckInput {
  const { coat, piece, areas, coats, resin } = facts;
  return {
    coat,
    areas: areas.filter((a) => coat.areaIds.includes(a.id)),
    count: piece.count,
    support: piece.support,
    tilt: piece.level?.tilt ?? null,
    sheet: resin.sheet,
    beneath: beneath(coat, areas, coats),
    mask,
  };
}
