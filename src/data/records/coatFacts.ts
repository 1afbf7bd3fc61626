import { capillaryLength, SURFACE_TENSION } from '@/core/capillary';
import {
  domeOn,
  domeShape,
  intentThickness,
  RAISES_FROM,
  RIM,
  type DomeShape,
  type IntentArea,
  type LedgerArea,
  type LedgerInput,
} from '@/core/coat';
import { shapeBox, steepest, type Shape } from '@/core/geometry';
import { mixDensity, type ResinSheet } from '@/core/resin';
import type { Result } from '@/core/result';
import { ledgerArea } from './area';
import { edgeKindsOf, type Area, type Coat, type CoatKind, type Piece, type Resin } from './types';

/** What a porous ground drinks before it is sealed, m (ml/m² · 1e-6). Judgement, no source; ± half. */
const SOAK_M: Readonly<Record<Area['porosity'], number>> = {
  sealed: 0,
  porous: 0.06e-3,
  'very porous': 0.15e-3,
};
/** Resin under a coat from which on its ground is level and closed, m. Judgement, no source. */
const LEVELLED_M = 0.3e-3;
/** Coats that are brushed or spread thin: they make no lip, fill no belly and no wedge. */
const THIN: readonly CoatKind[] = ['seal', 'edge', 'patch'];

type Laid = Pick<Coat, 'id' | 'kind' | 'order' | 'areaIds' | 'thicknessM' | 'coverage'>;

const shapes = new WeakMap<Shape, DomeShape>();
/** What a shape comes to for domes; remembered with the row, which never changes. */
export function domeShapeOf(shape: Shape): DomeShape {
  const known = shapes.get(shape) ?? domeShape(shape);
  shapes.set(shape, known);
  return known;
}

export const lengthOf = (sheet: ResinSheet): number =>
  capillaryLength(SURFACE_TENSION, mixDensity(sheet));

/** The areas on which a coat lies as a film of its own: a face takes its recesses with it, a fill only recesses. */
export function filmAreas(coat: Pick<Coat, 'kind' | 'areaIds'>, areas: readonly Area[]): Area[] {
  const chosen = areas.filter((a) => coat.areaIds.includes(a.id));
  const face = chosen.some((a) => a.kind === 'face');
  if (coat.kind === 'fill' && chosen.some((a) => a.kind === 'recess'))
    return chosen.filter((a) => a.kind === 'recess');
  return face ? chosen.filter((a) => a.kind !== 'recess') : chosen;
}

/** Resin that the coats of an order below a coat leave on each area, m above its own ground. */
export function belowCoat(
  coat: Pick<Coat, 'order'>,
  areas: readonly Area[],
  coats: readonly Laid[],
): ReadonlyMap<string, number> {
  const below = new Map<string, number>();
  const under = coats.filter(
    (c) => c.order < coat.order && c.kind !== 'edge' && c.coverage >= RAISES_FROM,
  );
  for (const lower of [...under].sort((a, b) => a.order - b.order)) {
    const on = filmAreas(lower, areas);
    for (const area of on) below.set(area.id, (below.get(area.id) ?? 0) + lower.thicknessM);
    if (!on.some((a) => a.kind === 'face')) continue;
    // A coat on the face levels over its recesses; one that is brushed follows their floor.
    const filledM = (pit: Area) => (THIN.includes(lower.kind) ? 0 : pit.depthM);
    for (const pit of areas.filter((a) => a.kind === 'recess'))
      below.set(pit.id, Math.max(below.get(pit.id) ?? 0, filledM(pit)) + lower.thicknessM);
  }
  return below;
}

/** What an intention meets on the areas of a coat. */
export function intentAreas(
  coat: Pick<Coat, 'kind' | 'areaIds' | 'order'>,
  areas: readonly Area[],
  coats: readonly Laid[],
): IntentArea[] {
  const below = belowCoat(coat, areas, coats);
  return filmAreas(coat, areas).map((area) => ({
    shape: domeShapeOf(area.shape),
    edges: edgeKindsOf(area),
    relief: area.relief,
    belowM: below.get(area.id) ?? 0,
    depthM: area.kind === 'recess' ? area.depthM : 0,
  }));
}

/** Film that a coat's intention comes to on this piece, m, or what stands against it. */
export const thicknessOf = (
  coat: Pick<Coat, 'kind' | 'areaIds' | 'order' | 'intent'>,
  areas: readonly Area[],
  coats: readonly Laid[],
  sheet: ResinSheet,
): Result<number> => intentThickness(coat.intent, intentAreas(coat, areas, coats), lengthOf(sheet));

export interface CoatFacts {
  readonly coat: Omit<Coat, 'id'> & { readonly id: string | null };
  readonly piece: Piece;
  /** All areas and all coats of the piece. */
  readonly areas: readonly Area[];
  readonly coats: readonly Laid[];
  readonly resin: Pick<Resin, 'sheet'>;
  /** Areas whose pores Prepare has closed. */
  readonly sealed: ReadonlySet<string>;
}

/** An area under a coat as the ledger takes it. */
function areaUnder(area: Area, facts: CoatFacts, below: ReadonlyMap<string, number>): LedgerArea {
  const { coat, piece, areas, resin } = facts;
  const flat = ledgerArea(area, piece.count);
  const belowM = below.get(area.id) ?? 0;
  const kinds = edgeKindsOf(area);
  const isFace = area.kind === 'face';
  const thin = THIN.includes(coat.kind);
  const open = isFace && kinds.includes('open');
  const { widthM, heightM } = shapeBox(area.shape);
  const pits = areas
    .filter((a) => a.kind === 'recess')
    .map((a) => ({
      areaM2: ledgerArea(a, 1).areaM2,
      depthM: Math.max(0, a.depthM - (below.get(a.id) ?? 0)),
    }));
  const slope = piece.level ? steepest(piece.level.tilt).slope : 0;
  return {
    ...flat,
    openEdges: isFace ? flat.openEdges : [],
    ...(open && {
      holdsM: domeOn({ ...domeShapeOf(area.shape), discM: null }, RIM.safe, lengthOf(resin.sheet))
        .meanM,
    }),
    recess: area.kind === 'recess',
    domed: isFace && !thin && kinds.every((k) => k === 'doming'),
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
  const below = belowCoat(coat, areas, coats);
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
