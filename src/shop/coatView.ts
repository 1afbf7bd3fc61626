import {
  coatLedger,
  filmChecks,
  type FilmCheck,
  type Ledger,
  type LedgerInput,
  mixingChecks,
  type MixingCheck,
} from '@/core/coat';
import {
  splitMix,
  type ClockNow,
  type CoatClock,
  type CoatState,
  type MixSplit,
} from '@/core/resin';
import type { Result } from '@/core/result';
import { checkInput, ledgerInput, sealedAreas, type PlanGround } from './coatFacts';
import { AREA_KINDS } from '@/core/piece';
import {
  stateOf,
  type Area,
  type Batch,
  type Coat,
  type Layer,
  type LossFactor,
  type Piece,
  type Resin,
  type Settings,
} from '@/records';
import { clockOf } from './clockOf';
import { byId, ofPiece } from './ofPiece';
import { placesIn } from './places';
import { airThen, planRoomK, recordOf, roomAir, type Room } from './room';
import { each, type Tolerated } from './rowTrouble';
import type { Shop } from './shop';

/** A coat with everything that hangs on it, as it is at one instant. */
export interface CoatView {
  readonly coat: Coat;
  readonly piece: Piece;
  readonly areas: readonly Area[];
  /** All areas and all coats of the piece: what the coat lies on and beside. */
  readonly around: {
    readonly areas: readonly Area[];
    readonly wholes: readonly Area[];
    readonly coats: readonly Coat[];
    readonly layers: readonly Layer[];
    readonly sealed: ReadonlySet<string>;
    /** Room that films and mixes are planned with, K. */
    readonly roomK: number;
    /** Losses that were learned and accepted. */
    readonly losses: readonly LossFactor[];
  };
  readonly resin: Resin;
  readonly batch: Batch | null;
  readonly state: CoatState;
  /** From the pour on. */
  readonly clock: CoatClock | null;
}

export interface PieceView {
  readonly piece: Piece;
  /** What work acts on: places, and areas that are not cut. */
  readonly areas: readonly Area[];
  /** Every outline of the piece once, whether it is cut or not, its face first; and the faces that are cut. */
  readonly drawn: readonly Area[];
  readonly wholes: readonly Area[];
  /** All rows of its survey, faces and their places. */
  readonly surveyed: readonly Area[];
  readonly layers: readonly Layer[];
  /** Areas whose pores Prepare has closed. */
  readonly sealed: ReadonlySet<string>;
  /** Room that films and mixes are planned with, K. */
  readonly roomK: number;
  readonly coats: readonly CoatView[];
  /** The topmost coat that lies on the piece. */
  readonly top: CoatView | null;
  /** The lowest coat that does not lie on it yet. */
  readonly upcoming: CoatView | null;
  readonly openDefects: number;
}

function viewCoat(
  coat: Coat,
  piece: Piece,
  shop: Shop,
  nowMs: number,
  around: CoatView['around'],
): CoatView | null {
  const resin = byId(shop.resins, coat.resinId);
  if (!resin) return null;
  const batch = byId(shop.batches, coat.batchId) ?? null;
  const clock = clockOf(coat, resin.sheet, shop.room, nowMs);
  const state = clock?.state ?? (batch && stateOf(batch).mixedMs !== null ? 'mixed' : 'planned');
  const areas = around.areas.filter((a) => coat.areaIds.includes(a.id));
  return { coat, piece, areas, around, resin, batch, state, clock };
}

/** The areas of a piece, its face first. */
export function areasOf(shop: Pick<Shop, 'areas'>, pieceId: string): Area[] {
  const place = (a: Area) => AREA_KINDS.indexOf(a.kind);
  return [...ofPiece(shop.areas, pieceId)].sort(
    (a, b) =>
      place(a) - place(b) ||
      Number(a.partOf !== null) - Number(b.partOf !== null) ||
      a.name.localeCompare(b.name),
  );
}

interface Known {
  readonly shop: Shop;
  readonly nowMs: number;
  /** The rows it was made from: while they are the same ones, only time can change it. */
  readonly behind: readonly unknown[];
  readonly view: PieceView;
  /** A coat still cures, so time changes it. */
  readonly live: boolean;
}
/** Strip, stages and screens ask for the same views, every second and after every write. */
const known = new Map<string, Known>();

function makeView(shop: Shop, piece: Piece, nowMs: number, before: Known | undefined): PieceView {
  const surveyed = before?.view.surveyed ?? areasOf(shop, piece.id);
  const { areas, wholes, drawn } = placesIn(surveyed);
  const roomK = planRoomK(shop.room);
  const kept = before?.view.coats[0]?.around;
  const around = (kept?.roomK === roomK && kept.losses === shop.settings.losses && kept) || {
    ...{ areas, wholes },
    coats: ofPiece(shop.coats, piece.id),
    layers: ofPiece(shop.layers, piece.id),
    sealed: sealedAreas(ofPiece(shop.tasks, piece.id), areas),
    roomK,
    losses: shop.settings.losses,
  };
  const own = around.coats
    .map((coat) => viewCoat(coat, piece, shop, nowMs, around))
    .filter((v) => v !== null);
  return {
    piece,
    ...{ areas, wholes, drawn, surveyed },
    layers: around.layers,
    sealed: around.sealed,
    roomK: around.roomK,
    coats: own,
    top: own.findLast((v) => v.clock !== null) ?? null,
    upcoming: own.find((v) => v.clock === null) ?? null,
    openDefects: ofPiece(shop.defects, piece.id).filter((d) => d.repairedMs === null).length,
  };
}

