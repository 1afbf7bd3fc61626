import { coatLedger, measureArea, usualIntent, type Intent } from '@/core/coat';
import {
  hollowVolume,
  pitVolume,
  RESCUES,
  rescuesFor,
  STEP_TIMES,
  type Diagnosis,
  type Refused,
  type RescueFacts,
  type RescueKind,
  type RescueWhere,
} from '@/core/inspect';
import type { CoatKind } from '@/core/piece';
import { earliestPour, isSettled, type PlacedTask } from '@/core/prep';
import { instantAtRipe, mixDensity, smallestBatchKg } from '@/core/resin';
import {
  asId,
  COATS,
  edgeKindsOf,
  plainCoat,
  type Area,
  type Coat,
  type Defect,
  type Resin,
} from '@/records';
import { filmOf } from './coatFacts';
import { ledgerInputOf, viewPiece, type CoatView, type PieceView } from './coatView';
import { filmNow } from './findings';
import { STEP_S } from './finish';
import { byId } from './ofPiece';
import { piecePrep } from './prepFacts';
import type { Shop } from './shop';

/** One way back beside the others: what it takes, by the same ledger, preparation and clocks as any coat. */
export interface RescueView {
  readonly kind: RescueKind;
  readonly refused: Refused | null;
  /** The coat that it lays; null: none, or it cannot be laid. */
  readonly coat: {
    readonly row: Coat;
    readonly mixM3: number;
    readonly mixKg: number;
    /** Least that the shop’s scale measures well enough, kg. */
    readonly leastKg: number;
    readonly resin: Resin;
    readonly view: CoatView;
  } | null;
  /** Resin that the spots themselves take, by their size, m³; null: not told, or it covers more than spots. */
  readonly spotM3: number | null;
  /** Steps that the preparation asks for before its coat. */
  readonly prep: readonly PlacedTask[];
  readonly handsS: number;
  /** In currency; null: its resin has no price. */
  readonly cost: number | null;
  /** When its coat can be poured, and when the piece bears handling after it. */
  readonly pourMs: number;
  readonly doneMs: number;
}

/** Hands’ time of mixing and pouring one coat, s. Judgement, no source. */
const POUR_S = 2400;
/** A spot whose depth nobody told is taken to be as deep, m. Judgement, no source. */
const SPOT_DEPTH_M = 1e-3;
const SPOT_WIDTH_M = 10e-3;
const COVER_M = 0.5e-3;

function areasFor(view: PieceView, defect: Defect, where: RescueWhere): readonly Area[] {
  const coat = view.coats.find((c) => c.coat.id === defect.coatId);
  const open = view.areas.filter((a) => !a.bare);
  const pointed = open.filter((a) => a.id === defect.at?.areaId);
  const own = open.filter((a) => coat?.coat.areaIds.includes(a.id));
  const faces = (list: readonly Area[]) => list.filter((a) => a.kind !== 'back');
  switch (where) {
    case 'spot':
      return pointed.length > 0 ? pointed : (own.length > 0 ? own : faces(open)).slice(0, 1);
    case 'face':
      return own.length > 0 ? own : faces(open);
    case 'edge':
      return (own.length > 0 ? own : faces(open)).filter((a) => a.edges.length > 0);
    case 'back':
      return open.filter((a) => a.kind === 'back');
  }
}

/** Volume of the spots by their size, one cap or hollow each, m³; null: no size was told. */
function spotsOf({ look, kind }: Defect): number | null {
  if (look.sizeM === null || look.depthM === null) return null;
  const one = kind === 'soft spot' || kind === 'scorch' ? hollowVolume : pitVolume;
  return (look.count ?? 1) * one(look.sizeM, look.depthM);
}

function intentOf(
  kind: RescueKind,
  coatKind: CoatKind,
  view: PieceView,
  areas: readonly Area[],
  defect: Defect,
): Intent {
  if (kind === 'bury the relief') return { by: 'bury', coverM: COVER_M };
  if (RESCUES[kind].coat?.where === 'spot')
    return { by: 'given', thicknessM: defect.look.depthM ?? SPOT_DEPTH_M };
  // What stood up lies buried, or is a fault of its own.
  const grounds = areas.map((a) => ({ kind: a.kind, edges: edgeKindsOf(a), relief: [] }));
  return usualIntent(coatKind, grounds, view.piece.support).intent;
}

/** The share of its areas that a patch over the spots covers. */
function coverageOf({ look }: Defect, areas: readonly Area[]): number {
  const areaM2 = areas.reduce((sum, a) => sum + measureArea(a).areaM2, 0);
  const spot = Math.PI * ((look.sizeM ?? SPOT_WIDTH_M) / 2) ** 2 * (look.count ?? 1);
  return Math.min(1, Math.max(1e-3, areaM2 > 0 ? spot / areaM2 : 1));
}

