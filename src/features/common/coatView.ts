import { coatLedger, filmChecks, type FilmCheck, type Ledger, type LedgerInput } from '@/core/coat';
import type { Explanation } from '@/core/explain';
import { coatClock, type CoatClock, type CoatState } from '@/core/resin';
import type { Result } from '@/core/result';
import type { Shop } from '@/data/hooks';
import { checkInput, ledgerInput, type CoatFacts } from '@/data/records/coatFacts';
import {
  AREA_KINDS,
  type Area,
  type Batch,
  type Coat,
  type Piece,
  type Resin,
} from '@/data/records/types';
import { each, type Tolerated } from './trouble/rowTrouble';

/** A coat with everything that hangs on it, as it is at one instant. */
export interface CoatView {
  readonly coat: Coat;
  readonly piece: Piece;
  readonly areas: readonly Area[];
  /** All areas and all coats of the piece: what the coat lies on and beside. */
  readonly around: {
    readonly areas: readonly Area[];
    readonly coats: readonly Coat[];
    readonly sealed: ReadonlySet<string>;
  };
  readonly resin: Resin;
  readonly batch: Batch | null;
  readonly state: CoatState;
  /** From the pour on. */
  readonly clock: CoatClock | null;
}

export interface PieceView {
  readonly piece: Piece;
  readonly areas: readonly Area[];
  readonly coats: readonly CoatView[];
  /** The topmost coat that lies on the piece. */
  readonly top: CoatView | null;
  /** The lowest coat that does not lie on it yet. */
  readonly upcoming: CoatView | null;
  readonly openDefects: number;
}

/** Areas whose pores Prepare has closed. */
const sealedAreas = (shop: Shop, pieceId: string): Set<string> =>
  new Set(
    shop.tasks
      .filter((t) => t.pieceId === pieceId && t.rule === 'seal' && t.state === 'done')
      .flatMap((t) => t.scope),
  );

function viewCoat(
  coat: Coat,
  shop: Shop,
  nowMs: number,
  around: CoatView['around'],
): CoatView | null {
  const piece = shop.pieces.find((p) => p.id === coat.pieceId);
  const resin = shop.resins.find((r) => r.id === coat.resinId);
  if (!piece || !resin) return null;
  const batch = shop.batches.find((b) => b.id === coat.batchId) ?? null;
  const clock =
    coat.pouredMs === null
      ? null
      : coatClock({ pouredMs: coat.pouredMs, nowMs, history: coat.history, sheet: resin.sheet });
  const state = clock?.state ?? (batch?.mixedMs ? 'mixed' : 'planned');
  const areas = around.areas.filter((a) => coat.areaIds.includes(a.id));
  return { coat, piece, areas, around, resin, batch, state, clock };
}

/** The areas of a piece, its face first. */
export function areasOf(shop: Pick<Shop, 'areas'>, pieceId: string): Area[] {
  const place = (a: Area) => AREA_KINDS.indexOf(a.kind);
  return shop.areas
    .filter((a) => a.pieceId === pieceId)
    .sort((a, b) => place(a) - place(b) || a.name.localeCompare(b.name));
}

/** Every piece with its coats at one instant, in the order they came to the bench; one that cannot be read is named. */
export function readViews(shop: Shop, nowMs: number): Tolerated<PieceView> {
  return each('pieces', shop.pieces, (piece) => {
    const areas = areasOf(shop, piece.id);
    const coats = shop.coats
      .filter((c) => c.pieceId === piece.id)
      .sort((a, b) => a.order - b.order);
    const around = { areas, coats, sealed: sealedAreas(shop, piece.id) };
    const own = coats.map((c) => viewCoat(c, shop, nowMs, around)).filter((v) => v !== null);
    return {
      piece,
      areas,
      coats: own,
      top: own.findLast((v) => v.clock !== null) ?? null,
      upcoming: own.find((v) => v.clock === null) ?? null,
      openDefects: shop.defects.filter((d) => d.pieceId === piece.id && d.repairedMs === null)
        .length,
    };
  });
}

export const pieceViews = (shop: Shop, nowMs: number): readonly PieceView[] =>
  readViews(shop, nowMs).values;

const factsOf = (view: CoatView, change: Partial<Coat>): CoatFacts => ({
  coat: { ...view.coat, ...change },
  piece: view.piece,
  areas: view.around.areas,
  coats: view.around.coats,
  resin: view.resin,
  sealed: view.around.sealed,
});

/** What the ledger of a coat is made from; `change` is what the user is trying out. */
export const ledgerInputOf = (view: CoatView, change: Partial<Coat> = {}): LedgerInput =>
  ledgerInput(factsOf(view, change));

/** What the film of a coat will do; `mask` is the linear dome’s mean as it was solved on the outline. */
export const filmChecksOf = (view: CoatView, mask: number | null): FilmCheck[] =>
  filmChecks(checkInput(factsOf(view, {}), mask));

/** The volume ledger of a coat on its areas, for all pieces of the set. */
export const ledgerOf = (view: CoatView, change: Partial<Coat> = {}): Result<Ledger> =>
  coatLedger(ledgerInputOf(view, change));

/** How a clock time of a coat is worked out. */
export function clockExplanation(
  view: CoatView,
  title: string,
  ripeS: number,
  sigmaMs?: number,
): Explanation {
  const { sheet } = view.resin;
  const latest = view.coat.history.at(-1)?.temperatureK ?? NaN;
  return {
    title,
    formula: 'time where ∫ exp(−E/R · (1/T − 1/Tref)) dt reaches the sheet’s ripe time',
    inputs: [
      { label: 'ripe time of the sheet', value: ripeS, quantity: 'duration', source: 'data sheet' },
      {
        label: 'ripe age now',
        value: view.clock?.ripeS ?? 0,
        quantity: 'duration',
        source: 'computed',
      },
      {
        label: 'room, latest reading, T',
        value: latest,
        quantity: 'temperature',
        source: 'measured',
      },
      {
        label: 'reference, Tref',
        value: sheet.referenceTemperatureK,
        quantity: 'temperature',
        source: 'data sheet',
      },
      {
        label: 'activation energy, E',
        value: sheet.activationEnergyJMol,
        quantity: 'molarEnergy',
        source: 'from memory',
      },
    ],
    source:
      'Equivalent age, ASTM C1074 (Arrhenius form); the last room temperature is taken to go on.',
    ...(sigmaMs === undefined ? {} : { sigma: sigmaMs / 1000 }),
    note: 'A touch test with a clean glove decides; the resin’s own sheet goes before this clock.',
  };
}