/** A piece with its coats at one instant. */
export function viewPiece(shop: Shop, piece: Piece, nowMs: number): PieceView {
  const here = known.get(piece.id);
  const timely = here && (here.nowMs === nowMs || (!here.live && here.nowMs <= nowMs));
  if (timely && here.shop === shop) return here.view;
  const behind = [
    piece,
    shop.resins,
    shop.room,
    shop.settings.losses,
    ...ofPiece(shop.areas, piece.id),
    ...ofPiece(shop.coats, piece.id).flatMap((c) => [c, byId(shop.batches, c.batchId)]),
    ...ofPiece(shop.layers, piece.id),
    ...ofPiece(shop.tasks, piece.id),
    ...ofPiece(shop.defects, piece.id),
  ];
  const same =
    here?.behind.length === behind.length && here.behind.every((row, i) => row === behind[i]);
  const view = same && timely ? here.view : makeView(shop, piece, nowMs, same ? here : undefined);
  const live = view.coats.some((c) => c.clock !== null && c.state !== 'fully cured');
  known.set(piece.id, { shop, nowMs, behind: same ? here.behind : behind, view, live });
  return view;
}

const read = new WeakMap<Shop, { readonly nowMs: number; readonly views: Tolerated<PieceView> }>();

/** Every piece with its coats at one instant, in the order they came to the bench; one that cannot be read is named. */
export function readViews(shop: Shop, nowMs: number): Tolerated<PieceView> {
  const before = read.get(shop);
  if (before?.nowMs === nowMs) return before.views;
  const fresh = each('pieces', shop.pieces, (piece) => viewPiece(shop, piece, nowMs));
  const same =
    before?.views.troubles.length === 0 &&
    fresh.troubles.length === 0 &&
    before.views.values.every((view, i) => view === fresh.values[i]);
  const views = same ? before.views : fresh;
  read.set(shop, { nowMs, views });
  return views;
}

export const pieceViews = (shop: Shop, nowMs: number): readonly PieceView[] =>
  readViews(shop, nowMs).values;

/** What a coat lies on and beside. */
export const groundOf = ({ piece, around }: Pick<CoatView, 'piece' | 'around'>): PlanGround => ({
  piece,
  ...around,
});

/** What the ledger of a coat is made from; `change` is what the user is trying out. */
export const ledgerInputOf = (view: CoatView, change: Partial<Coat> = {}): LedgerInput => {
  const coat = { ...view.coat, ...change };
  return {
    ...ledgerInput(coat, groundOf(view), view.resin.sheet),
    learned: lossOf(coat, view),
  };
};

/** What was learned of coats like this one before it was poured; nothing where its volume was given. */
function lossOf(coat: Coat, { piece, around }: CoatView): LossFactor | null {
  if (coat.intent.by === 'mix') return null;
  const of = around.losses.find((l) => l.support === piece.support && l.kind === coat.kind);
  return of && of.acceptedMs <= (coat.pouredMs ?? Infinity) ? of : null;
}

/** What the film of a coat will do, with the ledger that it is mixed by. */
export const filmChecksOf = (view: CoatView, ledger: Ledger | null, room: Room): FilmCheck[] =>
  // A drawn line is no film: it levels nothing and holds at no edge.
  view.coat.line
    ? []
    : filmChecks(
        checkInput(view.coat, groundOf(view), view.resin.sheet, ledger, roomAir(room).temperatureK),
      );

/** Ledgers of coats as they stand, by what is around them: both change with their rows. */
const ledgers = new WeakMap<CoatView['around'], Map<Coat, Result<Ledger>>>();

/** The volume ledger of a coat on its areas, for all pieces of the set; `change` is what the user is trying out. */
export function ledgerOf(view: CoatView, change?: Partial<Coat>): Result<Ledger> {
  if (change) return coatLedger(ledgerInputOf(view, change));
  const here = ledgers.get(view.around) ?? new Map<Coat, Result<Ledger>>();
  ledgers.set(view.around, here);
  const known = here.get(view.coat) ?? coatLedger(ledgerInputOf(view));
  here.set(view.coat, known);
  return known;
}

/** Where the film of a coat stands on its clock. */
export const clockNow = (
  { coat, resin, clock }: CoatView,
  room: Room,
  nowMs: number,
): ClockNow => ({
  sheet: resin.sheet,
  ripeNowS: clock?.ripeS ?? 0,
  roomK: airThen(recordOf(room, coat.id), nowMs).temperatureK,
  pace: {
    factor: clock?.pace.factor ?? 1,
    touches: coat.touches.length,
    batches: coat.learned?.count ?? 0,
  },
});

/** Both parts of what a ledger asks for; null where they cannot be told. */
export const splitOf = (ledger: Ledger, { sheet }: Pick<Resin, 'sheet'>): MixSplit | null => {
  const split = splitMix(ledger.totalM3, sheet);
  return split.ok ? split.value : null;
};

/** What can be told of a coat before it is mixed in this shop. */
export const mixingChecksOf = (
  { coat, resin }: CoatView,
  split: MixSplit,
  { scaleDigitKg }: Pick<Settings, 'scaleDigitKg'>,
  room: Room,
): readonly MixingCheck[] =>
  mixingChecks({
    ...{ thicknessM: coat.thicknessM, sheet: resin.sheet },
    ...{ split, scaleDigitKg, roomTemperatureK: roomAir(room).temperatureK },
  });
