import { careNote, finishSteps, type CareLine, type FinishAsk } from '@/core/finish';
import { mixDensity } from '@/core/resin';
import {
  edgeKindsOf,
  stateOf,
  type Batch,
  type Coat,
  type LogEntry,
  type Lot,
  type Resin,
} from '@/records';
import { ledgerOf, type CoatView, type PieceView } from './coatView';
import { unfinished, type Unfinished } from './leaving';
import { byId, ofPiece } from './ofPiece';
import { laidMasks } from './prepFacts';
import type { Shop } from './shop';

/** Surfaces and layers that light bleaches. Common practice, no source. */
const FADES: readonly string[] = ['ink'];

/** Coats that lie on a piece. */
const lying = (view: PieceView): readonly CoatView[] => view.coats.filter((c) => c.clock !== null);

/** Everything that keeps a piece from leaving. */
export const leavingOf = (shop: Shop, { piece }: PieceView, nowMs: number): Unfinished[] =>
  unfinished(
    {
      coats: ofPiece(shop.coats, piece.id),
      tasks: ofPiece(shop.tasks, piece.id),
      defects: ofPiece(shop.defects, piece.id),
      ...{ batches: shop.batches, resins: shop.resins, room: shop.room },
    },
    nowMs,
  );

/** What the survey and the build-up of a piece ask for after its last coat. */
export function askedAtFinish(shop: Shop, view: PieceView): readonly FinishAsk[] {
  const { piece, areas, layers } = view;
  const coated = new Set<string>(lying(view).flatMap((c) => c.coat.areaIds));
  const own = areas.filter((a) => coated.has(a.id));
  return finishSteps({
    ...{ support: piece.support, count: piece.count, hotCups: piece.use.hotCups },
    edges: own.flatMap(edgeKindsOf),
    masked: laidMasks(ofPiece(shop.tasks, piece.id)).length > 0,
    bare: areas.some((a) => a.bare || (a.shape.keepBare ?? []).length > 0),
    layers: layers.map((l) => l.kind),
    hardware: piece.marks.map((m) => m.name),
  });
}

/** The care note of a piece by the clocks of its coats; null while nothing lies on it. */
export function careOf(view: PieceView): readonly CareLine[] | null {
  const coats = lying(view);
  if (coats.length === 0) return null;
  // By the clocks that Cure shows, and nothing else: the slowest coat tells.
  const clocks = coats.flatMap(({ clock }) => clock ?? []);
  const opens = (kind: 'handle' | 'warm load') =>
    Math.max(...clocks.map((c) => c.windows.find((w) => w.kind === kind)?.opensMs ?? Infinity));
  const begins = (state: 'hard' | 'fully cured') =>
    Math.max(
      // A state that a sheet leaves no room for begins with the next.
      ...clocks.map(
        ({ spans }) => (spans.find((s) => s.state === state) ?? spans.at(-1))?.fromMs ?? Infinity,
      ),
    );
  const { piece, areas, layers } = view;
  return careNote({
    ...{ handleMs: opens('handle'), hardMs: begins('hard') },
    ...{ warmMs: opens('warm load'), fullMs: begins('fully cured') },
    declared: [...new Map(coats.map((c) => [c.resin.id, c.resin.declared])).values()],
    use: piece.use,
    fades:
      areas.some((a) => FADES.includes(a.surface.kind)) ||
      layers.some((l) => FADES.includes(l.kind)),
  });
}

/** One coat as the record that goes with the piece tells it. */
export interface CoatRecord {
  readonly coat: Coat;
  readonly resin: Resin;
  readonly lot: Lot | null;
  /** Mixed mass, kg; null: not weighed. */
  readonly mixKg: number | null;
  readonly filmM: number;
}

/** Coats of a piece that lie, from the ground up. */
export function coatRecords(shop: Shop, view: PieceView): readonly CoatRecord[] {
  return lying(view).map(({ coat, resin }) => {
    const batch: Batch | undefined = byId(shop.batches, coat.batchId);
    const done = batch ? stateOf(batch) : null;
    const mixKg = done && done.aKg !== null && done.bKg !== null ? done.aKg + done.bKg : null;
    const lot = byId(shop.lots, batch?.lotId) ?? null;
    return { coat, resin, lot, mixKg, filmM: Math.min(coat.thicknessM, ...coat.staysM) };
  });
}

/** Looks at a piece by the log: found, put right, clean. */
export const looksIn = (log: readonly LogEntry[]): readonly LogEntry[] =>
  log.filter((e) =>
    ['defect noted', 'defect repaired', 'defect looked at', 'looked clean', 'looked over'].includes(
      e.kind,
    ),
  );

/** Hands’ time of one step of preparation where nobody measured it, s. Judgement, no source. */
export const STEP_S = 300;

export interface Bill {
  readonly lines: readonly {
    readonly name: string;
    /** As it was weighed, or as it is planned, kg. */
    readonly kg: number | null;
    readonly weighed: boolean;
    /** In currency; null: its resin has no price. */
    readonly cost: number | null;
  }[];
  readonly consumables: number;
  /** Time of its wet sessions by the log, shared with what they served beside it, s. */
  readonly wetS: number;
  /** Steps that were ticked, and what they are taken to have taken, s. */
  readonly steps: number;
  readonly stepsS: number;
}

/** What a piece took: resin by what was weighed, hands by the log where it tells and by the usual where it does not. */
export function billOf(shop: Shop, view: PieceView): Bill {
  const sessions = new Map<string, number>();
  const lines = view.coats.map((seen) => {
    const { coat, resin, batch } = seen;
    const done = batch ? stateOf(batch) : null;
    const session = batch ? byId(shop.sessions, batch.sessionId) : undefined;
    if (session?.endedMs)
      sessions.set(
        session.id,
        (session.endedMs - session.startedMs) / 1000 / Math.max(1, session.coatIds.length),
      );
    const ledger = ledgerOf(seen);
    const planned = ledger.ok ? ledger.value.totalM3 * mixDensity(resin.sheet) : null;
    const whole = done && done.aKg !== null && done.bKg !== null ? done.aKg + done.bKg : null;
    const asked = batch ? batch.targetAKg + batch.targetBKg : 0;
    // One batch may serve several coats: each bears what was planned for it, by what was really mixed.
    const alone = batch?.coatIds.length === 1;
    const kg =
      whole === null || (!alone && (planned === null || !(asked > 0)))
        ? planned
        : alone
          ? whole
          : (whole * Math.min(planned ?? 0, asked)) / asked;
    const { price, sheet } = resin;
    const cost =
      price && kg !== null
        ? price.amount * (price.per === 'kg' ? kg : (kg / mixDensity(sheet)) * 1000)
        : null;
    return { name: coat.name, kg, weighed: whole !== null, cost };
  });
  const steps = ofPiece(shop.tasks, view.piece.id).filter((t) => t.state === 'done').length;
  return {
    ...{ lines, steps, stepsS: steps * STEP_S },
    consumables: lines.length * shop.settings.consumables,
    wetS: [...sessions.values()].reduce((sum, s) => sum + s, 0),
  };
}