/** The row of a coat that a rescue would lay; null where its film does not come out. */
function ghostCoat(shop: Shop, view: PieceView, defect: Defect, kind: RescueKind): Coat | null {
  const plan = RESCUES[kind].coat;
  const base = view.coats.find((c) => c.coat.id === defect.coatId) ?? view.top;
  const resin = base?.resin ?? shop.resins[0];
  if (!plan || !resin) return null;
  const areas = areasFor(view, defect, plan.where);
  if (areas.length === 0) return null;
  const laid = view.coats.filter((c) => c.coat.batchId !== null);
  const order = Math.max(0, ...laid.map((c) => c.coat.order)) + 1;
  const row: Coat = {
    ...COATS.defaults,
    ...plainCoat(1e-3),
    ...{ id: asId<'coat'>(`rescue-${kind.replaceAll(' ', '-')}`), pieceId: view.piece.id, order },
    ...{ kind: plan.kind, name: kind, resinId: resin.id, reserve: shop.settings.reserve },
    areaIds: areas.map((a) => a.id),
    staysM: [],
    intent: intentOf(kind, plan.kind, view, areas, defect),
    coverage: plan.where === 'spot' ? coverageOf(defect, areas) : 1,
  };
  const { piece, areas: all, wholes, layers, sealed, roomK } = view;
  const coats = laid.map((c) => c.coat);
  const film = filmOf(
    row,
    { piece, areas: all, wholes, layers, coats, sealed, roomK },
    resin.sheet,
  );
  return film.ok ? { ...row, ...film.value } : null;
}

/** The shop with one more coat planned, on what lies. */
const withCoat = (shop: Shop, ghost: Coat): Shop => ({
  ...shop,
  coats: [
    ...shop.coats.filter((c) => c.pieceId !== ghost.pieceId),
    ...[
      ...shop.coats
        .filter((c) => c.pieceId === ghost.pieceId)
        .map((c) => (c.order >= ghost.order ? { ...c, order: c.order + 1 } : c)),
      ghost,
    ].sort((a, b) => a.order - b.order),
  ],
});

function laid(shop: Shop, view: PieceView, ghost: Coat, nowMs: number) {
  const virtual = withCoat(shop, ghost);
  const seen = viewPiece(virtual, view.piece, nowMs).coats.find((c) => c.coat.id === ghost.id);
  const ledger = seen ? coatLedger(ledgerInputOf(seen)) : null;
  if (!seen || !ledger?.ok) return null;
  const { state, air } = piecePrep(view.piece, virtual, nowMs);
  const prep = state.tasks.filter((t) => t.task.coatId === ghost.id && t.task.needed);
  const earliest = earliestPour(prep, nowMs, air);
  const mixM3 = ledger.value.totalM3;
  const mixKg = mixM3 * mixDensity(seen.resin.sheet);
  return {
    coat: {
      ...{ row: seen.coat, mixM3, mixKg, resin: seen.resin, view: seen },
      leastKg: smallestBatchKg(seen.resin.sheet, shop.settings.scaleDigitKg),
    },
    prep: prep.filter((t) => !isSettled(t)),
    atMs: earliest?.atMs ?? nowMs,
  };
}

const priceOf = ({ price }: Resin, mixM3: number, mixKg: number, consumables: number) =>
  price && price.amount * (price.per === 'kg' ? mixKg : mixM3 * 1000) + consumables;

function rescueView(
  shop: Shop,
  view: PieceView,
  defect: Defect,
  kind: RescueKind,
  refused: Refused | null,
  nowMs: number,
): RescueView {
  const rescue = RESCUES[kind];
  const ghost = refused ? null : ghostCoat(shop, view, defect, kind);
  const found = ghost && laid(shop, view, ghost, nowMs);
  const steps = rescue.steps.map((s) => STEP_TIMES[s]);
  const handsS =
    steps.reduce((sum, s) => sum + s.handsS, 0) + (found ? found.prep.length * STEP_S + POUR_S : 0);
  const waitMs = steps.reduce((sum, s) => sum + s.waitS + s.handsS, 0) * 1000;
  const pourMs = Math.max(nowMs + waitMs, found?.atMs ?? 0);
  const sheet = found?.coat.resin.sheet;
  return {
    ...{ kind, refused, handsS, pourMs },
    coat: found?.coat ?? null,
    spotM3: rescue.coat?.where === 'spot' ? spotsOf(defect) : null,
    prep: found?.prep ?? [],
    cost: found
      ? priceOf(found.coat.resin, found.coat.mixM3, found.coat.mixKg, shop.settings.consumables)
      : rescue.coat
        ? null
        : 0,
    doneMs: sheet ? instantAtRipe(shop.room.steps, pourMs, sheet.times.handleS, sheet) : pourMs,
  };
}

/** Ratio that is taken to be wrong throughout, by what the log says. Judgement, no source. */
const SURELY = 0.6;

/** What a rescue is judged by on this piece. */
export function rescueFacts(
  shop: Shop,
  view: PieceView,
  defect: Defect,
  why: Diagnosis,
  nowMs: number,
): RescueFacts {
  const coat = byId(shop.coats, defect.coatId);
  const [first] = why.ranked;
  const open = view.areas.filter((a) => !a.bare);
  const own = open.filter((a) => coat?.areaIds.includes(a.id) ?? a.kind !== 'back');
  const edges = own.flatMap(edgeKindsOf);
  return {
    film: filmNow(shop, coat, defect.kind, nowMs),
    support: view.piece.support,
    allOver: defect.look.allOver ?? defect.kind === 'tacky all over',
    hasBack: open.some((a) => a.kind === 'back'),
    hasFace: own.length > 0,
    hasEdge: edges.length > 0,
    holdsDome: edges.length > 0 && edges.every((e) => e === 'doming'),
    neverCures: why.abstains === null && first?.cause === 'ratio off' && first.probability > SURELY,
  };
}

/** All ways back from a finding, those that can be done first. */
export function rescuesOf(
  shop: Shop,
  view: PieceView,
  defect: Defect,
  why: Diagnosis,
  nowMs: number,
): readonly RescueView[] {
  return rescuesFor(defect.kind, rescueFacts(shop, view, defect, why, nowMs)).map(
    ({ kind, refused }) => rescueView(shop, view, defect, kind, refused, nowMs),
  );
}
